<script lang="ts">
	import { page } from '$app/state';

	/** The page that lists what the address leads into: for `/customers/K9` that is Customers. */
	const SECTIONS: Readonly<Record<string, string>> = {
		'money-in': 'Money in',
		'open-items': 'Open items',
		customers: 'Customers',
		'odd-pennies': 'Odd pennies',
		letters: 'Letters',
		books: 'Books'
	};
	const section = $derived(page.url.pathname.split('/')[1] ?? '');
	const name = $derived(SECTIONS[section]);
</script>

<div class="mx-auto mt-24 w-[520px]">
	<h1>
		{page.status === 404 ? 'Not found' : page.status === 403 ? 'Not for this role' : 'That did not work'}
	</h1>
	<p class="mt-2 text-soft">{page.error?.message}</p>
	{#if page.status === 404}<p class="mt-2 text-soft">
			Find it by its number, name or amount: <span class="key">Ctrl K</span> searches everything.
		</p>{/if}
	{#if page.error?.failure}
		<p class="mt-2 text-sm text-soft">
			Its number in the log is <span class="figures font-semibold text-ink">{page.error.failure}</span>.
		</p>
	{/if}
	<p class="mt-6 flex gap-3">
		{#if name}<a class="btn" href="/{section}">Go to {name}</a>{/if}
		<a class="btn" href="/">Go to Today</a>
	</p>
</div>
