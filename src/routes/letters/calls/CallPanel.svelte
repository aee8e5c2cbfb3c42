<script lang="ts">
	import { toast } from 'svelte-sonner';
	import { CLAIM_REASONS } from '$lib/core/model/claim';
	import type { Day } from '$lib/core/day/day';
	import type { recordCall } from '$lib/server/letters/commands/record-call';
	import type { CallRow } from '$lib/server/letters/queries/calls';
	import { ActForm } from '$lib/trade/act-form.svelte';
	import Problems from '$lib/ui/Problems.svelte';
	import { amount, CALL_OUTCOME_WORDS, CLAIM_WORDS, money, shortDay } from '$lib/words';
	import { plainAmount } from '$lib/words/plain-amount';
	import { CallDraft } from './call-draft.svelte';

	/** Who is called: the number, what to say, what is late, and what came of it in a line. */
	let {
		row,
		today,
		mayAct,
		next
	}: {
		row: CallRow;
		today: Day;
		mayAct: boolean;
		/** Goes on to the one after. */
		next: () => void;
	} = $props();
	let line = $state<HTMLInputElement>();
	/** For another customer, and once it is recorded, it begins again. */
	let times = $state(0);
	const draft = $derived.by(() => {
		void times;
		return new CallDraft(row, today);
	});
	const recording = new ActForm<typeof recordCall>('?/record', {
		otherwise: 'The call could not be recorded. What you typed is still there; try again.',
		done: () => {
			toast(`Recorded: ${row.name}.`);
			times++;
		}
	});
	$effect(() => {
		void row.customerId;
		recording.say();
	});
	function record(event: SubmitEvent) {
		event.preventDefault();
		const given = draft.given();
		if (typeof given === 'string') return recording.say(given);
		void recording.send(given);
	}
	/** Puts the caret into the line. */
	export function type(): void {
		line?.focus();
	}
	const toSay = $derived.by(() => {
		const broken = row.reasons.find((one) => one.why === 'broken');
		const oldest = row.items[0];
		return [
			broken
				? `They promised ${money(broken.amount, row.currency)} by ${shortDay(broken.day, today)}, and it has not come.`
				: '',
			oldest
				? `${money(row.late, row.currency)} is overdue, the oldest item ${oldest.number}, due ${shortDay(oldest.due, today)}.`
				: '',
			'When may we expect payment, and is anything in dispute?'
		]
			.filter(Boolean)
			.join(' ');
	});
</script>

<h2 class="text-xl"><a class="hover:underline" href="/customers/{row.code}">{row.name}</a></h2>
{#each row.contacts as contact, n (n)}
	<p class="mt-1 text-lg">
		{contact.name}
		<a class="underline" href="tel:{contact.phone.replace(/[^\d+]/g, '')}">{contact.phone}</a>
	</p>
{:else}<p class="mt-1 note">
		No telephone number is kept. <a class="underline" href="/customers/{row.code}/details"
			>Add one to their details</a
		>.
	</p>{/each}
<p class="mt-3">{toSay}</p>
<table class="mt-3">
	<thead><tr><th>Item</th><th>Due</th><th class="num">Open {row.currency}</th></tr></thead>
	<tbody>
		{#each row.items as item (item.id)}
			<tr
				><td><a href="/customers/{row.code}?item={item.id}">{item.number}</a></td><td
					>{shortDay(item.due, today)}</td
				><td class="num">{amount(item.open, row.currency)}</td></tr
			>
		{/each}
	</tbody>
</table>
{#if mayAct}
	{@const read = draft.read}
	<form class="mt-4 grid gap-2" onsubmit={record} aria-label="What came of the call">
		<label class="grid gap-0.5"
			><span class="text-sm text-soft">What came of it <span class="key">C</span></span><input
				bind:this={line}
				type="text"
				maxlength="1000"
				autocomplete="off"
				required
				placeholder="promises 500 on Friday · again Monday · no answer · disputes {row.items[0]?.number ??
					'AK-1001'} 40.00 broken"
				bind:value={draft.line}
			/></label
		>
		{#if draft.says}<p class="text-sm text-soft" aria-live="polite">{draft.says}</p>{/if}
		{#if read.outcome !== 'said' && draft.line.trim() !== ''}
			<div class="flex flex-wrap items-end gap-3 text-sm">
				{#if read.outcome === 'promise' || read.outcome === 'dispute'}
					{@const known = read.outcome === 'promise' ? draft.promisedAmount : read.amount}
					<label class="grid gap-0.5"
						><span class="text-soft">Amount, {row.currency}</span><input
							type="text"
							inputmode="decimal"
							class="num w-28 py-0.5"
							placeholder={known === null ? '' : plainAmount(known, row.currency)}
							bind:value={draft.amount}
						/></label
					>
				{/if}
				{#if read.outcome === 'dispute'}
					<label class="grid gap-0.5"
						><span class="text-soft">Item</span><select class="py-0.5" bind:value={draft.item}
							><option value={0}>{draft.disputed?.number ?? 'choose …'}</option
							>{#each row.items as item (item.id)}<option value={item.id}>{item.number}</option
								>{/each}</select
						></label
					>
					<label class="grid gap-0.5"
						><span class="text-soft">Reason</span><select class="py-0.5" bind:value={draft.reason}
							><option value="">{CLAIM_WORDS[read.reason]}</option
							>{#each CLAIM_REASONS as reason (reason)}<option value={reason}>{CLAIM_WORDS[reason]}</option
								>{/each}</select
						></label
					>
				{:else}
					<label class="grid gap-0.5"
						><span class="text-soft">{read.outcome === 'promise' ? 'By' : 'Call again'}</span><input
							type="text"
							class="w-28 py-0.5"
							placeholder={draft.namedDay ? shortDay(draft.namedDay, today) : '6 Nov'}
							bind:value={draft.day}
						/></label
					>
				{/if}
			</div>
		{/if}
		<Problems problems={recording.problems} />
		<p class="flex gap-2">
			<button class="btn btn-main" disabled={recording.busy || draft.line.trim() === ''}>Record it</button>
			<button type="button" class="btn" onclick={next}>Next <span class="key">N</span></button>
		</p>
	</form>
{/if}
{#if row.calls.length}
	<h3 class="mt-5 font-sans text-sm font-semibold text-soft">Last calls</h3>
	{#each row.calls as call, n (n)}
		<p class="mt-1 text-sm wrap-anywhere">
			{shortDay(call.day, today)}, {call.by}: {CALL_OUTCOME_WORDS[call.outcome]}{call.said
				? `. ${call.said}`
				: ''}
		</p>
	{/each}
{/if}
