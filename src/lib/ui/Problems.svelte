<script lang="ts">
	/** What went wrong, each in a sentence. */
	let { problems }: { problems: readonly string[] | undefined } = $props();
</script>

{#if problems?.length}
	<div role="alert" class="note text-oxblood">
		{#if problems.length === 1}{problems[0]}{:else}
			<ul class="list-disc pl-4">
				{#each problems as problem, i (i)}<li>{problem}</li>{/each}
			</ul>
		{/if}
	</div>
{/if}
