<script lang="ts">
	import { TERMS_FROM, type NamedTerms } from '$lib/core/model/customer-details';
	import { sameTerms } from '$lib/core/1-open-items/same-terms';
	import Field from '$lib/ui/Field.svelte';
	import FieldError from '$lib/ui/FieldError.svelte';
	import type { FieldFaults } from '$lib/ui/field-faults';
	import { TERMS_FROM_WORDS, termsWords } from '$lib/words';
	import type { TermsDraft } from './terms-draft.svelte';

	/** When what is invoiced is due, in one sum or in instalments, and what is given for paying early. */
	let {
		draft,
		form,
		under,
		named = []
	}: {
		draft: TermsDraft;
		form: FieldFaults;
		/** Before the names of the fields in what is sent, as in `details`. */
		under: string;
		/** The firm's own list, to be taken from. */
		named?: readonly NamedTerms[];
	} = $props();
	const LINES = [
		['discount', 'Settlement discount, %', 'discountBasisPoints'],
		['discountDays', 'If paid within days', 'discountDays']
	] as const;
	const PART_FIELDS = [
		['percent', 'basisPoints', 'Share of instalment', '%'],
		['days', 'days', 'Days until instalment', 'days']
	] as const;
	const chosen = $derived(named.findIndex((one) => sameTerms(one, draft.given())));
</script>

{#if named.length}
	<label class="col-span-2 grid gap-1"
		>From the firm’s list
		<select
			value={chosen}
			onchange={({ currentTarget }) => {
				const one = named[Number(currentTarget.value)];
				if (one) draft.fill(one);
			}}
		>
			<option value={-1}>agreed with them alone</option>
			{#each named as one, i (one.name)}<option value={i}
					>{one.name}{one.name === termsWords(one) ? '' : `: ${termsWords(one)}`}</option
				>{/each}
		</select></label
	>
{/if}
{#if draft.parts.length === 0}
	<Field {form} name="{under}.termsDays" label="Payment due in days"
		>{#snippet input(attributes)}<input
				type="text"
				inputmode="numeric"
				autocomplete="off"
				{...attributes}
				bind:value={draft.termsDays}
			/>{/snippet}</Field
	>
{/if}
<Field {form} name="{under}.termsFrom" label="Counted from" class={draft.parts.length ? 'col-span-2' : ''}
	>{#snippet input(attributes)}<select {...attributes} bind:value={draft.termsFrom}
			>{#each TERMS_FROM as from (from)}<option value={from}>{TERMS_FROM_WORDS[from]}</option>{/each}</select
		>{/snippet}</Field
>
<div class="col-span-2 grid gap-1">
	{#each draft.parts as part, i (part.key)}
		<div class="flex items-start gap-2">
			{#each PART_FIELDS as [key, sent, label, unit] (key)}
				{@const at = `${under}.termsParts.${i}.${sent}`}
				<span
					><input
						type="text"
						inputmode="decimal"
						autocomplete="off"
						class="w-16 text-right"
						aria-label="{label} {i + 1}"
						bind:value={part[key]}
						{...form.at(at)}
					/>
					{unit}<FieldError {form} name={at} /></span
				>
			{/each}
			<button
				type="button"
				class="btn py-0.5"
				aria-label="Take off instalment {i + 1}"
				onclick={() => draft.dropPart(i)}>Take off</button
			>
		</div>
	{/each}
	<span {...form.at(`${under}.termsParts`)}><FieldError {form} name="{under}.termsParts" /></span>
	<div>
		<button type="button" class="btn" onclick={() => draft.addPart()}
			>{draft.parts.length ? 'One instalment more' : 'In instalments'}</button
		>
	</div>
</div>
{#each LINES as [key, label, sent] (key)}
	<Field {form} name="{under}.{sent}" {label}
		>{#snippet input(attributes)}<input
				type="text"
				inputmode="decimal"
				autocomplete="off"
				{...attributes}
				bind:value={draft[key]}
			/>{/snippet}</Field
	>
{/each}
