<script lang="ts">
	import { onMount } from 'svelte';
	import { enhance } from '$app/forms';
	import { faultsOfForm, type RefusedForm } from '$lib/ui/field-faults';
	import IbanNote from '$lib/trade/IbanNote.svelte';
	import Field from '$lib/ui/Field.svelte';
	import Problems from '$lib/ui/Problems.svelte';
	import { BRITISH } from '$lib/words/conventions';
	import { landsToChoose } from '$lib/words';
	import type { Snapshot } from './$types';
	let { data, form } = $props();
	const fields = [
		['code', 'The code that the server’s console shows', 'text', 'off'],
		['firm', 'Name of the firm', 'text', 'organization'],
		['address', 'Its address', 'lines', 'off'],
		['phone', 'Telephone, if customers may call', 'text', 'off'],
		['baseCurrency', 'Currency of its books', 'text', 'off'],
		['bank', 'Its bank', 'text', 'off'],
		['number', 'Bank account: IBAN, or sort code and number', 'text', 'off'],
		['name', 'Your name', 'text', 'name'],
		['email', 'Your e-mail address', 'email', 'email'],
		['password', 'A password of twelve characters or more', 'password', 'new-password'],
		['again', 'The password again', 'password', 'new-password']
	] as const;
	type Name = (typeof fields)[number][0];
	const WIDE: readonly Name[] = ['code', 'firm', 'address', 'email'];
	const MAY_BE_EMPTY: readonly Name[] = ['address', 'phone'];
	const { faults, elsewhere } = faultsOfForm(() => form as RefusedForm | null);
	const lands = landsToChoose();
	const typed = $state<Partial<Record<Name, string>>>({ baseCurrency: 'GBP' });
	let locale = $state(BRITISH.locale);
	let timeZone = $state(BRITISH.timeZone);
	let making = $state(false);
	let restored = false;
	/** What was typed outlives a reload and going back; the passwords and the code do not. */
	export const snapshot: Snapshot<{
		fields: Partial<Record<Name, string>>;
		locale: string;
		timeZone: string;
	}> = {
		capture: () => ({
			fields: { ...typed, password: undefined, again: undefined, code: undefined },
			...{ locale, timeZone }
		}),
		restore: (kept) => {
			restored = true;
			Object.assign(typed, kept.fields);
			[locale, timeZone] = [kept.locale as typeof locale, kept.timeZone];
		}
	};
	onMount(() => {
		const here = Intl.DateTimeFormat().resolvedOptions().timeZone;
		if (!restored && data.timeZones.includes(here)) timeZone = here;
	});
</script>

<svelte:head><title>New books · Odd Penny</title></svelte:head>

<div class="mx-auto mt-[5vh] w-[560px] pb-12">
	<h1>New books</h1>
	<p class="mt-1 mb-5 says">
		Nobody can sign in yet. You will be the first supervisor, and can add other people afterwards.
	</p>
	{#if data.mayLookAround}
		<form
			method="POST"
			action="/first-start/demo-books"
			class="note mb-5 flex items-center gap-4"
			onsubmit={() => (making = true)}
		>
			<p>
				Want to look around first? Demo books of a made-up firm are kept apart from yours, and thrown away
				afterwards.
			</p>
			<button class="btn shrink-0" disabled={making}
				>{making ? 'Making them, up to a minute …' : 'Look around in demo books'}</button
			>
		</form>
	{/if}
	<Problems problems={elsewhere()} />
	<form
		method="POST"
		class="mt-4 grid grid-cols-2 gap-3"
		use:enhance={() =>
			({ update }) =>
				update({ reset: false })}
	>
		{#each fields as [name, label, type, autocomplete] (name)}
			<Field form={faults} {name} {label} class={WIDE.includes(name) ? 'col-span-2' : ''}
				>{#snippet input(attributes)}{#if type === 'lines'}<textarea
							rows="3"
							class="rounded border border-rule bg-raised px-2 py-1"
							bind:value={typed[name]}
							{...attributes}></textarea>{:else}<input
							{type}
							{autocomplete}
							required={!MAY_BE_EMPTY.includes(name)}
							bind:value={typed[name]}
							{...attributes}
						/>{/if}{#if name === 'number'}<IbanNote account={typed.number ?? ''} />{/if}{/snippet}</Field
			>
		{/each}
		<Field form={faults} name="locale" label="Numbers are written as in"
			>{#snippet input(attributes)}<select {...attributes} bind:value={locale}
					>{#each lands as { locale, name } (locale)}<option value={locale}>{name}</option>{/each}</select
				>{/snippet}</Field
		>
		<Field form={faults} name="timeZone" label="Time zone"
			>{#snippet input(attributes)}<select {...attributes} bind:value={timeZone}
					>{#each data.timeZones as zone (zone)}<option>{zone}</option>{/each}</select
				>{/snippet}</Field
		>
		<div class="col-span-2">
			<button class="btn btn-main mt-2 justify-center py-2">Open the books</button>
		</div>
	</form>
</div>
