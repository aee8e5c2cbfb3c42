<script lang="ts">
	import type { bookUnidentified } from '$lib/server/receipts/commands/book-unidentified';
	import type { setAside } from '$lib/server/receipts/commands/set-aside';
	import FieldError from '$lib/ui/FieldError.svelte';
	import Problems from '$lib/ui/Problems.svelte';
	import Dialog from '$lib/ui/Dialog.svelte';
	import { money } from '$lib/words';
	import { ActForm } from '$lib/trade/act-form.svelte';
	import type { Done } from './done';

	/** Books money that is not a customer's on a ledger account. */
	let {
		open = $bindable(),
		receipt,
		accounts,
		rule,
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
		accounts: readonly { code: string; name: string }[];
		/** Where money of this name went before, by a rule. */
		rule: string | null;
		done: Done;
	} = $props();
	let account = $derived(rule ?? '');
	let remember = $state(false);
	/** Not a ledger account: nobody knows the payer yet, and it goes on waiting. */
	const UNKNOWN = 'unknown';
	const mayWait = $derived(receipt.amount > 0 && receipt.unidentifiedActId === null);
	const sum = $derived(money(Math.abs(receipt.amount), receipt.currency));
	const target = $derived(accounts.find((one) => one.code === account)?.name ?? account);
	const aside = new ActForm<typeof setAside>('?/aside', {
		refresh: false,
		done: (answer) =>
			done(
				answer.output.waits.length > 0
					? `A supervisor is asked about ${sum}.`
					: `Posted ${sum} to ${target}.`,
				answer,
				true
			)
	});
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
		<label class="grid gap-1"
			>Book {sum} on
			<select bind:value={account} {...form.at('account')}>
				<option value="">Choose the ledger account</option>
				{#if mayWait}<option value={UNKNOWN}>Unidentified receipts: nobody knows whose it is yet</option>{/if}
				{#each accounts as one (one.code)}<option value={one.code}>{one.name} ({one.code})</option>{/each}
			</select>
		</label>
		<FieldError {form} name="account" />
		{#if account === UNKNOWN}
			<p class="mt-2 says">
				The bank’s account is right from then on; the money goes on waiting here until its payer is found.
			</p>
		{:else if receipt.payerName && account && account !== rule}
			<label class="mt-2 flex items-center gap-2"
				><input type="checkbox" bind:checked={remember} /> From now on propose this for {receipt.payerName}</label
			>
		{:else if rule}<p class="mt-2 says">
				Entries of {receipt.payerName} like this went there before.
				<a href="/money-in/usual-lines">Usual lines</a>
			</p>{/if}
		<div class="mt-3"><Problems problems={form.problems} /></div>
		<button class="btn btn-main mt-3" disabled={form.busy || !account}>Book it</button>
	</form>
</Dialog>
