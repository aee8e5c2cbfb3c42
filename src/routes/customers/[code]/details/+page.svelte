<script lang="ts">
	import { enhance } from '$app/forms';
	import { beforeNavigate, goto } from '$app/navigation';
	import { toast } from 'svelte-sonner';
	import type { changeCustomer } from '$lib/server/customers/commands/change-customer';
	import type { closeAccount, reopenAccount } from '$lib/server/customers/commands/close-account';
	import { ActForm } from '$lib/trade/act-form.svelte';
	import MergeDialog from './MergeDialog.svelte';
	import CustomerFields from '$lib/trade/customers/CustomerFields.svelte';
	import { CustomerDraft } from '$lib/trade/customers/customer-draft.svelte';
	import Dialog from '$lib/ui/Dialog.svelte';
	import Field from '$lib/ui/Field.svelte';
	import Problems from '$lib/ui/Problems.svelte';
	import { screenKeys } from '$lib/ui/screen-keys.svelte';
	import { count, shortDay } from '$lib/words';
	let { data } = $props();
	const customer = $derived(data.customer);
	const here = $derived(`/customers/${encodeURIComponent(customer.code)}`);
	// svelte-ignore state_referenced_locally
	const draft = new CustomerDraft(customer.details, customer.currency, data.today!);
	// svelte-ignore state_referenced_locally
	const asKept = JSON.stringify(draft.given(customer.currency));
	let left = false;
	const isTyped = $derived(JSON.stringify(draft.given(customer.currency)) !== asKept);
	const form = new ActForm<typeof changeCustomer>('?/change', {
		refresh: false,
		done: async ({ output }) => {
			left = true;
			toast(
				output.changes
					? `${count(output.changes, 'detail')} of ${draft.name} changed.`
					: 'Nothing was changed.'
			);
			await goto(here, { invalidateAll: true });
		}
	});
	function submit() {
		const given = draft.given(customer.currency);
		if ('fault' in given) return form.sayAt(given.field, given.fault);
		return { customerId: customer.id, version: customer.version, details: given.details };
	}
	let closing = $state(false);
	let merging = $state(false);
	const closeForm = new ActForm<typeof closeAccount>('?/close', {
		refresh: false,
		done: async () => {
			[closing, left] = [false, true];
			toast(`The account of ${customer.details.name} is closed.`);
			await goto(here, { invalidateAll: true });
		}
	});
	const reopenForm = new ActForm<typeof reopenAccount>('?/reopen', {
		refresh: false,
		done: async () => {
			left = true;
			toast(`The account of ${customer.details.name} is open again.`);
			await goto(here, { invalidateAll: true });
		}
	});
	beforeNavigate(({ cancel, willUnload }) => {
		if (left || !isTyped || form.busy) return;
		// The browser asks by itself where the page is left altogether.
		if (willUnload || !confirm('What you typed is not saved. Leave it?')) cancel();
	});
	screenKeys(() => [{ keys: ['Escape'], what: 'back to the account', run: () => goto(here) }]);
</script>

<svelte:head><title>{customer.details.name}, details · Odd Penny</title></svelte:head>

<div class="max-w-[1100px] px-8 pt-5 pb-10">
	<p class="text-sm"><a class="underline" href={here}>{customer.code}</a></p>
	<h1>Details of {customer.details.name}</h1>
	{#if customer.closedOn}<p class="note mt-1">
			This account was closed on {shortDay(customer.closedOn, data.today ?? undefined)}.
		</p>{/if}
	<form method="POST" action="?/change" class="mt-4" use:enhance={form.submit(submit)}>
		<CustomerFields {draft} {form} currency={customer.currency} named={data.terms} ways={data.ways}>
			{#snippet account()}<p class="col-span-2 text-sm text-soft">
					Account {customer.code}, kept in {customer.currency}.
				</p>{/snippet}
		</CustomerFields>
		<div class="mt-4"><Problems problems={form.problems} /></div>
		<p class="mt-4 flex gap-3">
			<button class="btn btn-main" disabled={form.busy || !isTyped}>Save</button>
			<a class="btn" href={here}>Cancel</a>
			{#if data.who?.role === 'supervisor'}<button
					type="button"
					class="btn ml-auto"
					onclick={() => (merging = true)}>Merge another account …</button
				>{/if}
			{#if customer.closedOn}
				<button
					type="button"
					class="btn"
					disabled={reopenForm.busy}
					onclick={() => reopenForm.send({ customerId: customer.id, version: customer.version })}
					>Open the account again</button
				>
			{:else}
				<button
					type="button"
					class={['btn', data.who?.role !== 'supervisor' && 'ml-auto']}
					onclick={() => (closing = true)}>Close the account …</button
				>
			{/if}
		</p>
		<Problems problems={reopenForm.problems} />
	</form>
</div>

<MergeDialog
	bind:open={merging}
	customer={{ ...customer, name: customer.details.name }}
	leave={() => (left = true)}
/>

<Dialog title="Close the account" bind:open={closing}>
	<form
		method="POST"
		action="?/close"
		class="grid gap-3"
		use:enhance={closeForm.submit((fields) => ({
			...{ customerId: customer.id, version: customer.version },
			reason: String(fields.get('reason') ?? '')
		}))}
	>
		<p class="says">
			Nothing may be open on it. It stays in the books and can be read; no invoice is written for it any more,
			and it is not offered where an account is chosen. It can be opened again.
		</p>
		<Field form={closeForm} name="reason" label="Why"
			>{#snippet input(attributes)}<input
					type="text"
					required
					maxlength="400"
					{...attributes}
				/>{/snippet}</Field
		>
		<Problems problems={closeForm.problems} />
		<div><button class="btn btn-main" disabled={closeForm.busy}>Close the account</button></div>
	</form>
</Dialog>
