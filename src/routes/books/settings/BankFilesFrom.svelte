<script lang="ts">
	import { enhance } from '$app/forms';
	import { toast } from 'svelte-sonner';
	import type { setBankFiles } from '$lib/server/firm/commands/set-bank-files';
	import { ActForm } from '$lib/trade/act-form.svelte';
	import Field from '$lib/ui/Field.svelte';
	import Problems from '$lib/ui/Problems.svelte';
	import { BANK_FILES_FROM } from '$lib/words';

	interface Props {
		readonly from: keyof typeof BANK_FILES_FROM;
	}
	const { from: chosen }: Props = $props();
	const filesForm = new ActForm<typeof setBankFiles>('?/files', {
		done: () => void toast('Saved.')
	});
</script>

<h2 id="bank-files" class="mt-8 text-xl">Bank files</h2>
<p class="mt-1 says">
	Who brought each in is on <a href="/money-in/bank-files">Bank files</a>, with statements that do not fit.
</p>
<Problems problems={filesForm.problems} />
<form
	method="POST"
	action="?/files"
	use:enhance={filesForm.submit((form) => ({
		from: String(form.get('from')) as keyof typeof BANK_FILES_FROM
	}))}
	class="mt-2 grid w-96 gap-2"
>
	<Field form={filesForm} name="from" label="Bank files are taken from"
		>{#snippet input(attributes)}<select {...attributes} value={chosen}
				>{#each Object.entries(BANK_FILES_FROM) as [from, words] (from)}<option value={from}>{words}</option
					>{/each}</select
			>{/snippet}</Field
	>
	<div><button class="btn" disabled={filesForm.busy}>Keep it</button></div>
</form>
