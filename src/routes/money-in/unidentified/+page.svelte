<script lang="ts">
	import { rowCursor } from '$lib/ui/row-cursor';
	import { SvelteSet } from 'svelte/reactivity';
	import { toast } from 'svelte-sonner';
	import type { holdReceipts } from '$lib/server/receipts/commands/hold-receipt';
	import { ActForm } from '$lib/trade/act-form.svelte';
	import FieldError from '$lib/ui/FieldError.svelte';
	import Problems from '$lib/ui/Problems.svelte';
	import { count, money, shortDay, sumsByCurrency } from '$lib/words';
	let { data } = $props();
	const ticked = new SvelteSet<number>();
	const chosen = $derived(data.rows.filter((row) => ticked.has(row.id)));
	let because = $state('');
	let heldFor = $state('');
	const sums = $derived(sumsByCurrency(data.rows));
	const form = new ActForm<typeof holdReceipts>('?/hand', {
		done: ({ output }) => {
			toast(`${count(output.count, 'receipt')} handed to ${heldFor || 'nobody in particular'}.`);
			ticked.clear();
			because = '';
		}
	});
	function hand(event: SubmitEvent) {
		event.preventDefault();
		void form.send({ receipts: chosen.map(({ id, version }) => ({ id, version })), because, heldFor });
	}
</script>

<svelte:head><title>Unidentified receipts · Odd Penny</title></svelte:head>

<div class="px-8 pt-5 pb-10">
	<p class="text-sm"><a href="/money-in">Money in</a></p>
	<h1>
		{data.rows.length ? `${sums} of unidentified receipts.` : 'No receipt is unidentified.'}
	</h1>
	<p class="mt-1 mb-3 says">
		Money whose payer nobody knows yet. The bank agrees, and the day can be closed; each stays here until its
		payer is found.{#if !data.rows.length}
			It is posted here from <a href="/money-in">Money in</a>, under “Not customer money”.{/if}
	</p>
	{#if data.rows.length}
		<table>
			<thead
				><tr
					><th class="w-8"
						><input
							type="checkbox"
							aria-label="Tick all"
							checked={chosen.length === data.rows.length}
							onchange={({ currentTarget }) => {
								for (const row of data.rows)
									if (currentTarget.checked) ticked.add(row.id);
									else ticked.delete(row.id);
							}}
						/></th
					><th>Booked</th><th class="num">Days</th><th>From</th><th>Words</th><th>Assigned to</th><th>Note</th
					><th class="num">Amount</th></tr
				></thead
			>
			<tbody {@attach rowCursor}>
				{#each data.rows as row (row.id)}
					<tr>
						<td
							><input
								type="checkbox"
								aria-label="Tick {money(row.amount, row.currency)} of {row.payer ?? 'no name'}"
								checked={ticked.has(row.id)}
								disabled={!data.mayAct}
								onchange={() => ticked.delete(row.id) || ticked.add(row.id)}
							/></td
						>
						<td class="whitespace-nowrap">{shortDay(row.booked, data.today ?? undefined)}</td>
						<td class={['num', row.days > 30 && 'text-oxblood']}>{row.days}</td>
						<td
							><a href="/money-in?receipt={row.id}">{row.payer ?? 'no name'}</a>{#if row.found}
								<span class="text-patina">an answer was found</span>{/if}</td
						>
						<td class="font-mono text-[13px] text-soft">{row.text}</td>
						<td>{row.heldFor ?? '–'}</td>
						<td>{row.heldBecause ?? ''}</td>
						<td class="num">{money(row.amount, row.currency)}</td>
					</tr>
				{/each}
			</tbody>
		</table>
		{#if data.mayAct}
			<form class="mt-3 flex flex-wrap items-end gap-3" onsubmit={hand}>
				<label class="grid gap-1 text-sm"
					>Hand to<select bind:value={heldFor} {...form.at('heldFor')}
						><option value="">nobody in particular</option>{#each data.people as name (name)}<option
								value={name}>{name}</option
							>{/each}</select
					><FieldError {form} name="heldFor" /></label
				>
				<label class="grid gap-1 text-sm"
					>with the note<input
						type="text"
						class="w-80"
						placeholder="ask the branch who paid it in"
						bind:value={because}
						{...form.at('because')}
					/><FieldError {form} name="because" /></label
				>
				<button class="btn btn-main" disabled={form.busy || chosen.length === 0 || !because.trim()}
					>{chosen.length
						? `Hand over ${count(chosen.length, 'receipt')}`
						: 'Tick receipts to hand over'}</button
				>
			</form>
			<div class="mt-2"><Problems problems={form.problems} /></div>
		{/if}
	{/if}
</div>
