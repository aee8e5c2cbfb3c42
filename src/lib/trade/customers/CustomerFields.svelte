<script lang="ts">
	import {
		CUSTOMER_LANGUAGES,
		INTEREST_POLICIES,
		STATEMENT_FILES,
		STATEMENT_WAYS,
		type NamedTerms
	} from '$lib/core/model/customer-details';
	import { INTEREST_WORDS, languageName, STATEMENT_FILE_WORDS, STATEMENT_WAY_WORDS } from '$lib/words';
	import Field from '$lib/ui/Field.svelte';
	import type { FieldFaults } from '$lib/ui/field-faults';
	import type { Snippet } from 'svelte';
	import Contacts from './Contacts.svelte';
	import TermsFields from './TermsFields.svelte';
	import type { CustomerDraft } from './customer-draft.svelte';

	/** All that is kept of a customer, to be typed. */
	let {
		draft,
		form,
		currency,
		named,
		ways,
		account
	}: {
		draft: CustomerDraft;
		form: FieldFaults;
		/** Of the account, for the credit limit. */
		currency: string;
		/** The firm's own list of terms. */
		named: readonly NamedTerms[];
		/** Ways of chasing that the firm has. */
		ways: readonly { readonly id: string; readonly name: string; readonly isUsual: boolean }[];
		/** The code and currency of a new account, or what they are. */
		account?: Snippet;
	} = $props();
	type Text = {
		[K in keyof CustomerDraft]: CustomerDraft[K] extends string ? K : never;
	}[keyof CustomerDraft];
</script>

{#snippet line(name: Text, label: string, type = 'text', wide = false, at = name as string)}
	<Field {form} name="details.{at}" {label} class={wide ? 'col-span-2' : ''}
		>{#snippet input(attributes)}<input
				{type}
				autocomplete="off"
				{...attributes}
				bind:value={draft[name]}
			/>{/snippet}</Field
	>
{/snippet}
{#snippet block(name: Text, label: string, rows: number, says = '')}
	<Field {form} name="details.{name}" {label}
		>{#snippet input(attributes)}<textarea
				{rows}
				class="rounded border border-rule bg-raised px-2 py-1"
				{...attributes}
				bind:value={draft[name]}></textarea>{#if says}<span class="text-sm text-soft">{says}</span
				>{/if}{/snippet}</Field
	>
{/snippet}

<div class="grid grid-cols-2 gap-x-8 gap-y-6">
	<fieldset class="grid grid-cols-2 content-start gap-3">
		<legend class="mb-1 font-semibold">Who they are</legend>
		{@render line('name', 'Name', 'text', true)}
		{@render account?.()}
		{@render block('address', 'Address', 4)}
		{@render block('statementAddress', 'Address for letters, if another', 4)}
		{@render line('taxNumber', 'VAT number')}
		{@render line('phone', 'Telephone', 'tel')}
		{@render line('parentCode', 'Branch of the account')}
		{@render line('tags', 'Tags, with commas between')}
	</fieldset>
	<fieldset class="grid grid-cols-2 content-start gap-3">
		<legend class="mb-1 font-semibold">Terms</legend>
		<TermsFields draft={draft.terms} {form} under="details" {named} />
		{@render line('creditLimit', `Credit limit, ${currency}`, 'text', true)}
		<Field {form} name="details.interest" label="Late-payment interest"
			>{#snippet input(attributes)}<select {...attributes} bind:value={draft.interest}
					>{#each INTEREST_POLICIES as policy (policy)}<option value={policy}>{INTEREST_WORDS[policy]}</option
						>{/each}</select
				>{/snippet}</Field
		>
		{#if draft.interest === 'agreed'}
			{@render line('interestRate', 'Rate, % a year', 'text', false, 'interestBasisPoints')}
		{/if}
	</fieldset>
	<fieldset class="grid grid-cols-2 content-start gap-3">
		<legend class="mb-1 font-semibold">Letters</legend>
		{@render line('statementEmail', 'E-mail for statements', 'email')}
		{@render line('reminderEmail', 'E-mail for reminders, if another', 'email')}
		<Field {form} name="details.statementWay" label="Statements"
			>{#snippet input(attributes)}<select {...attributes} bind:value={draft.statementWay}
					>{#each STATEMENT_WAYS as way (way)}<option value={way}>{STATEMENT_WAY_WORDS[way]}</option
						>{/each}</select
				>{/snippet}</Field
		>
		<Field {form} name="details.language" label="Language"
			>{#snippet input(attributes)}<select {...attributes} bind:value={draft.language}
					>{#each CUSTOMER_LANGUAGES as code (code)}<option value={code}>{languageName(code)}</option
						>{/each}</select
				>{/snippet}</Field
		>
		<fieldset class="col-span-2 flex flex-wrap items-center gap-x-5 gap-y-1">
			<legend class="float-left mr-4">Beside the paper, by mail</legend>
			{#each STATEMENT_FILES as file (file)}<label class="flex items-center gap-2"
					><input type="checkbox" value={file} bind:group={draft.statementFiles} />{STATEMENT_FILE_WORDS[
						file
					]}</label
				>{/each}
		</fieldset>
		{#if ways.length > 1}<Field {form} name="details.chasingPolicy" label="Chased"
				>{#snippet input(attributes)}<select {...attributes} bind:value={draft.chasingPolicy}
						>{#each ways as way (way.id)}<option value={way.isUsual ? '' : way.id}>{way.name}</option
							>{/each}</select
					>{/snippet}</Field
			>{/if}
		{@render line('chasingPaused', 'No reminders, because')}
		{@render line('pausedUntil', 'Until')}
	</fieldset>
	<fieldset class="grid grid-cols-2 content-start gap-3">
		<legend class="mb-1 font-semibold">Known by, when they pay</legend>
		{@render block('otherNames', 'Other names, one on a line', 3)}
		{@render block('payerAccounts', 'Bank accounts, one on a line', 3)}
	</fieldset>
	<Contacts {draft} {form} />
	<fieldset class="col-span-2 grid content-start gap-3">
		<legend class="mb-1 font-semibold">Notes</legend>
		{@render block('notes', 'Shown beside their money on the desk', 3)}
	</fieldset>
</div>
