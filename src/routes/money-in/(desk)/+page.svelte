<script lang="ts">
	import { goto, preloadData } from '$app/navigation';
	import { tick } from 'svelte';
	import BankNotes from './BankNotes.svelte';
	import ReceiptDialogs from './ReceiptDialogs.svelte';
	import type { DeskDialog } from './desk-dialog';
	import DeskBar from './DeskBar.svelte';
	import PileHead from './PileHead.svelte';
	import PostCertainDialog from './PostCertainDialog.svelte';
	import DeskView from '$lib/trade/allocating/DeskView.svelte';
	import GoneNote from './GoneNote.svelte';
	import { isTyping, mayPress } from '$lib/ui/keys';
	import { screenKeys } from '$lib/ui/screen-keys.svelte';
	import PileList from './PileList.svelte';
	import { itemKeys } from '$lib/trade/allocating/item-keys';
	import { Allocating } from '$lib/trade/allocating/allocating.svelte';
	import type SetsHere from '$lib/trade/allocating/SetsHere.svelte';
	import { ActForm } from '$lib/trade/act-form.svelte';
	import { asideForm } from './aside-form';
	import { joinForm } from './join-form';
	import { DeskActs } from './desk-acts.svelte';
	import { deskKeys } from './desk-keys';
	import { takeProposal } from './take-proposal';
	import type { Done } from './done';
	import MarkedBar from './MarkedBar.svelte';
	import { refreshWhenStill } from '$lib/ui/refresh-when-still';
	import { filterText, FIRST_ROWS, wantRows } from '$lib/trade/pile-rows';
	import { usualOf } from '$lib/trade/allocating/allocating-outcome';
	import type { allocateReceipt } from '$lib/server/allocation/commands/allocate-receipt';
	import Problems from '$lib/ui/Problems.svelte';
	import type { Day } from '$lib/core/day/day';
	import { money } from '$lib/words';
	import { SvelteSet } from 'svelte/reactivity';
	import SeveralDialogs from './SeveralDialogs.svelte';

	let { data } = $props();
	const nextId = $derived(data.beside.next ?? data.beside.previous);
	/** The desk with a receipt, or with the first; what is shown of the pile stays. */
	const addressOf = (id: number | null) =>
		`/money-in?${`${id === null ? '' : `&receipt=${id}`}${filterText(data.filter)}`.slice(1)}`;
	let dialog = $state<DeskDialog | null>(null);
	let several = $state<'hold' | 'account' | null>(null);
	let active = $state(0);
	let deskSection = $state<HTMLElement>();
	const acts = new DeskActs(
		() => addressOf(nextId),
		async () => {
			active = 0;
			await tick();
			// Keys are for what is on the desk now: no field of the one before keeps the cursor.
			deskSection?.focus({ preventScroll: true });
		}
	);
	/** Whatever asked for it is closed when it is done. */
	const done: Done = (...given) => {
		[dialog, several] = [null, null];
		return acts.done(...given);
	};
	let laid: { readonly mark: string; readonly allocating: Allocating } | null = null;
	/** What lies on the strip; the same as before where nothing about it changed, with all that was typed. */
	const allocating = $derived.by(() => {
		const { desk, lay } = data;
		if (!desk) return null;
		const { receipt, answer, customer, itemsOf, credits } = desk;
		const mark = JSON.stringify([receipt, answer, customer?.id, itemsOf, credits, lay, acts.count]);
		if (laid?.mark !== mark)
			laid = { mark, allocating: new Allocating(desk, data.today as Day, data.who?.name ?? '', lay) };
		return laid.allocating;
	});

	/** Answers that are being made anew are fetched when they are there; nobody who types is disturbed. */
	$effect(() => {
		if (data.fresh) return;
		const timer = setInterval(() => {
			if (!isTyping(document.activeElement as HTMLElement)) void refreshWhenStill('books:pile');
		}, 700);
		return () => clearInterval(timer);
	});
	const certain = $derived(data.groups.find((group) => group.name === 'certain')!);
	/** The receipt on the desk is drawn in the list, however far down it stands. */
	$effect(() => {
		if (data.place && wantRows(data.place.group, data.filter, data.place.at + FIRST_ROWS / 2))
			void refreshWhenStill('books:pile-rows');
	});
	let pileFilter = $state<HTMLInputElement>();
	/** Receipts that are marked, to be dealt with together; what is not in the pile any more falls out. */
	const marks = new SvelteSet<number>();
	const markedRows = $derived(data.groups.flatMap((group) => group.rows.filter((row) => marks.has(row.id))));
	function mark(id: number | undefined) {
		if (id !== undefined && data.mayAct && !marks.delete(id)) marks.add(id);
	}
	let filter = $state<HTMLInputElement>();
	let sets = $state<SetsHere>();
	let desk = $state<DeskView>();
	let postForm = $state<HTMLFormElement>()!;

	/** The next receipt is fetched while this one is looked at, so that going on answers at once. */
	$effect(() => {
		const next = addressOf(nextId);
		const soon =
			nextId === null ? undefined : setTimeout(() => void preloadData(next).catch(() => undefined), 120);
		return () => clearTimeout(soon);
	});

	const join = joinForm();
	/** A form of its own for each receipt that is shown: what was sent for one is never taken for another. */
	const post = $derived.by(() => {
		const { receipt, customer } = data.desk ?? {};
		void [receipt?.id, receipt?.version, customer?.id, acts.count];
		return new ActForm<typeof allocateReceipt>('?/post', {
			refresh: false,
			done: (answer) => {
				const { desk, currency, placed } = allocating!;
				const what = money(desk.receipt?.amount ?? placed, currency);
				const asked = answer.output.actId === null;
				return done(
					asked ? `A supervisor is asked to post ${what}.` : `Posted ${what} for ${desk.customer?.name}.`,
					answer,
					true
				);
			}
		});
	});
	/** Entries that are no customer's and always go to one account are posted there by the same key. */
	const usual = $derived(allocating && usualOf(allocating));
	const usualForm = $derived.by(() => {
		const { receipt } = data.desk ?? {};
		void [receipt?.id, receipt?.version, acts.count];
		return receipt && usual ? asideForm(receipt, () => usual.name, done) : null;
	});
	function postUsual() {
		const receipt = data.desk?.receipt;
		if (!receipt || !usual || !usualForm) return;
		const head = { receiptId: receipt.id, receiptVersion: receipt.version };
		void usualForm.send({ ...head, account: usual.account, remember: false });
	}
	const problems = $derived([
		...(usualForm?.problems ?? []),
		...post.problems,
		...acts.undo.problems,
		...join.problems
	]);

	function step(by: 1 | -1) {
		const id = by > 0 ? data.beside.next : data.beside.previous;
		if (id === null) return;
		post.say();
		active = 0;
		void goto(addressOf(id), { noScroll: true, keepFocus: true })?.then(() =>
			document.querySelector(`[data-receipt="${id}"]`)?.scrollIntoView({ block: 'nearest' })
		);
	}

	/** Opens a dialog where what it asks about is there. */
	function ask(what: DeskDialog) {
		const there = {
			certain: certain.count > 0,
			hold: Boolean(allocating?.desk.receipt),
			aside: Boolean(allocating?.desk.receipt),
			advice: Boolean(allocating?.desk.customer),
			account: (data.desk?.receipt?.amount ?? 0) > 0
		};
		if (data.mayAct && there[what]) dialog = what;
	}
	const bindings = $derived(
		deskKeys(
			{
				...{ step, ask },
				lookForSets: () => (sets ? sets.look() : desk?.look()),
				takeProposal: () => deskSection && takeProposal(deskSection),
				whose: () => void desk?.whose(),
				whyNot: () => desk?.whyNot(),
				otherAnswer: () => desk?.showOther(1),
				newCustomer: () => ask('account'),
				split: () =>
					data.mayAct && data.desk?.payout && void goto(`/money-in/split?receipt=${data.desk.receipt?.id}`),
				mark: () => mark(data.desk?.receipt?.id),
				deal: (what) => markedRows.length > 0 && (several = what),
				filterPile: () => pileFilter?.focus(),
				undo: () => acts.last !== null && void acts.undoAct(acts.last)
			},
			itemKeys(allocating, { active, move: (to) => (active = to), filter })
		)
	);

	screenKeys(
		() => bindings,
		() =>
			void tick().then(() =>
				document.querySelector('[data-active="true"]')?.scrollIntoView({ block: 'nearest' })
			)
	);

	function onkeydown(event: KeyboardEvent) {
		const target = event.target as HTMLElement;
		const own = target.matches('a, button, summary, select') && !target.hasAttribute('data-receipt');
		if (event.key !== 'Enter' || !mayPress(event) || own || !allocating || !data.mayAct) return;
		if (target.hasAttribute('data-keep-enter')) return;
		event.preventDefault();
		if (usual) postUsual();
		else if (allocating.outcome.ok && !post.busy) postForm.requestSubmit();
	}
