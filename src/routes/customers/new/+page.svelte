<script lang="ts">
	import { enhance } from '$app/forms';
	import { goto } from '$app/navigation';
	import { page } from '$app/state';
	import { toast } from 'svelte-sonner';
	import type { openAccount } from '$lib/server/customers/commands/open-account';
	import { ActForm } from '$lib/trade/act-form.svelte';
	import CustomerFields from '$lib/trade/customers/CustomerFields.svelte';
	import { CustomerDraft } from '$lib/trade/customers/customer-draft.svelte';
	import Field from '$lib/ui/Field.svelte';
	import Problems from '$lib/ui/Problems.svelte';
	let { data } = $props();
	const draft = new CustomerDraft(null, page.data.base, page.data.today);
	let code = $state('');
	let currency = $state<string>(page.data.base);
	const form = new ActForm<typeof openAccount>('?/open', {
		refresh: false,
		done: async ({ output }) => {
			toast(`${draft.name} has an account.`);
			await goto(`/customers/${encodeURIComponent(output.code)}`, { invalidateAll: true });
		}
	});
	function submit() {
		const given = draft.given(currency);
		if ('fault' in given) return form.sayAt(given.field, given.fault);
		const { name, termsDays } = given.details;
		return { name, code, currency, termsDays, details: given.details };
	}
</script>

<svelte:head><title>A new customer · Odd Penny</title></svelte:head>

<div class="max-w-[1100px] px-8 pt-5 pb-10">
	<h1>A new customer</h1>
	<p class="mt-1 says">
		Only the name is needed. Many at once come <a href="/open-items/bring-in?what=customers">from a table</a>.
	</p>
	<form method="POST" action="?/open" class="mt-4" use:enhance={form.submit(submit)}>
		<CustomerFields {draft} {form} {currency} named={data.terms} ways={data.ways}>
			{#snippet account()}
				<Field {form} name="code" label="Account code"
					>{#snippet input(attributes)}<input
							type="text"
							placeholder="the next one"
							autocomplete="off"
							{...attributes}
							bind:value={code}
						/>{/snippet}</Field
				>
				<Field {form} name="currency" label="Currency"
					>{#snippet input(attributes)}<input
							type="text"
							class="uppercase"
							maxlength="3"
							required
							{...attributes}
							bind:value={currency}
						/>{/snippet}</Field
				>
			{/snippet}
		</CustomerFields>
		<div class="mt-4"><Problems problems={form.problems} /></div>
		<p class="mt-4 flex gap-3">
			<button class="btn btn-main" disabled={form.busy || !draft.name.trim()}>Open the account</button>
			<a class="btn" href="/customers">Cancel</a>
		</p>
	</form>
</div>
