<script lang="ts">
	import type { putOnAccount } from '$lib/server/allocation/commands/put-on-account';
	import type { FoundCustomer } from '$lib/server/customers/queries/find-customers';
	import type { holdReceipts } from '$lib/server/receipts/commands/hold-receipt';
	import type { PileRow } from '$lib/server/receipts/queries/pile';
	import { ActForm } from '$lib/trade/act-form.svelte';
	import CustomerField from '$lib/trade/CustomerField.svelte';
	import Dialog from '$lib/ui/Dialog.svelte';
	import FieldError from '$lib/ui/FieldError.svelte';
	import Problems from '$lib/ui/Problems.svelte';
	import { count, sumsByCurrency } from '$lib/words';
	import type { Done } from './done';

	/** What can be done with several marked receipts at once: hold them or hand them over, or put them on one account. */
	let {
		what = $bindable(),
		rows,
		people,
		done
	}: {
		what: 'hold' | 'account' | null;
		rows: readonly PileRow[];
		people: readonly string[];
		done: Done;
	} = $props();
	let because = $state('');
	let heldFor = $state('');
	let owner = $state.raw<FoundCustomer | null>(null);
	let typed = $state('');
	const receipts = $derived(rows.map(({ id, version }) => ({ id, version })));
	const sums = $derived(sumsByCurrency(rows));
	const named = $derived(`${count(rows.length, 'receipt')}, ${sums}`);
	const hold = new ActForm<typeof holdReceipts>('?/holdSeveral', {
		refresh: false,
		done: async (answer) => {
			const n = count(answer.output.count, 'receipt');
			await done(heldFor ? `${n} handed to ${heldFor}.` : `${n} on hold.`, answer);
			[because, heldFor] = ['', ''];
		}
	});
	const put = new ActForm<typeof putOnAccount>('?/onAccount', {
		refresh: false,
		done: async (answer) => {
			await done(`Put ${count(answer.output.count, 'receipt')} on the account of ${owner!.name}.`, answer);
			[owner, typed] = [null, ''];
		}
	});
</script>

<Dialog title="Hold {named}" bind:open={() => what === 'hold', (on) => (what = on ? 'hold' : null)}>
	<form
		onsubmit={(event) => {
			event.preventDefault();
			void hold.send({ receipts, because, heldFor });
		}}
	>
		<label class="grid gap-1"
			>What are they waiting for?<input
				type="text"
				bind:value={because}
				placeholder="asked them for the invoice numbers"
				{...hold.at('because')}
			/></label
		>
		<FieldError form={hold} name="because" />
		<label class="mt-2 grid gap-1"
			>Who looks into them?<select bind:value={heldFor} {...hold.at('heldFor')}
				><option value="">nobody in particular</option>{#each people as name (name)}<option value={name}
						>{name}</option
					>{/each}</select
			></label
		>
		<FieldError form={hold} name="heldFor" />
		<div class="mt-3"><Problems problems={hold.problems} /></div>
		<button class="btn btn-main mt-3" disabled={hold.busy || !because.trim()}
			>{heldFor ? `Hand to ${heldFor}` : `Hold ${count(rows.length, 'receipt')}`}</button
		>
	</form>
</Dialog>
<Dialog
	title="Put {named} on account"
	bind:open={() => what === 'account', (on) => (what = on ? 'account' : null)}
>
	<form
		onsubmit={(event) => {
			event.preventDefault();
			if (owner) void put.send({ receipts, customerId: owner.id });
		}}
	>
		<p class="says">Each is posted to the account as it came, to be allocated later.</p>
		<div class="mt-2 grid gap-1">
			<CustomerField
				label="Whose are they?"
				class="w-full"
				placeholder="part of name, code or document number"
				keepsName
				takesOnTab
				bind:text={typed}
				ask={() => (owner = null)}
				choose={(one) => ([owner, typed] = [one, one.name])}
			/>
		</div>
		<div class="mt-3"><Problems problems={put.problems} /></div>
		<button class="btn btn-main mt-3" disabled={put.busy || !owner}
			>{owner ? `Put ${sums} on account of ${owner.name}` : 'Choose the customer'}</button
		>
	</form>
</Dialog>
