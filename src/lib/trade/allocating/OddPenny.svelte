<script lang="ts">
	import { feeOf } from '$lib/core/money/fee-pattern';
	import { discountOffered } from '$lib/core/4-allocation/discount-offered';
	import { CLAIM_REASONS } from '$lib/core/model/claim';
	import type { Day } from '$lib/core/day/day';
	import { parseTypedDay } from '$lib/core/day/parse-typed-day';
	import { amount, money, percent, shortDay, CLAIM_WORDS, DIFFERENCE_NAMES } from '$lib/words';
	import { GAP_NAMES, type Allocating } from './allocating.svelte';

	/** The question about the odd penny: what is missing, or what is left over, and what it is called. */
	let { allocating, mayAct }: { allocating: Allocating; mayAct: boolean } = $props();
	const desk = $derived(allocating.desk);
	const short = $derived(allocating.short);
	const claim = $derived(short && allocating.claimOf(short.item.id));
	const gap = $derived(short ? short.remains + short.difference : 0);
	const offered = $derived(
		short && discountOffered(short.item, (desk.receipt?.booked ?? allocating.today) as Day)
	);
	const current = $derived(short?.gaps.find((one) => one.text === null)?.kind ?? null);
	/** Wholly named: on a small screen the names make room for the items, until somebody asks for them. */
	const answered = $derived(Boolean(short && short.gaps.length > 0 && short.remains === 0));
	let choosing = $derived.by(() => {
		void short?.item.id;
		return false;
	});
	/** The arithmetic of what was kept before, where it explains the gap. */
	const usual = $derived.by(() => {
		const pattern = desk.feePattern;
		if (!pattern || !short) return '';
		const fee = feeOf(pattern, short.item.open);
		if (fee !== gap) return '';
		const { currency } = short.item;
		const parts = [
			pattern.basisPoints ? `${percent(pattern.basisPoints)} of ${money(short.item.open, currency)}` : '',
			pattern.fixed ? money(pattern.fixed, currency) : ''
		].filter(Boolean);
		return `${parts.join(' + ')} is ${money(fee, currency)}: what was kept of their payments before (${pattern.explains} of the last ${pattern.of}).`;
	});
	const offer = $derived.by(() => {
		if (!offered) return '';
		const terms = `${percent(offered.basisPoints)} was offered until ${shortDay(offered.until, allocating.today)}: ${money(offered.amount, short!.item.currency)}`;
		return offered.daysLate > 0
			? `${terms}; the money came ${offered.daysLate} ${offered.daysLate === 1 ? 'day' : 'days'} late.`
			: `${terms}; the money came in time.`;
	});
</script>

