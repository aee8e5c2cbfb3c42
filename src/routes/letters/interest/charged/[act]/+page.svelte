<script lang="ts">
	import { SvelteSet } from 'svelte/reactivity';
	import { toast } from 'svelte-sonner';
	import type { undoInterest } from '$lib/server/interest/commands/undo-interest';
	import type { startRun } from '$lib/server/letters/commands/start-run';
	import { ActForm } from '$lib/trade/act-form.svelte';
	import Problems from '$lib/ui/Problems.svelte';
	import { rowCursor } from '$lib/ui/row-cursor';
	import { amount, count, moment, money, percent, shortDay, sumsByCurrency } from '$lib/words';
	import LetterTabs from '../../../LetterTabs.svelte';
	let { data } = $props();
	const { run } = $derived(data);
	const chosen = new SvelteSet<number>();
	const turn = (id: number) => (chosen.has(id) ? chosen.delete(id) : chosen.add(id));
	type Charged = (typeof run.documents)[number];
	const mayUndo = (one: Charged) => one.kind === 'charge' && !one.isUndone;
	const standing = $derived(run.documents.filter((one) => !one.isUndone));
	const undoable = $derived(run.documents.filter(mayUndo));
	const { letters } = $derived(data);
	const signed = (one: Charged) => (one.kind === 'charge' ? one.total : -one.total);
	const undoing = new ActForm<typeof undoInterest>('?/undo', {
		otherwise: 'That did not work. Nothing was taken back.',
		done: ({ output }) => {
			toast(`Took back ${count(output.undone, 'charge')}. Their days can be charged again.`);
			chosen.clear();
		}
	});
	const writing = new ActForm<typeof startRun, object>('?/letters');
	const undo = () => undoing.send({ documents: [...chosen] });
	const write = () => writing.send({ run: run.actId, seen: data.seen });
	const all = () => {
		const isWhole = chosen.size === undoable.length;
		chosen.clear();
		if (!isWhole) for (const one of undoable) chosen.add(one.documentId);
	};
</script>

<svelte:head><title>Interest charged · Odd Penny</title></svelte:head>

<section class="max-w-[1000px] px-8 pt-5 pb-24">
	<LetterTabs here="interest" />
	<h1 class="mt-3">
		{sumsByCurrency(standing.map((one) => ({ amount: signed(one), currency: one.currency }))) || 'Nothing'} charged
		for late payment to {shortDay(run.through)}.
	</h1>
	<p class="mt-1 mb-3 says">
		Charged on {moment(run.at)} by {run.by},
		<a href="/books/journal?act={run.actId}">as the journal has it</a>. A charge that is taken back is
		credited in full, and its days can be charged again.
	</p>
	<Problems problems={[...undoing.problems, ...writing.problems]} />
	<table>
		<thead
			><tr
				><th class="w-8"
					>{#if data.mayAct && undoable.length > 1}<input
							type="checkbox"
							aria-label="Choose all"
							checked={chosen.size === undoable.length}
							onchange={all}
						/>{:else}<span class="sr-only">Choose</span>{/if}</th
				><th>Customer</th><th>Document</th><th class="num">Sum</th><th class="num">Open</th><th>Letter</th
				></tr
			></thead
		>
		<tbody {@attach rowCursor}>
			{#each run.documents as one (one.documentId)}
				{@const told = run.told[one.itemId]}
				<tr class={['align-top', one.isUndone && 'text-soft']}>
					<td
						>{#if mayUndo(one)}<input
								type="checkbox"
								aria-label="Choose {one.number}"
								disabled={!data.mayAct}
								checked={chosen.has(one.documentId)}
								onchange={() => turn(one.documentId)}
							/>{/if}</td
					>
					<td><a class="block py-0.5" href="/customers/{one.code}">{one.name}</a></td>
					<td>
						<a class="block py-1" href="/open-items?item={one.itemId}">{one.number}</a>
						<details class="text-xs text-soft">
							<summary class="cursor-pointer py-1.5"
								>{count(new Set(one.lines.map((line) => line.number)).size, 'item')}</summary
							>
							{#each one.lines as line, n (n)}
								<span class="block text-xs text-soft"
									>{line.number}{line.kind === 'compensation'
										? ', fixed compensation'
										: `, ${shortDay(line.from, data.day)} to ${shortDay(line.to, data.day)}`}{line.kind ===
									'correction'
										? ', corrected'
										: line.spans.length === 1
											? `, ${money(line.spans[0]!.open, one.currency)} at ${percent(line.spans[0]!.basisPoints)}`
											: ''}: {amount(line.amount, one.currency)}</span
								>
							{/each}
						</details>
					</td>
					<td class="num">{money(signed(one), one.currency)}</td>
					<td class="num text-soft"
						>{one.isUndone ? '' : amount(one.kind === 'charge' ? one.open : -one.open, one.currency)}</td
					>
					<td class="text-sm"
						>{#if one.isUndone}taken back{:else if told?.letterId}<a
								class="block py-0.5"
								href="/letters/outbox/{told.letterId}">written</a
							>{:else if told}being written{:else if data.unreached.includes(one.customerId)}<a
								class="block py-0.5 text-oxblood"
								href="/customers/{one.code}/details">no address</a
							>{:else}<span class="text-soft">none yet</span>{/if}</td
					>
				</tr>
			{/each}
		</tbody>
	</table>
</section>

{#if data.mayAct}
	<footer class="double-top fixed inset-x-0 bottom-0 flex h-[54px] items-center gap-3 bg-raised px-5">
		<button class="btn btn-main" disabled={writing.busy || letters === 0} onclick={write}
			>Send {letters ? count(letters, 'letter') : 'letters'}</button
		>
		<button class="btn" disabled={undoing.busy || chosen.size === 0} onclick={undo}
			>Take back {chosen.size ? count(chosen.size, 'charge') : ''}</button
		>
		<p class="ml-auto text-sm text-soft" aria-live="polite">
			{letters
				? 'One letter for each account that none has told yet.'
				: data.unreached.length
					? 'Who is left has no address.'
					: 'Every account has its letter.'}
		</p>
	</footer>
{/if}
