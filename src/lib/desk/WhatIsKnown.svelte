<script lang="ts">
	import { invalidateAll } from '$app/navigation';
	import { toast } from 'svelte-sonner';
	import type { Habits, Lesson } from '$lib/core/3-matching/habits';
	import type { PayerLesson } from '$lib/core/3-matching/payer-lessons';
	import { habitSentence, LESSON_NAMES } from '$lib/words/habit-sentence';
	import { payerSentence } from '$lib/words/payer-sentence';
	import { postAction } from './post-action';
	/** What matching knows of a customer: what was given, and what placings have taught; each of it can be forgotten. */
	let {
		customerId,
		known,
		mayForget
	}: {
		customerId: number;
		known: {
			readonly otherNames: readonly string[];
			readonly payerAccounts: readonly string[];
			readonly learned: readonly PayerLesson[];
			readonly habits: Habits | null;
			readonly lessons: readonly Lesson[];
		};
		mayForget: boolean;
	} = $props();
	let problems = $state<readonly string[]>([]);
	async function send(action: string, json: object, done: string) {
		const result = await postAction(
			action,
			{ json: { customerId, ...json }, key: '' },
			'That did not work. Nothing was forgotten.'
		);
		problems = result.ok ? [] : result.problems;
		if (!result.ok) return;
		toast(done);
		await invalidateAll();
	}
	const forgetPayer = (kind: string, text: string) =>
		send('?/forget', { kind, text }, `Forgotten: ${text} is nobody known any more.`);
	const forgetHabit = (lesson: Lesson) =>
		send('?/forget-habit', { lesson }, `Forgotten: ${LESSON_NAMES[lesson]}.`);
	const payers = $derived([
		...known.otherNames.map((text) => ({ kind: 'name', text, says: `Also called ${text}` })),
		...known.payerAccounts.map((text) => ({ kind: 'account', text, says: `Pays from ${text}` })),
		...known.learned.map((one) => ({ kind: one.trait, text: one.key, says: payerSentence(one) }))
	]);
</script>

{#snippet line(says: string, label: string, forget: () => void)}
	<li class="group flex items-baseline gap-2 py-0.5">
		<span class="min-w-0 wrap-anywhere">{says}</span>
		{#if mayForget}<button
				class="ml-auto cursor-pointer py-0.5 text-copper opacity-0 group-hover:opacity-100 hover:underline focus-visible:opacity-100"
				aria-label={label}
				onclick={forget}>forget</button
			>{/if}
	</li>
{/snippet}

{#if payers.length}
	<h2 class="mt-5 font-sans font-semibold text-soft">What matching knows of them</h2>
	<ul>
		{#each payers as one (one.kind + one.text)}
			{@render line(one.says, `Forget ${one.text}`, () => forgetPayer(one.kind, one.text))}
		{/each}
	</ul>
{/if}
{#if known.habits && known.lessons.length}
	<h2 class="mt-5 font-sans font-semibold text-soft">How they pay, as far as it was learned</h2>
	<ul>
		{#each known.lessons as lesson (lesson)}
			{@render line(habitSentence(known.habits, lesson), `Forget that they pay ${LESSON_NAMES[lesson]}`, () =>
				forgetHabit(lesson)
			)}
		{/each}
	</ul>
{/if}
{#each problems as problem (problem)}<p role="alert" class="note mt-2 text-oxblood">{problem}</p>{/each}
