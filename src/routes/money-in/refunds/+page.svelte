<script lang="ts">
	import { rowCursor } from '$lib/ui/row-cursor';
	import type { makeRefundFile } from '$lib/server/refunds/commands/make-refund-file';
	import { SvelteMap, SvelteSet } from 'svelte/reactivity';
	import { toast } from 'svelte-sonner';
	import { ActForm } from '$lib/trade/act-form.svelte';
	import IbanNote from '$lib/trade/IbanNote.svelte';
	import Problems from '$lib/ui/Problems.svelte';
	import { count, money, shortDay } from '$lib/words';
	let { data } = $props();
	let chosen = new SvelteSet<number>();
	let accounts = new SvelteMap<number, string>();
	let bankAccountId = $state<number>();
	const form = new ActForm<typeof makeRefundFile>('?/file', {
		otherwise: 'The file could not be made. Nothing was changed; try again.',
		done: () => {
			chosen.clear();
			toast('The file is made. Take it to the bank.');
		}
	});
	const bank = $derived(data.banks.find((one) => one.id === bankAccountId) ?? data.banks[0]);
	const today = $derived(data.today ?? '');

	function make() {
		if (!bank) return form.say('Choose the bank account.');
		void form.send({
			bankAccountId: bank.id,
			refunds: data.due
				.filter((one) => chosen.has(one.id))
				.map((one) => ({ id: one.id, account: accounts.get(one.id) ?? one.account ?? '' }))
		});
	}
</script>

<svelte:head><title>Refunds · Odd Penny</title></svelte:head>

<div class="px-8 pt-5 pb-10">
	<p class="text-sm"><a href="/money-in">Money in</a></p>
	<h1>
		{data.due.length ? `${count(data.due.length, 'refund')} to be paid back.` : 'Nothing is to be paid back.'}
	</h1>
	<p class="mt-1 mb-3 says">
		Money left over on a receipt that was marked so on the desk. A supervisor makes the file for the bank (ISO
		20022 pain.001); each refund goes into one file only. The bank’s debit is then booked on refunds to be
		paid out.
	</p>
	<Problems problems={form.problems} />
	{#if data.due.length}
		<table>
			<thead
				><tr
					><th class="w-8"></th><th>Customer</th><th>Paid to</th><th>Account</th><th>Since</th><th class="num"
						>Amount</th
					></tr
				></thead
			>
			<tbody {@attach rowCursor}>
				{#each data.due as one (one.id)}
					<tr>
						<td
							><input
								type="checkbox"
								aria-label="Choose the refund of {one.customer}"
								disabled={!data.mayMake || one.currency !== bank?.currency}
								checked={chosen.has(one.id)}
								onchange={() => (chosen.has(one.id) ? chosen.delete(one.id) : chosen.add(one.id))}
							/></td
						>
						<td>{one.customer} <span class="text-soft">{one.code}</span></td>
						<td>{one.payee}</td>
						<td
							><input
								type="text"
								class="w-72 font-mono text-[13px]"
								aria-label="Account that the refund of {one.customer} goes to"
								placeholder="IBAN or account number"
								disabled={!data.mayMake}
								value={accounts.get(one.id) ?? one.account ?? ''}
								oninput={(event) => accounts.set(one.id, event.currentTarget.value)}
							/><IbanNote account={accounts.get(one.id) ?? one.account ?? ''} /></td
						>
						<td>{shortDay(one.date, today)} <span class="text-soft">{one.by}</span></td>
						<td class="num">{money(one.amount, one.currency)}</td>
					</tr>
				{/each}
			</tbody>
		</table>
		<div class="mt-3 flex items-center gap-3">
			<label class="flex items-center gap-2"
				>from <select bind:value={bankAccountId}
					>{#each data.banks as one (one.id)}<option value={one.id}>{one.name} ({one.currency})</option
						>{/each}</select
				></label
			>
			<button class="btn btn-main" disabled={form.busy || chosen.size === 0 || !data.mayMake} onclick={make}
				>{chosen.size === 0 ? 'Make the file' : `Make the file of ${count(chosen.size, 'refund')}`}</button
			>
			{#if !data.mayMake}<span class="says">Making the file takes a supervisor.</span>{/if}
		</div>
	{/if}
	{#if data.files.length}
		<h2 class="mt-8 text-xl">Files made</h2>
		<ul class="mt-1">
			{#each data.files as file (file.id)}
				<li class="border-t border-rule py-1.5">
					<a href="/money-in/refunds/{file.id}" download={file.name} class="underline">{file.name}</a>,
					{shortDay(file.date, today)}
				</li>
			{/each}
		</ul>
	{/if}
</div>
