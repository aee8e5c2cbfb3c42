<script lang="ts">
	import { untrack } from 'svelte';
	import { goto } from '$app/navigation';
	import { toast } from 'svelte-sonner';
	import type { Day } from '$lib/core/day/day';
	import { parseTypedDay } from '$lib/core/day/parse-typed-day';
	import type { PaidInto } from '$lib/server/receipts/store/paid-into';
	import type { Rehearsed } from '$lib/server/approvals/store/rehearse';
	import type { recordAsPaid } from '$lib/server/receipts/commands/record-as-paid';
	import { ActForm } from '$lib/trade/act-form.svelte';
	import { previewOf } from '$lib/trade/preview-of';
	import Dialog from '$lib/ui/Dialog.svelte';
	import Field from '$lib/ui/Field.svelte';
	import Problems from '$lib/ui/Problems.svelte';
	import { amount, count, list, money, sumsByCurrency } from '$lib/words';
	import type { TickedItems } from './ticked-items.svelte';

	/** Records what is ticked as paid: how much of each, how and when, as one sum or each by itself, and what that posts. */
	let {
		open = $bindable(),
		ticked,
		ways,
		today
	}: {
		open: boolean;
		ticked: TickedItems;
		ways: {
			readonly methods: readonly string[];
			readonly banks: readonly { readonly id: number; readonly name: string; readonly currency: string }[];
		};
		today: Day;
	} = $props();
	let when = $state('');
	let method = $derived(ways.methods[0] ?? '');
	let reference = $state('');
	let asOneSum = $state(true);
	const banks = $derived(ways.banks.filter((bank) => bank.currency === ticked.currency));
	let paidInto = $derived<PaidInto>(banks[0]?.id ?? null);
	const date = $derived(parseTypedDay(when, today));
	const together = $derived(asOneSum && ticked.currency !== null);
	const slip = $derived(together && ticked.accounts > 1 && paidInto !== 'petty cash');
	const given = $derived({
		...{ items: ticked.given, date: date ?? when, method, reference, asOneSum: together },
		paidInto
	});
	const form = new ActForm<typeof recordAsPaid>('?/paid', {
		done: ({ output }) => {
			open = false;
			const what = `Recorded ${count(ticked.all.length, 'item')} as paid, ${list(ticked.sums.map((one) => money(one.amount, one.currency)))}.`;
			ticked.clear();
			const href = output.slipId ? `/money-in/slips/${output.slipId}` : '/money-in/manual-receipts';
			toast(what, {
				action: { label: output.slipId ? 'Paying-in slip' : 'See them', onClick: () => goto(href) }
			});
		}
	});
	/** What it would post, as the books say; made anew a moment after something changed. */
	let seen = $state.raw<Rehearsed | null>(null);
	let faults = $state.raw<readonly string[]>([]);
	$effect(() => {
		const asked = given;
		if (!open || !ticked.ready) return;
		const soon = setTimeout(async () => {
			const answer = await previewOf<Rehearsed>('?/previewPaid', asked);
			if (asked !== untrack(() => given)) return;
			[seen, faults] = answer.ok ? [answer.value, []] : [null, answer.problems];
		}, 250);
		return () => clearTimeout(soon);
	});
	/** The journal by account: many customers are one line each way. */
	const journal = $derived.by(() => {
		const sums = new Map<string, { name: string; currency: string; amount: number }>();
		for (const line of seen?.lines ?? []) {
			const key = `${line.account} ${line.currency}`;
			const before = sums.get(key);
			sums.set(key, {
				...{ name: `${line.account} ${line.name ?? ''}`.trim(), currency: line.currency },
				amount: (before?.amount ?? 0) + line.amount
			});
		}
		return [...sums.values()];
	});
	const sum = $derived(list(ticked.sums.map((one) => money(one.amount, one.currency))));
	const atBank = $derived(
		paidInto === 'petty cash'
			? 'Nothing: petty cash does not go to the bank.'
			: together
				? `One entry of ${sum}${slip ? ', as one paying-in slip' : ''}.`
				: `${count(ticked.all.length, 'entry', 'entries')}, one for each item: ${sumsByCurrency(
						ticked.all.map(({ row }) => ({ currency: row.currency, amount: ticked.amounts.get(row.id) ?? 0 }))
					)} in all.`
	);
