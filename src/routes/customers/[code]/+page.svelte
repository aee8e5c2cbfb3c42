<script lang="ts">
	import { goto } from '$app/navigation';
	import { screenKeys } from '$lib/ui/screen-keys.svelte';
	import { rowCursor } from '$lib/ui/row-cursor';
	import { page } from '$app/state';
	import AgeBar from '$lib/trade/AgeBar.svelte';
	import Chasing from './Chasing.svelte';
	import Details from './Details.svelte';
	import Promises from './Promises.svelte';
	import WhatIsKnown from './WhatIsKnown.svelte';
	import ItemLife from '$lib/trade/ItemLife.svelte';
	import {
		amount,
		DELIVERY_WORDS,
		fileSize,
		ledgerWords,
		LETTER_NAMES,
		list,
		moment,
		momentDay,
		money,
		shortDay
	} from '$lib/words';
	let { data } = $props();
	const account = $derived(data.account);
	const customer = $derived(account.customer);
	const rows = $derived([...data.ledger.rows].reverse());
	const paged = $derived(page.url.searchParams.has('before'));
	const stands = $derived(
		list(
			account.standing.map((one) => {
				const late = one.late > 0 ? `, ${money(one.late, one.currency)} of it overdue` : '';
				const credit = one.credit > 0 ? `, less ${money(one.credit, one.currency)} on account` : '';
				return one.open === 0 && one.credit === 0
					? `owes nothing in ${one.currency}`
					: `owes ${money(one.open, one.currency)}${late}${credit}`;
			})
		)
	);
	const closed = $derived(
		customer.closedOn
			? ` The account was closed on ${shortDay(customer.closedOn, data.today ?? undefined)}.`
			: ''
	);
	const here = $derived(`/customers/${customer.code}`);
	screenKeys(() => [
		...(data.who?.role === 'reader'
			? []
			: [{ keys: ['e'], what: 'change the details', run: () => goto(`${here}/details`) }]),
		{
			keys: ['t'],
			what: 'receipts and what they paid',
			run: () => goto(`/customers/${customer.code}/threads`)
		},
		{ keys: ['n'], what: 'timeline and notes', run: () => goto(`${here}/timeline`) }
	]);
</script>

<svelte:head><title>{customer.name} · Odd Penny</title></svelte:head>

<div
	class="grid h-[calc(100vh-48px)] {data.item
		? 'grid-cols-[minmax(0,1fr)_400px]'
		: 'grid-cols-[minmax(0,1fr)_280px]'}"
