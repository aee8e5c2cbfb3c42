<script lang="ts">
	import { enhance } from '$app/forms';
	import type { returnPayment } from '$lib/server/returns/commands/return-payment';
	import { ActForm } from '$lib/trade/act-form.svelte';
	import { toast } from 'svelte-sonner';
	import type { Day } from '$lib/core/day/day';
	import { Returning } from './returning.svelte';
	import { screenKeys } from '$lib/ui/screen-keys.svelte';
	import FieldError from '$lib/ui/FieldError.svelte';
	import Problems from '$lib/ui/Problems.svelte';
	import { DIFFERENCE_NAMES, amount, count, money, shortDay, RETURN_REASONS, returnReason } from '$lib/words';
	let { data } = $props();
	const back = $derived(data.back);
	const today = $derived(data.today as Day);
	const returning = $derived(new Returning(back, today, data.shownId));
	const standing = $derived(back.standing);
	let element = $state<HTMLFormElement>()!;
	const form = new ActForm<typeof returnPayment, Returning['input']>('?', {
		otherwise: 'That did not work. Nothing was changed.',
		leaving: () => void toast('Marked as returned. The notice to the customer is drafted.')
	});
	const partly = $derived(
		standing.allocations.length > 1 && returning.opened.some((one) => !one.off || one.owed < one.paid)
	);
	screenKeys(() => [
		{
			keys: ['Enter'],
			fromField: true,
			what: 'mark it as returned',
			run: () => returning.outcome.ok && !form.busy && element.requestSubmit()
		}
	]);
</script>

<svelte:head><title>Returned payment · Odd Penny</title></svelte:head>

