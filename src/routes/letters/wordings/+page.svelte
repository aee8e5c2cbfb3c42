<script lang="ts">
	import { isBuiltIn } from '$lib/core/7-letters/wording/wording';
	import { languageName, LETTER_NAMES, WORDING_NAMES } from '$lib/words';
	import LetterTabs from '../LetterTabs.svelte';
	let { data } = $props();
	/** Kinds of which several wordings are of use: one is chosen for a step, a run, or a letter by hand. */
	const NEW_FOR = {
		reminder: 'reminders',
		statement: 'statements',
		copies: 'copies',
		thanks: 'thanks'
	} as const;
	const nameOf = ({ key, name }: (typeof data.wordings)[number]) =>
		name ?? (isBuiltIn(key) ? WORDING_NAMES[key] : key);
</script>

<svelte:head><title>Wording · Odd Penny</title></svelte:head>

<section class="max-w-[900px] px-8 pt-5 pb-8">
	<LetterTabs here="wordings" />
	<h1 class="mt-3">What letters say</h1>
	<p class="mt-1 says">
		Each letter has words in the languages of your customers. Those that came with Odd Penny hold until you
		write your own; letters that went keep what they said.
	</p>
	<table class="mt-3">
		<thead
			><tr
				><th>Wording</th><th>For</th>{#each data.wordings[0]?.languages ?? [] as { language } (language)}<th
						>{languageName(language)}</th
					>{/each}</tr
			></thead
		>
		<tbody>
			{#each data.wordings as row (row.key)}
				<tr>
					<td>{nameOf(row)}</td>
					<td class="text-soft">{LETTER_NAMES[row.kind].toLowerCase()}</td>
					{#each row.languages as { language, isOwn, hasWords } (language)}
						<td
							><a
								class="underline"
								href="/letters/wordings/{row.key}?language={language}"
								aria-label="{nameOf(row)} in {languageName(language)}"
								>{isOwn ? 'your own' : hasWords ? 'as it came' : 'none yet'}</a
							></td
						>
					{/each}
				</tr>
			{/each}
		</tbody>
	</table>
	{#if data.maySet}
		<p class="mt-3 flex flex-wrap gap-2">
			{#each ['reminder', 'statement', 'copies', 'thanks'] as const as kind (kind)}<a
					class="btn"
					href="/letters/wordings/new?kind={kind}">New wording for {NEW_FOR[kind]} …</a
				>{/each}
		</p>
	{/if}
</section>
