<script lang="ts">
	import type { forgetHabit as forgetHabitAct } from '$lib/server/matching/commands/forget-habit';
	import type { forgetPayer as forgetPayerAct } from '$lib/server/matching/commands/forget-payer';
	import { toast } from 'svelte-sonner';
	import type { Habits, Lesson, PayerLesson } from '$lib/core/3-matching';
	import { habitSentence, LESSON_NAMES, payerSentence } from '$lib/words';
	import { ActForm } from '$lib/trade/act-form.svelte';
	/** What matching knows of a customer: what was given, and what allocations have taught; each of it can be forgotten. */
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
	const otherwise = 'That did not work. Nothing was forgotten.';
	const payerForm = new ActForm<typeof forgetPayerAct>('?/forget', { otherwise });
	const habitForm = new ActForm<typeof forgetHabitAct>('?/forget-habit', { otherwise });
	const problems = $derived([...payerForm.problems, ...habitForm.problems]);
	async function forgetPayer(kind: 'name' | 'account' | 'words', text: string) {
		if (await payerForm.send({ customerId, kind, text }))
			toast(`Forgotten: ${text} is no longer recognised.`);
	}
	async function forgetHabit(lesson: Lesson) {
		if (await habitForm.send({ customerId, lesson })) toast(`Forgotten: ${LESSON_NAMES[lesson]}.`);
	}
	const payers = $derived([
		...known.otherNames.map((text) => ({ kind: 'name' as const, text, says: `Also called ${text}` })),
		...known.payerAccounts.map((text) => ({ kind: 'account' as const, text, says: `Pays from ${text}` })),
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
