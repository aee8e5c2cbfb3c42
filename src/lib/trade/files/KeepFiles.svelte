<script lang="ts">
	import { enhance } from '$app/forms';
	import type { SubmitFunction } from '@sveltejs/kit';
	import { putIntoField } from './take-files.svelte';

	/** A place to drop files that are kept with something, or to choose them; they are sent at once. */
	let {
		form,
		name,
		id,
		label,
		action = '?/file'
	}: {
		form: { readonly busy: boolean; submit: () => SubmitFunction };
		/** Of the field that says with what they are kept. */
		name: string;
		id: number;
		label: string;
		action?: string;
	} = $props();
	let dropping = $state(false);
	let field: HTMLInputElement;
	let element: HTMLFormElement;

	/** Keeps files that were taken elsewhere on the page. */
	export function take(files: readonly File[]): void {
		putIntoField(field, files);
		element.requestSubmit();
	}
</script>

<form
	method="POST"
	{action}
	enctype="multipart/form-data"
	bind:this={element}
	class={['mt-4 rounded border border-dashed border-rule p-4 text-sm', dropping && 'bg-wash']}
	ondragover={(event) => (event.preventDefault(), (dropping = true))}
	ondragleave={() => (dropping = false)}
	ondrop={(event) => {
		event.preventDefault();
		dropping = false;
		if (!event.dataTransfer?.files.length) return;
		field.files = event.dataTransfer.files;
		element.requestSubmit();
	}}
	use:enhance={form.submit()}
>
	<input type="hidden" {name} value={id} />
	<label class="flex flex-wrap items-center gap-3"
		>{label}
		<input
			type="file"
			name="files"
			multiple
			bind:this={field}
			disabled={form.busy}
			onchange={() => element.requestSubmit()}
		/></label
	>
</form>
