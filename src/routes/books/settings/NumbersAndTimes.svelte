<script lang="ts">
	import { enhance } from '$app/forms';
	import { toast } from 'svelte-sonner';
	import type { setConventions } from '$lib/server/firm/commands/set-conventions';
	import { ActForm } from '$lib/trade/act-form.svelte';
	import Field from '$lib/ui/Field.svelte';
	import Problems from '$lib/ui/Problems.svelte';
	import { landsToChoose } from '$lib/words';
	import { LOCALES, type Conventions } from '$lib/words/conventions';

	interface Props {
		readonly conventions: Conventions;
		readonly timeZones: readonly string[];
	}
	const { conventions, timeZones }: Props = $props();
	const conventionsForm = new ActForm<typeof setConventions>('?/conventions', {
		done: () => void toast('Saved: numbers and times are shown so.')
	});
	const lands = landsToChoose();
</script>

<h2 id="numbers" class="mt-8 text-xl">Numbers and times</h2>
<p class="mt-1 says">As everybody here sees and types them, and as letters have them.</p>
<Problems problems={conventionsForm.problems} />
<form
	method="POST"
	action="?/conventions"
	use:enhance={conventionsForm.submit((form) => ({
		locale: String(form.get('locale')) as (typeof LOCALES)[number],
		timeZone: String(form.get('timeZone'))
	}))}
	class="mt-2 grid w-96 gap-2"
>
	<Field form={conventionsForm} name="locale" label="Numbers are written as in"
		>{#snippet input(attributes)}<select {...attributes} value={conventions.locale}
				>{#each lands as { locale, name } (locale)}<option value={locale}>{name}</option>{/each}</select
			>{/snippet}</Field
	>
	<Field form={conventionsForm} name="timeZone" label="The clock is that of"
		>{#snippet input(attributes)}<select {...attributes} value={conventions.timeZone}
				>{#each timeZones as zone (zone)}<option>{zone}</option>{/each}</select
			>{/snippet}</Field
	>
	<div><button class="btn" disabled={conventionsForm.busy}>Keep them</button></div>
</form>
