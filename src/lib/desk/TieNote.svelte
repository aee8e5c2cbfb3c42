<script lang="ts">
	import { enhance } from '$app/forms';
	import type { OnItsWay } from '$lib/server/repo/recorded';
	import { money, shortDay } from '$lib/words/format';
	import type { After } from './after';

	/** Money recorded by hand that this entry shows: tied, it is counted once. */
	let {
		receipt,
		ties,
		today,
		busy,
		after
	}: {
		receipt: { id: number; version: number };
		ties: readonly OnItsWay[];
		today: string;
		busy: boolean;
		after: After;
	} = $props();
	const key = crypto.randomUUID();
</script>

<div class="note mx-4 mt-4 xl:mx-6">
	<p><strong class="text-copper">Recorded before?</strong> This sum is on its way already:</p>
	<ul class="mt-1 grid gap-1">
		{#each ties as one (`${one.kind} ${one.id}`)}
			<li>
				<form
					method="POST"
					action="?/tie"
					class="flex items-center gap-3"
					use:enhance={({ formData }) => {
						const to = { kind: one.kind, id: one.id };
						formData.set(
							'json',
							JSON.stringify({ receiptId: receipt.id, receiptVersion: receipt.version, to })
						);
						formData.set('key', key);
						return after('Tied: counted once.', true);
					}}
				>
					<span
						>{one.method}
						{one.reference}, {one.customer}, {shortDay(one.date, today)}, {money(
							one.amount,
							one.currency
						)}</span
					>
					<button class="btn py-0.5" disabled={busy}>It is this: tie them</button>
				</form>
			</li>
		{/each}
	</ul>
</div>
