<script lang="ts">
	import { page } from '$app/state';
	import type { Snippet } from 'svelte';
	import { daysBetween } from '$lib/core/day/arithmetic';
	import type { Day } from '$lib/core/day/day';
	import type { PileFilter } from '$lib/server/services/answers/order-pile';
	import TickBox from '$lib/ui/TickBox.svelte';
	import { BAND_NAMES } from './band-names';
	import Coin from '$lib/ui/Coin.svelte';
	import More from '$lib/ui/More.svelte';
	import Pips from '$lib/ui/Pips.svelte';
	import type { CreditRow, PileGroupRows, PileRow } from '$lib/server/receipts/queries/pile';
	import { filterText, FIRST_ROWS, MOST_ROWS } from '$lib/trade/pile-rows';
	import { amount, count, money, list } from '$lib/words';

	/** The receipts that wait, grouped by how sure the answer is. */
	let {
		groups,
		more,
		selected,
		credits,
		account,
		readThrough,
		filter,
		marked,
		mark,
		reported,
		today
	}: {
		groups: readonly PileGroupRows[];
		/** Asks for so many rows of a group. */
		more: (group: PileGroupRows['name'], rows: number) => void;
		selected: number | null;
		credits: readonly CreditRow[];
		/** The account whose credits are on the desk, or null. */
		account: number | null;
		readThrough: () => void;
		filter: PileFilter;
		/** Receipts that are marked, to be dealt with together. */
		marked: ReadonlySet<number>;
		mark: (id: number) => void;
		/** What the bank told and no statement lists yet. */
		reported: { readonly waiting: number; readonly leftOut: number };
		today: Day;
	} = $props();
	/** Going from one to the next keeps what is shown of the pile. */
	const rest = $derived(filterText(filter));
	function hint(row: PileRow): string {
		if (row.unidentified)
			return `${count(daysBetween(row.booked, today), 'day')}${row.heldFor ? `, ${row.heldFor}` : ''}${row.held ? `: ${row.held}` : ''}`;
		if (row.held) return row.heldFor ? `${row.heldFor}: ${row.held}` : row.held;
		if (row.aside) return `to ${row.aside}, as usual`;
		if (row.cameBack) return 'a returned payment';
		if (row.payout && row.numbers.length === 0) return 'a payout, to be split';
		if (row.amount < 0) return 'went out';
		if (row.numbers.length === 0) return row.text ? `“${row.text}”` : 'no words';
		if (row.otherAnswers > 0 && row.band === 'choose') return `${row.otherAnswers + 1} answers fit`;
		const numbers = row.numbers.length > 2 ? `${row.numbers.length} items` : list(row.numbers);
		if (row.gap < 0) return `${numbers}, ${amount(-row.gap, row.currency)} short`;
		if (row.gap > 0) return `${numbers}, ${amount(row.gap, row.currency)} over`;
		return numbers;
	}
	const share = (row: PileRow) =>
		row.numbers.length === 0
			? 0
			: row.gap < 0
				? row.amount / (row.amount - row.gap)
				: row.gap > 0
					? (row.amount - row.gap) / row.amount
					: 1;
	const ready = (row: PileRow) =>
		row.numbers.length === 0
			? 'nothing allocated'
			: row.gap
				? 'partly allocated by the answer'
				: 'allocated whole by the answer';
</script>

