<script lang="ts">
	import { goto } from '$app/navigation';
	import Coin from '$lib/ui/Coin.svelte';
	import { daysBetween } from '$lib/core/day/arithmetic';
	import type { OpenItem } from '$lib/core/model/records';
	import { amount, count, money, shortDay } from '$lib/words/format';
	import { DIFFERENCE_NAMES } from '$lib/words/difference-names';
	import { page } from '$app/state';
	import BankWords from './BankWords.svelte';
	import { CustomerSearch } from './find-customers.svelte';
	import Habit from './Habit.svelte';
	import { GAP_NAMES, type Placing } from './placing.svelte';
	import Strip from './Strip.svelte';

	let {
		placing,
		reasons,
		filter = $bindable(),
		active = $bindable(),
		mayAct
	}: {
		placing: Placing;
		reasons: readonly string[];
		filter: HTMLInputElement | undefined;
		active: number;
		mayAct: boolean;
	} = $props();
	const desk = $derived(placing.desk);
	const today = $derived(page.data.today as string);
	const search = new CustomerSearch();
	let wanted = $state('');
	let changing = $state(false);
	let other = $state(0);
	const chosen = $derived(new Map(placing.rows.map((row) => [row.item.id, row])));
	const rest = $derived(
		desk.items.filter((item) => {
			if (chosen.has(item.id)) return false;
			const text = wanted.trim().toLowerCase();
			if (!text) return true;
			return `${item.number} ${item.text} ${item.purchaseOrder ?? ''} ${amount(item.open, item.currency)} ${amount(item.open, item.currency).replace(/,/g, '')}`
				.toLowerCase()
				.includes(text);
		})
	);
	const activeId = $derived(desk.items[active]?.id);
	const late = (item: OpenItem) =>
		item.kind === 'credit_note' ? 0 : daysBetween(item.due, today as OpenItem['due']);
	const named = (item: OpenItem) =>
		item.parts > 1 ? `${item.text} (${item.part} of ${item.parts})` : item.text;
	const share = (item: OpenItem, cash = 0) => (item.total - item.open + Math.abs(cash)) / item.total;
	const standing = (item: OpenItem) =>
		item.open < item.total
			? `part paid, ${amount(item.open, item.currency)} of ${amount(item.total, item.currency)} open`
			: 'unpaid';

	function showOther(by: number) {
		const all = [
			{ lines: desk.answer.lines },
			...desk.answer.others.filter((one) => one.customerId === desk.customer?.id)
		];
		other = (other + by + all.length) % all.length;
		placing.adopt(all[other]!.lines);
	}
	const answers = $derived(
		1 + desk.answer.others.filter((one) => one.customerId === desk.customer?.id).length
	);
</script>

