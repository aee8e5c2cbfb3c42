<script lang="ts">
	import type { Snippet } from 'svelte';
	import type { FieldAttributes, FieldFaults } from './field-faults';
	import FieldError from './FieldError.svelte';

	/** A labelled field with what is wrong in it below: the same words for eyes and for screen readers. */
	let {
		form,
		name,
		label,
		class: classes = '',
		input
	}: {
		form: FieldFaults;
		name: string;
		label: string;
		class?: string;
		/** The field itself, with the attributes that tie it to its label and its error. */
		input: Snippet<[FieldAttributes & { readonly name: string }]>;
	} = $props();
	const attributes = $derived({ name, ...form.at(name) });
</script>

<div class={['grid content-start gap-1', classes]}>
	<label class="grid gap-1">{label}{@render input(attributes)}</label>
	<FieldError {form} {name} />
</div>
