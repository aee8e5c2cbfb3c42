<script lang="ts">
	import { rowCursor } from '$lib/ui/row-cursor';
	import { invalidateAll } from '$app/navigation';
	import RunSheet from '$lib/trade/RunSheet.svelte';
	import AgeBar from '$lib/trade/AgeBar.svelte';
	import StepChart from '$lib/ui/StepChart.svelte';
	import {
		amount,
		count,
		didNotArrive,
		list,
		money,
		SETTING_UP_NAMES,
		shortDay,
		statementFaultSentence,
		statementsDueSentence
	} from '$lib/words';
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
	const notArrived = $derived(work.letters.some(({ state }) => didNotArrive(state)));
	const waiting = $derived(list(Object.entries(work.waiting).map(([currency, sum]) => money(sum, currency))));
	const month = $derived(work.month.at(-1));
	const title = $derived(
		work.waitingCount > 0 ? `${waiting} received, not yet allocated.` : 'All receipts are allocated.'
	);
	const figures = $derived(
		[
			`${money(work.owed, base)} owed, ${money(work.late, base)} of it overdue;`,
			`${money(work.onAccount, base)} on account,`,
			`balance due ${money(work.owed - work.onAccount, base)}.`,
			`${money(month?.collected ?? 0, base)} collected this month.`
		].join(' ')
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
	/** Bank entries that nobody has dealt with. */
	const left = $derived(work.waitingCount + work.out);
	const noAddress = (n: number) =>
		n ? ` ${count(n, 'account has', 'accounts have')} no e-mail address.` : '';
	const unidentified = $derived(
		work.unidentified
			? `${count(work.unidentified, 'receipt is', 'receipts are')} booked as unidentified`
			: ''
	);
	const place = $derived.by(() => {
		const { certain, likely, choose, none } = work.bands;
		const parts = [
			certain ? `${certain} ${certain === 1 ? 'is' : 'are'} certain and can be posted together` : '',
			likely ? `${likely} ${likely === 1 ? 'is' : 'are'} likely` : '',
			choose ? `${choose} ${choose === 1 ? 'needs' : 'need'} a choice` : '',
			none ? `${none} ${none === 1 ? 'has' : 'have'} no suggestion` : '',
			work.out ? `${count(work.out, 'payment')} out` : ''
		].filter(Boolean);
		if (!work.answered && certain + likely + choose === 0)
			return `Suggestions are being worked out for ${count(work.waitingCount, 'receipt')}.`;
		const known = unidentified ? ` ${unidentified}.` : '';
		return (parts.length ? `${parts.join(', ')}.` : 'Nothing to allocate.') + known;
	});
	/** The run that came round, where one did. */
	const statementLink = $derived.by(() => {
		const link = new URLSearchParams({ kind: 'statement' });
		if (data.due) {
			const { kind, from, to } = data.due.statement;
			for (const [name, value] of Object.entries({ show: kind, from, to })) if (value) link.set(name, value);
		}
		return link.toString();
	});
	const setUp = $derived(data.settingUp?.steps.filter((one) => one.done || one.leftOut).length ?? 0);
	const steps = $derived([
		...(data.settingUp
			? [
					{
						name: 'Set the books up',
						says: `${setUp} of ${data.settingUp.steps.length} steps are done. Next: ${SETTING_UP_NAMES[data.settingUp.steps.find((one) => one.next)?.step ?? 'prove'].toLowerCase()}.`,
						done: false,
						warn: false,
						href: '/setting-up',
						does: 'Go on'
					}
				]
			: []),
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
						name: 'Confirm bank files',
						says: `${count(work.unconfirmedFiles, 'bank file was', 'bank files were')} brought in by hand and ${work.unconfirmedFiles === 1 ? 'waits' : 'wait'} until somebody else confirms ${work.unconfirmedFiles === 1 ? 'it' : 'them'}.`,
						done: false,
						warn: true,
						href: '/money-in/bank-files',
						does: 'Look'
					}
				]
			: []),
		...(work.reportedLeftOut
			? [
					{
						name: 'Reported, on no statement',
						says: `${count(work.reportedLeftOut, 'entry', 'entries')} that the bank reported ${work.reportedLeftOut === 1 ? 'is' : 'are'} on no statement, though later days are in. The bank may have taken ${work.reportedLeftOut === 1 ? 'it' : 'them'} back.`,
						done: false,
						warn: true,
						href: '/money-in/reported',
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
			does: work.waitingCount ? `Allocate ${count(work.waitingCount, 'receipt')}` : 'Money in'
		},
		{
			name: 'Statements',
			says:
				(data.corrections
					? `${count(data.corrections, 'corrected statement is', 'corrected statements are')} drafted: the last letter is out of date. `
					: '') +
				(data.due ? `${statementsDueSentence(data.due, data.today ?? undefined)} ` : '') +
				(data.statements.waiting
					? `Wait: ${data.statements.waiting} of ${count(data.statements.all, 'account')} on today's run ${data.statements.waiting === 1 ? 'has' : 'have'} receipts not allocated yet.`
					: `${count(data.statements.all, 'account')} can have one.${noAddress(data.statements.noAddress)}`),
			done: false,
			warn: data.statements.waiting + data.corrections > 0 || data.due !== null,
			href: data.corrections ? '/letters?kind=correction' : `/letters?${statementLink}`,
			does: 'Look'
		},
		{
			name: 'Reminders',
			says: `${count(data.reminders.all, 'account reaches', 'accounts reach')} a step today.${data.reminders.waiting ? ` ${count(data.reminders.waiting, 'account has', 'accounts have')} receipts not allocated yet.` : ''}${data.reminders.paused ? ` Chasing is paused for ${data.reminders.paused}.` : ''}${noAddress(data.reminders.noAddress)}`,
			done: data.reminders.all === 0,
			warn: false,
			href: '/letters?kind=reminder',
			does: 'Read and send'
		},
		...(data.thanks
			? [
					{
						name: 'Thanks',
						says: `${count(data.thanks, 'account has', 'accounts have')} paid what was asked for.`,
						done: false,
						warn: false,
						href: '/letters?kind=thanks',
						does: 'Read and send'
					}
				]
			: []),
		...(data.calls + data.tasks
			? [
					{
						name: 'Calls',
						says: [
							data.calls ? `${count(data.calls, 'customer')} to call.` : '',
							data.tasks ? `${count(data.tasks, 'thing')} to be done by today.` : ''
						]
							.filter(Boolean)
							.join(' '),
						done: false,
						warn: false,
						href: '/letters/calls',
						does: 'Call'
					}
				]
			: []),
		...(data.notices
			? [
					{
						name: 'Returned payments',
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
						name: 'Approvals',
						says: `${count(data.approvals, 'request waits', 'requests wait')} for a supervisor’s approval.`,
						done: false,
						warn: data.who?.role === 'supervisor',
						href: '/books/approvals',
						does: data.who?.role === 'supervisor' ? 'Answer' : 'Look'
					}
				]
			: []),
		{
			name: 'Outbox',
			says: work.letters.length
				? `${list(work.letters.map(({ state, n }) => `${n} ${state === 'undelivered' ? 'not delivered' : state}`))}.`
				: 'No letter is waiting, none was refused.',
			done: work.letters.length === 0,
			warn: notArrived,
			href: notArrived ? '/letters/outbox?state=refused' : '/letters/outbox',
			does: 'Outbox'
		},
		{
			name: 'Close the day',
			says: left
				? `${count(left, 'bank entry has', 'bank entries have')} to be dealt with first.`
				: `All bank entries are in the books.${unidentified ? ` ${unidentified}.` : ''}`,
			done: false,
			warn: false,
			href: '/books',
			does: left ? 'Check' : 'Close the day'
		}
	]);