<div class="grid min-h-full grid-cols-[minmax(0,1fr)_184px] xl:grid-cols-[minmax(0,1fr)_256px]">
	<div class="px-4 pt-4 pb-6 xl:px-6">
		<div class="flex items-baseline gap-2">
			<h2 class="text-2xl">{desk.customer?.name ?? desk.receipt.payerName ?? 'Unnamed payer'}</h2>
			<p class="text-sm text-soft">
				{#if desk.customer}<a href="/customers/{desk.customer.code}">{desk.customer.code}</a> · owes {money(
						desk.customer.owes,
						placing.currency
					)}{:else}nobody in the books yet{/if}
				{#if mayAct && desk.receipt.amount > 0}<button
						class="ml-1 cursor-pointer text-copper hover:underline"
						onclick={() => (changing = !changing)}
						>{desk.customer ? 'another account' : 'choose whose it is'}</button
					>{/if}
			</p>
			<p class="ml-auto font-serif text-2xl font-semibold whitespace-nowrap">
				{money(placing.amount, placing.currency)}
			</p>
		</div>
		{#if changing || (!desk.customer && desk.receipt.amount > 0)}
			<div class="my-2">
				<input
					type="text"
					aria-label="Whose money is it? Name, code or document number"
					placeholder="Whose is it? Name, code or document number"
					class="w-full"
					data-keep-enter
					oninput={(event) => search.ask(event.currentTarget.value)}
				/>
				{#if search.found.length}
					<ul class="border border-t-0 border-rule bg-sheet">
						{#each search.found as one (one.id)}
							<li>
								<button
									class="w-full cursor-pointer px-2 py-1 text-left hover:bg-wash"
									onclick={() => goto(`/money-in?r=${desk.receipt.id}&c=${one.id}`, { noScroll: true })}
									>{one.name} <span class="text-soft">{one.code}</span></button
								>
							</li>
						{/each}
					</ul>
				{/if}
			</div>
		{/if}
		<p class="mt-1 mb-3 font-mono text-[13px] text-soft">
			{shortDay(desk.receipt.booked, today)} · {desk.bank.name} · {desk.receipt.payerName ?? 'no name'} ·
			<BankWords text={desk.receipt.text || 'no words'} recognised={desk.answer.recognised} />
			{#if desk.receipt.structuredReference}· ref. <mark
					class={['bg-transparent text-ink', desk.answer.lines.length && 'border-b-2 border-copper']}
					>{desk.receipt.structuredReference}</mark
				>{/if}
		</p>
		{#if desk.receipt.heldBecause}<p class="note mb-3">Held: {desk.receipt.heldBecause}</p>{/if}

		{#if desk.receipt.amount > 0}
			<Strip {placing} />
			{#if placing.short}
				<div class="note mb-4">
					<p>
						<strong class="text-copper"
							>Odd penny: {money(placing.short.remains + placing.short.difference, placing.currency)} short on {placing
								.short.item.number}.</strong
						> What is it?
					</p>
					<div class="mt-2 flex flex-wrap gap-2">
						{#each GAP_NAMES as kind, n (kind)}
							<button
								class={['btn', placing.short.gap === kind && 'border-copper text-copper']}
								aria-pressed={placing.short.gap === kind}
								onclick={() => placing.nameGap(kind)}
							>
								<span class="key">{n + 1}</span>{kind ? DIFFERENCE_NAMES[kind] : 'Still owed'}
							</button>
						{/each}
					</div>
				</div>
			{:else if placing.left > 0 && desk.customer}
				<p class="note mb-4">
					<strong class="text-copper">Odd penny: {money(placing.left, placing.currency)} left over.</strong>
					It stays on account with {desk.customer.name} unless you take another item.
				</p>
			{/if}
			{#if answers > 1}
				<p class="mb-2 text-sm">
					Answer {other + 1} of {count(answers, 'answer')}{desk.answer.otherAnswers >= answers
						? `, of ${desk.answer.otherAnswers + 1} that fit`
						: ''}.
					<button class="btn ml-2 py-0.5" onclick={() => showOther(-1)}>Before</button>
					<button class="btn py-0.5" onclick={() => showOther(1)}>Next</button>
				</p>
			{/if}

			{#if placing.rows.length}
				<table>
					<thead
						><tr
							><th class="w-6"></th><th>On this receipt</th><th>Due</th><th class="num">Open</th><th
								class="num">Takes</th
							><th class="num">Leaves</th></tr
						></thead
					>
					<tbody>
						{#each placing.rows as row (row.item.id)}
							{@const item = row.item}
							<tr data-active={item.id === activeId} class={[item.id === activeId && 'bg-sheet']}>
								<td
									><Coin
										share={share(item, (row.cash ?? 0) + row.difference)}
										label={row.remains === 0 ? 'settled by this' : 'part paid by this'}
									/></td
								>
								<td
									><button
										class="cursor-pointer text-left"
										title="Leave it"
										onclick={() => placing.toggle(item.id)}
										><strong class="font-semibold">{item.number}</strong>
										<span class="text-soft"
											>{named(item)}{item.purchaseOrder ? `, ${item.purchaseOrder}` : ''}</span
										></button
									></td
								>
								<td class="whitespace-nowrap"
									>{item.kind === 'credit_note' ? '–' : shortDay(item.due, today)}{#if late(item) > 0}<span
											class="ml-1 text-oxblood">{late(item)} d</span
										>{/if}</td
								>
								<td class="num"
									>{amount(item.kind === 'credit_note' ? -item.open : item.open, item.currency)}</td
								>
								<td class="num"
									><input
										type="text"
										inputmode="decimal"
										class="amount-field"
										aria-label="Amount for {item.number}"
										aria-invalid={row.cash === null}
										value={row.text}
										oninput={(event) => placing.type(item.id, event.currentTarget.value)}
										disabled={!mayAct}
									/></td
								>
								<td class="num text-copper"
									>{row.gap && row.difference
										? `${amount(row.difference, item.currency)} ${DIFFERENCE_NAMES[row.gap].toLowerCase()}`
										: row.remains && item.kind !== 'credit_note'
											? amount(row.remains, item.currency)
											: '–'}</td
								>
							</tr>
						{/each}
					</tbody>
				</table>
			{/if}
			{#if desk.customer}
				<table class="mt-3">
					<thead>
						<tr>
							<th class="w-6"></th>
							<th
								><span class="mr-3">{placing.rows.length ? 'Also open' : 'Open'}</span><input
									bind:this={filter}
									bind:value={wanted}
									type="text"
									data-keep-enter
									class="w-52 py-0.5 text-sm font-normal"
									aria-label="Filter the open items"
									placeholder="filter: number, name, 45.40"
								/> <span class="key">/</span></th
							>
							<th>Due</th><th class="num">Open</th><th class="w-20"></th>
						</tr>
					</thead>
					<tbody>
						{#each rest as item (item.id)}
							<tr data-active={item.id === activeId} class={['item', item.id === activeId && 'bg-sheet']}>
								<td><Coin share={share(item)} label={standing(item)} /></td>
								<td
									>{item.number}
									<span class="text-soft"
										>{named(item)}{item.purchaseOrder ? `, ${item.purchaseOrder}` : ''}{item.open < item.total
											? ` · ${standing(item)}`
											: ''}</span
									></td
								>
								<td class="whitespace-nowrap"
									>{item.kind === 'credit_note' ? '–' : shortDay(item.due, today)}{#if late(item) > 0}<span
											class="ml-1 text-oxblood">{late(item)} d</span
										>{/if}</td
								>
								<td class="num"
									>{amount(item.kind === 'credit_note' ? -item.open : item.open, item.currency)}</td
								>
								<td class="num"
									><button
										class="cursor-pointer text-sm text-soft hover:text-ink"
										onclick={() => placing.toggle(item.id)}
										disabled={!mayAct}
										aria-label="Take {item.number}"
										>{#if item.id === activeId}<span class="key">Space</span>{/if} take</button
									></td
								>
							</tr>
						{:else}
							<tr
								><td></td><td colspan="4" class="text-soft"
									>{wanted
										? 'Nothing open fits that.'
										: placing.rows.length
											? 'Nothing else is open.'
											: 'Nothing is open on this account.'}</td
								></tr
							>
						{/each}
					</tbody>
				</table>
			{/if}
		{:else}
			<p class="note">
				This money went out. It cannot settle invoices; book it on a ledger account with <span class="key"
					>N</span
				>.
			</p>
		{/if}
	</div>

	<aside class="border-l border-rule px-4 pt-4 text-sm">
		<h3 class="font-sans font-semibold text-soft">Why this answer</h3>
		<ul class="mt-1 mb-5 list-disc pl-4 marker:text-copper">
			{#each reasons as reason, i (i)}<li class="mb-1.5">{reason}</li>{/each}
		</ul>
		{#if desk.customer}
			<h3 class="font-sans font-semibold text-soft">How they pay</h3>
			<div class="mb-5"><Habit days={desk.habit} /></div>
			{#if desk.customer.notes}<h3 class="font-sans font-semibold text-soft">Notes</h3>
				<p>{desk.customer.notes}</p>{/if}
		{/if}
	</aside>
</div>

<style>
	.item {
		content-visibility: auto;
		contain-intrinsic-size: auto 33px;
	}
</style>
