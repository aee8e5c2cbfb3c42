<script lang="ts">
	import { invalidateAll } from '$app/navigation';
	import AgeBar from '$lib/trade/AgeBar.svelte';
	import StepChart from '$lib/ui/StepChart.svelte';
	import { amount, count, list, money, shortDay, statementFaultSentence } from '$lib/words';
	/** So many milliseconds until receipts that are being answered are asked for again. */
	const ASK_AGAIN = 2_000;
	let { data } = $props();
	$effect(() => {
		if (data.work.answered) return;
		const again = setTimeout(() => void invalidateAll(), ASK_AGAIN);
		return () => clearTimeout(again);
	});
	const work = $derived(data.work);
	const base = $derived(work.baseCurrency);
	const waiting = $derived(list(Object.entries(work.waiting).map(([currency, sum]) => money(sum, currency))));
	const month = $derived(work.month.at(-1));
	const title = $derived(
		work.waitingCount > 0
			? `${waiting} came in that nobody has allocated yet.`
			: 'All money that came in is allocated.'
	);
	const bank = $derived(
		work.banks
			.map((one) =>
				one.closingOn
					? `${one.name} to ${shortDay(one.closingOn, data.today ?? undefined)}`
					: `${one.name}: no statement yet`
			)
			.join('. ')
	);
	const fresh = $derived(work.banks.some((one) => one.closingOn === data.today));
	const place = $derived.by(() => {
		const { certain, likely, choose, none } = work.bands;
		const parts = [
			certain ? `${certain} ${certain === 1 ? 'is' : 'are'} certain and can be posted together` : '',
			likely ? `${likely} ${likely === 1 ? 'is' : 'are'} likely` : '',
			choose ? `${choose} ${choose === 1 ? 'needs' : 'need'} a choice` : '',
			none ? `${none} ${none === 1 ? 'has' : 'have'} no answer` : '',
			work.out ? `${count(work.out, 'entry', 'entries')} went out` : ''
		].filter(Boolean);
		if (!work.answered && certain + likely + choose === 0)
			return `What they pay is being looked for: ${count(work.waitingCount, 'receipt')}.`;
		return parts.length ? `${parts.join(', ')}.` : 'Nothing waits.';
	});
	const steps = $derived([
		{
			name: 'Bring in the bank',
			says: `${bank}.`,
			done: fresh,
			warn: false,
			href: '/money-in',
			does: 'Bring in a file'
		},
		...(work.statementFaults.length
			? [
					{
						name: 'A statement does not fit',
						says: work.statementFaults.slice(0, 3).map(statementFaultSentence).join(' '),
						done: false,
						warn: true,
						href: '/money-in/bank-files',
						does: 'Look'
					}
				]
			: []),
		...(work.unconfirmedFiles
			? [
					{
						name: 'For a second person',
						says: `${count(work.unconfirmedFiles, 'bank file was', 'bank files were')} brought in by hand and ${work.unconfirmedFiles === 1 ? 'waits' : 'wait'} until somebody else confirms ${work.unconfirmedFiles === 1 ? 'it' : 'them'}.`,
						done: false,
						warn: true,
						href: '/money-in/bank-files',
						does: 'Look'
					}
				]
			: []),
		{
			name: 'Allocate the money',
			says: place,
			done: work.waitingCount + work.out === 0,
			warn: false,
			href: '/money-in',
			does: `Allocate ${count(work.waitingCount, 'receipt')}`
		},
		{
			name: 'Statements',
			says:
				(data.corrections
					? `${count(data.corrections, 'account')} ${data.corrections === 1 ? 'was' : 'were'} told what is no longer so: a corrected statement is drafted. `
					: '') +
				(data.statements.waiting
					? `Wait: ${data.statements.waiting} of the ${data.statements.all} accounts on today's run have money not allocated yet.`
					: `${count(data.statements.all, 'account')} could have one. ${data.statements.noAddress} have no e-mail address.`),
			done: false,
			warn: data.statements.waiting + data.corrections > 0,
			href: `/letters?kind=${data.corrections ? 'correction' : 'statement'}`,
			does: 'Look'
		},
		{
			name: 'Reminders',
			says: `${count(data.reminders.all, 'account')} ${data.reminders.all === 1 ? 'has' : 'have'} something late. ${data.reminders.waiting} have money waiting, ${data.reminders.paused} are paused, ${data.reminders.noAddress} have no e-mail address.`,
			done: data.reminders.all === 0,
			warn: false,
			href: '/letters?kind=reminder',
			does: 'Read and send'
		},
		...(data.notices
			? [
					{
						name: 'Payments that came back',
						says: `${count(data.notices, 'notice is', 'notices are')} drafted and not sent yet.`,
						done: false,
						warn: true,
						href: '/money-in/returned',
						does: 'Read and send'
					}
				]
			: []),
		...(data.approvals
			? [
					{
						name: 'For a supervisor',
						says: `${count(data.approvals, 'request waits', 'requests wait')} until a supervisor agrees.`,
						done: false,
						warn: data.who?.role === 'supervisor',
						href: '/books/approvals',
						does: data.who?.role === 'supervisor' ? 'Answer' : 'Look'
					}
				]
			: []),
		{
			name: 'Letters on their way',
			says: Object.keys(work.letters).length
				? list(Object.entries(work.letters).map(([state, n]) => `${n} ${state}`)) + '.'
				: 'None is waiting, none was refused.',
			done: Object.keys(work.letters).length === 0,
			warn: Boolean(work.letters['refused'] || work.letters['failed']),
			href: '/letters/outbox',
			does: 'Outbox'
		},
		{
			name: 'Shut the day',
			says:
				work.waitingCount + work.out
					? `Bank agrees once the ${work.waitingCount + work.out} are dealt with.`
					: 'Everything the bank shows is in the books.',
			done: false,
			warn: false,
			href: '/books',
			does: 'Check'
		}
	]);
	const first = $derived(steps.findIndex((step) => !step.done));