</script>

<svelte:head><title>Money in · Odd Penny</title></svelte:head>
<svelte:window {onkeydown} />

<div class="grid h-[calc(100vh-48px)] grid-cols-[236px_1fr] xl:grid-cols-[286px_1fr] grid-rows-[1fr_auto]">
	<section class="overflow-y-auto border-r border-rule" aria-label="The pile">
		<PileHead {data} bind:field={pileFilter} />
		{#if markedRows.length}
			<MarkedBar marked={markedRows.length} deal={(what) => (several = what)} clear={() => marks.clear()} />
		{/if}
		<PileList
			groups={data.groups}
			more={(group, rows) => wantRows(group, data.filter, rows) && void refreshWhenStill('books:pile-rows')}
			filter={data.filter}
			marked={marks}
			{mark}
			today={(data.today ?? '') as Day}
			credits={data.credits}
			reported={data.reported}
			account={data.desk && !data.desk.receipt ? (data.desk.customer?.id ?? null) : null}
			selected={data.desk?.receipt?.id ?? null}
			readThrough={() => (dialog = 'certain')}
		/>
	</section>

	<section bind:this={deskSection} class="overflow-y-auto outline-none" aria-label="The desk" tabindex="-1">
		{#if data.gone}<GoneNote gone={data.gone} />{/if}
		{#if problems.length}<div class="px-6 pt-4"><Problems {problems} /></div>{/if}
		{#if allocating && data.desk}
			<BankNotes desk={data.desk} today={data.today ?? ''} mayAct={data.mayAct} {done} />
			<DeskView
				bind:this={desk}
				{allocating}
				newCustomer={() => ask('account')}
				reasons={data.reasons}
				bind:filter
				bind:sets
				bind:active
				mayAct={data.mayAct}
				join={() => join.send({ receiptId: data.desk?.receipt?.id ?? 0 })}
				takeOff={(actId) => acts.undoAct([actId])}
			/>
		{:else if !data.gone}
			<div class="mx-auto mt-24 w-[460px]">
				<h2 class="text-2xl">
					{data.count < data.all ? 'Nothing fits this filter.' : 'All receipts are allocated.'}
				</h2>
				<p class="mt-2 says">
					Bring in the next bank file: drop it anywhere on this page, or use the button above the pile. Files
					put in the watched folder come in by themselves.
				</p>
			</div>
		{/if}
	</section>

	<DeskBar
		bind:postForm
		{allocating}
		{post}
		usual={usual && { name: usual.name, post: postUsual, busy: usualForm?.busy ?? false }}
		mayAct={data.mayAct}
		{ask}
	/>
</div>

<PostCertainDialog
	bind:open={() => dialog === 'certain', (on) => (dialog = on ? 'certain' : null)}
	all={certain.count}
	filter={data.filter}
	today={data.today ?? ''}
	{done}
/>
<ReceiptDialogs
	bind:dialog
	desk={data.desk}
	{allocating}
	mayAct={data.mayAct}
	people={data.ways.people}
	addressOf={(customerId) => `${addressOf(data.desk?.receipt?.id ?? null)}&customer=${customerId}`}
	{done}
/>
<SeveralDialogs
	bind:what={several}
	rows={markedRows}
	people={data.ways.people}
	done={(...given) => {
		marks.clear();
		return done(...given);
	}}
/>
