<script lang="ts">
	import { enhance } from '$app/forms';
	import { toast } from 'svelte-sonner';
	import type { setLetters } from '$lib/server/firm/commands/set-letters';
	import type { Setting } from '$lib/server/firm/store/settings';
	import { ActForm } from '$lib/trade/act-form.svelte';
	import { typedWhole } from '$lib/trade/customers/typed-numbers';
	import Field from '$lib/ui/Field.svelte';
	import { STATEMENT_DAY_WORDS, STATEMENT_KIND_WORDS } from '$lib/words';
	import { STATEMENT_KINDS } from '$lib/core/7-letters/letter';
	import { STATEMENT_DAYS } from '$lib/core/7-letters/statement-schedule';
	import Problems from '$lib/ui/Problems.svelte';

	/** What the firm decides about all its letters. */
	const { letters }: { letters: Setting<'letters'> } = $props();
	const form = new ActForm<typeof setLetters>('?/letters', {
		done: ({ output }) =>
			void toast(
				'actId' in output
					? 'Kept: letters go by it from now on.'
					: 'Another page for payments takes a second supervisor, who was asked. Until then all stays as it is.'
			)
	});
	const text = (given: FormData, name: string) => {
		const value = given.get(name);
		return typeof value === 'string' ? value.trim() : '';
	};
	/** Which of a list was chosen. */
	const chosen = <T extends string>(list: readonly T[], given: FormData, name: string) =>
		list.find((one) => one === given.get(name)) ?? list[0]!;
</script>

<h2 id="letters" class="mt-8 text-xl">Letters</h2>
<p class="mt-1">
	<a class="underline" href="/books/settings/mail">Mail server, undelivered mail and signature</a>
</p>
<Problems problems={form.problems} />
<form
	method="POST"
	action="?/letters"
	use:enhance={form.submit((given) => ({
		inCredit: text(given, 'inCredit') === 'hold' ? 'hold' : 'send',
		payLink: text(given, 'payLink'),
		perMinute: typedWhole(text(given, 'perMinute')),
		schedule: { when: chosen(STATEMENT_DAYS, given, 'when'), kind: chosen(STATEMENT_KINDS, given, 'kind') }
	}))}
	class="mt-2 grid w-96 gap-2"
>
	<Field {form} name="inCredit" label="A customer in credit"
		>{#snippet input(attributes)}<select {...attributes} value={letters.inCredit}
				><option value="send">gets a statement that says so</option><option value="hold">gets none</option
				></select
			>{/snippet}</Field
	>
	<div class="grid grid-cols-[1.4fr_1fr] gap-2">
		<Field {form} name="schedule.when" label="Statements come round"
			>{#snippet input(attributes)}<select
					{...attributes}
					name="when"
					value={letters.schedule?.when ?? 'none'}
					>{#each STATEMENT_DAYS as one (one)}<option value={one}>{STATEMENT_DAY_WORDS[one]}</option
						>{/each}</select
				>{/snippet}</Field
		>
		<Field {form} name="schedule.kind" label="and show"
			>{#snippet input(attributes)}<select
					{...attributes}
					name="kind"
					value={letters.schedule?.kind ?? 'open'}
					>{#each STATEMENT_KINDS as one (one)}<option value={one}>{STATEMENT_KIND_WORDS[one]}</option
						>{/each}</select
				>{/snippet}</Field
		>
	</div>
	<p class="says">On that day they stand on Today, ready to be looked at. Nothing leaves without a person.</p>
	<Field {form} name="payLink" label="Page where letters can be paid"
		>{#snippet input(attributes)}<input
				type="text"
				autocomplete="off"
				placeholder="https://…?ref={'{reference}'}&sum={'{amount}'}"
				{...attributes}
				value={letters.payLink ?? ''}
			/>{/snippet}</Field
	>
	<Field {form} name="perMinute" label="Most letters a minute by mail"
		>{#snippet input(attributes)}<input
				type="text"
				inputmode="numeric"
				autocomplete="off"
				placeholder="as many as go"
				class="w-40"
				{...attributes}
				value={letters.perMinute ?? ''}
			/>{/snippet}</Field
	>
	<div><button class="btn" disabled={form.busy}>Keep it</button></div>
</form>