</script>

<svelte:head><title>Today · Odd Penny</title></svelte:head>

<div class="grid min-h-[calc(100vh-48px)] grid-cols-[minmax(0,1fr)_400px] xl:grid-cols-[minmax(0,1fr)_450px]">
	<section class="px-8 pt-6">
		<h1 class="text-2xl">{title}</h1>
		<p class="mt-1 text-lg text-soft">
			{figures}
		</p>
		<RunSheet {steps} />
	</section>
	<aside class="border-l border-rule px-7 pt-6">
		<h2 class="font-sans text-sm font-semibold text-soft">Collected this month, against what fell due</h2>
		<div class="mt-2">
			<StepChart
				solid={work.month.map((day) => day.collected)}
				dashed={work.month.map((day) => day.fellDue)}
				scaleText={(value) => money(Math.round(value / 100_00) * 100_00, base).replace(/[.,]00$/, '')}
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
		<h2 class="mt-7 font-sans text-sm font-semibold text-soft">Most overdue</h2>
		<table class="mt-1">
			<thead
				><tr><th>Customer</th><th class="num">Overdue</th><th class="num">Owed</th><th>Ageing</th></tr></thead
			>
			<tbody {@attach rowCursor}>
				{#each work.lateAccounts as row (row.id)}
					<tr>
						<td><a href="/customers/{row.code}">{row.name}</a></td>
						<td class="num text-oxblood">{amount(row.late, base)}</td>
						<td class="num">{amount(row.owed, base)}</td>
						<td><AgeBar aged={row.aged} currency={base} /></td>
					</tr>
				{:else}<tr><td colspan="4" class="text-soft">No account is overdue.</td></tr>{/each}
			</tbody>
		</table>
	</aside>
</div>
