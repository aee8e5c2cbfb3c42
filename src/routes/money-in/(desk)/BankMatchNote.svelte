<script lang="ts">
	import type { matchBankEntry } from '$lib/server/receipts/commands/match-bank-entry';
	import Problems from '$lib/ui/Problems.svelte';
	import { ActForm } from '$lib/trade/act-form.svelte';
	import type { OnItsWay } from '$lib/server/receipts/store/on-its-way';
	import { money, shortDay } from '$lib/words';
	import type { Done } from './done';

	/** Money recorded by hand that this entry shows: tied, it is counted once. */
	let {
		receipt,
		bankMatches,
		bankAccountId,
		today,
		done
	}: {
		receipt: { id: number; version: number };
		bankMatches: readonly OnItsWay[];
		/** The account on which the bank shows it. */
		bankAccountId: number | null;
		today: string;
		done: Done;
	} = $props();
	const form = new ActForm<typeof matchBankEntry>('?/match', {
		refresh: false,
		done: (answer) => done('Matched to the bank: counted once.', answer, true)
	});
</script>

<div class="note mx-4 mt-4 xl:mx-6">
	<p><strong class="text-copper">Recorded before?</strong> This sum is on its way already:</p>
	<ul class="mt-1 grid gap-1">
		{#each bankMatches as one (`${one.kind} ${one.id}`)}
			<li>
				<div class="flex items-center gap-3">
					<span
						>{one.method}
						{one.reference}, {one.customer}, {shortDay(one.date, today)}, {money(
							one.amount,
							one.currency
						)}{#if one.bankAccountId !== null && one.bankAccountId !== bankAccountId}<span class="text-copper"
								>, but recorded as paid into {one.bank}</span
							>{/if}</span
					>
					<button
						class="btn py-0.5"
						data-proposed
						disabled={form.busy}
						onclick={() =>
							form.send({
								...{ receiptId: receipt.id, receiptVersion: receipt.version },
								to: { kind: one.kind, id: one.id }
							})}
						>Match them {#if bankMatches.length === 1}<span class="key">Y</span>{/if}</button
					>
				</div>
			</li>
		{/each}
	</ul>
	<Problems problems={form.problems} />
</div>
