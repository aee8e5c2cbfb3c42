<script lang="ts">
	import { enhance } from '$app/forms';
	import type { postCertain } from '$lib/server/allocation/commands/post-certain';
	import Problems from '$lib/ui/Problems.svelte';
	import Dialog from '$lib/ui/Dialog.svelte';
	import type { PileRow } from '$lib/server/receipts/queries/pile';
	import { amount, count, money } from '$lib/words';
	import { ActForm } from '$lib/trade/act-form.svelte';
	import type { Done } from './done';

	/** What is certain, to be read through and posted together. */
	let {
		open = $bindable(),
		rows,
		base,
		done
	}: {
		open: boolean;
		rows: readonly PileRow[];
		base: string;
		done: Done;
	} = $props();
	const form = new ActForm<typeof postCertain>('?/certain', {
		refresh: false,
		done: (answer) => {
			const { posted, left } = answer.output;
			const rest = left ? ` ${count(left, 'receipt')} changed meanwhile or takes a supervisor.` : '';
			return done(`Posted ${count(posted, 'receipt')}.${rest}`, answer);
		}
	});
</script>

<Dialog title="Post what is certain" wide bind:open>
	<p class="says">
		Each of these has a known payer, is explained to the penny, and has no other answer as good. Read them
		through; each can be undone by itself, or all of them as one.
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
	<Problems problems={form.problems} />
	<form
		method="POST"
		action="?/certain"
		use:enhance={form.submit(() => ({ receipts: rows.map(({ id, version }) => ({ id, version })) }))}
	>
		<button class="btn btn-main" disabled={form.busy || rows.length === 0}>Post these {rows.length}</button>
	</form>
</Dialog>
