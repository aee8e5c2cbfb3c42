<script lang="ts">
	import { rowCursor } from '$lib/ui/row-cursor';
	import type { writeOffSmallBalances } from '$lib/server/allocation/commands/write-off-small-balances';
	import { untrack } from 'svelte';
	import { SvelteSet } from 'svelte/reactivity';
	import { toast } from 'svelte-sonner';
	import { ActForm } from '$lib/trade/act-form.svelte';
	import FieldError from '$lib/ui/FieldError.svelte';
	import More from '$lib/ui/More.svelte';
	import Problems from '$lib/ui/Problems.svelte';
	import { overLimits } from '$lib/core/4-allocation/over-limits';
	import { amount, count, money, overLimitSentence, shortDay, sumsByCurrency } from '$lib/words';
	let { data } = $props();
	/** Of a long list only the first rows are drawn; more when their end comes into sight. All of them are meant. */
	const ROWS_DRAWN = 150;
	let drawn = $state(ROWS_DRAWN);
	const today = $derived(data.today ?? '');
	const { owner } = $derived(data);
	/** Small balances are all chosen at first, an account's documents none: what was turned round by hand is remembered. */
	const turned = new SvelteSet<number>();
	const isChosen = (id: number) => turned.has(id) === (owner !== null);
	const chosen = $derived(data.rows.filter((row) => isChosen(row.itemId)));
	const turn = (id: number) => (turned.has(id) ? turned.delete(id) : turned.add(id));
	const noun = $derived(owner ? 'document' : 'small balance');
	const accounts = $derived(new Set(chosen.map((row) => row.code)).size);
	const sums = $derived(sumsByCurrency(chosen.map((row) => ({ ...row, amount: row.open }))));
	let kind = $state(untrack(() => (data.owner ? ('bad_debt' as const) : ('small_difference' as const))));
	let note = $state('');
	const form = new ActForm<typeof writeOffSmallBalances>('?/writeOff', {
		otherwise: 'That did not work. Nothing was written off.',
		done: ({ output }) => {
			toast(
				output.waits.length > 0
					? 'That is above your limit: a supervisor was asked. Nothing is written off until then.'
					: `Wrote off ${count(output.count, noun)}.`
			);
			turned.clear();
		}
	});
	/** What the act itself will find, but for what was taken off single accounts before. */
	const beyond = $derived(
		overLimits(
			data.mine,
			chosen.map((row) => ({ kind, base: row.openBase, customerId: null })),
			{ customer: new Map(), day: data.before }
		)[0]
	);
	const over = $derived(beyond !== undefined);

	const writeOff = () =>
		form.send({ kind, note, items: chosen.map(({ itemId, version }) => ({ itemId, version })) });
</script>

<svelte:head><title>{owner ? `What ${owner.name} owes` : 'Small balances'} · Odd Penny</title></svelte:head>

<div class="px-8 pt-5 pb-24">
	<p class="text-sm">
		<a class="inline-block py-0.5" href="/odd-pennies">Odd pennies</a>{#if owner}, <a
				class="inline-block py-0.5"
				href="/customers/{owner.code}">{owner.name}</a
			>{/if}
	</p>
	<h1>
		{owner
			? data.rows.length
				? `What ${owner.name} owes, to be written off.`
				: `${owner.name} owes nothing.`
			: data.rows.length
				? `${count(data.rows.length, 'small balance')} up to ${money(data.upTo, data.base)}.`
				: `Nothing up to ${money(data.upTo, data.base)} is left over.`}
	</h1>
	<p class="mt-1 mb-3 says">
		{#if owner}For a customer who cannot or will not pay. Choose what is lost; it is booked as bad debts,
			dated today, and can be undone. A dividend that comes later is allocated as money on account.{:else}
			What is left open of {data.partPaid ? 'part-paid documents' : 'any document'}, too little to be asked
			for. Written off in one run: an act for each account, dated today; each can be undone.{/if}
	</p>
	<Problems problems={data.bad ? [`“${data.bad}” is not an amount.`, ...form.problems] : form.problems} />
	{#if !owner}<form method="GET" class="mb-3 flex items-end gap-3 text-sm" data-sveltekit-keepfocus>
			<label class="grid gap-1"
				>Up to, in {data.base}
				<input
					type="text"
					name="upTo"
					inputmode="decimal"
					class="amount-field w-28"
					value={amount(data.upTo, data.base)}
				/></label
			>
			<label class="flex items-center gap-2 pb-1.5"
				><input type="checkbox" name="all" value="yes" checked={!data.partPaid} /> whole small documents, too</label
			>
			<button class="btn">Show</button>
		</form>{/if}
	{#if data.rows.length}
		<table>
			<thead
				><tr
					><th class="w-8"></th>{#if !owner}<th>Customer</th>{/if}<th>Document</th><th>Due</th><th class="num"
						>Total</th
					><th class="num">Left open</th></tr
				></thead
			>
			<tbody {@attach rowCursor}>
				{#each data.rows.slice(0, drawn) as row (row.itemId)}
					<tr>
						<td
							><input
								type="checkbox"
								aria-label="Write off {row.number}"
								disabled={!data.mayAct}
								checked={isChosen(row.itemId)}
								onchange={() => turn(row.itemId)}
							/></td
						>
						{#if !owner}<td><a class="block py-0.5" href="/customers/{row.code}">{row.customer}</a></td>{/if}
						<td
							><a class="block py-0.5" href="/open-items?item={row.itemId}"
								>{row.number}{row.parts > 1 ? ` (${row.part} of ${row.parts})` : ''}</a
							></td
						>
						<td>{shortDay(row.due, today)}</td>
						<td class="num text-soft">{money(row.total, row.currency)}</td>
						<td class="num">{money(row.open, row.currency)}</td>
					</tr>
				{/each}
			</tbody>
		</table>
		{#if drawn < data.rows.length}
			<p class="py-2 text-sm">
				{#key drawn}<More
						more={() => (drawn += ROWS_DRAWN)}
						words="{count(data.rows.length - drawn, noun)} more"
					/>{/key}
			</p>
		{/if}
		{#if data.mayAct}
			<footer class="double-top fixed inset-x-0 bottom-0 flex h-[54px] items-center gap-3 bg-raised px-5">
				<button class="btn btn-main" disabled={form.busy || chosen.length === 0} onclick={writeOff}
					>{over ? 'Ask to write off' : 'Write off'}
					{chosen.length ? count(chosen.length, noun) : ''}</button
				>
				<label class="flex items-center gap-2 text-sm"
					>as <select bind:value={kind}
						><option value="small_difference">small differences</option><option value="bad_debt"
							>bad debts</option
						></select
					></label
				>
				<label class="flex items-center gap-2 text-sm"
					>because <input
						type="text"
						class="w-64"
						bind:value={note}
						{...form.at('note')}
						placeholder="for the record"
					/></label
				>
				<FieldError {form} name="note" />
				<p class={['ml-auto text-sm', over ? 'text-copper' : 'text-soft']} aria-live="polite">
					{over
						? overLimitSentence(beyond!, data.base)
						: chosen.length === 0
							? 'Choose what is lost.'
							: `Posting closes ${sums} on ${count(accounts, 'account')}.`}
				</p>
			</footer>
		{/if}
	{/if}
</div>
