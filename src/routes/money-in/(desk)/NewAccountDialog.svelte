<script lang="ts">
	import { goto } from '$app/navigation';
	import { enhance } from '$app/forms';
	import { toast } from 'svelte-sonner';
	import type { openAccount } from '$lib/server/customers/commands/open-account';
	import { ActForm } from '$lib/trade/act-form.svelte';
	import Dialog from '$lib/ui/Dialog.svelte';
	import Field from '$lib/ui/Field.svelte';
	import Problems from '$lib/ui/Problems.svelte';

	/** Opens an account for a payer whom nobody knows, with what the bank says of them, and lays the receipt on it. */
	let {
		open = $bindable(),
		receipt,
		to
	}: {
		open: boolean;
		receipt: { id: number; payerName: string | null; payerAccount: string | null; currency: string };
		/** The desk with the receipt and an account. */
		to: (customerId: number) => string;
	} = $props();
	let name = $derived(open ? (receipt.payerName ?? '') : '');
	const form = new ActForm<typeof openAccount>('?/openAccount', {
		refresh: false,
		done: async (answer) => {
			open = false;
			toast(`${name} has an account.`);
			await goto(to(answer.output.customerId), { invalidateAll: true });
		}
	});
	const given = (fields: FormData) => {
		const text = (field: string) => String(fields.get(field) ?? '').trim();
		return {
			...{ name, code: text('code'), currency: text('currency'), email: text('email') },
			termsDays: Number(text('termsDays')),
			...{ payerName: receipt.payerName ?? '', payerAccount: receipt.payerAccount ?? '' }
		};
	};
</script>

<Dialog title="A new customer" bind:open>
	<form method="POST" action="?/openAccount" class="grid grid-cols-2 gap-3" use:enhance={form.submit(given)}>
		<Field {form} name="name" label="Name" class="col-span-2"
			>{#snippet input(attributes)}<input
					type="text"
					required
					bind:value={name}
					{...attributes}
				/>{/snippet}</Field
		>
		<Field {form} name="code" label="Account code"
			>{#snippet input(attributes)}<input
					type="text"
					placeholder="the next one"
					{...attributes}
				/>{/snippet}</Field
		>
		<Field {form} name="currency" label="Currency"
			>{#snippet input(attributes)}<input
					type="text"
					required
					maxlength="3"
					value={receipt.currency}
					{...attributes}
				/>{/snippet}</Field
		>
		<Field {form} name="termsDays" label="Terms, days"
			>{#snippet input(attributes)}<input
					type="text"
					inputmode="numeric"
					required
					value="30"
					{...attributes}
				/>{/snippet}</Field
		>
		<Field {form} name="email" label="E-mail for statements, if known"
			>{#snippet input(attributes)}<input type="email" {...attributes} />{/snippet}</Field
		>
		<p class="col-span-2 says">
			{receipt.payerAccount
				? `Payments from ${receipt.payerAccount} are known as theirs from now on.`
				: receipt.payerName
					? `Payments of “${receipt.payerName}” are known as theirs from now on.`
					: ''}
		</p>
		<div class="col-span-2"><Problems problems={form.problems} /></div>
		<div class="col-span-2">
			<button class="btn btn-main" disabled={form.busy || !name.trim()}>Open the account</button>
		</div>
	</form>
</Dialog>
