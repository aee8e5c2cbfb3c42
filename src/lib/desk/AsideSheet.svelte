<script lang="ts">
	import { enhance } from '$app/forms';
	import Problems from '$lib/ui/Problems.svelte';
	import Sheet from '$lib/ui/Sheet.svelte';
	import { money } from '$lib/words/format';
	import type { After } from './after';

	/** Books money that is not a customer's on a ledger account. */
	let {
		open = $bindable(),
		receipt,
		accounts,
		rule,
		problems,
		busy,
		key,
		after
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
		problems: readonly string[];
		busy: boolean;
		key: string;
		after: After;
	} = $props();
	let account = $derived(rule ?? '');
	let remember = $state(false);
	/** Not a ledger account: nobody knows the payer yet, and it goes on waiting. */
	const UNKNOWN = 'unknown';
	const mayWait = $derived(receipt.amount > 0 && receipt.unidentifiedActId === null);
	const sum = $derived(money(receipt.amount, receipt.currency));
</script>

<Sheet title="Not customer money" bind:open>
	<form
		method="POST"
		action={account === UNKNOWN ? '?/unidentified' : '?/aside'}
		use:enhance={({ formData }) => {
			formData.set(
				'json',
				JSON.stringify({ receiptId: receipt.id, receiptVersion: receipt.version, account, remember })
			);
			formData.set('key', key);
			return after(account === UNKNOWN ? `${sum} is booked, and goes on waiting.` : `Booked ${sum}.`, true);
		}}
	>
		<label class="grid gap-1"
			>Book {sum} on
			<select bind:value={account}>
				<option value="">Choose the ledger account</option>
				{#if mayWait}<option value={UNKNOWN}>Unidentified receipts: nobody knows whose it is yet</option>{/if}
				{#each accounts as one (one.code)}<option value={one.code}>{one.name} ({one.code})</option>{/each}
			</select>
		</label>
		{#if account === UNKNOWN}
			<p class="mt-2 says">
				The bank’s account is right from then on; the money goes on waiting here until its payer is found.
			</p>
		{:else if receipt.payerName && account && account !== rule}
			<label class="mt-2 flex items-center gap-2"
				><input type="checkbox" bind:checked={remember} /> From now on propose this for {receipt.payerName}</label
			>
		{:else if rule}<p class="mt-2 says">Money of {receipt.payerName} went there before.</p>{/if}
		<div class="mt-3"><Problems {problems} /></div>
		<button class="btn btn-main mt-3" disabled={busy || !account}>Book it</button>
	</form>
</Sheet>
