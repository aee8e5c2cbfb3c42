<script lang="ts">
	import { enhance } from '$app/forms';
	import { toast } from 'svelte-sonner';
	import type { makeSigningKey, useSigningKey } from '$lib/server/firm/commands/signing-key';
	import { ActForm, type GivenOf } from '$lib/trade/act-form.svelte';
	import Field from '$lib/ui/Field.svelte';
	import Problems from '$lib/ui/Problems.svelte';

	type Given = Pick<GivenOf<typeof makeSigningKey>, 'domain' | 'selector'>;
	interface Props {
		readonly signing: { readonly domain: string; readonly selector: string; readonly isUsed: boolean } | null;
		/** Where its public half is published, and what stands there. */
		readonly record: { readonly name: string; readonly text: string } | null;
		/** The firm's own address. */
		readonly email: string;
	}
	/** Messages are signed, so that whoever gets one can see that it is the firm's. */
	const { signing, record, email }: Props = $props();
	const make = new ActForm<typeof makeSigningKey, Given>('?/makeKey', {
		done: () => void toast('Made. Publish its public half, then have mail signed.')
	});
	const use = new ActForm<typeof useSigningKey>('?/useKey');
	const text = (given: FormData, name: string) => String(given.get(name) ?? '').trim();
</script>

<h2 id="signing" class="mt-6 text-xl">Signature of messages (DKIM)</h2>
<p class="mt-1 max-w-lg says">
	Mail servers trust a letter that is signed for the domain it comes from. The private half of the key stays
	here, sealed; the public half is published by whoever keeps the names of your domain.
</p>
{#if signing && record}
	<p class="mt-2">
		Mail of {signing.domain} is <strong>{signing.isUsed ? 'signed' : 'not signed yet'}</strong>.
	</p>
	<dl class="mt-2 grid max-w-lg grid-cols-[70px_1fr] gap-y-1 text-sm">
		<dt class="text-soft">Name</dt>
		<dd class="font-mono break-all">{record.name}</dd>
		<dt class="text-soft">Type</dt>
		<dd class="font-mono">TXT</dd>
		<dt class="text-soft">Text</dt>
		<dd class="font-mono break-all">{record.text}</dd>
	</dl>
	<div class="mt-2 flex gap-2">
		<button
			class="btn"
			onclick={() => navigator.clipboard.writeText(record.text).then(() => toast('Copied.'))}
			>Copy the text</button
		>
		<button class="btn" disabled={use.busy} onclick={() => use.send({ on: !signing.isUsed })}
			>{signing.isUsed ? 'Sign no longer' : use.busy ? 'Looking it up …' : 'Sign from now on'}</button
		>
	</div>
	<Problems problems={use.problems} />
{/if}
<form
	method="POST"
	action="?/makeKey"
	class="mt-3 grid w-96 grid-cols-[minmax(0,1fr)_130px] gap-2"
	use:enhance={make.submit((given) => ({ domain: text(given, 'domain'), selector: text(given, 'selector') }))}
>
	<Field form={make} name="domain" label="Domain"
		>{#snippet input(attributes)}<input
				type="text"
				autocomplete="off"
				{...attributes}
				value={signing?.domain ?? email.split('@')[1] ?? ''}
			/>{/snippet}</Field
	>
	<Field form={make} name="selector" label="Name of the key"
		>{#snippet input(attributes)}<input
				type="text"
				autocomplete="off"
				placeholder="oddpenny1"
				class="w-full"
				{...attributes}
			/>{/snippet}</Field
	>
	<div class="col-span-2">
		<Problems problems={make.problems} />
		<button class="btn" disabled={make.busy}>{signing ? 'Make another key' : 'Make a key'}</button>
	</div>
</form>
