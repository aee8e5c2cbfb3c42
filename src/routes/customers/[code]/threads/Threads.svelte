<script lang="ts">
	import { area, curveBumpX } from 'd3-shape';
	import type { ThreadItem, ThreadLink, ThreadSource } from '$lib/server/customers/queries/threads';
	import { amount, money, shortDay } from '$lib/words';
	import { layThreads, type Ribbon } from './thread-layout';

	/** Money on the left, what is owed on the right, and a ribbon for each allocation, as thick as its amount. */
	let {
		sources,
		items,
		links,
		picked = $bindable(),
		today,
		currency,
		owner
	}: {
		sources: readonly ThreadSource[];
		items: readonly ThreadItem[];
		links: readonly ThreadLink[];
		picked: number | null;
		today: string;
		currency: string;
		/** The account's name. */
		owner: string;
	} = $props();
	const WIDTH = 760;
	const SIDE = 230;
	const BAR = 10;
	const laid = $derived(
		layThreads(
			sources.map(({ key, amount: sum }) => ({ key, amount: sum })),
			items.map(({ id, total }) => ({ key: String(id), amount: total })),
			links.map(({ id, source, itemId, amount: sum, off }) => ({
				...{ id, from: source, to: String(itemId), amount: sum, ghost: off !== null }
			})),
			Math.min(1_400, 60 + 24 * Math.max(sources.length, items.length))
		)
	);
	const sourceOf = $derived(new Map(sources.map((one) => [one.key, one])));
	const itemOf = $derived(new Map(items.map((one) => [String(one.id), one])));
	const linkOf = $derived(new Map(links.map((one) => [one.id, one])));
	const shape = area<readonly [number, number, number]>()
		.x((point) => point[0])
		.y0((point) => point[1])
		.y1((point) => point[2])
		.curve(curveBumpX);
	const path = (one: Ribbon) =>
		shape([
			[SIDE + BAR, one.left[0], Math.max(one.left[1], one.left[0] + 1.5)],
			[WIDTH - SIDE - BAR, one.right[0], Math.max(one.right[1], one.right[0] + 1.5)]
		]) ?? '';
	const sum = (value: number, of: string) => (of === currency ? amount(value, of) : money(value, of));
	/** The payer where that is not just the account itself, as long as there is room for it. */
	function nameOf(one: ThreadSource): string {
		if (one.label.toLowerCase() === owner.toLowerCase()) return '';
		return one.label.length > 18 ? `${one.label.slice(0, 17)}…` : one.label;
	}
	function standing(one: ThreadItem): string {
		const left =
			one.open === 0 ? 'settled' : one.open < one.total ? `${amount(one.open, one.currency)} open` : 'open';
		const gap = one.differences > 0 ? `, ${amount(one.differences, one.currency)} not in cash` : '';
		return `${left}${gap}${one.owner ? ` · ${one.owner}` : ''}`;
	}
	function said(link: ThreadLink): string {
		const from = sourceOf.get(link.source)!;
		const to = itemOf.get(String(link.itemId))!;
		return `${money(link.amount, to.currency)} of ${from.label}, ${shortDay(from.date, today)}, on ${to.label}${link.off ? ', undone since' : ''}`;
	}
	/** Goes to the next ribbon, or the one before; to the first where none is picked. */
	export function step(by: 1 | -1) {
		const at = laid.ribbons.findIndex((one) => one.id === picked);
		const to = laid.ribbons[at < 0 ? 0 : at + by];
		if (!to) return;
		picked = to.id;
		document.querySelector<SVGElement>(`[data-ribbon="${to.id}"]`)?.focus();
	}
	function onkeydown(event: KeyboardEvent, id: number) {
		if (event.key !== 'Enter' && event.key !== ' ') return;
		picked = id;
		event.preventDefault();
	}
	/** One of them is reached by Tab; arrows go on from there. */
	const tabbed = $derived(laid.ribbons.find((one) => one.id === picked) ?? laid.ribbons[0]);
</script>

<svg
	viewBox="0 0 {WIDTH} {laid.height + 4}"
	class="block w-full"
	role="group"
	aria-label="Threads between money and what is owed"
>
	{#each laid.ribbons as ribbon (ribbon.id)}
		{@const link = linkOf.get(ribbon.id)!}
		<path
			d={path(ribbon)}
			class={['ribbon', link.off && 'ghost', picked === ribbon.id && 'picked']}
			role="button"
			tabindex={tabbed?.id === ribbon.id ? 0 : -1}
			data-ribbon={ribbon.id}
			aria-label={said(link)}
			aria-pressed={picked === ribbon.id}
			onclick={() => (picked = ribbon.id)}
			onfocus={() => (picked ??= ribbon.id)}
			onkeydown={(event) => onkeydown(event, ribbon.id)}
		/>
	{/each}
	{#each laid.left as bar (bar.key)}
		{@const one = sourceOf.get(bar.key)!}
		<rect x={SIDE} y={bar.y} width={BAR} height={bar.height} class="money" />
		{#if one.left > 0}<rect
				x={SIDE}
				y={bar.y + bar.height * (1 - Math.min(1, one.left / one.amount))}
				width={BAR}
				height={bar.height * Math.min(1, one.left / one.amount)}
				class="open"
			/>{/if}
		<text x={SIDE - 8} y={bar.y + 14} text-anchor="end"
			><tspan class="soft">{shortDay(one.date, today)}</tspan>{#if nameOf(one)}<tspan dx="5"
					>{nameOf(one)}</tspan
				>{/if}<tspan dx="6" class="sum">{sum(one.amount, one.currency)}</tspan></text
		>
	{/each}
	{#each laid.right as bar (bar.key)}
		{@const one = itemOf.get(bar.key)!}
		<rect x={WIDTH - SIDE - BAR} y={bar.y} width={BAR} height={bar.height} class="owed" />
		{#if one.open > 0}<rect
				x={WIDTH - SIDE - BAR}
				y={bar.y + bar.height * (1 - one.open / one.total)}
				width={BAR}
				height={bar.height * (one.open / one.total)}
				class="open"
			/>{/if}
		<text x={WIDTH - SIDE + 8} y={bar.y + 14}
			><tspan class="sum">{one.label}</tspan><tspan dx="6">{sum(one.total, one.currency)}</tspan><tspan
				dx="5"
				class="soft">{standing(one)}</tspan
			></text
		>
	{/each}
</svg>

<style>
	.ribbon {
		fill: var(--patina);
		fill-opacity: 0.28;
		cursor: pointer;
	}
	.ribbon:hover,
	.ribbon.picked {
		fill-opacity: 0.62;
	}
	.ribbon:focus {
		outline: none;
	}
	.ribbon:focus-visible {
		stroke: var(--copper);
		stroke-width: 2;
	}
	.ghost {
		fill: none;
		stroke: var(--oxblood);
		stroke-dasharray: 4 3;
	}
	.ghost.picked {
		stroke-width: 2;
	}
	.money,
	.owed {
		fill: var(--patina);
	}
	.open {
		fill: var(--copper);
	}
	text {
		font-size: 12.5px;
		fill: var(--ink);
	}
	.soft {
		fill: var(--soft);
	}
	.sum {
		font-weight: 600;
	}
</style>