</script>

<Dialog title="Record as paid" bind:open wide>
	<form
		class="grid gap-4"
		onsubmit={(event) => {
			event.preventDefault();
			void form.send(given);
		}}
	>
		<div class="grid grid-cols-5 gap-3">
			<Field {form} name="date" label="Paid on"
				>{#snippet input(attributes)}<input
						type="text"
						data-first
						placeholder="today"
						bind:value={when}
						{...attributes}
					/>{/snippet}</Field
			>
			<Field {form} name="method" label="How"
				>{#snippet input(attributes)}<select bind:value={method} {...attributes}
						>{#each ways.methods as one (one)}<option value={one}>{one}</option>{/each}</select
					>{/snippet}</Field
			>
			<Field {form} name="paidInto" label="Paid into"
				>{#snippet input(attributes)}<select bind:value={paidInto} {...attributes}
						>{#each banks as one (one.id)}<option value={one.id}>{one.name}</option>{/each}<option
							value="petty cash">petty cash</option
						>{#if paidInto === null}<option value={null}
								>{ticked.currency ? `no account in ${ticked.currency}` : 'not said'}</option
							>{/if}</select
					>{/snippet}</Field
			>
			<Field {form} name="reference" label="Reference" class="col-span-2"
				>{#snippet input(attributes)}<input
						type="text"
						bind:value={reference}
						{...attributes}
					/>{/snippet}</Field
			>
		</div>
		<div class="max-h-56 overflow-y-auto">
			<table>
				<thead class="sticky top-0 bg-raised"
					><tr><th>Item</th><th>Customer</th><th class="num">Open</th><th class="num">Paid</th></tr></thead
				>
				<tbody>
					{#each ticked.all as { row, text } (row.id)}
						<tr>
							<td>{row.number}</td>
							<td>{row.customer}</td>
							<td class="num text-soft">{money(row.open, row.currency)}</td>
							<td class="num"
								><input
									type="text"
									inputmode="decimal"
									class="amount-field w-28"
									aria-label="Paid of {row.number}"
									aria-invalid={ticked.amounts.get(row.id) === null ? 'true' : undefined}
									value={text}
									oninput={(event) => ticked.type(row.id, event.currentTarget.value)}
								/></td
							>
						</tr>
					{/each}
				</tbody>
			</table>
		</div>
		<fieldset class="flex flex-wrap items-center gap-x-5 gap-y-1">
			<legend class="sr-only">How the bank shows it</legend>
			<label class="flex items-center gap-2"
				><input
					type="radio"
					name="sum"
					disabled={ticked.currency === null}
					checked={together}
					onchange={() => (asOneSum = true)}
				/> It came as one sum</label
			>
			<label class="flex items-center gap-2"
				><input type="radio" name="sum" checked={!together} onchange={() => (asOneSum = false)} /> Each item by
				itself</label
			>
		</fieldset>
		<div class="grid grid-cols-2 gap-6 border-t border-rule pt-3 text-sm" aria-live="polite">
			<div>
				<h3 class="font-sans font-semibold text-soft">The journal</h3>
				{#if journal.length}
					<table>
						<tbody>
							{#each journal as line (`${line.name} ${line.currency}`)}
								<tr
									><td>{line.name}</td><td class="num"
										>{amount(line.amount, line.currency)} {line.currency}</td
									></tr
								>
							{/each}
						</tbody>
					</table>
				{:else if !ticked.ready}<p class="text-copper">
						Give each an amount above zero, and no more than is open.
					</p>
				{:else if !faults.length}<p class="text-soft">…</p>{/if}
			</div>
			<div>
				<h3 class="font-sans font-semibold text-soft">The bank will show</h3>
				<p class="mt-1">{atBank}</p>
				{#if paidInto !== 'petty cash'}<p class="mt-1 says">
						Until then it is on its way; the bank’s entry is matched to it in Money in.
					</p>{/if}
			</div>
		</div>
		<Problems problems={form.problems.length ? form.problems : faults} />
		<p>
			<button class="btn btn-main" disabled={form.busy || !ticked.ready || faults.length > 0}
				>Post {sum}</button
			>
		</p>
	</form>
</Dialog>
