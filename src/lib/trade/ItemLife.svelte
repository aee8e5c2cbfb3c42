<script lang="ts">
	import type { lookAtItem } from '$lib/server/documents/queries/item-life';
	import type { DifferenceKind } from '$lib/core/model/records';
	import DocumentPaper from './DocumentPaper.svelte';
	import Coin from '$lib/ui/Coin.svelte';
	import { DELIVERY_WORDS, DIFFERENCE_NAMES, amount, money, moment, shortDay } from '$lib/words';
	/** An item with its life: issued, paid, what was taken back, and by whom. */
	let {
		life,
		today,
		closeHref,
		mayAct
	}: {
		life: NonNullable<Awaited<ReturnType<typeof lookAtItem>>>;
		today: string;
		closeHref: string;
		mayAct: boolean;
	} = $props();
	const currency = $derived(life.document.currency);
	const words = (event: (typeof life.events)[number]): string => {
		switch (event.what) {
			case 'issued':
				return 'Issued';
			case 'paid':
				return `Paid by ${event.with}`;
			case 'credited':
				return `Credited by ${event.with}`;
			case 'used':
				return `Used for ${event.with}`;
			case 'difference':
				return DIFFERENCE_NAMES[event.with as DifferenceKind] ?? event.with;
			case 'chased':
				return event.letterId === undefined
					? `${event.with}, by telephone`
					: `${event.with}${event.state && event.state !== 'sent' && event.state !== 'paper' ? ` (${DELIVERY_WORDS[event.state]})` : ''}`;
			case 'taken-back':
				return 'Undone';
			default:
				return event.what satisfies never;
		}
	};
	const write = (kind: 'copies' | 'reminder') =>
		`/letters/write?kind=${kind}&customer=${life.state.customerId}&currency=${currency}&items=${life.item.id}`;
	const part = $derived(life.item.parts > 1 ? ` (${life.item.part} of ${life.item.parts})` : '');
</script>

<div class="flex items-start justify-between gap-3">
	<h2 class="text-xl">{life.document.number}{part}</h2>
	<a class="btn" href={closeHref} data-sveltekit-noscroll>Close</a>
</div>
<p class="mt-1"><a href="/customers/{life.code}" class="underline">{life.customer}</a></p>
<p class="mt-2 flex items-center gap-2">
	<Coin share={(life.item.total - life.state.open) / life.item.total} label="how much of it is paid" />
	{life.state.open === 0
		? 'Settled.'
		: life.state.open < life.item.total
			? `Part paid, ${amount(life.state.open, currency)} of ${amount(life.item.total, currency)} open.`
			: `${money(life.state.open, currency)} open.`}
	Due {shortDay(life.item.due, today)}.
</p>
<h3 class="mt-5 font-sans text-sm font-semibold text-soft">What it is for</h3>
<table>
	<tbody>
		{#each life.lines as line (line.id)}<tr
				><td>{line.text}</td><td class="num">{amount(line.net, currency)}</td></tr
			>{/each}
		<tr
			><td class="text-soft">Tax</td><td class="num"
				>{amount(
					life.lines.reduce((sum, line) => sum + line.tax, 0),
					currency
				)}</td
			></tr
		>
	</tbody>
</table>
{#if life.document.kind !== 'claim'}<p class="mt-1 flex gap-4">
		<a class="underline" href="/open-items/paper/{life.document.id}" target="_blank">Its PDF</a>
		<a class="underline" href={write('copies')}>Send a copy</a>
		{#if life.document.kind !== 'credit_note' && life.state.open > 0}<a
				class="underline"
				href={write('reminder')}>Write a reminder</a
			>{/if}
	</p>{/if}
{#if life.document.kind !== 'claim'}<DocumentPaper
		documentId={life.document.id}
		paper={life.paper}
		{mayAct}
	/>{/if}
{#if life.document.purchaseOrder}<p class="says">Their order {life.document.purchaseOrder}</p>{/if}
{#if life.document.paymentReference}<p class="says">
		Payment reference {life.document.paymentReference}
	</p>{/if}
{#if life.events.length > 1}<p class="mt-1">
		<a class="underline" href="/customers/{life.code}/threads?item={life.item.id}">What paid it</a>
	</p>{/if}
<h3 class="mt-5 font-sans text-sm font-semibold text-soft">Its life</h3>
<ol class="mt-1 border-l border-rule pl-4">
	{#each life.events as event, i (i)}
		<li class="relative pb-3">
			<span
				class="absolute top-1.5 -left-[21px] h-2 w-2 rounded-full {event.what === 'issued'
					? 'bg-soft'
					: event.what === 'taken-back'
						? 'bg-oxblood'
						: 'bg-patina'}"
			></span>
			<span class="flex justify-between gap-3"
				><span>{words(event)}</span><span
					>{amount(event.what === 'issued' ? event.amount : -event.amount, currency)}</span
				></span
			>
			<span class="block text-xs text-soft"
				>{shortDay(event.date, today)}, by {event.by} on {moment(event.at)} ·
				<a class="underline" href="/books/journal?act={event.actId}">journal</a></span
			>
		</li>
	{/each}
</ol>
