<script lang="ts">
	import type { answerApproval } from '$lib/server/allocation/commands/answer-approval';
	import { approvalSentence, DIFFERENCE_NAMES, count, list, moment, money } from '$lib/words';
	import { toast } from 'svelte-sonner';
	import { ActForm } from '$lib/trade/act-form.svelte';
	import type { LimitedKind } from '$lib/core/4-allocation/over-limits';
	import FieldError from '$lib/ui/FieldError.svelte';
	import Problems from '$lib/ui/Problems.svelte';
	let { data } = $props();
	type Answer = 'agree' | 'refuse' | 'withdraw';
	const STATES = { waiting: 'waits', agreed: 'agreed', refused: 'not agreed', withdrawn: 'asked no longer' };
	const TOLD: Record<Answer, string> = {
		agree: 'Agreed, and posted in your name.',
		refuse: 'Not agreed. Nothing was posted.',
		withdraw: 'Withdrawn. Nothing was posted.'
	};
	let why = $state<Record<number, string>>({});
	/** The one that was answered last: what is wrong stands at its field. */
	let answering = $state<number | null>(null);
	const form = new ActForm<typeof answerApproval>('?/answer', {
		otherwise: 'That did not work. Nothing was posted.'
	});
	type Over = (typeof data.waiting)[number]['over'][number];
	function beyond({ kind, amount, most }: Over): string {
		const name = kind === 'refund' ? 'refund' : DIFFERENCE_NAMES[kind as Exclude<LimitedKind, 'refund'>];
		return `${money(amount, data.base)} as ${name.toLowerCase()}, ${money(most, data.base)} is the limit`;
	}
	async function answer(asked: number, given: Answer) {
		answering = asked;
		if (await form.send({ asked, answer: given, why: why[asked] ?? '' })) toast(TOLD[given]);
	}
</script>

<svelte:head><title>Waiting for a supervisor · Odd Penny</title></svelte:head>

<div class="px-8 pt-5 pb-10">
	<p class="text-sm"><a class="inline-block py-0.5" href="/odd-pennies">Odd pennies</a></p>
	<h1>
		{data.waiting.length
			? `${count(data.waiting.length, 'posting waits', 'postings wait')} for a supervisor.`
			: 'Nothing waits for a supervisor.'}
	</h1>
	<p class="mt-1 mb-3 max-w-[70ch] says">
		What is above somebody’s limit is not posted until a supervisor agrees. It is then posted as it was asked
		for, in the supervisor’s name; if the account changed meanwhile, it is refused and has to be asked anew.
	</p>
	<Problems problems={form.problems} />
	{#each data.waiting as one (one.asked)}
		<article class="mb-4 max-w-[860px] border-t border-rule pt-3" aria-label="Asked by {one.by}">
			<p class="text-lg">
				{one.by} asks to {approvalSentence(one.about)}{#if one.code}, <a
						class="underline"
						href="/customers/{one.code}"
						>{one.about.code === 'allocate' ? `account ${one.code}` : one.customer}</a
					>{/if}.
			</p>
			{#if one.lines.length}
				<ul class="mt-1 grid gap-0.5 text-sm">
					{#each one.lines as line, i (i)}
						<li>
							{line.number}: {money(line.cash, line.currency)}{line.differences.length
								? `, ${list(line.differences.map((gap) => `${money(gap.amount, line.currency)} ${DIFFERENCE_NAMES[gap.kind].toLowerCase()}`))}`
								: ''}
						</li>
					{/each}
				</ul>
			{/if}
			<p class="text-sm text-soft">
				{moment(one.at)}. {list(one.over.map(beyond))}.
				<a class="underline" href="/books/record?before={one.asked + 1}">The record</a>
			</p>
			{#if data.mayAnswer}
				<p class="mt-2 flex items-center gap-2">
					<button class="btn btn-main" disabled={form.busy} onclick={() => answer(one.asked, 'agree')}
						>Agree and post</button
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
					<button class="btn" disabled={form.busy} onclick={() => answer(one.asked, 'refuse')}
						>Do not agree</button
					>
				</p>
			{:else if one.mine}
				<p class="mt-2">
					<button class="btn" disabled={form.busy} onclick={() => answer(one.asked, 'withdraw')}
						>Ask no longer</button
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
			<tbody>
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
