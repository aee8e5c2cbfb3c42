<script lang="ts">
	import { enhance } from '$app/forms';
	import { toast } from 'svelte-sonner';
	import { ageBuckets, ageEndsFault, readAgeEnds } from '$lib/core/6-reports/age-buckets';
	import type { setAgeing } from '$lib/server/firm/commands/set-ageing';
	import { ActForm } from '$lib/trade/act-form.svelte';
	import Field from '$lib/ui/Field.svelte';
	import Problems from '$lib/ui/Problems.svelte';
	import { ageEndsSentence, bucketName } from '$lib/words';

	/** How what is owed is told apart by its age. */
	const { ends }: { ends: readonly number[] } = $props();
	const form = new ActForm<typeof setAgeing>('?/ageing', {
		done: () => void toast('Kept: screens, reports and letters are aged so.')
	});
	let typed = $derived(ends.join(', '));
	const read = $derived(readAgeEnds(typed));
	const fault = $derived(read === null ? 'not-days' : ageEndsFault(read));
</script>

<h2 id="ageing" class="mt-8 text-xl">Ageing</h2>
<p class="mt-1 says">
	How many days after the due day each bucket ends, on screens, in reports and in letters.
</p>
<Problems problems={form.problems} />
<form
	method="POST"
	action="?/ageing"
	use:enhance={form.submit(() => ({ ends: read ?? [] }))}
	class="mt-2 grid w-96 gap-2"
>
	<Field {form} name="ends" label="Buckets end after so many days"
		>{#snippet input(attributes)}<input
				type="text"
				autocomplete="off"
				{...attributes}
				bind:value={typed}
			/>{/snippet}</Field
	>
	<p class="says" aria-live="polite">
		{fault
			? ageEndsSentence(fault)
			: ageBuckets(read ?? [])
					.map((bucket) => bucketName(bucket))
					.join(' · ')}
	</p>
	<div><button class="btn" disabled={form.busy}>Keep the buckets</button></div>
</form>
