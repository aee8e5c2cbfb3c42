<script lang="ts">
	import { enhance } from '$app/forms';
	import Problems from '$lib/ui/Problems.svelte';
	import Sheet from '$lib/ui/Sheet.svelte';
	import type { PileRow } from '$lib/server/looks/pile';
	import { amount, count, money } from '$lib/words/format';
	import type { After } from './after';

	/** What is certain, to be read through and posted together. */
	let {
		open = $bindable(),
		rows,
		base,
		problems,
		busy,
		key,
		after
	}: {
		open: boolean;
		rows: readonly PileRow[];
		base: string;
		problems: readonly string[];
		busy: boolean;
		key: string;
		after: After;
	} = $props();
</script>

<Sheet title="Post what is certain" wide bind:open>
	<p class="says">
		Each of these has a known payer, is explained to the penny, and has no other answer as good. Read them
		through; each can be taken back by itself.
	</p>
	<div class="my-3 max-h-[52vh] overflow-auto">
		<table>
			<thead><tr><th>Payer</th><th>Settles</th><th class="num">Amount</th></tr></thead>
			<tbody>
				{#each rows as row (row.id)}
					<tr
						><td>{row.who}</td><td class="text-soft">{row.numbers.join(', ')}</td><td class="num"
							>{row.currency === base
								? amount(row.amount, row.currency)
								: money(row.amount, row.currency)}</td
						></tr
					>
				{/each}
			</tbody>
		</table>
	</div>
	<Problems {problems} />
	<form
		method="POST"
		action="?/certain"
		use:enhance={({ formData }) => {
			formData.set('json', JSON.stringify({ receipts: rows.map(({ id, version }) => ({ id, version })) }));
			formData.set('key', key);
			return after(`Posted ${count(rows.length, 'receipt')}.`);
		}}
	>
		<button class="btn btn-main" disabled={busy || rows.length === 0}>Post these {rows.length}</button>
	</form>
</Sheet>
