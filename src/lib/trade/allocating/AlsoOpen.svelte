<script lang="ts">
	import { daysBetween } from '$lib/core/day/arithmetic';
	import Coin from '$lib/ui/Coin.svelte';
	import More from '$lib/ui/More.svelte';
	import type { OpenItem } from '$lib/core/model/records';
	import { amount, count, money, shortDay, whyNotSentence } from '$lib/words';
	import { whyNot } from '$lib/core/3-matching';
	import { itemText, settledShare, standing } from './item-words';
	import type { Allocating } from './allocating.svelte';
	import SetsHere from './SetsHere.svelte';

	/** What else is open: earlier money on account, and the items that are not taken. */
	let {
		allocating,
		activeId,
		filter = $bindable(),
		sets = $bindable(),
		mayAct
	}: {
		allocating: Allocating;
		activeId: number | undefined;
		filter: HTMLInputElement | undefined;
		/** The search for sets, to be started by its key. */
		sets?: SetsHere | undefined;
		mayAct: boolean;
	} = $props();
	const desk = $derived(allocating.desk);
	let wanted = $derived.by(() => {
		void desk;
		return '';
	});
	const used = $derived(new Set(allocating.credits.map((credit) => credit.receiptId)));
	const credits = $derived(desk.credits.filter((credit) => !used.has(credit.receiptId)));
	/** What an item can be found by; made once for all, when somebody first filters. */
	const findable = $derived(
		wanted.trim()
			? new Map(
					desk.items.map((item) => {
						const open = amount(item.open, item.currency);
						const words = `${item.number} ${itemText(item, desk.owners)} ${open} ${open.replace(/,/g, '')}`;
						return [item.id, words.toLowerCase()];
					})
				)
			: null
	);
	const rest = $derived.by(() => {
		const text = wanted.trim().toLowerCase();
		return desk.items.filter(
			(item) => !allocating.isChosen(item.id) && (!findable || findable.get(item.id)!.includes(text))
		);
	});
	/** Of very many only so many rows are drawn; more when their end comes into sight. */
	const STEP = 60;
	let drawn = $derived.by(() => {
		void desk;
		return STEP;
	});
	const activeAt = $derived(rest.findIndex((item) => item.id === activeId));
	const shown = $derived(rest.slice(0, Math.max(drawn, activeAt + STEP / 2)));
	/** The item of which somebody asks why it was not proposed. */
	let asked = $derived.by<number | null>(() => {
		void desk;
		return null;
	});
	/** Says why an item was not taken; asked again, no more. */
	export function askWhy(id = activeId) {
		const there = desk.receipt && desk.answer && rest.some((item) => item.id === id);
		asked = there && asked !== id ? id! : null;
	}
	const late = (item: OpenItem) =>
		item.kind === 'credit_note' ? 0 : daysBetween(item.due, allocating.today);
</script>

<SetsHere bind:this={sets} {allocating} among={rest} {mayAct} />
<table class="mt-3">
	<thead>
		<tr>
			<th class="w-6"></th>
			<th
				><span class="mr-3">{allocating.rows.length ? 'Also open' : 'Open'}</span><input
					bind:this={filter}
					bind:value={wanted}
					type="text"
					data-keep-enter
					class="w-52 py-0.5 text-sm font-normal"
					aria-label="Filter the open items"
					placeholder="filter: number, name, 45.40"
				/> <span class="key">/</span></th
			>
			<th>Due</th><th class="num">Open</th><th class="w-32"></th>
		</tr>
	</thead>
	<tbody>
		{#each credits as credit (credit.receiptId)}
			<tr>
				<td><Coin share={0.5} label="earlier money on account" /></td>
				<td
					>Earlier payment <span class="text-soft"
						>of {shortDay(credit.booked, allocating.today)}, on account{credit.depositFor
							? `: deposit for ${credit.depositFor}`
							: ''}</span
					></td
				>
				<td>–</td>
				<td class="num">{amount(-credit.onAccount, allocating.currency)}</td>
				<td class="num"
					><button
						class="cursor-pointer text-sm text-soft hover:text-ink"
						onclick={() => allocating.useCredit(credit.receiptId)}
						disabled={!mayAct}
						aria-label="Use the earlier payment of {shortDay(credit.booked, allocating.today)}">use</button
					></td
				>
			</tr>
		{/each}
		{#each shown as item (item.id)}
			<tr data-active={item.id === activeId} class={['item', item.id === activeId && 'bg-raised']}>
				<td><Coin share={settledShare(item)} label={standing(item)} /></td>
				<td
					>{item.number}
					<span class="text-soft"
						>{itemText(item, desk.owners)}{item.open < item.total ? ` · ${standing(item)}` : ''}</span
					></td
				>
				<td class="whitespace-nowrap"
					>{item.kind === 'credit_note' ? '–' : shortDay(item.due, allocating.today)}{#if late(item) > 0}<span
							class="ml-1 text-oxblood">{late(item)} d</span
						>{/if}</td
				>
				<td class="num"
					>{item.currency === allocating.currency
						? amount(item.kind === 'credit_note' ? -item.open : item.open, item.currency)
						: money(item.open, item.currency)}</td
				>
				<td class="num whitespace-nowrap"
					>{#if desk.receipt && desk.answer}<button
							class="why mr-2 cursor-pointer py-0.5 text-sm text-soft hover:text-ink"
							aria-expanded={asked === item.id}
							aria-label="Why not {item.number}?"
							onclick={() => askWhy(item.id)}
							>{#if item.id === activeId}<span class="key">I</span>{/if} why not?</button
						>{/if}
					<button
						class="cursor-pointer text-sm text-soft hover:text-ink"
						onclick={() => allocating.toggle(item.id)}
						disabled={!mayAct}
						aria-label="Take {item.number}"
						>{#if item.id === activeId}<span class="key">Space</span>{/if} take</button
					></td
				>
			</tr>
			{#if asked === item.id && desk.receipt}
				<tr
					><td></td><td colspan="4" class="pb-2 text-sm text-soft" aria-live="polite"
						>{whyNot(desk.receipt, item, desk.answer, desk.items).map(whyNotSentence).join(' ')}</td
					></tr
				>
			{/if}
		{:else}
			<tr
				><td></td><td colspan="4" class="text-soft"
					>{wanted
						? 'Nothing open fits that.'
						: allocating.rows.length
							? 'Nothing else is open.'
							: 'Nothing is open on this account.'}</td
				></tr
			>
		{/each}
		{#if rest.length > shown.length}
			{#key drawn}<tr
					><td></td><td colspan="4"
						><More
							more={() => (drawn += STEP)}
							words="{count(rest.length - shown.length, 'item')} more; filter by number, name or amount."
						/></td
					></tr
				>{/key}
		{/if}
	</tbody>
</table>

<style>
	.why {
		opacity: 0;
	}
	.item:hover .why,
	.item[data-active='true'] .why,
	.why:focus-visible,
	.why[aria-expanded='true'] {
		opacity: 1;
	}
	.item {
		content-visibility: auto;
		contain-intrinsic-size: auto 33px;
	}
</style>
