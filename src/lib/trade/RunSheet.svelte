<script lang="ts" generics="Step extends RunSheetStep">
	import type { Snippet } from 'svelte';
	import { goto } from '$app/navigation';
	import { rowCursor } from '$lib/ui/row-cursor';
	import { screenKeys } from '$lib/ui/screen-keys.svelte';
	import type { RunSheetStep } from './run-sheet';

	/** Steps to be taken in their order: how each stands, and where it is done. `G` goes on with the first that is not done. */
	let {
		steps,
		beside
	}: {
		steps: readonly Step[];
		/** What else can be done with a step, before its own link. */
		beside?: Snippet<[Step]>;
	} = $props();
	const first = $derived(steps.findIndex((step) => !step.done && !step.leftOut));
	screenKeys(() => {
		const step = steps[first];
		return step
			? [
					{
						keys: ['g'],
						what: `go on with what waits first: ${step.name.toLowerCase()}`,
						run: () => goto(step.href)
					}
				]
			: [];
	});
</script>

<ol class="mt-5" {@attach rowCursor}>
	{#each steps as step, i (step.name)}
		<li class={['-mx-8 flex items-center gap-4 border-t border-rule px-8 py-3', i === first && 'bg-raised']}>
			<span
				class={[
					'grid h-6 w-6 shrink-0 place-items-center rounded-full border text-xs font-semibold',
					step.done
						? 'border-patina bg-patina text-paper'
						: i === first
							? 'border-2 border-copper text-copper'
							: 'border-soft text-soft'
				]}
			>
				{#if step.done}<svg width="11" height="9" viewBox="0 0 11 9" role="img" aria-label="done"
						><path d="M1 4.5 4 7.5 10 1" fill="none" stroke="currentColor" stroke-width="1.8" /></svg
					>{:else}{i + 1}{/if}
			</span>
			<span class="min-w-0">
				<span class="block font-serif text-lg font-semibold">{step.name}</span>
				<span class={['text-sm', step.warn ? 'text-copper' : 'text-soft']}>{step.says}</span>
			</span>
			<span class="ml-auto flex shrink-0 gap-2"
				>{@render beside?.(step)}<a href={step.href} class={['btn', i === first && 'btn-main']}
					>{step.does}{#if i === first}
						<span class="key">G</span>{/if}</a
				></span
			>
		</li>
	{/each}
</ol>
