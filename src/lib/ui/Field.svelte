<script lang="ts">
	import { untrack, type Snippet } from 'svelte';

	/** A labelled field with what is wrong in it below: the same words for eyes and for screen readers. */
	let {
		form,
		name,
		label,
		class: classes = '',
		input
	}: {
		/** Knows the errors of its fields. */
		form: {
			error(name: string): string | undefined;
			errorId(name: string): string;
			showsAt(name: string): void;
		};
		name: string;
		label: string;
		class?: string;
		/** The field itself, with the attributes that tie it to its label and its error. */
		input: Snippet<
			[{ name: string; 'aria-invalid': true | undefined; 'aria-describedby': string | undefined }]
		>;
	} = $props();
	untrack(() => form.showsAt(name));
	const error = $derived(form.error(name));
	const attributes = $derived({
		name,
		'aria-invalid': error ? (true as const) : undefined,
		'aria-describedby': error ? form.errorId(name) : undefined
	});
</script>

<div class={['grid gap-1', classes]}>
	<label class="grid gap-1">{label}{@render input(attributes)}</label>
	{#if error}<p id={form.errorId(name)} role="alert" class="text-sm text-oxblood">{error}</p>{/if}
</div>
