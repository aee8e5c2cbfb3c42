<script lang="ts">
	import type { RefusedFile } from '$lib/server/services/threads/sift-rows';
	import type { Problem } from '$lib/core/problems';
	import { count, problemSentence, whole } from '$lib/words';
	/** So many faults are told here; the file has them all. */
	const TOLD = 8;
	let {
		refused,
		faults,
		files,
		canBeLeftOut,
		leavesOut = $bindable()
	}: {
		/** How many rows cannot be taken. */
		refused: number;
		/** The first of what is wrong with them. */
		faults: readonly Problem[];
		files: readonly RefusedFile[];
		/** Whether anything is left to be brought in without them. */
		canBeLeftOut: boolean;
		leavesOut: boolean;
	} = $props();
	/** With its mark (U+FEFF), so that spreadsheets know the letters. */
	function save({ name, text }: RefusedFile) {
		const url = URL.createObjectURL(new Blob(['\ufeff', text, '\r\n'], { type: 'text/csv' }));
		const link = document.createElement('a');
		[link.href, link.download] = [url, name];
		link.click();
		URL.revokeObjectURL(url);
	}
</script>

<!-- Rows that cannot be taken as they are: a file of them to be mended, and whether the others come in without them. -->
<div class="note mt-2 grid gap-2">
	<p class="text-oxblood">
		{count(refused, 'row')} cannot be taken as {refused === 1 ? 'it is' : 'they are'}. Mend {refused === 1
			? 'it'
			: 'them'} in a file of {refused === 1 ? 'its' : 'their'} own, and bring that in; what is posted is never changed
		by a table.
	</p>
	<ul class="list-disc pl-5 text-oxblood">
		{#each faults.slice(0, TOLD) as fault, i (i)}<li>{problemSentence(fault)}</li>{/each}
	</ul>
	{#if faults.length > TOLD}<p class="says">The file says of each row why it was not taken.</p>{/if}
	<div class="flex flex-wrap gap-2">
		{#each files as file (file.name)}<button type="button" class="btn" onclick={() => save(file)}
				>Save {file.name}{file.of > file.rows ? `, the first ${whole(file.rows)}` : ''}</button
			>{/each}
	</div>
	{#if canBeLeftOut}<label class="flex items-center gap-2"
			><input type="checkbox" bind:checked={leavesOut} /> Bring in the others without {refused === 1
				? 'it'
				: 'them'}</label
		>{/if}
</div>
