<script lang="ts">
	import { tick } from 'svelte';
	import { lessonsOf, matchAdvice } from '$lib/core/3-matching';
	import { habitSentence, count, list, money, shortDay, returnedMark } from '$lib/words';
	import { mayBeSplit } from '$lib/core/2-receipts/may-be-split';
	import { parseTypedDay } from '$lib/core/day/parse-typed-day';
	import AlsoOpen from './AlsoOpen.svelte';
	import BankWords from './BankWords.svelte';
	import Habit from './Habit.svelte';
	import KeptFees from './KeptFees.svelte';
	import OddPenny from './OddPenny.svelte';
	import OnTheStrip from './OnTheStrip.svelte';
	import type { Allocating } from './allocating.svelte';
	import type SetsHere from './SetsHere.svelte';
	import Strip from './Strip.svelte';
	import WhoseIsIt from './WhoseIsIt.svelte';

	/** The desk: whose money, the bank's words, the strip, the odd penny, what is on it, what else is open, and why. */
	let {
		allocating,
		reasons,
		filter = $bindable(),
		sets = $bindable(),
		active = $bindable(),
		mayAct,
		join,
		takeOff,
		newCustomer
	}: {
		allocating: Allocating;
		reasons: readonly string[];
		filter: HTMLInputElement | undefined;
		sets?: SetsHere | undefined;
		active: number;
		mayAct: boolean;
		/** Joins the parts of a split entry again. */
		join?: () => void;
		/** Takes an act on this receipt back. */
		takeOff?: (actId: number) => void;
		/** Opens an account for a payer who has none. */
		newCustomer?: () => void;
	} = $props();
	const desk = $derived(allocating.desk);
	const receipt = $derived(desk.receipt);
	/** Both begin anew with each desk; the rows that stay the same are not drawn again. */
	let searching = $derived.by<'owner' | 'beside' | null>(() => {
		void desk;
		return null;
	});
	let other = $derived.by(() => {
		void desk;
		return 0;
	});
	const activeId = $derived(desk.items[active]?.id);
	const cameIn = $derived(!receipt || receipt.amount > 0);
	const others = $derived(desk.answer?.others.filter((one) => one.customerId === desk.customer?.id) ?? []);
	const answers = $derived(1 + others.length);

	let whoseField = $state<HTMLInputElement | null>(null);
	let also = $state<AlsoOpen>();
	let fitting = $state<{ look: () => void }>();
	/** Opens the search for the account, or goes to it. */
	export async function whose() {
		if (!mayAct || !cameIn || !receipt) return;
		if (desk.customer) searching = 'owner';
		await tick();
		whoseField?.focus();
	}
	/** Says why the marked item was not taken. */
	export function whyNot() {
		also?.askWhy();
	}
	/** Looks through all accounts for sets, where nobody is known. */
	export function look() {
		fitting?.look();
	}
	/** Lays the answer before or after, where several fit. */
	export function showOther(by: number) {
		if (answers < 2) return;
		const all = [{ lines: desk.answer!.lines }, ...others];
		other = (other + by + all.length) % all.length;
		allocating.adopt(all[other]!.lines);
	}
	const toggle = (mode: 'owner' | 'beside') => (searching = searching === mode ? null : mode);
</script>

