<script lang="ts">
	import { untrack } from 'svelte';
	import { goto } from '$app/navigation';
	import { toast } from 'svelte-sonner';
	import type { splitReceipt } from '$lib/server/receipts/commands/split-receipt';
	import { ActForm } from '$lib/trade/act-form.svelte';
	import { Splitting, type ReportColumns } from './splitting.svelte';
	import { screenKeys } from '$lib/ui/screen-keys.svelte';
	import Problems from '$lib/ui/Problems.svelte';
	import { amount, count, money, shortDay } from '$lib/words';
	import type { Payout } from '$lib/core/2-receipts/payout-of';
	import type { Waiting } from '$lib/server/receipts/store/waiting-receipts';
	import { bringFiles, takeFiles } from '$lib/trade/files/take-files.svelte';

	/** Splits one entry into the payments that it is made of, from a report or by hand. */
	let {
		entry,
		processors,
		today,
		mayAct,
		report = $bindable()
	}: {
		entry: { receipt: Waiting; bank: { name: string }; payout: Payout | null };
		processors: Readonly<Record<string, ReportColumns>>;
		today: string;
		mayAct: boolean;
		/** The text of a report that was taken before the entry was known. */
		report: string | null;
	} = $props();
	const receipt = $derived(entry.receipt);
	const split = untrack(() => new Splitting(entry.receipt.amount, entry.receipt.currency, processors));
	untrack(() => {
		split.processor = entry.payout ? (entry.payout.processor ?? entry.receipt.payerName ?? '') : '';
		if (report !== null) split.take(report);
		report = null;
	});
	takeFiles({
		kinds: ['processor-report', 'other-table', 'advice', 'bank-table'],
		take: ([file]) => void file!.text().then((text) => split.take(text))
	});
	const form = new ActForm<typeof splitReceipt>('?/split', {
		otherwise: 'The entry could not be split. Nothing was changed; try again.',
		refresh: false,
		done: async ({ output }) => {
			toast(`Split into ${count(split.parts.length, 'payment')}.`);
			await goto(`/money-in?receipt=${output.firstId}`, { invalidateAll: true });
		}
	});
	let fileField = $state<HTMLInputElement>();
	const ready = $derived(!form.busy && split.wrong === '' && mayAct);
	screenKeys(() => [
		{ keys: ['f'], what: 'choose the file of the report', run: () => fileField?.click() },
		{ keys: ['+'], what: 'one more payment', run: () => split.add() },
		{ keys: ['Enter'], what: 'split the entry', run: () => ready && post() }
	]);
	const parts = ['name', 'text', 'gross', 'fee'] as const;
	const names = { name: 'who paid', text: 'reference or words', gross: 'gross', fee: 'fee' } as const;

	const post = () =>
		form.send({
			receiptId: receipt.id,
			receiptVersion: receipt.version,
			processor: split.processor,
			columns: split.headings.length ? split.columns : null,
			parts: split.parts.map((part) => ({ ...part, gross: part.gross ?? 0, fee: part.fee ?? 0 }))
		});
</script>

<div class="px-8 pt-5 pb-10">
	<p class="text-sm"><a href="/money-in?receipt={receipt.id}">Back to the desk</a></p>
	<h1>{money(receipt.amount, receipt.currency)} that is several payments</h1>
	<p class="mt-1 font-mono text-[13px] text-soft">
		{shortDay(receipt.booked, today)} · {entry.bank.name} · {receipt.payerName ?? 'no name'} · {receipt.text}
	</p>
	<div class="mt-4 flex flex-wrap items-end gap-4">
		<label class="grid gap-1"
			>Whose report? <input
				type="text"
				list="known-processors"
				bind:value={split.processor}
				placeholder="name of the processor"
			/></label
		>
		<datalist id="known-processors"
			>{#each Object.keys(processors) as name (name)}<option value={name}></option>{/each}</datalist
		>
		<label class="grid gap-1"
			><span>The report, as CSV <span class="key">F</span></span><input
				bind:this={fileField}
				type="file"
				accept=".csv,.txt,.tsv"
				onchange={({ currentTarget }) => void bringFiles([...(currentTarget.files ?? [])])}
			/></label
		>
		{#each split.headings.length ? parts : [] as part (part)}
			<label class="grid gap-1 text-sm"
				>{names[part]} is in
				<select bind:value={split.columns[part]} onchange={() => split.lay()}>
					<option value="">no column</option>
					{#each split.headings as heading (heading)}<option value={heading}>{heading}</option>{/each}
				</select></label
			>
		{/each}
	</div>
	<p class="mt-1 says">
		The columns are remembered for the processor’s next report. Or type the parts below.
	</p>
	<div class="mt-3"><Problems problems={[...split.problems, ...form.problems]} /></div>
	<table class="mt-3">
		<thead
			><tr
				><th>Who paid</th><th>Reference or words</th><th class="num">Gross</th><th class="num">Fee</th><th
					class="num">Comes to</th
				><th></th></tr
			></thead
		>
		<tbody>
			{#each split.rows as row, i (i)}
				{@const part = split.parts[i]}
				<tr>
					<td
						><input type="text" class="w-full" aria-label="Who paid part {i + 1}" bind:value={row.name} /></td
					>
					<td
						><input type="text" class="w-full" aria-label="Words of part {i + 1}" bind:value={row.text} /></td
					>
					<td class="num"
						><input
							type="text"
							inputmode="decimal"
							class="amount-field"
							aria-label="Gross of part {i + 1}"
							bind:value={row.gross}
						/></td
					>
					<td class="num"
						><input
							type="text"
							inputmode="decimal"
							class="amount-field"
							aria-label="Fee of part {i + 1}"
							bind:value={row.fee}
						/></td
					>
					<td class="num"
						>{part && part.gross !== null && part.fee !== null
							? amount(part.gross - part.fee, receipt.currency)
							: '–'}</td
					>
					<td class="num"
						><button
							class="cursor-pointer text-sm text-soft hover:text-ink"
							aria-label="Remove part {i + 1}"
							onclick={() => split.remove(i)}>remove</button
						></td
					>
				</tr>
			{/each}
		</tbody>
		<tfoot>
			<tr class="font-semibold"
				><td colspan="2"><button class="btn py-0.5" onclick={() => split.add()}>One more</button></td><td
					class="num">{amount(split.sums.gross, receipt.currency)}</td
				><td class="num">{amount(split.sums.fee, receipt.currency)}</td><td class="num"
					>{amount(split.sums.net, receipt.currency)}</td
				><td></td></tr
			>
		</tfoot>
	</table>
	<div class="mt-4 flex items-center gap-4">
		<button class="btn btn-main" disabled={!ready} onclick={post}
			>Split into {count(split.parts.length, 'payment')} <span class="key">Enter</span></button
		>
		<p aria-live="polite" class={split.wrong ? 'text-copper' : 'text-soft'}>
			{split.wrong ||
				`${amount(split.sums.gross, receipt.currency)} gross − ${amount(split.sums.fee, receipt.currency)} fees = ${amount(receipt.amount, receipt.currency)} at the bank. Nothing is posted yet; the parts wait in the pile, each credited in full.`}
		</p>
	</div>
</div>
