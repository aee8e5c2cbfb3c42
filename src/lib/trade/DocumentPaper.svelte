<script lang="ts">
	import { enhance } from '$app/forms';
	import { toast } from 'svelte-sonner';
	import type { attachPaper, takeOffPaper } from '$lib/server/documents/commands/attach-paper';
	import type { AttachedPaper } from '$lib/server/documents/store/attached-paper';
	import { ActForm } from '$lib/trade/act-form.svelte';
	import Problems from '$lib/ui/Problems.svelte';
	import { moment } from '$lib/words';

	/** The paper of a document: one that was attached, or a place to drop one; without it, it is drawn from what is posted. */
	let { documentId, paper, mayAct }: { documentId: number; paper: AttachedPaper | null; mayAct: boolean } =
		$props();
	const attaching = new ActForm<typeof attachPaper>('/open-items?/attach', {
		done: () => void toast('Attached: copies of it are this from now on.')
	});
	const taking = new ActForm<typeof takeOffPaper>('/open-items?/take-off');
	let field = $state<HTMLInputElement>();
	let over = $state(false);
	function dropped(event: DragEvent) {
		over = false;
		if (!event.dataTransfer?.files.length || !field) return;
		// This place takes it: the page's own is for bank files and tables.
		event.preventDefault();
		event.stopPropagation();
		field.files = event.dataTransfer.files;
		field.form?.requestSubmit();
	}
</script>

{#if paper}
	<p class="mt-1 says">
		{paper.name}, attached by {paper.by} on {moment(paper.at)}.
		{#if mayAct}<button
				class="cursor-pointer underline"
				disabled={taking.busy}
				onclick={() => taking.send({ actId: paper.actId })}>Take it off</button
			>{/if}
	</p>
{:else if mayAct}
	<form
		method="POST"
		action="/open-items?/attach"
		enctype="multipart/form-data"
		class={['my-2 border border-dashed px-3 py-2 text-sm', over ? 'border-copper' : 'border-rule']}
		aria-label="Its paper"
		use:enhance={attaching.submit()}
		ondragover={(event) => {
			if (!event.dataTransfer?.types.includes('Files')) return;
			event.preventDefault();
			over = true;
		}}
		ondragleave={() => (over = false)}
		ondrop={dropped}
	>
		<input type="hidden" name="documentId" value={documentId} />
		<label class="text-soft"
			>Drawn from what is posted. Drop its PDF here, or <span class="cursor-pointer underline">choose it</span
			><input
				bind:this={field}
				type="file"
				name="files"
				accept="application/pdf,.pdf"
				class="sr-only"
				disabled={attaching.busy}
				onchange={() => field?.form?.requestSubmit()}
			/></label
		>
	</form>
{/if}
<Problems problems={[...attaching.problems, ...taking.problems]} />
