<script lang="ts">
	import { enhance } from '$app/forms';
	import { toast } from 'svelte-sonner';
	import type { setMailServer } from '$lib/server/firm/commands/set-mail-server';
	import { ActForm, type GivenOf } from '$lib/trade/act-form.svelte';
	import Problems from '$lib/ui/Problems.svelte';
	import AccountFields, { typedAccount, type ShownAccount } from './AccountFields.svelte';

	type Given = Omit<GivenOf<typeof setMailServer>, 'sealed'> & { readonly password: string };
	type Try = { input: { _zod: { input: Given } }; run: () => Promise<{ readonly email: string }> };

	/** Through which server mail goes. */
	const { account }: { account: ShownAccount | null } = $props();
	const PORTS = { tls: 465, starttls: 587, none: 25 };
	const form = new ActForm<typeof setMailServer, Given>('?/server', {
		done: () => void toast('Kept: mail goes that way from now on.')
	});
	const trial = new ActForm<Try>('?/tryServer', {
		refresh: false,
		done: ({ output }) => void toast(`The server took a test to ${output.email}. See whether it arrived.`)
	});
	let element = $state<HTMLFormElement>();
</script>

<h2 id="server" class="mt-6 text-xl">Mail server</h2>
<p class="mt-1 max-w-md says">
	Letters go through it, and codes to set a password: another one takes a second supervisor. The password is
	kept sealed. With no server, nothing leaves; each message is kept in a folder.
</p>
<form
	method="POST"
	action="?/server"
	bind:this={element}
	use:enhance={form.submit((given) => typedAccount(given, PORTS))}
	class="mt-2 grid w-96 gap-2"
>
	<AccountFields {form} {account} ports={PORTS} />
	<Problems problems={[...form.problems, ...trial.problems]} />
	<div class="flex gap-2">
		<button class="btn" disabled={form.busy}>Keep it</button>
		<button
			type="button"
			class="btn"
			disabled={trial.busy}
			onclick={() => trial.send(typedAccount(new FormData(element), PORTS))}
			>{trial.busy ? 'Sending …' : 'Send me a test through it'}</button
		>
	</div>
</form>
