<script lang="ts">
	import { attributesOf } from '$lib/ui/field-faults';
	import { page } from '$app/state';
	let { data, form } = $props();
	/** Where one wanted to go goes along: the address of an action would take its place. */
	const to = $derived(page.url.searchParams.get('to'));
	const along = $derived(to ? `&to=${encodeURIComponent(to)}` : '');
	const fault = $derived(attributesOf(form?.message, 'refused'));
	const blurbs = {
		clerk: 'allocates money, sends letters',
		supervisor: 'may do all of it, adds people',
		reader: 'looks and changes nothing'
	} as const;
</script>

<div class="mx-auto mt-[14vh] w-[400px]">
	<p class="flex items-center gap-3 font-serif text-2xl font-semibold">
		<img src="/coin.svg" alt="" width="30" height="30" /> odd penny
	</p>
	<h1 class="double-bottom mt-6 mb-5 pb-3 text-xl">Sign in</h1>
	{#if page.url.searchParams.has('changed')}<p role="status" class="note mb-4">
			Your password is changed. Sign in with the new one.
		</p>{/if}
	{#if form?.message}<p id="refused" role="alert" class="note mb-4 text-oxblood">{form.message}</p>{/if}
	{#if data.demo.length}
		<p class="mb-3 says">
			These are the demo books. Choose whose desk you sit at.{#if data.lookingAround}
				<a href="/leave-demo-books" data-sveltekit-reload>Leave them</a>, and set up your own.{/if}
		</p>
		<form method="POST" action="?/demo{along}" class="mb-8 grid gap-2">
			{#each data.demo as person (person.role)}
				<button name="role" value={person.role} class="btn justify-between py-2.5"
					><span>{person.name}, {person.role}</span><span class="font-normal text-soft"
						>{blurbs[person.role]}</span
					></button
				>
			{/each}
		</form>
	{/if}
	<form method="POST" action="?/person{along}" class="grid gap-3">
		<label class="grid gap-1"
			>E-mail address<input
				type="email"
				name="email"
				autocomplete="username"
				required
				value={form?.email ?? ''}
				{...fault}
			/></label
		>
		<label class="grid gap-1"
			>Password<input
				type="password"
				name="password"
				autocomplete="current-password"
				required
				{...fault}
			/></label
		>
		<button class="btn btn-main mt-1 justify-center py-2">Sign in</button>
	</form>
	<p class="mt-6 text-sm">
		New here, or forgotten? Ask for a code, and <a href="/set-password">set a password with it</a>.
	</p>
</div>
