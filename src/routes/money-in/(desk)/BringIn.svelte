<script lang="ts">
	import FileDrop from '$lib/ui/FileDrop.svelte';
	import { enhance } from '$app/forms';
	import type { ActionResult } from '@sveltejs/kit';
	import { invalidateAll } from '$app/navigation';
	import Problems from '$lib/ui/Problems.svelte';

	/** Ways in for a bank file: the button's file dialog, or a drop anywhere on the page. */
	let { mayAct }: { mayAct: boolean } = $props();
	let form: HTMLFormElement;
	let input: HTMLInputElement;
	let over = $state(false);
	let reading = $state('');
	let told = $state<readonly { name: string; ok: boolean; doubted?: boolean; lines: readonly string[] }[]>(
		[]
	);

	function problemsOf(result: ActionResult): string[] {
		const problems = result.type === 'failure' ? (result.data?.problems as string[] | undefined) : undefined;
		return problems ?? ['It could not be sent. Try again.'];
	}

	function take(files: FileList | null | undefined) {
		if (!files?.length || !mayAct) return;
		input.files = files;
		form.requestSubmit();
	}
</script>

<FileDrop bind:over ondrop={take} />

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
	<input
		bind:this={input}
		type="file"
		name="files"
		multiple
		accept=".xml,text/xml,application/xml"
		class="sr-only"
		tabindex="-1"
		aria-label="Bank files"
		onchange={() => form.requestSubmit()}
		disabled={!mayAct}
	/>
	<button type="button" class="btn" disabled={!mayAct || Boolean(reading)} onclick={() => input.click()}
		>{reading || 'Bring in a bank file'}</button
	>
</form>
<div aria-live="polite">
	{#each told as one (one.name)}
		{#if one.ok}<p class={['mt-2 text-sm', one.doubted ? 'text-copper' : 'text-patina']}>
				{one.lines.join(' ')}
			</p>
		{:else}<div class="mt-2 text-sm">
				<p class="font-semibold">{one.name} was not taken</p>
				<Problems problems={one.lines} />
			</div>{/if}
	{/each}
</div>
{#if over}
	<div
		class="pointer-events-none fixed inset-3 z-50 grid place-items-center border-2 border-dashed border-copper bg-wash/90"
	>
		<p class="font-serif text-2xl">
			{mayAct ? 'Let go to bring the file in' : 'Bringing files in takes a clerk'}
		</p>
	</div>
{/if}
