<script lang="ts">
	import { onMount } from 'svelte';
	import { enhance } from '$app/forms';
	import { faultsOfForm, type RefusedForm } from '$lib/ui/field-faults';
	import IbanNote from '$lib/trade/IbanNote.svelte';
	import Field from '$lib/ui/Field.svelte';
	import Problems from '$lib/ui/Problems.svelte';
	import { BRITISH } from '$lib/words/conventions';
	import { landsToChoose } from '$lib/words';
	let { data, form } = $props();
	const fields = [
		['code', 'The code that the server’s console shows', 'text'],
		['firm', 'Name of the firm', 'text'],
		['address', 'Its address, lines separated by commas', 'text'],
		['phone', 'Telephone', 'text'],
		['baseCurrency', 'Currency of its books', 'text'],
		['bank', 'Its bank', 'text'],
		['iban', 'Bank account (IBAN)', 'text'],
		['name', 'Your name', 'text'],
		['email', 'Your e-mail address', 'email'],
		['password', 'A password of twelve characters or more', 'password']
	] as const;
	const { faults, elsewhere } = faultsOfForm(() => form as RefusedForm | null);
	const lands = landsToChoose();
	let iban = $state('');
	let timeZone = $state(BRITISH.timeZone);
	onMount(() => {
		const here = Intl.DateTimeFormat().resolvedOptions().timeZone;
		if (data.timeZones.includes(here)) timeZone = here;
	});
</script>

<svelte:head><title>New books · Odd Penny</title></svelte:head>

<div class="mx-auto mt-[5vh] w-[560px] pb-12">
	<h1>New books</h1>
	<p class="mt-1 mb-5 says">
		Nobody can sign in yet. You will be the first supervisor, and can let others in afterwards.
	</p>
	<Problems problems={elsewhere()} />
	<form
		method="POST"
		class="mt-4 grid grid-cols-2 gap-3"
		use:enhance={() =>
			({ update }) =>
				update({ reset: false })}
	>
		{#each fields as [name, label, type] (name)}
			<Field
				form={faults}
				{name}
				{label}
				class={['code', 'firm', 'address'].includes(name) ? 'col-span-2' : ''}
				>{#snippet input(attributes)}<input
						{type}
						required={name !== 'address' && name !== 'phone'}
						value={name === 'baseCurrency' ? 'GBP' : undefined}
						oninput={({ currentTarget }) => {
							if (name === 'iban') iban = currentTarget.value;
						}}
						{...attributes}
					/>{#if name === 'iban'}<IbanNote account={iban} />{/if}{/snippet}</Field
			>
		{/each}
		<Field form={faults} name="locale" label="Numbers are written as in"
			>{#snippet input(attributes)}<select {...attributes} value={BRITISH.locale}
					>{#each lands as { locale, name } (locale)}<option value={locale}>{name}</option>{/each}</select
				>{/snippet}</Field
		>
		<Field form={faults} name="timeZone" label="The clock is that of"
			>{#snippet input(attributes)}<select {...attributes} bind:value={timeZone}
					>{#each data.timeZones as zone (zone)}<option>{zone}</option>{/each}</select
				>{/snippet}</Field
		>
		<div class="col-span-2">
			<button class="btn btn-main mt-2 justify-center py-2">Open the books</button>
		</div>
	</form>
</div>
