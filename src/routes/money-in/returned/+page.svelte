<script lang="ts">
	import { screenKeys } from '$lib/ui/screen-keys.svelte';
	import { rowCursor } from '$lib/ui/row-cursor';
	import type { sendLetters } from '$lib/server/letters/commands/send-letters';
	import type { undoReturn } from '$lib/server/returns/commands/undo-return';
	import { page } from '$app/state';
	import { toast } from 'svelte-sonner';
	import { ActForm } from '$lib/trade/act-form.svelte';
	import Problems from '$lib/ui/Problems.svelte';
	import { count, money, shortDay, returnReason } from '$lib/words';
	let { data } = $props();
	const noticeForm = new ActForm<typeof sendLetters, { returnedId: number }>('?/notice', {
		otherwise: 'The notice could not be sent. Nothing was changed.',
		done: () => void toast('The notice is in the outbox.')
	});
	const undoForm = new ActForm<typeof undoReturn>('?/undo', {
		otherwise: 'That did not work. Nothing was changed.',
		done: () => void toast('Undone: the payment stands again.')
	});
	let find = $state<HTMLInputElement>();
	screenKeys(() => [{ keys: ['/'], what: 'find a payment', run: () => find?.focus() }]);
	const busy = $derived(noticeForm.busy || undoForm.busy);
	const problems = $derived([...noticeForm.problems, ...undoForm.problems]);
	const today = $derived(data.today ?? '');
	const act = $derived(Number(page.url.searchParams.get('act')) || null);
	const waits = $derived(data.returned.filter((one) => one.letterId === null).length);
</script>

<svelte:head><title>Returned payments · Odd Penny</title></svelte:head>

<div class="px-8 pt-5 pb-10">
	<p class="text-sm"><a href="/money-in">Money in</a></p>
	<h1>
		{data.returned.length
			? `${count(data.returned.length, 'payment was', 'payments were')} returned.`
			: 'No payment was returned.'}
	</h1>
	<p class="mt-1 mb-3 says">
		A cheque, direct debit or card payment that the bank took back. What it had paid is owed again from its
		first due day. {waits
			? `${count(waits, 'notice is', 'notices are')} drafted and not sent.`
			: 'The desk proposes it where a bank file shows one.'}
	</p>
	<Problems {problems} />
	<form method="GET" class="mb-4 flex items-center gap-2" data-sveltekit-noscroll data-sveltekit-keepfocus>
		<input
			bind:this={find}
			type="search"
			name="q"
			class="w-96"
			aria-label="Find a payment"
			placeholder="Find a payment: customer, amount, words"
			value={data.query}
		/>
		<button class="btn">Find</button>
	</form>
	{#if data.query}
		<h2 class="text-xl">
			{data.found.length ? `${count(data.found.length, 'payment')} found` : 'No allocated payment fits that'}
		</h2>
		{#if data.found.length}<table class="mt-1 mb-6">
				<thead
					><tr><th>Came</th><th>Customer</th><th>Words</th><th class="num">Amount</th><th></th></tr></thead
				>
				<tbody {@attach rowCursor}>
					{#each data.found as one (one.receiptId)}
						<tr>
							<td class="whitespace-nowrap">{shortDay(one.booked, today)}</td>
							<td><a class="block py-0.5" href="/customers/{one.code}">{one.customer}</a></td>
							<td class="font-mono text-[13px]">{one.text}</td>
							<td class="num">{money(one.amount, one.currency)}</td>
							<td class="text-right"
								>{#if data.mayAct}<a class="btn py-0.5" data-open href="/money-in/returned/{one.receiptId}"
										>Mark as returned</a
									>{/if}</td
							>
						</tr>
					{/each}
				</tbody>
			</table>{/if}
	{/if}
	{#if data.returned.length}
		<table>
			<thead
				><tr
					><th>Returned</th><th>Customer</th><th>Paid</th><th>Because</th><th>At the bank</th><th>Notice</th
					><th class="num">Amount</th><th></th></tr
				></thead
			>
			<tbody {@attach rowCursor}>
				{#each data.returned as one (one.id)}
					<tr class={one.actId === act ? 'bg-wash' : ''}>
						<td class="whitespace-nowrap"
							><a class="block py-0.5" href="/books/journal?act={one.actId}">{shortDay(one.date, today)}</a
							></td
						>
						<td><a class="block py-0.5" href="/customers/{one.code}">{one.customer}</a></td>
						<td class="whitespace-nowrap"
							>{shortDay(one.paidOn, today)}{one.method === 'bank' ? '' : `, ${one.method}`}</td
						>
						<td
							>{returnReason(one.reason)}{#if one.note}<span class="block text-xs text-soft">{one.note}</span
								>{/if}</td
						>
						<td class={one.moneyShown ? 'text-soft' : 'text-copper'}
							>{one.moneyShown
								? one.fee > 0 && !one.feeShown
									? 'return shown, fee not yet'
									: 'shown'
								: 'not shown yet'}</td
						>
						<td
							>{#if one.letterId}<a class="block py-0.5" href="/letters/outbox/{one.letterId}">sent</a
								>{:else}<span class="flex gap-3"
									><a class="block py-0.5" href="/letters/preview?of={one.id}">read</a
									>{#if data.mayAct}<button
											class="cursor-pointer py-0.5 text-copper hover:underline"
											disabled={busy}
											onclick={() => noticeForm.send({ returnedId: one.id })}>send</button
										>{/if}</span
								>{/if}</td
						>
						<td class="num">{money(one.amount, one.currency)}</td>
						<td class="text-right"
							>{#if data.mayAct}<button
									class="cursor-pointer py-0.5 text-sm text-copper hover:underline"
									disabled={busy}
									onclick={() => undoForm.send({ actId: one.actId })}>undo</button
								>{/if}</td
						>
					</tr>
				{/each}
			</tbody>
		</table>
	{/if}
</div>