</script>

<svelte:head><title>Today · Odd Penny</title></svelte:head>

<div class="grid min-h-[calc(100vh-48px)] grid-cols-[minmax(0,1fr)_400px] xl:grid-cols-[minmax(0,1fr)_450px]">
	<section class="px-8 pt-6">
		<h1 class="text-2xl">{title}</h1>
		<p class="mt-1 text-lg text-soft">
			{money(work.owed, base)} is owed, {money(work.late, base)} of it late. {money(
				month?.collected ?? 0,
				base
			)} collected so far this month.
		</p>
		<ol class="mt-5">
			{#each steps as step, i (step.name)}
				<li
					class={['-mx-8 flex items-center gap-4 border-t border-rule px-8 py-3', i === first && 'bg-raised']}
				>
					<span
						class={[
							'grid h-6 w-6 shrink-0 place-items-center rounded-full border text-xs font-semibold',
							step.done
								? 'border-patina bg-patina text-paper'
								: i === first
									? 'border-2 border-copper text-copper'
									: 'border-soft text-soft'
						]}
					>
						{#if step.done}<svg width="11" height="9" viewBox="0 0 11 9" role="img" aria-label="done"
								><path d="M1 4.5 4 7.5 10 1" fill="none" stroke="currentColor" stroke-width="1.8" /></svg
							>{:else}{i + 1}{/if}
					</span>
					<span class="min-w-0">
						<span class="block font-serif text-lg font-semibold">{step.name}</span>
						<span class={['text-sm', step.warn ? 'text-copper' : 'text-soft']}>{step.says}</span>
					</span>
					<a href={step.href} class={['btn ml-auto', i === first && 'btn-main']}>{step.does}</a>
				</li>
			{/each}
		</ol>
	</section>
	<aside class="border-l border-rule px-7 pt-6">
		<h2 class="font-sans text-sm font-semibold text-soft">Money in this month, against what fell due</h2>
		<div class="mt-2">
			<StepChart
				solid={work.month.map((day) => day.collected)}
				dashed={work.month.map((day) => day.fellDue)}
				label="Collected {money(month?.collected ?? 0, base)} this month; {money(
					month?.fellDue ?? 0,
					base
				)} fell due."
			/>
		</div>
		<p class="mt-1 flex justify-between text-xs text-soft">
			<span>{work.month[0] ? shortDay(work.month[0].day, data.today ?? undefined) : ''}</span><span
				>{month ? shortDay(month.day, data.today ?? undefined) : ''}</span
			>
		</p>
		<p class="mt-1 text-xs text-soft">
			<span class="text-patina">▬</span> collected {money(month?.collected ?? 0, base)} &nbsp; ╍ fell due {money(
				month?.fellDue ?? 0,
				base
			)}
		</p>
		<h2 class="mt-7 font-sans text-sm font-semibold text-soft">Who owes the late money</h2>
		<table class="mt-1">
			<thead><tr><th></th><th class="num">Late</th><th class="num">Owed</th><th>Age of it</th></tr></thead>
			<tbody>
				{#each work.lateAccounts as row (row.id)}
					<tr>
						<td><a href="/customers/{row.code}">{row.name}</a></td>
						<td class="num text-oxblood">{amount(row.late, base)}</td>
						<td class="num">{amount(row.owed, base)}</td>
						<td><AgeBar aged={row.aged} currency={base} /></td>
					</tr>
				{:else}<tr><td colspan="4" class="text-soft">Nobody is late.</td></tr>{/each}
			</tbody>
		</table>
	</aside>
</div>