>
	<section class="overflow-y-auto px-8 pt-5 pb-8">
		<h1>{customer.name} <span class="font-sans text-base font-normal text-soft">{customer.code}</span></h1>
		<p class="mt-1 text-lg text-soft">{customer.name} {stands}.{closed}</p>
		{#each account.overtaken as one (one.currency)}
			<p class="note mt-1 text-sm">
				The {one.kind} of {shortDay(one.date, data.today ?? undefined)} is out of date: {one.by} corrected a payment
				on {moment(one.at)}.
				<a class="underline" href="/letters?kind=correction">Send a corrected statement</a>
			</p>
		{/each}
		{#each account.notCounted as one (one.id)}
			<p class="text-sm text-soft">
				{one.dated ? 'Held' : 'Typed, not posted'}: {one.method}
				{one.reference} of {money(one.amount, one.currency)}, dated {shortDay(
					one.date,
					data.today ?? undefined
				)}, not yet counted. <a class="underline" href="/money-in/manual-receipts">Payments by hand</a>
			</p>
		{/each}
		<p class="mt-3 flex flex-wrap gap-x-3 gap-y-2">
			<a
				class="btn"
				href="/letters/preview?kind=statement&customer={customer.id}&currency={customer.currency}"
				>Read a statement</a
			>
			<a class="btn" href="/letters/write?kind=reminder&customer={customer.id}&currency={customer.currency}"
				>Write to them</a
			>
			<a class="btn" href="/customers/{customer.code}/threads"
				>Receipts and what they paid <span class="key">T</span></a
			>
			{#if !customer.closedOn}<a class="btn" href="/open-items/new?customer={customer.id}">Write a document</a
				>{/if}
			{#if data.who?.role !== 'reader'}<a class="btn" href="/customers/{customer.code}/payments"
					>Move payments</a
				><a class="btn" href="/odd-pennies/small-balances?customer={customer.code}">Write off</a>{/if}
		</p>
		<table class="mt-4">
			<thead class="sticky top-0 bg-paper"
				><tr
					><th>Date</th><th class="w-1/3">What</th><th>Settled, or settled by</th><th class="num">Debit</th
					><th class="num">Credit</th><th class="num">Balance</th></tr
				></thead
			>
			<tbody {@attach rowCursor}>
				{#each rows as row (row.id)}
					<tr class={['group row align-top', row.undone && 'text-soft']}>
						<td class="whitespace-nowrap">{shortDay(row.date, data.today ?? undefined)}</td>
						<td class="relative">
							{#if row.itemId}<a href="{here}?item={row.itemId}" data-sveltekit-noscroll class="font-semibold"
									>{row.label}</a
								>{:else}<a href="/books/journal?act={row.actId}" class={row.undone ? 'line-through' : ''}
									>{ledgerWords(row.kind)}</a
								>{row.label ? `, ${row.label}` : ''}{/if}
							<span class="text-soft">{row.text}</span>
							{#if row.kind === 'allocate-receipt' && !row.undone && row.amount < 0}
								{@const back = account.returned.find((one) => one.receiptId === row.receiptId)}
								{#if back}<span class="text-sm text-copper"
										>returned on {shortDay(back.date, data.today ?? undefined)}</span
									>
								{:else if data.who?.role !== 'reader'}<span
										class="absolute right-0 bottom-1.5 bg-paper pl-2 text-sm whitespace-nowrap opacity-0 group-focus-within:opacity-100 group-hover:opacity-100"
										><a class="text-copper" href="/money-in/reallocate/{row.actId}">reallocate</a>
										<a class="ml-2 text-copper" href="/money-in/returned/{row.receiptId}">returned</a></span
									>{/if}
							{/if}
							{#if row.undone}<span class="text-sm">undone since</span>{/if}
						</td>
						<td class="text-sm">
							{#each row.threads as thread, i (i)}
								<span class="mr-2 inline-block whitespace-nowrap">
									{#if thread.itemId}<a
											class="text-patina"
											href="{here}?item={thread.itemId}"
											data-sveltekit-noscroll>{thread.label}</a
										>{:else}<a class="text-patina" href="/books/journal?act={thread.actId}"
											>receipt of {shortDay(thread.date ?? '', data.today ?? undefined)}</a
										>{/if}
									<span class="text-soft">{amount(thread.amount, row.currency)}</span>
								</span>
							{/each}
							{#if row.receiptId && !row.undone && row.threads.length > 1}<a
									class="mr-2 inline-block whitespace-nowrap text-soft underline"
									href="{here}/threads?money={row.receiptId}">what it paid</a
								>{/if}
							{#if row.onAccount > 0}<span class="whitespace-nowrap text-copper"
									>{amount(row.onAccount, row.currency)} on account</span
								>{/if}
						</td>
						<td class="num">{row.amount > 0 ? amount(row.amount, row.currency) : ''}</td>
						<td class="num">{row.amount < 0 ? amount(-row.amount, row.currency) : ''}</td>
						<td class="num font-semibold"
							>{account.standing.length > 1
								? money(row.balance, row.currency)
								: amount(row.balance, row.currency)}</td
						>
					</tr>
				{:else}<tr><td colspan="6" class="py-6 text-soft">Nothing was ever posted on this account.</td></tr
					>{/each}
				{#each data.ledger.brought as one (one.currency)}
					<tr class="text-soft">
						<td></td><td colspan="4">Brought forward</td>
						<td class="num font-semibold"
							>{account.standing.length > 1
								? money(one.amount, one.currency)
								: amount(one.amount, one.currency)}</td
						>
					</tr>
				{/each}
			</tbody>
		</table>
		{#if data.ledger.earlier || paged}
			<p class="mt-3 flex gap-4">
				{#if data.ledger.earlier}<a class="underline" href="{here}?before={data.ledger.earlier}"
						>Further back</a
					>{/if}
				{#if paged}<a class="underline" href={here}>The newest</a>{/if}
			</p>
		{/if}
	</section>
	<aside class="overflow-y-auto border-l border-rule px-6 pt-5 text-sm {data.item ? 'bg-raised' : ''}">
		{#if data.item}
			<ItemLife
				life={data.item}
				today={data.today ?? ''}
				closeHref={page.url.pathname}
				mayAct={data.who?.role !== 'reader'}
			/>
		{:else}
			{#each account.standing as one (one.currency)}
				<h2 class="font-sans text-sm font-semibold text-soft">Age of it, {one.currency}</h2>
				<div class="mt-2 mb-5"><AgeBar aged={one.aged} currency={one.currency} wide={220} /></div>
			{/each}
			<Details {account} />
			<WhatIsKnown customerId={customer.id} known={account} mayForget={data.who?.role !== 'reader'} />
			<Chasing {customer} chase={data.chase} mayAct={data.who?.role !== 'reader'} />
			<Promises
				{customer}
				promises={account.promises}
				owing={account.owing}
				mayAct={data.who?.role !== 'reader'}
			/>
			<h2 class="mt-5 flex font-sans font-semibold text-soft">
				Notes<a class="ml-auto font-normal underline" href="{here}/timeline"
					>Timeline <span class="key">N</span></a
				>
			</h2>
			{#each account.notes as note (note.id)}
				<p class="mt-1 wrap-anywhere whitespace-pre-wrap">
					{note.text}
					<span class="text-soft">{note.by}, {momentDay(note.at)}</span>
				</p>
			{:else}<p class="mt-1 says">Nothing was noted.</p>{/each}
			{#if account.files.length}
				<h2 class="mt-5 font-sans font-semibold text-soft">Files</h2>
				{#each account.files as file (file.id)}<p class="mt-1 wrap-anywhere">
						<a class="underline" href="/customers/kept/{file.id}" target="_blank">{file.name}</a>,
						<span class="text-soft">{fileSize(file.bytes)}</span>
					</p>{/each}
			{/if}
			<h2 class="mt-5 font-sans font-semibold text-soft">Letters</h2>
			{#each account.letters as letter (letter.id)}
				<p class="mt-1">
					<a class="underline" href="/letters/outbox/{letter.id}"
						>{LETTER_NAMES[letter.kind]} of {shortDay(letter.date, data.today ?? undefined)}</a
					>, {money(letter.amount, letter.currency)}, {DELIVERY_WORDS[letter.state]}
				</p>
			{:else}<p class="mt-1 says">None was sent.</p>{/each}
		{/if}
	</aside>
</div>

<style>
	.row {
		content-visibility: auto;
		contain-intrinsic-size: auto 33px;
	}
</style>