{#if short}
	{@const currency = short.item.currency}
	<div class="note mb-4">
		<p>
			<strong class="text-copper">Odd penny: {money(gap, currency)} short on {short.item.number}.</strong>
			{#if answered && !choosing}<span class="xl:hidden"
					>{DIFFERENCE_NAMES[short.gaps[0]!.kind]}.
					<button class="cursor-pointer text-copper hover:underline" onclick={() => (choosing = true)}
						>another name</button
					></span
				>{/if}
			<span class={[answered && !choosing && 'max-xl:hidden']}>What is it?</span>
			{#if usual}<span class="text-patina">{usual}</span>{/if}
			{#if offer}<span class="text-soft">{offer}</span>{/if}
		</p>
		<div
			role="group"
			aria-label="What the odd penny is"
			class={['mt-2 flex flex-wrap gap-1.5', answered && !choosing && 'max-xl:hidden']}
		>
			{#each GAP_NAMES as kind, n (kind)}
				<button
					class={[
						'btn px-2',
						current === kind && (kind !== null || short.gaps.length === 0) && 'border-copper text-copper'
					]}
					aria-pressed={current === kind && (kind !== null || short.gaps.length === 0)}
					disabled={!mayAct}
					onclick={() => allocating.nameGap(kind)}
				>
					<span class="key">{n + 1}</span>{kind ? DIFFERENCE_NAMES[kind] : 'Still owed'}
				</button>
			{/each}
		</div>
		{#if short.gaps.length}
			<ul aria-label="What it was called" class="mt-2 grid gap-1 text-sm">
				{#each short.gaps as one, i (one.kind)}
					<li class="flex items-center gap-2">
						<input
							type="text"
							inputmode="decimal"
							class="amount-field"
							aria-label="{DIFFERENCE_NAMES[one.kind]} on {short.item.number}"
							aria-invalid={one.amount === null}
							value={one.text ?? amount(one.amount ?? 0, currency)}
							oninput={(event) => allocating.typeGap(short.item.id, i, event.currentTarget.value)}
							disabled={!mayAct}
						/>
						{DIFFERENCE_NAMES[one.kind].toLowerCase()}
						<button
							class="cursor-pointer text-soft hover:text-ink"
							aria-label="Take {DIFFERENCE_NAMES[one.kind].toLowerCase()} off"
							onclick={() => allocating.dropGap(short.item.id, i)}>remove</button
						>
					</li>
				{/each}
				<li class="text-soft">
					{amount(short.settles ?? short.cash ?? 0, currency)} of the money{short.gaps
						.map(
							(one) => ` + ${amount(one.amount ?? 0, currency)} ${DIFFERENCE_NAMES[one.kind].toLowerCase()}`
						)
						.join('')}{short.remains ? ` + ${amount(short.remains, currency)} still owed` : ''} = {amount(
						short.item.open,
						currency
					)} open. {short.remains ? 'Name the rest as well, or leave it owed.' : ''}
				</li>
			</ul>
		{/if}
		{#if claim}
			<div
				role="group"
				aria-label="The claim"
				class="mt-2 grid grid-cols-[auto_1fr_auto_auto] items-center gap-x-2 gap-y-1 text-sm"
			>
				<label for="claim-reason">Because of</label>
				<select
					id="claim-reason"
					value={claim.reason}
					onchange={(event) =>
						allocating.changeClaim(short.item.id, {
							reason: event.currentTarget.value as (typeof CLAIM_REASONS)[number]
						})}
				>
					{#each CLAIM_REASONS as reason (reason)}<option value={reason}>{CLAIM_WORDS[reason]}</option>{/each}
				</select>
				<label for="claim-deadline">to be decided by</label>
				<input
					id="claim-deadline"
					type="text"
					size="12"
					value={shortDay(claim.deadline)}
					onchange={({ currentTarget }) => {
						const typed = parseTypedDay(currentTarget.value, allocating.today as Day);
						if (typed) allocating.changeClaim(short.item.id, { deadline: typed });
						currentTarget.value = shortDay(typed ?? claim.deadline);
					}}
				/>
				<label for="claim-owner">Followed up by</label>
				<input
					id="claim-owner"
					type="text"
					value={claim.owner}
					oninput={(event) => allocating.changeClaim(short.item.id, { owner: event.currentTarget.value })}
				/>
				<label for="claim-note">what they say</label>
				<input
					id="claim-note"
					type="text"
					placeholder="two bags wet"
					value={claim.note}
					oninput={(event) => allocating.changeClaim(short.item.id, { note: event.currentTarget.value })}
				/>
			</div>
		{/if}
	</div>
{:else if allocating.left > 0 && desk.customer && desk.receipt}
	<div class="note mb-4">
		<p>
			<strong class="text-copper">Odd penny: {money(allocating.left, allocating.currency)} left over.</strong> What
			is it? Or take another item.
		</p>
		<div role="group" aria-label="What the odd penny is" class="mt-2 flex flex-wrap items-center gap-1.5">
			<button
				class={['btn px-2', allocating.surplus === null && 'border-copper text-copper']}
				aria-pressed={allocating.surplus === null}
				onclick={() => (allocating.surplus = null)}><span class="key">1</span>On account</button
			>
			<button
				class={['btn px-2', allocating.surplus === 'refund' && 'border-copper text-copper']}
				aria-pressed={allocating.surplus === 'refund'}
				onclick={() => (allocating.surplus = 'refund')}><span class="key">2</span>To be paid back</button
			>
			<button
				class={['btn px-2', allocating.surplus === 'small_difference' && 'border-copper text-copper']}
				aria-pressed={allocating.surplus === 'small_difference'}
				onclick={() => (allocating.surplus = 'small_difference')}
				><span class="key">3</span>Small difference</button
			>
			{#if allocating.surplus === null}
				<label class="ml-2 flex items-center gap-2 text-sm"
					>deposit for order <input
						type="text"
						class="w-40 py-0.5"
						placeholder="order number, if it is one"
						bind:value={allocating.depositFor}
						disabled={!mayAct}
					/></label
				>
			{/if}
		</div>
	</div>
{/if}

{#if desk.suspects.length && desk.receipt}
	<div class="note mb-4">
		<p>
			<strong class="text-oxblood">Is this the same payment again?</strong> The account paid this sum not long before.
		</p>
		<table class="mt-1 text-sm">
			<thead><tr><th>Booked</th><th>Words</th><th>Allocated to</th><th class="num">Amount</th></tr></thead>
			<tbody>
				<tr
					><td>{shortDay(desk.receipt.booked, allocating.today)}</td><td class="font-mono"
						>{desk.receipt.payerName} · {desk.receipt.text}</td
					><td>this one</td><td class="num">{amount(desk.receipt.amount, allocating.currency)}</td></tr
				>
				{#each desk.suspects as one (one.receiptId)}
					<tr
						><td>{shortDay(one.booked, allocating.today)}</td><td class="font-mono"
							>{one.payerName} · {one.text}</td
						><td>{one.numbers.join(', ') || 'on account'}, by {one.by}</td><td class="num"
							>{amount(one.amount, allocating.currency)}</td
						></tr
					>
				{/each}
			</tbody>
		</table>
	</div>
{/if}
