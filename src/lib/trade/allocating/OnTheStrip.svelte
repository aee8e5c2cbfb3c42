<script lang="ts">
	import { daysBetween } from '$lib/core/day/arithmetic';
	import Coin from '$lib/ui/Coin.svelte';
	import type { OpenItem } from '$lib/core/model/records';
	import { amount, shortDay, DIFFERENCE_NAMES } from '$lib/words';
	import type { Allocating } from './allocating.svelte';
	import { itemText, settledShare } from './item-words';

	/** What lies on the strip: each item with its amount, editable in place, and what it leaves. */
	let {
		allocating,
		activeId,
		mayAct
	}: { allocating: Allocating; activeId: number | undefined; mayAct: boolean } = $props();
	const late = (item: OpenItem) =>
		item.kind === 'credit_note' ? 0 : daysBetween(item.due, allocating.today);
</script>

<table>
	<thead
		><tr
			><th class="w-6"></th><th>On this receipt</th><th>Due</th><th class="num">Open</th><th class="num"
				>Takes</th
			><th class="num">Leaves</th></tr
		></thead
	>
	<tbody>
		{#each allocating.credits as credit (credit.receiptId)}
			<tr>
				<td><Coin share={0.5} label="earlier money, used now" /></td>
				<td
					><button
						class="cursor-pointer text-left"
						title="Leave it on account"
						onclick={() => allocating.useCredit(credit.receiptId)}
						><strong class="font-semibold">Earlier payment</strong>
						<span class="text-soft"
							>of {shortDay(credit.booked, allocating.today)}{credit.depositFor
								? `, deposit for ${credit.depositFor}`
								: ''}</span
						></button
					></td
				>
				<td>–</td>
				<td class="num">{amount(-credit.onAccount, allocating.currency)}</td>
				<td class="num"
					><input
						type="text"
						inputmode="decimal"
						class="amount-field"
						aria-label="Amount of the earlier payment of {shortDay(credit.booked, allocating.today)}"
						aria-invalid={credit.use === null}
						value={credit.text}
						oninput={(event) => allocating.typeCredit(credit.receiptId, event.currentTarget.value)}
						disabled={!mayAct}
					/></td
				>
				<td class="num text-copper"
					>{credit.use !== null && credit.use < credit.onAccount
						? amount(credit.onAccount - credit.use, allocating.currency)
						: '–'}</td
				>
			</tr>
		{/each}
		{#each allocating.rows as row (row.item.id)}
			{@const item = row.item}
			<tr data-active={item.id === activeId} class={[item.id === activeId && 'bg-raised']}>
				<td
					><Coin
						share={settledShare(item, (row.settles ?? row.cash ?? 0) + row.difference)}
						label={row.remains === 0 ? 'settled by this' : 'part paid by this'}
					/></td
				>
				<td
					><button
						class="cursor-pointer text-left"
						title="Leave it"
						onclick={() => allocating.toggle(item.id)}
						><strong class="font-semibold">{item.number}</strong>
						<span class="text-soft">{itemText(item, allocating.desk.owners)}</span></button
					></td
				>
				<td class="whitespace-nowrap"
					>{item.kind === 'credit_note' ? '–' : shortDay(item.due, allocating.today)}{#if late(item) > 0}<span
							class="ml-1 text-oxblood">{late(item)} d</span
						>{/if}</td
				>
				<td class="num">{amount(item.kind === 'credit_note' ? -item.open : item.open, item.currency)}</td>
				<td class="num whitespace-nowrap">
					<input
						type="text"
						inputmode="decimal"
						class="amount-field"
						aria-label="Amount for {item.number}"
						aria-invalid={row.cash === null}
						value={row.text}
						oninput={(event) => allocating.type(item.id, event.currentTarget.value)}
						disabled={!mayAct}
					/>
					{#if row.other}
						<span class="block text-sm text-soft"
							>settles <input
								type="text"
								inputmode="decimal"
								class="amount-field"
								aria-label="{item.currency} that it settles of {item.number}"
								aria-invalid={row.settles === null}
								value={row.settlesText}
								oninput={(event) => allocating.typeSettles(item.id, event.currentTarget.value)}
								disabled={!mayAct}
							/>
							{item.currency}</span
						>
					{/if}
				</td>
				<td class="num text-copper"
					>{#each row.gaps as gap (gap.kind)}<span class="block"
							>{amount(gap.amount ?? 0, item.currency)}
							{DIFFERENCE_NAMES[gap.kind].toLowerCase()}</span
						>{/each}{row.remains && item.kind !== 'credit_note'
						? amount(row.remains, item.currency)
						: row.gaps.length
							? ''
							: '–'}</td
				>
			</tr>
		{/each}
	</tbody>
</table>
