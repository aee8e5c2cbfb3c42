<script lang="ts">
	import { enhance } from '$app/forms';
	import { toast } from 'svelte-sonner';
	import type { setFirm } from '$lib/server/firm/commands/set-firm';
	import type { setLogo } from '$lib/server/firm/commands/set-logo';
	import { ActForm } from '$lib/trade/act-form.svelte';
	import Field from '$lib/ui/Field.svelte';
	import FieldError from '$lib/ui/FieldError.svelte';
	import Problems from '$lib/ui/Problems.svelte';

	interface Props {
		readonly firm: {
			readonly name: string;
			readonly address: readonly string[];
			readonly email: string;
			readonly phone: string;
			readonly registration: string;
			readonly logo?: string | undefined;
		};
	}
	const { firm }: Props = $props();
	const form = new ActForm<typeof setFirm>('?/firm', {
		done: () => void toast('Saved: letters have it so.')
	});
	const logoForm = new ActForm<typeof setLogo>('?/logo', {
		otherwise: 'The picture could not be kept. Nothing was changed.',
		done: () => void toast(firm.logo ? 'Letters have the new logo.' : 'Letters have the logo.')
	});
	const offForm = new ActForm<typeof setLogo, Record<string, never>>('?/logo', {
		done: () => void toast('Letters have no logo now.')
	});
	let element = $state<HTMLFormElement>();
	const given = (fields: FormData) => {
		const text = (name: string) => String(fields.get(name) ?? '').trim();
		return {
			...{ name: text('name'), email: text('email'), phone: text('phone') },
			...{ address: text('address').split('\n'), registration: text('registration') }
		};
	};
</script>

<h2 id="firm" class="text-xl">The firm</h2>
<p class="mt-1 says">As it stands on statements, reminders and documents.</p>
<Problems problems={form.problems} />
<form
	method="POST"
	action="?/firm"
	use:enhance={form.submit(given)}
	class="mt-2 mb-4 grid max-w-[26rem] grid-cols-2 gap-2"
>
	<Field {form} name="name" label="Name" class="col-span-2"
		>{#snippet input(attributes)}<input
				type="text"
				required
				{...attributes}
				value={firm.name}
			/>{/snippet}</Field
	>
	<Field {form} name="address" label="Address" class="col-span-2"
		>{#snippet input(attributes)}<textarea
				rows="3"
				class="rounded border border-rule bg-raised px-2 py-1"
				{...attributes}
				value={firm.address.join('\n')}></textarea>{/snippet}</Field
	>
	<Field {form} name="email" label="Letters come from"
		>{#snippet input(attributes)}<input
				type="email"
				required
				{...attributes}
				value={firm.email}
			/>{/snippet}</Field
	>
	<Field {form} name="phone" label="Telephone"
		>{#snippet input(attributes)}<input type="tel" {...attributes} value={firm.phone} />{/snippet}</Field
	>
	<Field
		{form}
		name="registration"
		label="Registration and VAT number, at the foot of letters"
		class="col-span-2"
		>{#snippet input(attributes)}<input
				type="text"
				{...attributes}
				value={firm.registration}
			/>{/snippet}</Field
	>
	<div><button class="btn" disabled={form.busy}>Keep it</button></div>
</form>
<form
	method="POST"
	action="?/logo"
	enctype="multipart/form-data"
	bind:this={element}
	class="mb-8 max-w-[26rem]"
	use:enhance={logoForm.submit()}
>
	{#if firm.logo}<p class="mb-2 inline-block rounded border border-rule bg-white p-2">
			<img src={firm.logo} alt="The firm’s logo" class="max-h-14 max-w-48" />
		</p>{/if}
	<label class="grid gap-1"
		>Logo at the head of letters, PNG or JPEG
		<input
			type="file"
			name="logo"
			accept="image/png,image/jpeg"
			disabled={logoForm.busy}
			onchange={() => element?.requestSubmit()}
			{...logoForm.at('logo')}
		/></label
	>
	<FieldError form={logoForm} name="logo" />
	<Problems problems={[...logoForm.problems, ...offForm.problems]} />
	{#if firm.logo}<button
			type="button"
			class="btn mt-2"
			disabled={offForm.busy}
			onclick={() => offForm.send({})}>Take it off</button
		>{/if}
</form>
