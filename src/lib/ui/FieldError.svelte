<script lang="ts">
	import type { FieldFaults } from './field-faults';

	/** What is wrong in a field, below it: the field itself names it by `form.at(name)`. */
	let { form, name }: { form: FieldFaults; name: string } = $props();
	const error = $derived(form.error(name));
</script>

{#if error}<p id={form.errorId(name)} role="alert" class="text-sm text-oxblood">{error}</p>{/if}
