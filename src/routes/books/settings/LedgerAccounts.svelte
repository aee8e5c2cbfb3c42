<script lang="ts">
	import { enhance } from '$app/forms';
	import { toast } from 'svelte-sonner';
	import type { addLedgerAccount } from '$lib/server/firm/commands/add-ledger-account';
	import type { AsideAccount } from '$lib/server/firm/store/accounts-for-aside';
	import { ActForm } from '$lib/trade/act-form.svelte';
	import Field from '$lib/ui/Field.svelte';
	import Problems from '$lib/ui/Problems.svelte';
	import { percent } from '$lib/words';

	/** Ledger accounts to which money that is not a customer's may be posted, and one more of the firm's own. */
	const { accounts }: { accounts: readonly AsideAccount[] } = $props();
	const form = new ActForm<typeof addLedgerAccount>('?/ledger', {
		done: () => void toast('The ledger account is there.')
	});
	function given(fields: FormData) {
		const text = (name: string) => String(fields.get(name) ?? '').trim();
		const rate = text('vatBasisPoints').replace('%', '').replace(',', '.').trim();
		return {
			...{ code: text('code'), name: text('name') },
			// What is no number is refused at its field.
			vatBasisPoints: rate === '' ? null : Math.round(Number(rate) * 100)
		};
	}
</script>

<h2 id="ledger-accounts" class="mt-8 text-xl">Ledger accounts for what is not customer money</h2>
<table class="mt-2 w-96">
	<thead><tr><th>Name</th><th>Code</th><th class="num">VAT</th></tr></thead>
	<tbody>
		{#each accounts as account (account.code)}
			<tr
				><td>{account.name}</td><td>{account.code}</td><td class="num"
					>{account.vatBasisPoints === null ? '–' : percent(account.vatBasisPoints)}</td
				></tr
			>
		{/each}
	</tbody>
</table>
<div class="mt-2"><Problems problems={form.problems} /></div>
<form
	method="POST"
	action="?/ledger"
	use:enhance={form.submit(given)}
	class="mt-2 grid w-96 grid-cols-[1fr_6rem_6rem] items-start gap-2"
>
	<Field {form} name="name" label="Name"
		>{#snippet input(attributes)}<input type="text" required {...attributes} />{/snippet}</Field
	>
	<Field {form} name="code" label="Code"
		>{#snippet input(attributes)}<input
				type="text"
				class="w-full"
				required
				{...attributes}
			/>{/snippet}</Field
	>
	<Field {form} name="vatBasisPoints" label="VAT, %"
		>{#snippet input(attributes)}<input
				type="text"
				class="w-full"
				inputmode="decimal"
				placeholder="none"
				{...attributes}
			/>{/snippet}</Field
	>
	<div class="col-span-3"><button class="btn" disabled={form.busy}>Add the account</button></div>
</form>
