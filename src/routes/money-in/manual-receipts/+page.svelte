<script lang="ts">
	import { rowCursor } from '$lib/ui/row-cursor';
	import { screenKeys } from '$lib/ui/screen-keys.svelte';
	import { enhance } from '$app/forms';
	import { SvelteSet } from 'svelte/reactivity';
	import { toast } from 'svelte-sonner';
	import type { Day } from '$lib/core/day/day';
	import HandRow from './HandRow.svelte';
	import Lately from './Lately.svelte';
	import type { addMethod as addMethodAct } from '$lib/server/firm/commands/add-method';
	import type { makeSlip } from '$lib/server/receipts/commands/make-paying-in-slip';
	import type { dropManualReceipts, keepManualReceipts } from '$lib/server/receipts/commands/manual-receipts';
	import type { postManualReceipts } from '$lib/server/receipts/commands/post-manual-receipts';
	import { ActForm } from '$lib/trade/act-form.svelte';
	import Problems from '$lib/ui/Problems.svelte';
	import type { PaidInto } from '$lib/server/receipts/store/paid-into';
	import type { ManualReceiptRow } from '$lib/server/receipts/store/manual-receipt-row';
	import { amount, count, money, shortDay, sumsByCurrency } from '$lib/words';
	let { data } = $props();
	let onSlip = new SvelteSet<number>();
	/** Rows that are not posted now. */
	let later = new SvelteSet<number>();
	let editing = $state.raw<(typeof data.due)[number] | null>(null);
	const today = $derived((data.today ?? '') as Day);
	const late = $derived(data.way.filter((one) => one.date < data.lateSince));
	const now = $derived(data.due.filter((row) => !later.has(row.id)));
	const picked = $derived(data.loose.filter((row) => onSlip.has(row.id)));
	const pays = (text: string) =>
		text === 'oldest' ? 'the oldest' : text === 'account' ? 'on account' : text;

	const into = (place: PaidInto) =>
		place === 'petty cash' ? place : (data.banks.find((bank) => bank.id === place)?.name ?? '');
	/** The slip goes where its payments are said to go. */
	const slipInto = $derived(picked.find((row) => row.paidIntoId)?.paidIntoId ?? data.banks[0]?.id);

	const keepForm = new ActForm<typeof keepManualReceipts>('?/keep');
	const pasteForm = new ActForm<typeof keepManualReceipts, { text: string }>('?/paste', {
		done: () => void toast('The rows are in.')
	});
	const methodForm = new ActForm<typeof addMethodAct>('?/method');
	const dropForm = new ActForm<typeof dropManualReceipts>('?/drop', { done: () => void toast('Deleted.') });
	const postForm = new ActForm<typeof postManualReceipts>('?/post', {
		done: ({ output }) => void toast(`Posted ${count(output.count, 'payment')}; the money is on its way.`)
	});
	const slipForm = new ActForm<typeof makeSlip>('?/slip', { leaving: () => onSlip.clear() });
	const forms = [keepForm, pasteForm, methodForm, dropForm, postForm, slipForm];
	const busy = $derived(forms.some((form) => form.busy));
	const problems = $derived(forms.flatMap((form) => form.problems));
	const keep = async (row: ManualReceiptRow) => (await keepForm.send({ rows: [row] })) !== null;
	const paste = (text: string) => void pasteForm.send({ text });
	let typing = $state<HandRow>();
	let postButton = $state<HTMLButtonElement>();
	let slipButton = $state<HTMLButtonElement>();
	function allOnSlip(on: boolean) {
		for (const row of data.loose) {
			if (on) onSlip.add(row.id);
			else onSlip.delete(row.id);
		}
	}
	const allPicked = $derived(picked.length > 0 && picked.length === data.loose.length);
	screenKeys(() => [
		{ keys: ['n'], what: 'type the next payment', run: () => typing?.begin() },
		{ keys: ['p'], what: 'to the button that posts', run: () => postButton?.focus() },
		{ keys: ['a'], what: 'put all on the paying-in slip, or none', run: () => allOnSlip(!allPicked) },
		{ keys: ['s'], what: 'to the button that makes the slip', run: () => slipButton?.focus() }
	]);
	async function addMethod(name: string): Promise<boolean> {
		if (!(await methodForm.send({ name }))) return false;
		toast(`“${name}” is in the list.`);
		return true;
	}
