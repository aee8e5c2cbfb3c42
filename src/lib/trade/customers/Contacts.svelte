<script lang="ts">
	import { CONTACT_COPIES } from '$lib/core/model/customer-details';
	import type { FieldFaults } from '$lib/ui/field-faults';
	import FieldError from '$lib/ui/FieldError.svelte';
	import { CONTACT_COPY_WORDS } from '$lib/words';
	import type { ContactDraft, CustomerDraft } from './customer-draft.svelte';

	/** People at a customer's: what each is asked about, and which letters they get a copy of. */
	let { draft, form }: { draft: CustomerDraft; form: FieldFaults } = $props();
	const COLUMNS = [
		['name', 'Name', 'text'],
		['role', 'For', 'text'],
		['email', 'E-mail', 'email'],
		['phone', 'Telephone', 'tel']
	] as const satisfies readonly (readonly [keyof ContactDraft, string, string])[];
	let list: HTMLElement;
	function add() {
		draft.addContact();
		// The new line is there once the screen is drawn.
		requestAnimationFrame(() => list.querySelector<HTMLInputElement>('tbody tr:last-child input')?.focus());
	}
</script>

<fieldset class="col-span-2" bind:this={list}>
	<legend class="mb-1 font-semibold">Contacts</legend>
	{#if draft.contacts.length}
		<table>
			<thead
				><tr
					>{#each COLUMNS as [key, label] (key)}<th>{label}</th>{/each}<th>Gets</th><th
						><span class="sr-only">Take off</span></th
					></tr
				></thead
			>
			<tbody>
				{#each draft.contacts as contact, i (contact.key)}
					<tr class="align-top">
						{#each COLUMNS as [key, label, type] (key)}
							{@const at = `details.contacts.${i}.${key}`}
							<td
								><input
									{type}
									autocomplete="off"
									class="w-full"
									name={at}
									aria-label="{label} of contact {i + 1}"
									bind:value={contact[key]}
									{...form.at(at)}
								/><FieldError {form} name={at} /></td
							>
						{/each}
						<td
							><select aria-label="Letters of contact {i + 1}" bind:value={contact.copies}
								>{#each CONTACT_COPIES as one (one)}<option value={one}>{CONTACT_COPY_WORDS[one]}</option
									>{/each}</select
							></td
						>
						<td
							><button
								type="button"
								class="btn py-0.5"
								aria-label="Take off contact {i + 1}"
								onclick={() => draft.contacts.splice(i, 1)}>Take off</button
							></td
						>
					</tr>
				{/each}
			</tbody>
		</table>
	{/if}
	<button type="button" class="btn mt-2" disabled={draft.contacts.length >= 20} onclick={add}
		>Add a contact</button
	>
</fieldset>