<div class="grid h-[calc(100vh-48px)] grid-rows-[1fr_auto]">
	<div class="grid min-h-0 grid-cols-[minmax(0,1fr)_340px]">
		<section class="overflow-y-auto px-8 pt-5 pb-8">
			<p class="text-sm"><a href="/money-in/returned">Returned payments</a></p>
			<h1>
				{money(back.payment.amount, back.payment.currency)} from {back.payment.payerName ??
					back.customer.name}
				was returned.
			</h1>
			<p class="mt-1 text-soft">
				<a href="/customers/{back.customer.code}">{back.customer.name}</a> paid it on {shortDay(
					back.payment.booked,
					today
				)}, {back.payment.method === 'bank' ? (back.payment.bank ?? 'by bank') : back.payment.method}:
				<span class="font-mono text-[13px]">{back.payment.text || 'no words'}</span>
			</p>
			{#each back.before as one (one.id)}
				<p class="note mt-2">
					{money(one.amount, one.currency)} of it was returned on {shortDay(one.date, today)} already.
				</p>
			{/each}
			<div class="mt-3"><Problems problems={form.problems} /></div>

			<h2 class="mt-4 text-xl">What is owed again</h2>
			{#if returning.opened.length}
				<table class="mt-1">
					<thead
						><tr
							><th>Item</th><th>Due</th><th class="num">Was paid with it</th><th class="num">Owed again</th
							><th></th></tr
						></thead
					>
					<tbody>
						{#each returning.opened as one (one.id)}
							<tr class={one.off ? '' : 'text-soft'}>
								<td
									>{one.label}{#if one.owner}<span class="text-soft">, {one.owner}</span>{/if}</td
								>
								<td
									>{shortDay(one.due, today)}{#if one.off && one.late > 0}<span class="text-oxblood"
											>, {count(one.late, 'day')} overdue</span
										>{/if}</td
								>
								<td class="num">{amount(one.paid, one.currency)}</td>
								<td class="num font-semibold">{one.owed ? amount(one.owed, one.currency) : ''}</td>
								<td
									>{#if partly && returning.first[0] !== one.id}<button
											type="button"
											class="cursor-pointer py-0.5 text-sm text-copper hover:underline"
											onclick={() => returning.putFirst(one.id)}>this one first</button
										>{/if}</td
								>
							</tr>
						{/each}
					</tbody>
				</table>
			{:else}<p class="says">It is on account: nothing was paid with it.</p>{/if}
			{#if standing.onAccount > 0}<p class="mt-1 text-sm text-soft">
					{money(standing.onAccount, back.payment.currency)} of it is on account; that goes first.
				</p>{/if}

			{#if standing.differences.length}
				<h2 class="mt-5 text-xl">What was booked with it</h2>
				<p class="says">Ticked, it goes back as well, and its gap is owed again.</p>
				<ul class="mt-1 grid gap-2">
					{#each standing.differences as one (one.id)}
						<li>
							<label class="flex items-center gap-2"
								><input
									type="checkbox"
									checked={returning.differencesBack.includes(one.id)}
									onchange={() => returning.toggleDifference(one.id)}
								/>
								{DIFFERENCE_NAMES[one.kind]} of {money(one.amount, one.currency)} on {back.labels[
									one.itemId
								]}{#if one.kind === 'claim'}<span class="text-soft"
										>, left as it is unless ticked: the dispute goes on</span
									>{/if}</label
							>
						</li>
					{/each}
				</ul>
			{/if}
		</section>

		<aside class="overflow-y-auto border-l border-rule px-6 pt-5 pb-6">
			<div class="grid grid-cols-[minmax(0,1fr)] gap-4">
				<label class="grid min-w-0 gap-1 text-sm"
					>Amount returned
					<input
						type="text"
						inputmode="decimal"
						class="amount-field w-40"
						bind:value={returning.text}
						{...form.at('amount')}
						{@attach (field) => void (field as HTMLInputElement).select()}
					/><FieldError {form} name="amount" /></label
				>
				<label class="grid min-w-0 gap-1 text-sm"
					>On
					<input
						type="text"
						class="w-40"
						placeholder="today"
						bind:value={returning.date}
						{...form.at('date')}
					/><FieldError {form} name="date" /></label
				>
				<label class="grid min-w-0 gap-1 text-sm"
					>Because
					<select class="w-full min-w-0" bind:value={returning.reason} {...form.at('reason')}>
						<option value="" disabled>choose a reason</option>
						{#if returning.reason && !(returning.reason in RETURN_REASONS)}<option value={returning.reason}
								>{returning.reason}</option
							>{/if}
						{#each Object.keys(RETURN_REASONS) as code (code)}<option value={code}
								>{returnReason(code)}</option
							>{/each}
					</select><FieldError {form} name="reason" /></label
				>
				<label class="grid min-w-0 gap-1 text-sm"
					>Note <input
						type="text"
						class="w-full min-w-0"
						bind:value={returning.note}
						maxlength="500"
						{...form.at('note')}
					/><FieldError {form} name="note" /></label
				>
				<label class="grid min-w-0 gap-1 text-sm"
					>The bank’s fee
					<input
						type="text"
						inputmode="decimal"
						class="amount-field w-40"
						placeholder="none"
						bind:value={returning.feeText}
						{...form.at('fee')}
					/><FieldError {form} name="fee" /></label
				>
				<fieldset class="grid gap-2 text-sm">
					<legend class="mb-1">Charged to {back.customer.name}, due at once</legend>
					<label class="flex items-center gap-2"
						><input type="radio" value="none" bind:group={returning.charge} /> nothing</label
					>
					<label class="flex items-center gap-2"
						><input type="radio" value="same" bind:group={returning.charge} /> the bank’s fee</label
					>
					<label class="flex items-center gap-2"
						><input type="radio" value="own" bind:group={returning.charge} />
						<input
							type="text"
							inputmode="decimal"
							class="amount-field w-28"
							aria-label="Amount of the charge"
							bind:value={returning.chargeText}
							onfocus={() => (returning.charge = 'own')}
						/></label
					>
				</fieldset>
				{#if back.debits.length}
					<fieldset class="grid gap-2 text-sm">
						<legend class="mb-1">The bank’s entry that shows it</legend>
						<label class="flex items-center gap-2"
							><input type="radio" value={null} bind:group={returning.shownId} /> has not come yet</label
						>
						{#each back.debits as one (one.receiptId)}
							<label class="flex items-start gap-2"
								><input type="radio" class="mt-1" value={one.receiptId} bind:group={returning.shownId} /><span
									>{money(one.amount, back.payment.currency)}, {shortDay(one.booked, today)}<span
										class="block font-mono text-[13px] text-soft">{one.text || 'no words'}</span
									></span
								></label
							>
						{/each}
					</fieldset>
				{/if}
			</div>
		</aside>
	</div>
	<footer class="double-top flex h-[54px] items-center gap-3 bg-raised px-5">
		<form method="POST" bind:this={element} use:enhance={form.submit(() => returning.input)}>
			<button class="btn btn-main" disabled={!returning.outcome.ok || form.busy}
				>Mark as returned <span class="key">Enter</span></button
			>
		</form>
		<a class="btn" href="/customers/{back.customer.code}">Leave it as it is</a>
		<p
			aria-live="polite"
			class={['ml-auto text-right text-sm', returning.outcome.ok ? 'text-soft' : 'text-copper']}
		>
			{returning.outcome.text}
		</p>
	</footer>
</div>
