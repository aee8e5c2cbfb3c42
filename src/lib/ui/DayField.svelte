<script lang="ts">
	import { parseTypedDay } from '$lib/core/day/parse-typed-day';
	import type { Day } from '$lib/core/day/day';
	import { shortDay } from '$lib/words';
	import { untrack } from 'svelte';

	/** A day as a clerk types it; the form gets it as `YYYY-MM-DD`, and nothing while it cannot be read or nothing is typed. */
	let {
		name,
		label,
		value,
		near,
		changed
	}: {
		name: string;
		label: string;
		/** The day that stands there; empty for none. */
		value: string;
		near: Day;
		/** Once it is typed and can be read. */
		changed: (event: Event & { currentTarget: HTMLInputElement }) => void;
	} = $props();
	const id = $props.id();
	let typed = $state(untrack(() => (value ? shortDay(value) : '')));
	const read = $derived(typed.trim() === '' ? '' : parseTypedDay(typed, near));
</script>

<div class="grid gap-0.5">
	<label class="grid gap-0.5"
		><span class="text-soft">{label}</span><input
			type="text"
			class="w-28 py-0.5"
			bind:value={typed}
			aria-invalid={read === null ? 'true' : undefined}
			aria-describedby={read === null ? id : undefined}
			onchange={(event) => read !== null && changed(event)}
		/></label
	>
	<input type="hidden" {name} value={read ?? ''} />
	{#if read === null}<span {id} class="text-xs text-oxblood" role="alert">“{typed}” is not a date.</span>{/if}
</div>
