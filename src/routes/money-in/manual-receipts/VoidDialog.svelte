<script lang="ts">
	import { toast } from 'svelte-sonner';
	import type { voidReceipt } from '$lib/server/receipts/commands/void-receipt';
	import { ActForm } from '$lib/trade/act-form.svelte';
	import Dialog from '$lib/ui/Dialog.svelte';
	import FieldError from '$lib/ui/FieldError.svelte';
	import Problems from '$lib/ui/Problems.svelte';
	import { money } from '$lib/words';

	/** Voids a receipt that was recorded by mistake, with the reason. */
	let {
		receipt,
		close
	}: {
		receipt: {
			readonly id: number;
			readonly version: number;
			readonly name: string | null;
			readonly method: string;
			readonly reference: string;
			readonly amount: number;
			readonly currency: string;
		} | null;
		close: () => void;
	} = $props();
	let reason = $derived.by(() => {
		void receipt;
		return '';
	});
	const form = new ActForm<typeof voidReceipt>('?/void', {
		done: () => {
			toast('Voided. What it was allocated to is open again.');
			close();
		}
	});
	const sum = $derived(receipt ? money(receipt.amount, receipt.currency) : '');
	function send(event: SubmitEvent) {
		event.preventDefault();
		if (receipt) void form.send({ receiptId: receipt.id, receiptVersion: receipt.version, reason });
	}
</script>

<Dialog title="Void {sum}" bind:open={() => receipt !== null, (on) => on || close()}>
	{#if receipt}
		<form onsubmit={send}>
			<p class="says">
				{receipt.method}
				{receipt.reference} of {receipt.name}. It never was money: what it was allocated to is open again, and
				the bank is not expected to show it. The record keeps all of it.
			</p>
			<label class="mt-2 grid gap-1"
				>Why?<input
					type="text"
					bind:value={reason}
					placeholder="recorded twice"
					{...form.at('reason')}
				/></label
			>
			<FieldError {form} name="reason" />
			<div class="mt-3"><Problems problems={form.problems} /></div>
			<button class="btn btn-main mt-3" disabled={form.busy || !reason.trim()}>Void {sum}</button>
		</form>
	{/if}
</Dialog>
