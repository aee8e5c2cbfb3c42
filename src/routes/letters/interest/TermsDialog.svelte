<script lang="ts">
	import { toast } from 'svelte-sonner';
	import { DAY_COUNTS } from '$lib/core/9-interest/interest-terms';
	import type { setInterest } from '$lib/server/interest/commands/set-interest';
	import { ActForm } from '$lib/trade/act-form.svelte';
	import Dialog from '$lib/ui/Dialog.svelte';
	import Field from '$lib/ui/Field.svelte';
	import FieldError from '$lib/ui/FieldError.svelte';
	import Problems from '$lib/ui/Problems.svelte';
	import type { InterestDraft } from './interest-draft.svelte';

	/** On which terms interest is charged, to be set by a supervisor. */
	let { draft, base, open = $bindable() }: { draft: InterestDraft; base: string; open: boolean } = $props();
	const form = new ActForm<typeof setInterest>('?/terms', {
		done: () => {
			open = false;
			toast('Kept. The sheet goes by these terms from now on.');
		}
	});
	function keep(event: SubmitEvent) {
		event.preventDefault();
		void form.send(draft.given as never);
	}
</script>

{#snippet line(name: string, label: string, get: () => string, set: (value: string) => void, hint = '')}
	<Field {form} {name} {label}
		>{#snippet input(attributes)}<input
				type="text"
				autocomplete="off"
				class="w-full min-w-0"
				placeholder={hint}
				{...attributes}
				bind:value={get, set}
			/>{/snippet}</Field
	>
{/snippet}

<Dialog title="Terms of interest" bind:open wide>
	<form class="grid gap-4" onsubmit={keep}>
		<p class="says">
			What a customer agreed with you stands in their details and goes before this. What was charged stays as
			it is.
		</p>
		<div class="grid grid-cols-3 items-start gap-x-4 gap-y-3">
			{@render line(
				'since',
				'Charged for days from',
				() => draft.since,
				(value) => (draft.since = value)
			)}
			{@render line(
				'graceDays',
				'Days after the due day that cost nothing',
				() => draft.graceDays,
				(value) => (draft.graceDays = value)
			)}
			{@render line(
				'least',
				`Not charged below, ${base}`,
				() => draft.least,
				(value) => (draft.least = value),
				'any'
			)}
			<Field {form} name="dayCount" label="A year has"
				>{#snippet input(attributes)}<select {...attributes} bind:value={draft.dayCount}
						>{#each DAY_COUNTS as days (days)}<option value={days}>{days} days</option>{/each}</select
					>{/snippet}</Field
			>
			{@render line(
				'margin',
				'Above the reference rate, %',
				() => draft.margin,
				(value) => (draft.margin = value)
			)}
			<label class="flex items-center gap-2 pt-7"
				><input type="checkbox" bind:checked={draft.onInterest} /> interest bears interest, too</label
			>
		</div>
		<div class="grid grid-cols-2 gap-6">
			<fieldset class="grid content-start gap-2">
				<legend class="mb-1 font-semibold">Reference rate</legend>
				{#each draft.rates as rate, n (rate.key)}
					<div class="grid grid-cols-[1fr_0.7fr_auto] items-end gap-2">
						{@render line(
							`reference.${n}.from`,
							n === 0 ? 'From' : 'Then from',
							() => rate.from,
							(value) => (rate.from = value),
							'1 Jul 2026'
						)}
						{@render line(
							`reference.${n}.basisPoints`,
							'% a year',
							() => rate.percent,
							(value) => (rate.percent = value)
						)}
						<button
							type="button"
							class="btn"
							aria-label="Take rate {n + 1} off"
							onclick={() => draft.rates.splice(n, 1)}>take off</button
						>
					</div>
				{/each}
				<FieldError {form} name="reference" />
				<p><button type="button" class="btn" onclick={() => draft.addRate()}>Add a rate</button></p>
			</fieldset>
			<fieldset class="grid content-start gap-2">
				<legend class="mb-1 font-semibold">Fixed compensation for each invoice, {base}</legend>
				{#each draft.bands as band, n (band.key)}
					<div class="grid grid-cols-[1fr_0.7fr_auto] items-end gap-2">
						{@render line(
							`compensation.${n}.from`,
							'Overdue from',
							() => band.from,
							(value) => (band.from = value)
						)}
						{@render line(
							`compensation.${n}.amount`,
							'Sum',
							() => band.amount,
							(value) => (band.amount = value)
						)}
						<button
							type="button"
							class="btn"
							aria-label="Take sum {n + 1} off"
							onclick={() => draft.bands.splice(n, 1)}>take off</button
						>
					</div>
				{:else}<p class="says">None: interest alone is charged.</p>{/each}
				<FieldError {form} name="compensation" />
				<p><button type="button" class="btn" onclick={() => draft.addBand()}>Add a sum</button></p>
			</fieldset>
		</div>
		<Problems problems={form.problems} />
		<p><button class="btn btn-main" disabled={form.busy}>Keep</button></p>
	</form>
</Dialog>
