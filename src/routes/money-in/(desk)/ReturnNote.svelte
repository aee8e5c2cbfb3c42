<script lang="ts">
	import type { matchBankReturn } from '$lib/server/returns/commands/match-bank-return';
	import Problems from '$lib/ui/Problems.svelte';
	import { ActForm } from '$lib/trade/act-form.svelte';
	import type { ReturnClue } from '$lib/core/3-matching';
	import type { DebitMeans } from '$lib/server/returns/queries/what-debit-means';
	import { list, money, shortDay } from '$lib/words';
	import type { Done } from './done';

	/** A debit entry of the bank: the return of a payment, or the showing of one that was booked before. */
	let {
		receipt,
		debit,
		currency,
		today,
		mayAct,
		done
	}: {
		receipt: { id: number; version: number };
		debit: DebitMeans;
		currency: string;
		today: string;
		mayAct: boolean;
		done: Done;
	} = $props();
	const form = new ActForm<typeof matchBankReturn>('?/matchReturn', {
		refresh: false,
		done: (answer) => done(`${SAID[matched]} Counted once.`, answer, true)
	});
	const CLUES: Readonly<Record<ReturnClue, string>> = {
		'end-to-end': 'the same end-to-end reference',
		account: 'the same account',
		name: 'the same name',
		words: 'the same number in the words',
		amount: 'the same amount',
		'amount-and-fee': 'more than its amount'
	};
	const proposals = $derived(debit.shows.length + debit.payments.length);
	/** Which part of a return was matched last. */
	let matched = $state<keyof typeof PARTS>('money');
	const SAID = {
		money: 'Matched the returned payment to the bank.',
		fee: 'Matched the bank’s fee to the bank.',
		both: 'Matched the returned payment and the bank’s fee to the bank.'
	} as const;
	const PARTS = { money: 'the return', fee: 'the bank’s fee', both: 'the return and the fee' } as const;
</script>

{#if debit.shows.length}
	<div class="note mx-4 mt-4 xl:mx-6">
		<p><strong class="text-copper">Booked before?</strong> This is waited for:</p>
		<ul class="mt-1 grid gap-1">
			{#each debit.shows as one (one.id)}
				<li>
					<div class="flex items-center gap-3">
						<span
							>{PARTS[one.part]} of {money(one.amount, one.currency)} from {one.customer}, returned on {shortDay(
								one.date,
								today
							)}{one.rest > 0 ? `; ${money(one.rest, currency)} beyond it is a bank charge` : ''}</span
						>
						{#if mayAct}<button
								class="btn py-0.5"
								data-proposed
								disabled={form.busy}
								onclick={() => {
									matched = one.part;
									void form.send({
										...{ receiptId: receipt.id, receiptVersion: receipt.version },
										...{ returnedId: one.id, part: one.part, restIsCharge: one.rest > 0 }
									});
								}}
								>Match them {#if proposals === 1}<span class="key">Y</span>{/if}</button
							>{/if}
					</div>
				</li>
			{/each}
		</ul>
		<Problems problems={form.problems} />
	</div>
{/if}
{#if debit.payments.length}
	<div class="note mx-4 mt-4 xl:mx-6">
		<p>
			<strong class="text-copper">Returned?</strong>
			{debit.says ? 'The bank calls this a return.' : 'This may be a returned payment.'}
		</p>
		<ul class="mt-1 grid gap-2">
			{#each debit.payments as one (one.receiptId)}
				<li class="flex items-center gap-3">
					<span
						>{one.customer} paid {money(one.amount, currency)} on {shortDay(one.booked, today)}
						<span class="block text-sm text-soft"
							>{list(
								one.clues.map((clue) =>
									clue === 'amount-and-fee' ? `${money(one.over, currency)} more than it` : CLUES[clue]
								)
							)}</span
						></span
					>
					{#if mayAct}<a
							class="btn ml-auto py-0.5"
							data-proposed
							href="/money-in/returned/{one.receiptId}?shown={receipt.id}"
							>It is this {#if proposals === 1}<span class="key">Y</span>{/if}</a
						>{/if}
				</li>
			{/each}
		</ul>
	</div>
{/if}
