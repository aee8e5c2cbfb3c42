<script lang="ts">
	import type { bookUnidentified } from '$lib/server/receipts/commands/book-unidentified';
	import FieldError from '$lib/ui/FieldError.svelte';
	import Problems from '$lib/ui/Problems.svelte';
	import Combobox from '$lib/ui/Combobox.svelte';
	import Dialog from '$lib/ui/Dialog.svelte';
	import { money, vatSentence } from '$lib/words';
	import { ActForm } from '$lib/trade/act-form.svelte';
	import { asideForm } from './aside-form';
	import type { Done } from './done';
	import type { AsideAccount } from '$lib/server/firm/store/accounts-for-aside';

	/** Books money that is not a customer's on a ledger account. */
	let {
		open = $bindable(),
		receipt,
		accounts,
		usual,
		done
	}: {
		open: boolean;
		receipt: {
			id: number;
			version: number;
			amount: number;
			currency: string;
			payerName: string | null;
			unidentifiedActId: number | null;
		};
		accounts: readonly AsideAccount[];
		/** Where entries like it usually go. */
		usual: string | null;
		done: Done;
	} = $props();
	let account = $derived(open ? (usual ?? '') : '');
	/** What stands in the field: the name of the account, or what is typed of it. */
	let typed = $derived(open ? (accounts.find((one) => one.code === usual)?.name ?? '') : '');
	let remember = $state(false);
	/** Not a ledger account: nobody knows the payer yet, and it goes on waiting. */
	const UNKNOWN = 'unknown';
	const mayWait = $derived(receipt.amount > 0 && receipt.unidentifiedActId === null);
	const options = $derived([
		...(mayWait ? [{ id: UNKNOWN, name: 'Unidentified receipts: the payer is not known yet' }] : []),
		...accounts.map(({ code, name }) => ({ id: code, name }))
	]);
	const fitting = $derived.by(() => {
		const text = typed.trim().toLowerCase();
		return options.filter(({ id, name }) => `${name} ${id}`.toLowerCase().includes(text));
	});
	const sum = $derived(money(Math.abs(receipt.amount), receipt.currency));
	const target = $derived(accounts.find((one) => one.code === account)?.name ?? account);
	/** The VAT that is in it, where the account has some. */
	const vat = $derived.by(() => {
		const rate = accounts.find((one) => one.code === account)?.vatBasisPoints ?? null;
		return rate === null ? '' : vatSentence(receipt, rate);
	});
	const aside = $derived(asideForm(receipt, () => target, done));
	const unidentified = new ActForm<typeof bookUnidentified>('?/unidentified', {
		refresh: false,
		done: (answer) => done(`${sum} is booked as unidentified.`, answer, true)
	});
	const form = $derived(account === UNKNOWN ? unidentified : aside);
	const head = $derived({ receiptId: receipt.id, receiptVersion: receipt.version });
	function send(event: SubmitEvent) {
		event.preventDefault();
		void (account === UNKNOWN ? unidentified.send(head) : aside.send({ ...head, account, remember }));
	}
</script>

<Dialog title="Not customer money" bind:open>
	<form onsubmit={send}>
		<div class="grid gap-1">
			<span aria-hidden="true">Post {sum} to</span>
			<Combobox
				label="Post {sum} to"
				class="w-full"
				placeholder="part of the ledger account’s name or number"
				keepsName
				takesOnTab
				onfocus={(event) => event.currentTarget.select()}
				asked={fitting.length}
				options={fitting}
				nameOf={(one) => one.name}
				bind:text={typed}
				ask={() => (account = '')}
				choose={(one) => ([account, typed] = [one.id, one.name])}
				{...form.at('account')}
			>
				{#snippet option(one)}
					<span>{one.name}</span>
					{#if one.id !== UNKNOWN}<span class="text-soft">{one.id}</span>{/if}
				{/snippet}
			</Combobox>
		</div>
		<FieldError {form} name="account" />
		{#if account === UNKNOWN}
			<p class="mt-2 says">
				The bank agrees from then on, and it is no work of the day any more. It has a list of its own until
				its payer is found.
			</p>
		{:else if receipt.payerName && account && account !== usual}
			<label class="mt-2 flex items-center gap-2"
				><input type="checkbox" bind:checked={remember} /> From now on propose this for {receipt.payerName}</label
			>
		{:else if usual}<p class="mt-2 says">
				Entries of {receipt.payerName} like this went there before.
				<a href="/money-in/usual-lines">Usual lines</a>
			</p>{/if}
		{#if vat}<p class="mt-2" aria-live="polite">{vat}</p>{/if}
		<div class="mt-3"><Problems problems={form.problems} /></div>
		<button class="btn btn-main mt-3" disabled={form.busy || !account}
			>Post {sum}{account && account !== UNKNOWN ? ` to ${target}` : ''}
			<span class="key">Enter</span></button
		>
	</form>
</Dialog>
