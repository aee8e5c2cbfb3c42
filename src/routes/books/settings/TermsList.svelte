<script lang="ts">
	import { enhance } from '$app/forms';
	import { toast } from 'svelte-sonner';
	import type { NamedTerms } from '$lib/core/model/customer-details';
	import type { dropTerms, keepTerms } from '$lib/server/firm/commands/named-terms';
	import { ActForm } from '$lib/trade/act-form.svelte';
	import TermsFields from '$lib/trade/customers/TermsFields.svelte';
	import { TermsDraft } from '$lib/trade/customers/terms-draft.svelte';
	import Dialog from '$lib/ui/Dialog.svelte';
	import Field from '$lib/ui/Field.svelte';
	import Problems from '$lib/ui/Problems.svelte';
	import { termsWords } from '$lib/words';

	/** The firm's own list of terms of payment, from which a customer's are taken. */
	const { terms }: { terms: readonly NamedTerms[] } = $props();
	let open = $state(false);
	let name = $state('');
	let instead = $state<string | null>(null);
	let draft = $state(new TermsDraft(null));
	const keeping = new ActForm<typeof keepTerms>('?/keepTerms', {
		done: ({ output }) => {
			open = false;
			toast(`“${output.name}” is on the list.`);
		}
	});
	const dropping = new ActForm<typeof dropTerms>('?/dropTerms', {
		done: ({ output }) =>
			void toast(`“${output.name}” is off the list. Customers who have these terms keep them.`, {
				action: {
					label: 'Undo',
					onClick: () => void keeping.send({ instead: null, terms: unlocked(output) })
				}
			})
	});
	const unlocked = ({ termsParts, ...one }: NamedTerms) => ({ ...one, termsParts: [...termsParts] });
	function edit(one: NamedTerms | null) {
		[name, instead, draft] = [one?.name ?? '', one?.name ?? null, new TermsDraft(one)];
		open = true;
	}
</script>

<h2 id="terms" class="mt-8 text-xl">Terms of payment</h2>
<p class="mt-1 says">
	{terms.length
		? 'A customer’s terms are taken from this list, or typed. What was agreed with a customer does not change when the list does.'
		: 'None yet: put the terms here that you give most customers, to choose them by name.'}
</p>
<div class="mt-2"><Problems problems={dropping.problems} /></div>
{#if terms.length}
	<table class="mt-2">
		<thead><tr><th>Name</th><th>Due</th><th><span class="sr-only">Change</span></th></tr></thead>
		<tbody>
			{#each terms as one (one.name)}
				<tr
					><td>{one.name}</td><td class="text-soft">{termsWords(one)}</td><td class="text-right"
						><button class="btn py-0.5" aria-label="Change {one.name}" onclick={() => edit(one)}
							>change</button
						>
						<button
							class="btn py-0.5"
							aria-label="Take {one.name} off the list"
							disabled={dropping.busy}
							onclick={() => dropping.send({ name: one.name })}>take off</button
						></td
					></tr
				>
			{/each}
		</tbody>
	</table>
{/if}
<p class="mt-2"><button class="btn" onclick={() => edit(null)}>Add terms …</button></p>

<Dialog title={instead === null ? 'New terms' : `Change ${instead}`} bind:open>
	<form
		method="POST"
		action="?/keepTerms"
		class="grid grid-cols-2 gap-3"
		use:enhance={keeping.submit(() => ({ instead, terms: { name, ...draft.given() } }))}
	>
		<Field form={keeping} name="terms.name" label="Name" class="col-span-2"
			>{#snippet input(attributes)}<input
					type="text"
					required
					maxlength="60"
					autocomplete="off"
					placeholder="30 days net"
					{...attributes}
					bind:value={name}
				/>{/snippet}</Field
		>
		<TermsFields {draft} form={keeping} under="terms" />
		<div class="col-span-2"><Problems problems={keeping.problems} /></div>
		<div class="col-span-2"><button class="btn btn-main" disabled={keeping.busy}>Keep</button></div>
	</form>
</Dialog>
