<script lang="ts">
	import { enhance } from '$app/forms';
	import { toast } from 'svelte-sonner';
	import type { setAuditor } from '$lib/server/firm/commands/set-auditor';
	import { ActForm } from '$lib/trade/act-form.svelte';
	import Field from '$lib/ui/Field.svelte';
	import Problems from '$lib/ui/Problems.svelte';

	interface Props {
		readonly email: string;
	}
	const { email }: Props = $props();
	const auditorForm = new ActForm<typeof setAuditor>('?/auditor', {
		done: () => void toast('Saved: anchors go there.')
	});
</script>

<h2 id="anchors" class="mt-8 text-xl">Anchors</h2>
<p class="mt-1 says">
	At the end of each day, and whenever a period is locked, the record is signed. Sent to somebody outside,
	such as your auditor, it shows later whether anything was changed since.
</p>
<Problems problems={auditorForm.problems} />
<form
	method="POST"
	action="?/auditor"
	use:enhance={auditorForm.submit((form) => ({ email: String(form.get('email') ?? '').trim() }))}
	class="mt-2 grid w-96 gap-2"
>
	<Field form={auditorForm} name="email" label="E-mail address, if they are to be sent"
		>{#snippet input(attributes)}<input type="email" {...attributes} value={email} />{/snippet}</Field
	>
	<div><button class="btn" disabled={auditorForm.busy}>Keep it</button></div>
</form>
