<script lang="ts">
	import { toast } from 'svelte-sonner';
	import { CLAIM_REASONS, type ClaimReason } from '$lib/core/model/claim';
	import type { Day } from '$lib/core/day/day';
	import { parseTypedDay } from '$lib/core/day/parse-typed-day';
	import { addDays } from '$lib/core/day/arithmetic';
	import { minor } from '$lib/core/money/minor';
	import type { finishTask } from '$lib/server/customers/commands/tasks';
	import type { recordCall } from '$lib/server/letters/commands/record-call';
	import type { CallReason, CallRow } from '$lib/server/letters/queries/calls';
	import { ActForm } from '$lib/trade/act-form.svelte';
	import Problems from '$lib/ui/Problems.svelte';
	import { rowCursor } from '$lib/ui/row-cursor';
	import { screenKeys } from '$lib/ui/screen-keys.svelte';
	import {
		amount,
		CALL_OUTCOME_WORDS,
		CLAIM_WORDS,
		count,
		list,
		money,
		readCallLine,
		shortDay
	} from '$lib/words';
	import { plainAmount } from '$lib/words/plain-amount';
	import { typedAmount } from '$lib/words/typed-amount';
	import LetterTabs from '../LetterTabs.svelte';
	let { data } = $props();
	const today = $derived(data.day);
	const keyOf = (row: CallRow) => `${row.customerId} ${row.currency}`;
	let shown = $state<string | null>(null);
	const current = $derived(data.calls.find((row) => keyOf(row) === shown) ?? data.calls[0] ?? null);
	let line = $state('');
	let lineField = $state<HTMLInputElement>();
	/** What the line left open, as it is typed beside it. */
	let typed = $state({ amount: '', day: '', item: 0, reason: '' as ClaimReason | '' });
	const read = $derived(
		current &&
			readCallLine(line, {
				...{ today, currency: current.currency, owed: minor(current.late) },
				numbers: current.items.map((item) => item.number)
			})
	);
	const recording = new ActForm<typeof recordCall>('?/record', {
		otherwise: 'The call could not be recorded. What you typed is still there; try again.',
		done: () => {
			toast(`Recorded: ${current?.name}.`);
			clear();
		}
	});
	const finishing = new ActForm<typeof finishTask>('?/finish', { done: () => void toast('Done.') });
	function clear() {
		line = '';
		typed = { amount: '', day: '', item: 0, reason: '' };
		recording.say();
	}
	function choose(row: CallRow) {
		if (current && keyOf(row) === keyOf(current)) return;
		shown = keyOf(row);
		clear();
	}
	function step(by: 1 | -1) {
		const at = data.calls.findIndex((row) => current && keyOf(row) === keyOf(current));
		const next = data.calls[at + by];
		if (next) choose(next);
	}
	const amountOf = (known: number | null): number | null => {
		if (typed.amount.trim() === '') return known;
		const given = current ? typedAmount(typed.amount, current.currency) : '';
		return typeof given === 'number' ? given : null;
	};
	const dayOf = (known: Day | null): Day | null =>
		typed.day.trim() === '' ? known : parseTypedDay(typed.day, today);
	function record(event: SubmitEvent) {
		event.preventDefault();
		if (!current || !read) return;
		const { customerId, currency } = current;
		const base = {
			...{ customerId, currency, number: current.contacts[0]?.phone ?? '', said: line.trim() },
			outcome: read.outcome
		};
		if (read.outcome === 'promise') {
			const [sum, by] = [amountOf(read.amount), dayOf(read.day)];
			if (sum === null || by === null) return recording.say('Say how much they promised, and by which day.');
			return void recording.send({ ...base, promise: { amount: sum, promisedFor: by, items: [] } });
		}
		if (read.outcome === 'dispute') {
			const item =
				current.items.find((one) => one.id === typed.item) ??
				current.items.find((one) => one.number === read.number) ??
				(current.items.length === 1 ? current.items[0] : undefined);
			if (!item) return recording.say('Say which item they dispute.');
			const sum = amountOf(read.amount) ?? item.open;
			return void recording.send({
				...base,
				dispute: {
					...{ itemId: item.id, version: item.version, amount: sum },
					reason: typed.reason || read.reason
				}
			});
		}
		if (read.outcome === 'again') {
			const again = dayOf(read.againOn) ?? addDays(today, 1);
			return void recording.send({ ...base, againOn: again });
		}
		if (read.outcome === 'no-answer')
			return void recording.send({ ...base, againOn: dayOf(read.againOn) ?? addDays(today, 1) });
		return void recording.send(base);
	}
	function reasonWords(one: CallReason): string {
		switch (one.why) {
			case 'step':
				return `next step: ${one.step}`;
			case 'broken':
				return `promise of ${shortDay(one.day, today)} not kept`;
			case 'again':
				return `to be called again ${shortDay(one.day, today)}`;
			default:
				return one satisfies never;
		}
	}
	/** What there is to say. */
	function toSay(row: CallRow): string {
		const broken = row.reasons.find((one) => one.why === 'broken');
		const oldest = row.items[0];
		return [
			broken && broken.why === 'broken'
				? `They promised ${money(broken.amount, row.currency)} by ${shortDay(broken.day, today)}, and it has not come.`
				: '',
			oldest
				? `${money(row.late, row.currency)} is overdue, the oldest item ${oldest.number}, due ${shortDay(oldest.due, today)}.`
				: '',
			'When may we expect payment, and is anything in dispute?'
		]
			.filter(Boolean)
			.join(' ');
	}
	const worth = (row: CallRow) =>
		[
			`${amount(row.late, row.currency)} × ${row.age} for ${count(row.daysLate, 'day')}`,
			row.made ? `× ${row.habit.toFixed(2)} for ${row.kept} of ${count(row.made, 'promise')} kept` : ''
		]
			.filter(Boolean)
			.join(' ');
	const willRecord = $derived.by(() => {
		if (!current || !read || line.trim() === '') return '';
		switch (read.outcome) {
			case 'promise': {
				const [sum, by] = [amountOf(read.amount), dayOf(read.day)];
				return `A promise of ${sum === null ? '…' : money(sum, current.currency)} by ${by ? shortDay(by, today) : '…'}.`;
			}
			case 'dispute':
				return `A claim: ${CLAIM_WORDS[typed.reason || read.reason].toLowerCase()}. What is in dispute moves off the item and is not chased.`;
			case 'again':
			case 'no-answer':
				return `${read.outcome === 'no-answer' ? 'No answer; ' : ''}to be called again ${shortDay(dayOf(read.againOn) ?? addDays(today, 1), today)}.`;
			default:
				return 'What was said, as you typed it.';
		}
	});
	screenKeys(() => [
		{ keys: ['n'], what: 'the next one to call', run: () => step(1) },
		{ keys: ['b'], what: 'the one before', run: () => step(-1) },
		...(data.mayAct ? [{ keys: ['c'], what: 'what came of the call', run: () => lineField?.focus() }] : [])
	]);
