<script lang="ts">
	import { rowCursor } from '$lib/ui/row-cursor';
	import type { answerApproval } from '$lib/server/approvals/commands/answer-approval';
	import {
		approvalSentence,
		beyondSentence,
		amount,
		count,
		itemLineSentence,
		list,
		moment
	} from '$lib/words';
	import { toast } from 'svelte-sonner';
	import { ActForm } from '$lib/trade/act-form.svelte';
	import FieldError from '$lib/ui/FieldError.svelte';
	import Problems from '$lib/ui/Problems.svelte';
	let { data } = $props();
	type Answer = 'agree' | 'refuse' | 'withdraw';
	const STATES = { waiting: 'waits', agreed: 'approved', refused: 'rejected', withdrawn: 'withdrawn' };
	const TOLD: Record<Answer, string> = {
		agree: 'Approved, and done in your name.',
		refuse: 'Rejected. Nothing was done.',
		withdraw: 'Withdrawn. Nothing was done.'
	};
	let why = $state<Record<number, string>>({});
	/** The one that was answered last: what is wrong stands at its field. */
	let answering = $state<number | null>(null);
	const form = new ActForm<typeof answerApproval>('?/answer', {
		otherwise: 'That did not work. Nothing was done.'
	});
	async function answer(asked: number, given: Answer) {
		answering = asked;
		if (await form.send({ asked, answer: given, why: why[asked] ?? '' })) toast(TOLD[given]);
	}
</script>

<svelte:head><title>Approvals · Odd Penny</title></svelte:head>

<div class="px-8 pt-5 pb-10">
	<p class="flex items-baseline justify-between text-sm">
		<a class="inline-block py-0.5" href="/books">Books</a>
		<a class="btn" href="/books/reductions">Reductions by person</a>
	</p>
	<h1>
		{data.waiting.length
			? `${count(data.waiting.length, 'request waits', 'requests wait')} for a supervisor.`
			: 'Nothing waits for a supervisor.'}
	</h1>
	<p class="mt-1 mb-3 max-w-[70ch] says">
		What is above somebody’s limits, and what decides who may do what or where money goes, is not done until
		another supervisor approves it. It is then done as it was asked for, in their name; if the books changed
		meanwhile, it is refused and has to be asked for again.
	</p>
	<Problems problems={form.problems} />
	{#each data.waiting as one (one.asked)}
		<article class="mb-4 max-w-[860px] border-t border-rule pt-3" aria-label="Asked by {one.by}">
			<p class="text-lg">
				{one.by} asks to {approvalSentence(one.about, Infinity)}{#if one.code}, <a
						class="underline"
						href="/customers/{one.code}"
						>{one.about.code === 'allocate' ? `account ${one.code}` : one.customer}</a
					>{/if}.
			</p>
			{#if one.items.length}
				<ul class="mt-1 text-sm" aria-label="What it settles">
					{#each one.items as line, i (i)}
						<li>
							{itemLineSentence(line)}
							<span class="text-soft">{line.customer}</span>
						</li>
					{/each}
				</ul>
			{/if}
			{#if one.shows?.length}
				<details class="mt-1" open={one.shows.length <= 12}>
					<summary class="cursor-pointer text-sm text-soft"
						>Approving posts {count(one.shows.length, 'journal line')}, in your name</summary
					>
					<table class="mt-1 text-sm">
						<thead
							><tr><th>Account</th><th>Customer</th><th class="num">Debit</th><th class="num">Credit</th></tr
							></thead
						>
						<tbody {@attach rowCursor}>
							{#each one.shows as line, i (i)}
								<tr>
									<td><span class="text-soft">{line.account}</span> {line.name ?? ''}</td>
									<td>{line.customer ?? ''}</td>
									<td class="num">{line.amount > 0 ? amount(line.amount, line.currency) : ''}</td>
									<td class="num">{line.amount < 0 ? amount(-line.amount, line.currency) : ''}</td>
								</tr>
							{/each}
						</tbody>
					</table>
				</details>
			{:else}
				<p class="mt-1 text-sm text-soft">
					{one.shows
						? 'Approving it posts nothing on any account.'
						: 'Asked before this version: the record shows what.'}
				</p>
			{/if}
			<p class="text-sm text-soft">
				{moment(one.at)}.{one.over.length
					? ` ${list(one.over.map((over) => beyondSentence(over, data.base)))}.`
					: ' It takes two people.'}
				<a class="underline" href="/books/record?before={one.asked + 1}">The record</a>
			</p>
			{#if data.mayAnswer && !one.mine}
				<p class="mt-2 flex items-center gap-2">
					<button class="btn btn-main" disabled={form.busy} onclick={() => answer(one.asked, 'agree')}
						>{one.shows?.length ? 'Approve and post' : 'Approve'}</button
					>
					<input
						type="text"
						class="w-80"
						aria-label="Why, or why not"
						placeholder="why, or why not"
						bind:value={why[one.asked]}
						{...answering === one.asked ? form.at('why') : {}}
					/>
					{#if answering === one.asked}<FieldError {form} name="why" />{/if}
					<button class="btn" disabled={form.busy} onclick={() => answer(one.asked, 'refuse')}>Reject</button>
				</p>
			{:else if one.mine}
				<p class="mt-2">
					<button class="btn" disabled={form.busy} onclick={() => answer(one.asked, 'withdraw')}
						>Withdraw</button
					>
				</p>
			{/if}
		</article>
	{/each}
	{#if data.answered.length}
		<h2 class="mt-6 font-sans text-sm font-semibold text-soft">Answered before</h2>
		<table class="mt-1 max-w-[1000px]">
			<thead
				><tr><th>Asked by</th><th>To</th><th>Customer</th><th>Answer</th><th>By</th><th>Why</th></tr></thead
			>
			<tbody {@attach rowCursor}>
				{#each data.answered as one (one.asked)}
					<tr>
						<td class="whitespace-nowrap">{one.by}, {moment(one.at)}</td>
						<td>{approvalSentence(one.about)}</td>
						<td
							>{#if one.code}<a class="block py-0.5" href="/customers/{one.code}">{one.customer}</a>{/if}</td
						>
						<td>{STATES[one.state]}</td>
						<td class="whitespace-nowrap">{one.answeredBy}, {one.answeredAt ? moment(one.answeredAt) : ''}</td
						>
						<td>{one.why}</td>
					</tr>
				{/each}
			</tbody>
		</table>
	{/if}
</div>
