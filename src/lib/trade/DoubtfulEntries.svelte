<script lang="ts">
	import { SvelteMap } from 'svelte/reactivity';
	import type { DoubtAnswer, EntryDoubt } from '$lib/core/model/entry-doubt';
	import { count, money, shortDay } from '$lib/words';

	/** Asks of entries of a bank file, one by one, whether they are in the books already. */
	let {
		doubts,
		busy,
		say
	}: {
		doubts: readonly EntryDoubt[];
		busy: boolean;
		say: (answers: readonly DoubtAnswer[]) => void;
	} = $props();
	/** What was chosen, by the keys of the doubts: the number of an entry, or another payment. */
	const chosen = new SvelteMap<string, number | null>();
	const open = $derived(doubts.filter(({ key }) => !chosen.has(key)).length);
	/** Entries that are chosen already: each is only one of them. */
	const taken = $derived(new Set([...chosen.values()].filter((id) => id !== null)));
	function choose(key: string, value: string) {
		if (value === '') chosen.delete(key);
		else chosen.set(key, value === 'other' ? null : Number(value));
	}
	function allOther() {
		for (const { key } of doubts) chosen.set(key, null);
	}
	function allSame() {
		chosen.clear();
		for (const { key, others } of doubts) {
			const free = others.find(({ id }) => !taken.has(id));
			chosen.set(key, free?.id ?? null);
		}
	}
</script>

<section class="note mt-3" aria-label="Entries that may be in the books already">
	<p>
		{count(doubts.length, 'entry', 'entries')} of the file may be in the books already: a file of another kind brought
		the same amount on the same day, in other words. Say of each whether it is the same. Nothing is taken before.
	</p>
	<table class="mt-2">
		<thead
			><tr><th>Booked</th><th class="num">Amount</th><th>In this file</th><th>In the books</th></tr></thead
		>
		<tbody>
			{#each doubts as { key, booked, amount, currency, words, others } (key)}
				<tr class="align-top">
					<td class="whitespace-nowrap">{shortDay(booked)}</td>
					<td class="num">{money(amount, currency)}</td>
					<td class="font-mono text-[13px] wrap-anywhere">{words || 'no words'}</td>
					<td
						><select
							class="max-w-72"
							aria-label="Whether {money(amount, currency)} of {shortDay(booked)} is in the books already"
							disabled={busy}
							value={chosen.has(key) ? String(chosen.get(key) ?? 'other') : ''}
							onchange={({ currentTarget }) => choose(key, currentTarget.value)}
						>
							<option value="">choose</option>
							<option value="other">another payment</option>
							{#each others as one (one.id)}<option
									value={String(one.id)}
									disabled={taken.has(one.id) && chosen.get(key) !== one.id}
									>the same as {one.words || 'one without words'} ({one.file})</option
								>{/each}
						</select></td
					>
				</tr>
			{/each}
		</tbody>
	</table>
	<p class="mt-2 flex flex-wrap gap-2">
		<button
			type="button"
			class="btn btn-main"
			disabled={busy || open > 0}
			onclick={() => say([...chosen].map(([key, entryId]) => ({ key, entryId })))}
			>{open > 0 ? `${open} to say` : 'Bring it in'}</button
		>
		{#if doubts.length > 1}
			<button type="button" class="btn" disabled={busy} onclick={allSame}>All are the same</button>
			<button type="button" class="btn" disabled={busy} onclick={allOther}>All are other payments</button>
		{/if}
	</p>
</section>