</script>

<svelte:head><title>Calls · Odd Penny</title></svelte:head>

<div class="grid h-[calc(100vh-48px)] grid-cols-[minmax(0,1fr)_minmax(380px,42%)]">
	<section class="overflow-y-auto px-8 pt-5 pb-8">
		<LetterTabs here="calls" />
		<h1 class="mt-3">
			{data.calls.length
				? `${count(data.calls.length, 'customer')} to call today.`
				: 'Nobody is to be called today.'}
		</h1>
		<p class="mt-1 says">
			{data.calls.length
				? 'First who may bring most: what is overdue, by its age and by how promises were kept.'
				: 'Customers come here when their next step is a call, when a promise is broken, or on the day they asked to be called again.'}
		</p>
		{#if data.calls.length}
			<table class="mt-2">
				<thead class="sticky -top-5 z-10 bg-paper"
					><tr
						><th>Customer</th><th class="num">Overdue</th><th>Why</th><th class="num hidden xl:table-cell"
							>May bring</th
						></tr
					></thead
				>
				<tbody {@attach rowCursor}>
					{#each data.calls as row (keyOf(row))}
						<tr class={['align-top', current && keyOf(row) === keyOf(current) && 'bg-raised']}>
							<td
								><button
									data-open
									class="cursor-pointer text-left hover:underline"
									onclick={() => choose(row)}>{row.name}</button
								>
								<span class="block text-xs text-soft">{worth(row)}</span></td
							>
							<td class="num"
								>{row.currency === data.base
									? amount(row.late, row.currency)
									: money(row.late, row.currency)}</td
							>
							<td class="text-sm">{list(row.reasons.map(reasonWords))}</td>
							<td class="num hidden text-soft xl:table-cell">{amount(row.worth, data.base)}</td>
						</tr>
					{/each}
				</tbody>
			</table>
		{/if}
		{#if data.tasks.length}
			<h2 class="mt-6 text-xl">To be done</h2>
			<Problems problems={finishing.problems} />
			<ul class="mt-1">
				{#each data.tasks as task (task.id)}
					<li class="flex items-baseline gap-3 border-b border-rule py-1">
						<span class="w-16 shrink-0 text-sm {task.day < today ? 'text-copper' : 'text-soft'}"
							>{shortDay(task.day, today)}</span
						>
						<span class="grow wrap-anywhere"
							>{task.what} <a class="text-soft underline" href="/customers/{task.code}">{task.name}</a></span
						>
						{#if data.mayAct}<button
								class="btn py-0.5"
								disabled={finishing.busy}
								aria-label="{task.what}: done"
								onclick={() => finishing.send({ taskId: task.id })}>done</button
							>{/if}
					</li>
				{/each}
			</ul>
		{/if}
	</section>
	<section class="overflow-y-auto border-l border-rule p-5" aria-label="Who is called">
		{#if current}
			<h2 class="text-xl"><a class="hover:underline" href="/customers/{current.code}">{current.name}</a></h2>
			{#each current.contacts as contact, n (n)}
				<p class="mt-1 text-lg">
					{contact.name}
					<a class="underline" href="tel:{contact.phone.replace(/[^\d+]/g, '')}">{contact.phone}</a>
				</p>
			{:else}<p class="mt-1 note">
					No telephone number is kept. <a class="underline" href="/customers/{current.code}/details"
						>Add one to their details</a
					>.
				</p>{/each}
			<p class="mt-3">{toSay(current)}</p>
			<table class="mt-3">
				<thead><tr><th>Item</th><th>Due</th><th class="num">Open {current.currency}</th></tr></thead>
				<tbody>
					{#each current.items as item (item.id)}
						<tr
							><td><a href="/customers/{current.code}?item={item.id}">{item.number}</a></td><td
								>{shortDay(item.due, today)}</td
							><td class="num">{amount(item.open, current.currency)}</td></tr
						>
					{/each}
				</tbody>
			</table>
			{#if data.mayAct}
				<form class="mt-4 grid gap-2" onsubmit={record} aria-label="What came of the call">
					<label class="grid gap-0.5"
						><span class="text-sm text-soft">What came of it <span class="key">C</span></span><input
							bind:this={lineField}
							type="text"
							maxlength="1000"
							autocomplete="off"
							required
							placeholder="promises 500 on Friday · again Monday · no answer · disputes {current.items[0]
								?.number ?? 'AK-1001'} 40.00 broken"
							bind:value={line}
						/></label
					>
					{#if willRecord}<p class="text-sm text-soft" aria-live="polite">{willRecord}</p>{/if}
					{#if read && read.outcome !== 'said' && line.trim() !== ''}
						<div class="flex flex-wrap items-end gap-3 text-sm">
							{#if read.outcome === 'promise' || read.outcome === 'dispute'}
								<label class="grid gap-0.5"
									><span class="text-soft">Amount, {current.currency}</span><input
										type="text"
										inputmode="decimal"
										class="num w-28 py-0.5"
										placeholder={read.amount === null ? '' : plainAmount(read.amount, current.currency)}
										bind:value={typed.amount}
									/></label
								>
							{/if}
							{#if read.outcome !== 'dispute'}
								<label class="grid gap-0.5"
									><span class="text-soft">{read.outcome === 'promise' ? 'By' : 'Call again'}</span><input
										type="text"
										class="w-28 py-0.5"
										placeholder={shortDay(
											(read.outcome === 'promise' ? read.day : read.againOn) ?? addDays(today, 1),
											today
										)}
										bind:value={typed.day}
									/></label
								>
							{:else}
								<label class="grid gap-0.5"
									><span class="text-soft">Item</span><select class="py-0.5" bind:value={typed.item}
										><option value={0}
											>{read.number ??
												(current.items.length === 1 ? current.items[0]!.number : 'choose …')}</option
										>{#each current.items as item (item.id)}<option value={item.id}>{item.number}</option
											>{/each}</select
									></label
								>
								<label class="grid gap-0.5"
									><span class="text-soft">Reason</span><select class="py-0.5" bind:value={typed.reason}
										><option value="">{CLAIM_WORDS[read.reason]}</option
										>{#each CLAIM_REASONS as reason (reason)}<option value={reason}
												>{CLAIM_WORDS[reason]}</option
											>{/each}</select
									></label
								>
							{/if}
						</div>
					{/if}
					<Problems problems={recording.problems} />
					<p class="flex gap-2">
						<button class="btn btn-main" disabled={recording.busy || line.trim() === ''}>Record it</button>
						<button type="button" class="btn" onclick={() => step(1)}>Next <span class="key">N</span></button>
					</p>
				</form>
			{/if}
			{#if current.calls.length}
				<h3 class="mt-5 font-sans text-sm font-semibold text-soft">Last calls</h3>
				{#each current.calls as call, n (n)}
					<p class="mt-1 text-sm wrap-anywhere">
						{shortDay(call.day, today)}, {call.by}: {CALL_OUTCOME_WORDS[call.outcome]}{call.said
							? `. ${call.said}`
							: ''}
					</p>
				{/each}
			{/if}
		{:else}<p class="says">The one who is to be called is shown here, with what to say.</p>{/if}
	</section>
</div>