{#snippet entry(row: PileRow)}
	<a
		href="/money-in?receipt={row.id}{rest}"
		data-sveltekit-noscroll
		data-sveltekit-keepfocus
		data-receipt={row.id}
		aria-current={row.id === selected ? 'true' : undefined}
		onclick={(event) => {
			// As in other lists: with Ctrl, or while some are marked by their boxes, a click marks.
			if (!event.ctrlKey && !event.metaKey) return;
			event.preventDefault();
			mark(row.id);
		}}
		class={[
			'row grid grid-cols-[18px_1fr_auto] gap-x-1.5 border-l-[3px] py-1.5 pr-4 pl-4 hover:bg-raised hover:no-underline',
			row.id === selected ? 'border-copper bg-raised' : 'border-transparent'
		]}
	>
		<span class="pt-0.5"
			>{#if marked.has(row.id)}<TickBox ticked /><span class="sr-only">marked,</span>{:else}<Coin
					share={share(row)}
					label={ready(row)}
				/>{/if}</span
		>
		<span class="truncate">{row.who}</span>
		<span class="text-right"
			>{row.currency === page.data.base
				? amount(row.amount, row.currency)
				: money(row.amount, row.currency)}</span
		>
		<span class="col-span-2 col-start-2 truncate text-xs text-soft">{hint(row)}</span>
	</a>
{/snippet}

<!-- Each stays in sight until the next one comes. -->
{#snippet heading(says: string, filled: 0 | 1 | 2 | 3 | null, beside: Snippet)}
	<h3
		class="sticky top-0 z-10 flex items-center gap-2 bg-paper px-5 pt-3 pb-1 font-sans text-sm font-semibold text-soft"
	>
		{#if filled !== null}<Pips {filled} />{/if}
		{says} <span class="ml-auto">{@render beside()}</span>
	</h3>
{/snippet}

<nav aria-label="Receipts to allocate" class="pb-4">
	{#each groups as { name, count: all, rows } (name)}
		{@const { says, filled } = BAND_NAMES[name]}
		{#if all}
			{#snippet beside()}
				{#if name === 'certain'}
					<button
						class="min-h-6 cursor-pointer font-semibold text-copper hover:underline"
						onclick={readThrough}>{all} · read and post</button
					>
				{:else if name === 'unidentified'}<a class="text-copper" href="/money-in/unidentified">{all} · list</a
					>
				{:else}{all}{/if}
			{/snippet}
			{@render heading(says, filled, beside)}
			{#each rows as row (row.id)}{@render entry(row)}{/each}
			{#if rows.length < all}
				<p class="px-5 py-2 text-sm">
					{#if rows.length < MOST_ROWS}
						{#key rows.length}<More
								more={() => more(name, rows.length + FIRST_ROWS)}
								words="{count(all - rows.length, 'receipt')} more"
							/>{/key}
					{:else}<span class="text-soft">{count(all - rows.length, 'receipt')} more, when these are done</span
						>{/if}
				</p>
			{/if}
		{/if}
	{/each}
	{#if reported.waiting}
		{#snippet toList()}<a class={reported.leftOut ? 'text-oxblood' : 'text-copper'} href="/money-in/reported"
				>{reported.waiting} · list</a
			>{/snippet}
		{@render heading('Reported, no statement yet', null, toList)}
	{/if}
	{#if credits.length}
		{#snippet number()}{credits.length}{/snippet}
		{@render heading('Credit that could be allocated', null, number)}
		{#each credits as row (`${row.customerId} ${row.currency}`)}
			<a
				href="/money-in?credits={row.customerId}"
				data-sveltekit-noscroll
				aria-current={row.customerId === account ? 'true' : undefined}
				class={[
					'credit grid grid-cols-[18px_1fr_auto] gap-x-1.5 border-l-[3px] py-1 pr-4 pl-4 hover:bg-raised hover:no-underline',
					row.customerId === account ? 'border-copper bg-raised' : 'border-transparent'
				]}
			>
				<span class="pt-0.5"><Coin share={0.5} label="credit not allocated to anything" /></span>
				<span class="truncate">{row.name}</span>
				<span class="text-right"
					>{row.currency === page.data.base
						? amount(row.amount, row.currency)
						: money(row.amount, row.currency)}</span
				>
				{#if row.deposit}<span class="col-span-2 col-start-2 truncate text-xs text-copper"
						>a deposit for {row.deposit}</span
					>{/if}
			</a>
		{/each}
	{/if}
</nav>

<style>
	/* A long pile costs only what is seen of it. */
	.row {
		content-visibility: auto;
		contain-intrinsic-size: auto 50px;
	}
	.credit {
		content-visibility: auto;
		contain-intrinsic-size: auto 30px;
	}
</style>
