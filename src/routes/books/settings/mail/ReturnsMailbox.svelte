<script lang="ts">
	import { enhance } from '$app/forms';
	import { toast } from 'svelte-sonner';
	import type { setMailbox } from '$lib/server/firm/commands/set-mailbox';
	import { ActForm, type GivenOf } from '$lib/trade/act-form.svelte';
	import Field from '$lib/ui/Field.svelte';
	import Problems from '$lib/ui/Problems.svelte';
	import { count, moment } from '$lib/words';
	import AccountFields, { typedAccount, type ShownAccount } from './AccountFields.svelte';

	type Given = Omit<GivenOf<typeof setMailbox>, 'sealed'> & { readonly password: string };
	type Try = { input: { _zod: { input: Given } }; run: () => Promise<{ readonly messages: number }> };
	interface Props {
		readonly account: (ShownAccount & { readonly folder: string; readonly address: string }) | null;
		/** The firm's own address. */
		readonly email: string;
		/** When it was read last. */
		readonly last: { readonly at: string; readonly trouble: string | null } | null;
	}
	/** Where what was not delivered comes back. */
	const { account, email, last }: Props = $props();
	const PORTS = { tls: 993, starttls: 143, none: 143 };
	const form = new ActForm<typeof setMailbox, Given>('?/mailbox', {
		done: () => void toast('Kept: it is read from now on.')
	});
	const trial = new ActForm<Try>('?/tryMailbox', {
		refresh: false,
		done: ({ output }) => void toast(`The mailbox opens: ${count(output.messages, 'message')} in it.`)
	});
	let element = $state<HTMLFormElement>();
	const typed = (given: FormData): Given => ({
		...typedAccount(given, PORTS),
		folder: String(given.get('folder') ?? '').trim(),
		address: String(given.get('address') ?? '').trim()
	});
</script>

<h2 id="returned" class="mt-8 text-xl">Undelivered mail</h2>
<p class="mt-1 max-w-md says">
	The mailbox to which servers report what they could not deliver. It is read by IMAP, each minute; nothing in
	it is changed, and of other mail nothing but sender, size and structure is looked at.
</p>
{#if account && last}<p class={['mt-1 text-sm', last.trouble ? 'text-oxblood' : 'text-soft']}>
		{last.trouble
			? `It could not be read ${moment(last.at)}: ${last.trouble}`
			: `Read last ${moment(last.at)}.`}
	</p>{/if}
<form
	method="POST"
	action="?/mailbox"
	bind:this={element}
	use:enhance={form.submit(typed)}
	class="mt-2 grid w-96 gap-2"
>
	<AccountFields {form} {account} ports={PORTS} />
	<div class="grid grid-cols-[110px_minmax(0,1fr)] gap-2">
		<Field {form} name="folder" label="Folder"
			>{#snippet input(attributes)}<input
					type="text"
					autocomplete="off"
					placeholder="INBOX"
					class="w-full"
					{...attributes}
					value={account?.folder ?? ''}
				/>{/snippet}</Field
		>
		<Field {form} name="address" label="Reports are sent to"
			>{#snippet input(attributes)}<input
					type="email"
					autocomplete="off"
					placeholder={email}
					class="w-full"
					{...attributes}
					value={account?.address ?? ''}
				/>{/snippet}</Field
		>
	</div>
	<Problems problems={[...form.problems, ...trial.problems]} />
	<div class="flex gap-2">
		<button class="btn" disabled={form.busy}>Keep it</button>
		<button
			type="button"
			class="btn"
			disabled={trial.busy}
			onclick={() => trial.send(typed(new FormData(element)))}
			>{trial.busy ? 'Opening …' : 'Try to open it'}</button
		>
	</div>
</form>
