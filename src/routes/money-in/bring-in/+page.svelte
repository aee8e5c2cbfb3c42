<script lang="ts">
	import { bringFiles } from '$lib/trade/files/take-files.svelte';

	let { form } = $props();
	let field = $state<HTMLInputElement>()!;
	function choose() {
		const files = [...(field.files ?? [])];
		field.value = '';
		void bringFiles(files);
	}
</script>

<svelte:head><title>Bring in a bank file · Odd Penny</title></svelte:head>

<div class="max-w-[700px] px-8 pt-5 pb-10">
	<h1>Bring in a bank file</h1>
	<p class="mt-1 says">
		A statement as the bank gives it: camt.053, MT940, BAI2 or OFX. What it is is told from its content, and
		each comes in whole or not at all; one that is there already adds nothing. A bank’s own table is read,
		too, after a look at its columns. Files can be dropped on any page.
	</p>
	<label class="mt-4 grid gap-1"
		>Bank files
		<input type="file" name="files" multiple bind:this={field} onchange={choose} /></label
	>
	{#each form?.told ?? [] as one (one.name)}<p class="mt-3">{one.name}: {one.lines.join(' ')}</p>{/each}
	<p class="mt-4 text-sm">
		Rows copied from a spreadsheet are pasted as a <a class="underline" href="/money-in/bank-table"
			>bank table</a
		>. A folder can be <a class="underline" href="/money-in/bank-files">watched</a>, so that nobody has to
		bring them.
	</p>
</div>
