<script lang="ts">
	import { rowCursor } from '$lib/ui/row-cursor';
	import { toast } from 'svelte-sonner';
	import type { changeUsualLine } from '$lib/server/receipts/commands/change-usual-line';
	import { ActForm } from '$lib/trade/act-form.svelte';
	import Problems from '$lib/ui/Problems.svelte';
	import { count } from '$lib/words';
	let { data } = $props();
	type Line = (typeof data.lines)[number];
	const form = new ActForm<typeof changeUsualLine>('?/change', { done: () => void toast('Changed.') });
	function says({ off, times, setBy }: Line): string {
		if (off) return 'switched off';
		if (times >= 3) return 'certain';
		if (setBy !== null) return `proposed, as ${setBy} said`;
		return times === 2 ? 'proposed' : 'not proposed yet';
	}
	const change = (line: Line, to: { account?: string; off?: boolean }) =>
		form.send({ id: line.id, account: line.account, off: line.off, ...to });
</script>

<svelte:head><title>Usual lines · Odd Penny</title></svelte:head>

<div class="px-8 pt-5 pb-10">
	<p class="text-sm"><a href="/money-in">Money in</a></p>
	<h1>
		{data.lines.length ? `${count(data.lines.length, 'usual line')} of the bank.` : 'No usual lines yet.'}
	</h1>
	<p class="mt-1 mb-3 says">
		Interest, charges, suppliers, tax: what was posted twice in a row to one ledger account is proposed for
		it, after three times it is certain. Posting one elsewhere starts the count again.
	</p>
	<Problems problems={form.problems} />
	{#if data.lines.length}
		<table>
			<thead
				><tr
					><th>Counterparty</th><th>Words, last</th><th>Ledger account</th><th class="num">Times in a row</th
					><th>State</th><th></th></tr
				></thead
			>
			<tbody {@attach rowCursor}>
				{#each data.lines as line (line.id)}
					<tr class={[line.off && 'text-soft']}>
						<td>{line.name}</td>
						<td class="font-mono text-[13px] text-soft">{line.text || 'all entries'}</td>
						<td
							><select
								aria-label="Ledger account of {line.name}, {line.text}"
								value={line.account}
								disabled={form.busy || !data.mayAct}
								onchange={({ currentTarget }) => change(line, { account: currentTarget.value })}
								>{#each data.accounts as one (one.code)}<option value={one.code}
										>{one.name} ({one.code})</option
									>{/each}</select
							></td
						>
						<td class="num">{line.times}</td>
						<td>{says(line)}</td>
						<td class="num"
							>{#if data.mayAct}<button
									class="min-h-6 cursor-pointer text-sm text-copper hover:underline"
									aria-label="{line.off ? 'Switch on' : 'Switch off'} {line.name}, {line.text}"
									disabled={form.busy}
									onclick={() => change(line, { off: !line.off })}
									>{line.off ? 'switch on' : 'switch off'}</button
								>{/if}</td
						>
					</tr>
				{/each}
			</tbody>
		</table>
	{/if}
</div>
