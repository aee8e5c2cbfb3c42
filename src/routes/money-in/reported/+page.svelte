<script lang="ts">
	import { SvelteSet } from 'svelte/reactivity';
	import { toast } from 'svelte-sonner';
	import type { bookReported } from '$lib/server/receipts/commands/book-reported';
	import type { dismissReported } from '$lib/server/receipts/commands/dismiss-reported';
	import { ActForm } from '$lib/trade/act-form.svelte';
	import FieldError from '$lib/ui/FieldError.svelte';
	import Problems from '$lib/ui/Problems.svelte';
	import { rowCursor } from '$lib/ui/row-cursor';
	import { count, money, shortDay, sumsByCurrency } from '$lib/words';

	let { data } = $props();
	const ticked = new SvelteSet<number>();
	const chosen = $derived(data.rows.filter((row) => ticked.has(row.id)));
	const form = new ActForm<typeof bookReported>('?/book', {
		otherwise: 'They could not be booked. Nothing was changed; try again.',
		done: ({ output }) => {
			toast(`${count(output.count, 'entry', 'entries')} booked. They are on Money in, to be allocated.`);
			ticked.clear();
		}
	});
	let reason = $state('');
	const dismissing = new ActForm<typeof dismissReported>('?/dismiss', {
		done: ({ output }) => {
			toast(`${count(output.count, 'entry', 'entries')} taken off the list.`);
			ticked.clear();
			reason = '';
		}
	});
	const reported = $derived(chosen.map(({ id }) => id));
	function dismiss(event: SubmitEvent) {
		event.preventDefault();
		void dismissing.send({ reported, reason });
	}
	const from = (row: (typeof data.rows)[number]) =>
		row.payments > 1 ? count(row.payments, 'payment') : (row.payer ?? 'no name');
</script>

<svelte:head><title>Reported entries · Odd Penny</title></svelte:head>

<div class="px-8 pt-5 pb-10">
	<p class="text-sm"><a href="/money-in">Money in</a></p>
	<h1>
		{data.rows.length
			? `${count(data.rows.length, 'entry', 'entries')} reported by the bank, on no statement yet.`
			: 'Everything that the bank reported is on a statement.'}
	</h1>
	<p class="mt-1 mb-3 says">
		Intraday reports and notifications tell of entries before the statement does. They are not in the books
		until it comes; then each is the same entry, once, divided into the payments that the bank told of.
	</p>
	{#if data.rows.length}
		<table>
			<thead
				><tr
					><th class="w-8"
						><input
							type="checkbox"
							aria-label="Tick all"
							checked={chosen.length === data.rows.length}
							disabled={!data.mayAct}
							onchange={({ currentTarget }) => {
								for (const row of data.rows)
									if (currentTarget.checked) ticked.add(row.id);
									else ticked.delete(row.id);
							}}
						/></th
					><th>Booked</th><th>Account</th><th>From</th><th>Words</th><th>Reported in</th><th class="num"
						>Amount</th
					></tr
				></thead
			>
			<tbody {@attach rowCursor}>
				{#each data.rows as row (row.id)}
					<tr>
						<td
							><input
								type="checkbox"
								aria-label="Tick {money(row.amount, row.currency)} of {from(row)}"
								checked={ticked.has(row.id)}
								disabled={!data.mayAct}
								onchange={() => ticked.delete(row.id) || ticked.add(row.id)}
							/></td
						>
						<td class="whitespace-nowrap"
							>{shortDay(row.booked, data.today ?? undefined)}{#if row.leftOut}<span
									class="block text-sm whitespace-normal text-oxblood"
									>statements to {shortDay(row.coveredTo!, data.today ?? undefined)} leave it out</span
								>{/if}</td
						>
						<td>{row.account}</td>
						<td>{from(row)}</td>
						<td class="max-w-prose font-mono text-[13px] text-soft">{row.text}</td>
						<td>{row.format}<span class="block text-sm text-soft">{row.file}</span></td>
						<td class="num">{money(row.amount, row.currency)}</td>
					</tr>
				{/each}
			</tbody>
		</table>
		{#if data.more}<p class="mt-2 text-sm text-soft">The newest {data.rows.length} are shown.</p>{/if}
		{#if data.mayAct}
			<div class="mt-3 flex flex-wrap items-center gap-3">
				<button
					type="button"
					class="btn"
					disabled={form.busy || chosen.length === 0}
					onclick={() => void form.send({ reported })}
					>{chosen.length
						? `Book ${count(chosen.length, 'entry', 'entries')} without a statement`
						: 'Tick entries to book them without a statement'}</button
				>
				<p class="max-w-prose text-sm text-soft">
					{chosen.length ? `${sumsByCurrency(chosen)}. ` : ''}For a bank that sends no statements. If one
					comes all the same, what it lists is known for the same and not booked twice.
				</p>
			</div>
			<form class="mt-3 flex flex-wrap items-end gap-3" onsubmit={dismiss}>
				<label class="grid gap-1 text-sm"
					>The bank never booked them, because<input
						type="text"
						class="w-80"
						placeholder="recalled by the payer’s bank"
						bind:value={reason}
						{...dismissing.at('reason')}
					/><FieldError form={dismissing} name="reason" /></label
				>
				<button class="btn" disabled={dismissing.busy || chosen.length === 0 || !reason.trim()}
					>Take off the list</button
				>
			</form>
			<div class="mt-2"><Problems problems={[...form.problems, ...dismissing.problems]} /></div>
		{/if}
	{:else}
		<p class="says">
			Bring in a camt.052, camt.054 or MT942 file of the bank’s on <a href="/money-in">Money in</a>, as any
			bank file.
		</p>
	{/if}
	<p class="mt-4 text-sm">
		{#if data.older}<a class="underline" href="/money-in/reported">Of the last {data.days} days alone</a>
		{:else}<span class="text-soft">Of the last {data.days} days.</span>
			<a class="underline" href="/money-in/reported?older">Older ones too</a>{/if}
	</p>
</div>