</script>

<svelte:head><title>Payments by hand · Odd Penny</title></svelte:head>

<div class="px-8 pt-5 pb-10">
	<p class="text-sm"><a href="/money-in">Money in</a></p>
	<h1>
		{data.due.length
			? `${count(data.due.length, 'payment')} typed, ${sumsByCurrency(data.due)}, not posted yet.`
			: 'Record what the bank does not show yet.'}
	</h1>
	<p class="mt-1 mb-4 says">
		Cheques, cash, cards, transfers that were announced. Row after row; rows may be pasted from a spreadsheet
		(customer, day, how, reference, amount, what it pays, where it is paid in). Nothing is posted before you
		say so, by you or by somebody else. A cheque dated later is held until its day.
	</p>
	<HandRow
		bind:this={typing}
		{today}
		methods={data.methods}
		banks={data.banks}
		disabled={busy || !data.mayAct}
		{addMethod}
		{keep}
		{paste}
		{editing}
		leave={() => (editing = null)}
	/>
	<div class="mt-3"><Problems {problems} /></div>

	{#snippet rowsOf(rows: typeof data.due, ticked: boolean)}
		{#each rows as row (row.id)}
			<tr class={[row.id === editing?.id && 'bg-raised']}>
				{#if ticked}<td
						><input
							type="checkbox"
							aria-label="Post the row of {row.name} now"
							checked={!later.has(row.id)}
							disabled={busy || !data.mayAct}
							onchange={() => (later.has(row.id) ? later.delete(row.id) : later.add(row.id))}
						/></td
					>{/if}
				<td>{row.name} <span class="text-soft">{row.code}</span></td>
				<td>{shortDay(row.date, today)}</td>
				<td>{row.method}</td>
				<td>{row.reference}</td>
				<td class="text-soft">{pays(row.pays)}</td>
				<td class="text-soft">{into(row.paidInto)}</td>
				<td class="text-soft">{row.typedBy}</td>
				<td class="num"
					>{row.currency === data.base
						? amount(row.amount, row.currency)
						: money(row.amount, row.currency)}</td
				>
				<td class="num whitespace-nowrap"
					><button
						class="mr-3 cursor-pointer text-sm text-soft hover:text-ink"
						disabled={busy || !data.mayAct}
						aria-label="Edit the row of {row.name}"
						onclick={() => (editing = row)}>edit</button
					><button
						class="cursor-pointer text-sm text-soft hover:text-ink"
						disabled={busy || !data.mayAct}
						aria-label="Delete the row of {row.name}"
						onclick={() => dropForm.send({ ids: [row.id] })}>delete</button
					></td
				>
			</tr>
		{/each}
	{/snippet}
	{#snippet head(ticked: boolean)}
		<thead
			><tr
				>{#if ticked}<th class="w-8"
						><input
							type="checkbox"
							aria-label="Post all rows now"
							checked={now.length === data.due.length}
							onchange={(event) => {
								for (const row of data.due)
									if (event.currentTarget.checked) later.delete(row.id);
									else later.add(row.id);
							}}
						/></th
					>{/if}<th>Customer</th><th>Date</th><th>How</th><th>Reference</th><th>Pays</th><th>Into</th><th
					>Typed by</th
				><th class="num">Amount</th><th></th></tr
			></thead
		>
	{/snippet}

	{#if data.due.length}
		<table class="mt-4">
			{@render head(true)}
			<tbody {@attach rowCursor}>{@render rowsOf(data.due, true)}</tbody>
		</table>
		<button
			bind:this={postButton}
			class="btn btn-main mt-3"
			disabled={busy || !data.mayAct || now.length === 0}
			onclick={() => postForm.send({ ids: now.map((row) => row.id) })}
			>{now.length
				? `Post ${count(now.length, 'receipt')}, ${sumsByCurrency(now)}`
				: 'Tick what is to be posted'}</button
		>
	{/if}

	{#if data.dated.length}
		<h2 class="mt-8 text-xl">Dated for later: {sumsByCurrency(data.dated)}, not money yet</h2>
		<table class="mt-1">
			{@render head(false)}
			<tbody {@attach rowCursor}>{@render rowsOf(data.dated, false)}</tbody>
		</table>
	{/if}

	{#if data.loose.length}
		<h2 class="mt-8 text-xl">To be paid in</h2>
		<form
			method="POST"
			action="?/slip"
			use:enhance={slipForm.submit((form) => ({
				bankAccountId: Number(form.get('bank')),
				receiptIds: picked.map((row) => row.id)
			}))}
		>
			<table class="mt-1">
				<thead
					><tr
						><th class="w-8"
							><input
								type="checkbox"
								aria-label="Put all on the slip"
								checked={allPicked}
								onchange={(event) => allOnSlip(event.currentTarget.checked)}
							/></th
						><th>Paid by</th><th>Date</th><th>How</th><th>Reference</th><th class="num">Amount</th></tr
					></thead
				>
				<tbody {@attach rowCursor}>
					{#each data.loose as row (row.id)}
						<tr>
							<td
								><input
									type="checkbox"
									aria-label="Put the payment of {row.name} on the slip"
									checked={onSlip.has(row.id)}
									onchange={() => (onSlip.has(row.id) ? onSlip.delete(row.id) : onSlip.add(row.id))}
								/></td
							><td>{row.name}</td><td>{shortDay(row.booked, today)}</td><td>{row.method}</td><td
								>{row.reference}</td
							><td class="num">{money(row.amount, row.currency)}</td>
						</tr>
					{/each}
				</tbody>
			</table>
			<div class="mt-3 flex items-center gap-3">
				<label class="flex items-center gap-2"
					>into <select name="bank" value={slipInto}
						>{#each data.banks as bank (bank.id)}<option value={bank.id}>{bank.name} ({bank.currency})</option
							>{/each}</select
					></label
				>
				<button bind:this={slipButton} class="btn" disabled={busy || picked.length === 0 || !data.mayAct}
					>Make a paying-in slip of {picked.length}{picked.length
						? `, ${sumsByCurrency(picked)}`
						: ''}</button
				>
			</div>
		</form>
	{/if}

	{#if data.way.length}
		<h2 class="mt-8 text-xl">On its way: {sumsByCurrency(data.way)}</h2>
		<p class="says">
			{late.length
				? `${count(late.length, 'payment')} should have been seen at the bank by now.`
				: 'The bank’s entries meet these when they come; nothing is counted twice.'}
		</p>
		<table class="mt-1">
			<thead><tr><th>What</th><th>Of</th><th>Into</th><th>Since</th><th class="num">Amount</th></tr></thead>
			<tbody {@attach rowCursor}>
				{#each data.way as one (`${one.kind} ${one.id}`)}
					<tr
						><td
							>{#if one.kind === 'slip'}<a href="/money-in/slips/{one.id}">paying-in slip {one.id}</a
								>{:else}{one.method} {one.reference}{/if}</td
						><td>{one.customer}</td><td class="text-soft">{one.bank ?? ''}</td><td
							class={one.date < data.lateSince ? 'text-oxblood' : ''}>{shortDay(one.date, today)}</td
						><td class="num">{money(one.amount, one.currency)}</td></tr
					>
				{/each}
			</tbody>
		</table>
	{/if}

	{#if data.lately.length}<Lately lately={data.lately} {today} mayAct={data.mayAct} />{/if}
</div>
