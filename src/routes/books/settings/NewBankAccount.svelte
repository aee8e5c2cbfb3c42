<script lang="ts">
	import { enhance } from '$app/forms';
	import { toast } from 'svelte-sonner';
	import type { addBankAccount } from '$lib/server/firm/commands/add-bank-account';
	import { ActForm } from '$lib/trade/act-form.svelte';
	import IbanNote from '$lib/trade/IbanNote.svelte';
	import Field from '$lib/ui/Field.svelte';
	import Problems from '$lib/ui/Problems.svelte';
	import { typedAmount } from '$lib/words/typed-amount';

	const bankForm = new ActForm<typeof addBankAccount>('?/bank', {
		done: () => void toast('The bank account is there.')
	});
	let accountNumber = $state('');
	function givenAccount(form: FormData) {
		const field = (name: string) => String(form.get(name) ?? '').trim();
		const [currency, text] = [field('currency').toUpperCase(), field('opening')];
		const opening = text ? typedAmount(text, currency, true) : null;
		if (typeof opening === 'string') {
			bankForm.say(`“${text}” is not an amount${currency ? ` in ${currency}` : ''}.`);
			return null;
		}
		const [name, number, bankName] = [field('name'), field('number'), field('bankName')];
		return { name, number, bankName, currency, opening, bic: field('bic'), ledger: field('ledger') };
	}
</script>

<h2 class="mt-8 text-xl">Add a bank account</h2>
<Problems problems={bankForm.problems} />
<form
	method="POST"
	action="?/bank"
	use:enhance={bankForm.submit(givenAccount)}
	class="mt-2 grid w-96 grid-cols-2 gap-2"
>
	<Field form={bankForm} name="name" label="Name" class="col-span-2"
		>{#snippet input(attributes)}<input type="text" required {...attributes} />{/snippet}</Field
	>
	<Field form={bankForm} name="number" label="IBAN, or sort code and account number" class="col-span-2"
		>{#snippet input(attributes)}<input
				type="text"
				required
				bind:value={accountNumber}
				{...attributes}
			/>{/snippet}</Field
	>
	<div class="col-span-2 empty:hidden"><IbanNote account={accountNumber} /></div>
	<Field form={bankForm} name="bankName" label="Bank"
		>{#snippet input(attributes)}<input type="text" required {...attributes} />{/snippet}</Field
	>
	<Field form={bankForm} name="bic" label="BIC, if it has one"
		>{#snippet input(attributes)}<input type="text" {...attributes} />{/snippet}</Field
	>
	<Field form={bankForm} name="currency" label="Currency"
		>{#snippet input(attributes)}<input type="text" required maxlength="3" {...attributes} />{/snippet}</Field
	>
	<Field form={bankForm} name="ledger" label="Ledger account"
		>{#snippet input(attributes)}<input type="text" required {...attributes} />{/snippet}</Field
	>
	<Field
		form={bankForm}
		name="opening"
		label="Balance when the books begin, to check the first statement"
		class="col-span-2"
		>{#snippet input(attributes)}<input type="text" inputmode="decimal" {...attributes} />{/snippet}</Field
	>
	<div class="col-span-2"><button class="btn" disabled={bankForm.busy}>Add it</button></div>
</form>
