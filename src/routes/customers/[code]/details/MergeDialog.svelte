<script lang="ts">
	import { goto } from '$app/navigation';
	import { toast } from 'svelte-sonner';
	import type { mergeAccounts, partAccounts } from '$lib/server/customers/commands/merge-accounts';
	import type { FoundCustomer } from '$lib/server/customers/queries/find-customers';
	import { ActForm } from '$lib/trade/act-form.svelte';
	import CustomerField from '$lib/trade/CustomerField.svelte';
	import Dialog from '$lib/ui/Dialog.svelte';
	import FieldError from '$lib/ui/FieldError.svelte';
	import Problems from '$lib/ui/Problems.svelte';

	/** Says that another account is this one. */
	let {
		open = $bindable(false),
		customer,
		leave
	}: {
		open?: boolean;
		customer: { readonly id: number; readonly version: number; readonly code: string; readonly name: string };
		/** What was typed on the page is not asked about any more. */
		leave: () => void;
	} = $props();
	let other = $state<FoundCustomer | null>(null);
	const here = $derived(`/customers/${encodeURIComponent(customer.code)}`);
	// svelte-ignore state_referenced_locally
	const back = new ActForm<typeof partAccounts>(`/customers/${encodeURIComponent(customer.code)}?/part`, {
		done: () => void toast('Both are accounts of their own again.')
	});
	const form = new ActForm<typeof mergeAccounts>('?/merge', {
		refresh: false,
		done: async ({ output }) => {
			leave();
			toast(`${other!.name} is one with ${customer.name} now.`, {
				action: { label: 'Undo', onClick: () => void back.send({ actId: String(output.actId) }) }
			});
			await goto(here, { invalidateAll: true });
		}
	});
	function merge(event: SubmitEvent) {
		event.preventDefault();
		if (!other) return void form.sayAt('otherId', 'Choose the other account first.');
		void form.send({ customerId: customer.id, version: customer.version, otherId: other.id });
	}
</script>

<Dialog title="Merge another account into this one" bind:open>
	<form class="grid gap-3" onsubmit={merge}>
		<p class="says">
			Where two accounts are one customer. All that is open or on account is {customer.code}’s from then on,
			and names and bank accounts of the other lead here. What was posted stays as it was posted. It can be
			taken back.
		</p>
		<CustomerField
			label="The other account"
			placeholder="part of name or code"
			choose={(one) => ((other = one), form.say())}
			{...form.at('otherId')}
		/>
		<FieldError {form} name="otherId" />
		{#if other}<p>
				<strong>{other.name}</strong>, {other.code}, will be seen as <strong>{customer.name}</strong>, {customer.code}.
			</p>{/if}
		<Problems problems={[...form.problems, ...back.problems]} />
		<div><button class="btn btn-main" disabled={form.busy || !other}>Merge the accounts</button></div>
	</form>
</Dialog>
