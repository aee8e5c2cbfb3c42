<script lang="ts">
	import { bringFiles, putIntoField, takeFiles } from '$lib/trade/files/take-files.svelte';
	import { enhance } from '$app/forms';
	import type { ActionResult } from '@sveltejs/kit';
	import { invalidateAll } from '$app/navigation';
	import { tick } from 'svelte';
	import type { DoubtAnswer, EntryDoubt } from '$lib/core/model/entry-doubt';
	import DoubtfulEntries from '$lib/trade/DoubtfulEntries.svelte';
	import Problems from '$lib/ui/Problems.svelte';

	/** Ways in for a bank file: the button's file dialog, or a drop anywhere on the page. */
	let { mayAct }: { mayAct: boolean } = $props();
	let form: HTMLFormElement;
	let input: HTMLInputElement;
	let reading = $state('');
	interface Told {
		readonly name: string;
		readonly ok: boolean;
		readonly doubted?: boolean;
		readonly lines: readonly string[];
		readonly doubts?: readonly EntryDoubt[];
	}
	let told = $state.raw<readonly Told[]>([]);
	/** The files that were sent, to be sent again with what was asked of them. */
	let sent: readonly File[] = [];
	let answers = $state.raw<readonly DoubtAnswer[]>([]);
	const doubts = $derived(told.flatMap((one) => one.doubts ?? []));

	function choose() {
		const files = [...(input.files ?? [])];
		input.value = '';
		void bringFiles(files);
	}

	async function send(files: readonly File[]) {
		if (!mayAct) return;
		sent = files;
		await tick();
		putIntoField(input, files);
		form.requestSubmit();
	}

	function problemsOf(result: ActionResult): string[] {
		const problems = result.type === 'failure' ? (result.data?.problems as string[] | undefined) : undefined;
		return problems ?? ['It could not be sent. Try again.'];
	}

	takeFiles({
		// XML of another kind is looked at by the reader of statements, which says what it is.
		kinds: ['bank-file', 'other-xml', 'archive'],
		take: (files) => {
			answers = [];
			void send(files);
		}
	});
</script>

<form
	bind:this={form}
	method="POST"
	action="/money-in/bring-in"
	enctype="multipart/form-data"
	class="mt-2"
	use:enhance={() => {
		reading = `Reading ${input.files?.length === 1 ? input.files[0]!.name : `${input.files?.length} files`} …`;
		return async ({ result }) => {
			reading = '';
			input.value = '';
			told =
				result.type === 'success'
					? ((result.data?.told as typeof told) ?? [])
					: [{ name: 'The file', ok: false, lines: problemsOf(result) }];
			await invalidateAll();
		};
	}}
>
	<input type="hidden" name="doubtAnswers" value={JSON.stringify(answers)} />
	<input
		bind:this={input}
		type="file"
		name="files"
		multiple
		class="sr-only"
		tabindex="-1"
		aria-label="Bank files"
		onchange={choose}
		disabled={!mayAct}
	/>
	<button type="button" class="btn" disabled={!mayAct || Boolean(reading)} onclick={() => input.click()}
		>{reading || 'Bring in a bank file'}</button
	>
</form>
<div aria-live="polite">
	{#each told as one, i (i)}
		{#if one.ok}<p class={['mt-2 text-sm', one.doubted ? 'text-copper' : 'text-patina']}>
				{one.lines.join(' ')}
			</p>
		{:else if !one.doubts?.length}<div class="mt-2 text-sm">
				<p class="font-semibold">{one.name} was not taken</p>
				<Problems problems={one.lines} />
			</div>{/if}
	{/each}
	{#if doubts.length}
		{#key doubts}<DoubtfulEntries
				{doubts}
				busy={Boolean(reading)}
				say={(said) => {
					answers = [...answers, ...said];
					void send(sent);
				}}
			/>{/key}
	{/if}
</div>