<div class="grid min-h-full grid-cols-[minmax(0,1fr)_184px] xl:grid-cols-[minmax(0,1fr)_256px]">
	<div class="px-4 pt-4 pb-6 xl:px-6">
		<div class="flex items-baseline gap-2">
			<h2 class="text-2xl">{desk.customer?.name ?? receipt?.payerName ?? 'Unnamed payer'}</h2>
			<p class="ml-auto font-serif text-2xl font-semibold whitespace-nowrap">
				{money(receipt ? receipt.amount : allocating.amount, allocating.currency)}
			</p>
		</div>
		<p class="flex flex-wrap gap-x-3 text-sm text-soft">
			{#if desk.customer}<span
					><a href="/customers/{desk.customer.code}">{desk.customer.code}</a> · owes {list(
						desk.customer.owes.map((one) => money(one.amount, one.currency))
					)}</span
				>{:else if cameIn}nobody in the books yet{:else}went out{/if}
			{#if mayAct && cameIn}
				{#if receipt}<button
						class="cursor-pointer text-copper hover:underline"
						onclick={() => (desk.customer ? toggle('owner') : void whose())}
						>{desk.customer ? 'another account' : 'choose whose it is'} <span class="key">W</span></button
					>{#if newCustomer && (searching || !desk.customer)}<button
							class="cursor-pointer text-copper hover:underline"
							onclick={newCustomer}>a new customer <span class="key">Q</span></button
						>{/if}{/if}
				{#if desk.customer}<button
						class="cursor-pointer text-copper hover:underline"
						onclick={() => toggle('beside')}>items of other accounts, too</button
					>{/if}
				{#if receipt && desk.answer && mayBeSplit(receipt) && !desk.payout}<a
						class="text-copper"
						href="/money-in/split?receipt={receipt.id}">several payments: split it</a
					>{/if}
			{/if}
		</p>
		{#if searching || (!desk.customer && cameIn)}<WhoseIsIt
				mode={searching ?? 'owner'}
				bind:field={whoseField}
				bind:fitting
				mayBe={desk.mayBe}
				came={!desk.customer && receipt
					? { receiptId: receipt.id, amount: receipt.amount, currency: receipt.currency }
					: null}
			/>{/if}
		{#if receipt}
			<p class="mt-1 mb-3 font-mono text-[13px] text-soft">
				{shortDay(receipt.booked, allocating.today)} · {desk.bank.name} · {receipt.payerName ?? 'no name'} ·
				<BankWords text={receipt.text || 'no words'} recognised={desk.answer?.recognised ?? []} />
				{#if receipt.structuredReference}· ref. <mark
						class={['bg-transparent text-ink', desk.answer?.lines.length && 'border-b-2 border-copper']}
						>{receipt.structuredReference}</mark
					>{/if}
			</p>
			{#if receipt.parentId !== null}<p class="mb-3 text-sm text-soft">
					Part of one entry.
					{#if mayAct && join}<button class="cursor-pointer text-copper hover:underline" onclick={join}
							>Join the parts again</button
						>{/if}
				</p>{/if}
			{#if receipt.unidentifiedActId !== null}<p class="note mb-3 flex items-center gap-3">
					<span>Booked to unidentified receipts until its payer is found.</span>
					{#if mayAct && takeOff}<button
							class="btn py-0.5"
							onclick={() => takeOff(receipt.unidentifiedActId!)}>Undo that</button
						>{/if}
				</p>{/if}
			{#if receipt.heldBecause}<p class="note mb-3">Held: {receipt.heldBecause}</p>{/if}
		{:else}
			<p class="mt-1 mb-3 flex items-center gap-2 says">
				Credit of this account, allocated without new money, on
				<input
					type="text"
					class="w-28"
					aria-label="Accounting day"
					placeholder="today"
					onchange={({ currentTarget: { value } }) =>
						(allocating.date = value.trim() ? (parseTypedDay(value, allocating.today) ?? value) : '')}
				/>
				{#if allocating.date}{shortDay(allocating.date)}{/if}
			</p>
		{/if}

		{#if desk.payout && receipt}
			<p class="note mb-3 flex items-center gap-3">
				<span
					><strong class="text-copper"
						>A payout{desk.payout.processor ? ` of ${desk.payout.processor}` : ''}?</strong
					> Several payments in one sum, less a fee each: drop the report of it here, or type its payments.</span
				>
				{#if mayAct}<a class="btn ml-auto py-0.5" href="/money-in/split?receipt={receipt.id}"
						>Split it <span class="key">P</span></a
					>{/if}
			</p>
		{/if}
		{#each desk.refundsBack as one, i (i)}
			<p class="note mb-3 flex items-center gap-3">
				<span
					><strong class="text-copper">A returned refund?</strong>
					{money(one.amount, allocating.currency)} was paid back to {one.customer} in {one.file} of {shortDay(
						one.date,
						allocating.today
					)}. On account, it is theirs again.</span
				>
				{#if mayAct && receipt && desk.customer?.id !== one.customerId}<a
						class="btn ml-auto py-0.5"
						data-proposed
						href="/money-in?receipt={receipt.id}&customer={one.customerId}">It is this</a
					>{/if}
			</p>
		{/each}
		{#each desk.advices as advice (advice.id)}
			<p class="note mb-3 flex items-center gap-3">
				<span
					>They announced {money(advice.total, advice.currency)} on {shortDay(advice.date, allocating.today)},
					for {count(advice.lines.length, 'document')}{receipt && advice.total === receipt.amount
						? ': just what came'
						: ''}.</span
				>
				{#if allocating.adviceId === advice.id}<span class="text-soft">It is allocated below.</span>
				{:else if mayAct}<button
						class="btn py-0.5"
						data-proposed
						onclick={() => allocating.takeAdvice(matchAdvice(advice.lines, desk.items), advice.id)}
						>Allocate it</button
					>{/if}
			</p>
		{/each}
		{#if allocating.warning}<p class="note mb-3" role="alert">{allocating.warning}</p>{/if}
		{#if cameIn}
			<Strip {allocating} />
			<OddPenny {allocating} {mayAct} />
			{#if answers > 1}
				<p class="mb-2 text-sm">
					Answer {other + 1} of {count(answers, 'answer')}{desk.answer!.otherAnswers >= answers
						? `, of ${desk.answer!.otherAnswers + 1} that fit`
						: ''}.
					<button class="btn ml-2 py-0.5" onclick={() => showOther(-1)}>Before</button>
					<button class="btn py-0.5" onclick={() => showOther(1)}>Next <span class="key">X</span></button>
				</p>
			{/if}
			{#if receipt && desk.customer && !desk.payerKnown && mayAct}
				<label class="mb-3 flex items-center gap-2 text-sm"
					><input type="checkbox" bind:checked={allocating.remember} /> Remember that {receipt.payerName ??
						'this payer'} pays for {desk.customer.name}</label
				>
			{/if}
			{#if allocating.rows.length || allocating.credits.length}<OnTheStrip
					{allocating}
					{activeId}
					{mayAct}
				/>{/if}
			{#if desk.customer && receipt}<KeptFees {allocating} {mayAct} />{/if}
			{#if desk.customer}<AlsoOpen
					bind:this={also}
					{allocating}
					{activeId}
					bind:filter
					bind:sets
					{mayAct}
				/>{/if}
		{:else if !desk.debit?.payments.length && !desk.debit?.shows.length && !desk.answer?.usual}
			<p class="note">
				This money went out. It cannot settle invoices; book it on a ledger account with <span class="key"
					>N</span
				>.
			</p>
		{/if}
	</div>

	<aside class="border-l border-rule px-4 pt-4 text-sm">
		{#if reasons.length}
			<h3 class="font-sans font-semibold text-soft">Why this answer</h3>
			<ul class="mt-1 mb-5 list-disc pl-4 marker:text-copper">
				{#each reasons as reason, i (i)}<li class="mb-1.5">{reason}</li>{/each}
			</ul>
		{/if}
		{#if desk.customer}
			<h3 class="font-sans font-semibold text-soft">How they pay</h3>
			<div class="mb-5">
				<Habit days={desk.habit} />
				{#if desk.habits}{#each lessonsOf(desk.habits) as lesson (lesson)}<p class="mt-1">
							{habitSentence(desk.habits, lesson)}
						</p>{/each}{/if}
			</div>
			{#if returnedMark(desk.returned, allocating.today)}<p class="note mb-5">
					{returnedMark(desk.returned, allocating.today)}
				</p>{/if}
			{#if desk.customer.notes}<h3 class="font-sans font-semibold text-soft">Notes</h3>
				<p>{desk.customer.notes}</p>{/if}
		{/if}
	</aside>
</div>
