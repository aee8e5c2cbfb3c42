<script lang="ts">
	import { goto, invalidateAll, preloadData } from '$app/navigation';
	import { toast } from 'svelte-sonner';
	import { tick } from 'svelte';
	import AdviceDialog from './AdviceDialog.svelte';
	import SetAsideDialog from './SetAsideDialog.svelte';
	import DeskBar from './DeskBar.svelte';
	import PileHead from './PileHead.svelte';
	import PostCertainDialog from './PostCertainDialog.svelte';
	import DeskView from '$lib/trade/allocating/DeskView.svelte';
	import GoneNote from './GoneNote.svelte';
	import HoldDialog from './HoldDialog.svelte';
	import KeysDialog from '$lib/ui/KeysDialog.svelte';
	import { isTyping, mayPress, pressKey, type KeyBinding } from '$lib/ui/keys';
	import PileList from './PileList.svelte';
	import { itemKeys } from '$lib/trade/allocating/item-keys';
	import { Allocating } from '$lib/trade/allocating/allocating.svelte';
	import type SetsHere from '$lib/trade/allocating/SetsHere.svelte';
	import ReturnNote from './ReturnNote.svelte';
	import BankMatchNote from './BankMatchNote.svelte';
	import { ActForm } from '$lib/trade/act-form.svelte';
	import type { Done } from './done';
	import { refreshWhenStill } from '$lib/ui/refresh-when-still';
	import { filterText, FIRST_ROWS, wantRows } from '$lib/trade/pile-rows';
	import { usualOf } from '$lib/trade/allocating/allocating-outcome';
	import type { setAside } from '$lib/server/receipts/commands/set-aside';
	import type { allocateReceipt } from '$lib/server/allocation/commands/allocate-receipt';
	import type { joinParts } from '$lib/server/receipts/commands/split-receipt';
	import type { undoActs } from '$lib/server/allocation/commands/undo-acts';
	import Problems from '$lib/ui/Problems.svelte';
	import { takeFiles } from '$lib/trade/files/take-files.svelte';
	import type { Day } from '$lib/core/day/day';
	import { count, money } from '$lib/words';
	import { SvelteSet } from 'svelte/reactivity';
	import SeveralDialogs from './SeveralDialogs.svelte';

	let { data } = $props();
	/** Rises with each act: what was typed for the one before is gone. */
	let shown = $state(0);
	let laid: { readonly mark: string; readonly allocating: Allocating } | null = null;
	/** What lies on the strip; the same as before where nothing about it changed, with all that was typed. */
	const allocating = $derived.by(() => {
		const { desk, lay } = data;
		if (!desk) return null;
		const { receipt, answer, customer, itemsOf, credits } = desk;
		const mark = JSON.stringify([receipt, answer, customer?.id, itemsOf, credits, lay, shown]);
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
	let several = $state<'hold' | 'account' | null>(null);
	function mark(id: number | undefined) {
		if (id !== undefined && data.mayAct && !marks.delete(id)) marks.add(id);
	}
	let dialog = $state<'certain' | 'hold' | 'aside' | 'advice' | 'keys' | null>(null);
	/** The last act done here that can be undone: U undoes it. */
	let lastAct = $state<readonly number[] | null>(null);
	let adviceText = $state('');
	/** An advice dropped on a desk whose customer is known is theirs. */
	takeFiles({
		get kinds() {
			return data.mayAct && allocating?.desk.customer ? (['advice'] as const) : [];
		},
		take: ([file]) =>
			void file!.text().then((text) => {
				adviceText = text;
				dialog = 'advice';
			})
	});
	let filter = $state<HTMLInputElement>();
	let sets = $state<SetsHere>();
	let active = $state(0);
	let postForm = $state<HTMLFormElement>()!;
	let deskSection = $state<HTMLElement>();

	const nextId = $derived(data.beside.next ?? data.beside.previous);

	/** The desk with a receipt, or with the first; what is shown of the pile stays. */
	const addressOf = (id: number | null) =>
		`/money-in?${(id === null ? filterText(data.filter) : `&receipt=${id}${filterText(data.filter)}`).slice(1)}`;
	/** The next receipt is fetched while this one is looked at, so that going on answers at once. */
	$effect(() => {
		const next = addressOf(nextId);
		const soon =
			nextId === null ? undefined : setTimeout(() => void preloadData(next).catch(() => undefined), 120);
		return () => clearTimeout(soon);
	});

	/** Says what was done, with the way back of that very act, and goes on to the next receipt where that is wanted. */
	const done: Done = async (said, { undo: way }, goOn = false) => {
		const undoable = way === null ? null : [way].flat();
		const going = nextId;
		shown++;
		marks.clear();
		[dialog, several] = [null, null];
		if (undoable !== null) lastAct = undoable;
		toast(
			said,
			undoable === null ? {} : { action: { label: 'Undo', onClick: () => void undoAct(undoable) } }
		);
		if (goOn)
			await goto(addressOf(going), {
				invalidateAll: true,
				noScroll: true,
				keepFocus: true
			});
		else await invalidateAll();
		active = 0;
		await tick();
		// Keys are for what is on the desk now: no field of the one before keeps the cursor.
		deskSection?.focus({ preventScroll: true });
	};
	const undo = new ActForm<typeof undoActs>('?/undo', { refresh: false });
	/** Undoes what was done together, the last first, each by itself, so that others are let in between. */
	async function undoAct(actIds: readonly number[]) {
		if (lastAct === actIds) lastAct = null;
		let undone = 0;
		for (const actId of [...actIds].reverse()) {
			if (!(await undo.send({ actIds: [actId] }))) break;
			undone++;
		}
		if (undone === 0) return;
		shown++;
		active = 0;
		if (undone === actIds.length) toast('Undone. It waits in the pile again.');
		await invalidateAll();
	}
	const join = new ActForm<typeof joinParts>('?/join', {
		otherwise: 'That did not work; try again.',
		refresh: false,
		done: async () => {
			toast('The parts are one entry again.');
			await goto('/money-in', { invalidateAll: true });
		}
	});
	/** A form of its own for each receipt that is shown: what was sent for one is never taken for another. */
	const post = $derived.by(() => {
		const { receipt, customer } = data.desk ?? {};
		void [receipt?.id, receipt?.version, customer?.id, shown];
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
		void [data.desk?.receipt?.id, data.desk?.receipt?.version, shown];
		return new ActForm<typeof setAside>('?/aside', {
			refresh: false,
			done: (answer) => {
				const { amount, currency } = data.desk!.receipt!;
				const sum = money(Math.abs(amount), currency);
				const waits = answer.output.waits.length > 0;
				return done(
					waits ? `A supervisor is asked about ${sum}.` : `Posted ${sum} to ${usual!.name}.`,
					answer,
					true
				);
			}
		});
	});
	function postUsual() {
		const receipt = data.desk?.receipt;
		if (!receipt || !usual) return;
		const head = { receiptId: receipt.id, receiptVersion: receipt.version };
		void usualForm.send({ ...head, account: usual.account, remember: false });
	}
	const problems = $derived([...usualForm.problems, ...post.problems, ...undo.problems, ...join.problems]);

	function step(by: 1 | -1) {
		const id = by > 0 ? data.beside.next : data.beside.previous;
		if (id === null) return;
		post.say();
		active = 0;
		void goto(addressOf(id), { noScroll: true, keepFocus: true })?.then(() =>
			document.querySelector(`[data-receipt="${id}"]`)?.scrollIntoView({ block: 'nearest' })
		);
	}

	const bindings: readonly KeyBinding[] = $derived([
		{ keys: ['j', 'k'], what: 'next and previous receipt', run: (key) => step(key === 'j' ? 1 : -1) },
		...itemKeys(allocating, { active, move: (to) => (active = to), filter }),
		{ keys: ['s'], what: 'look for items that come to what is left', run: () => sets?.look() },
		{
			keys: ['a'],
			what: 'take their remittance advice',
			run: () => data.mayAct && allocating?.desk.customer && (dialog = 'advice')
		},
		{
			keys: ['p'],
			what: 'split a payout into its payments',
			run: () => data.mayAct && data.desk?.payout && goto(`/money-in/split?receipt=${data.desk.receipt?.id}`)
		},
		{ keys: ['Enter'], what: 'post and go on' },
		{
			keys: ['h'],
			what: 'hold, with what is allocated so far',
			run: () => data.mayAct && allocating?.desk.receipt && (dialog = 'hold')
		},
		{
			keys: ['n'],
			what: 'not customer money',
			run: () => data.mayAct && allocating?.desk.receipt && (dialog = 'aside')
		},
		{
			keys: ['m'],
			what: 'mark the receipt, to deal with several at once',
			run: () => mark(data.desk?.receipt?.id)
		},
		{
			keys: ['g'],
			what: 'the marked ones: hold them, or hand them to somebody',
			run: () => markedRows.length > 0 && (several = 'hold')
		},
		{
			keys: ['b'],
			what: 'the marked ones: put them on one account',
			run: () => markedRows.length > 0 && (several = 'account')
		},
		{ keys: ['l'], what: 'filter the receipts', run: () => pileFilter?.focus() },
		{
			keys: ['c'],
			what: 'read and post what is certain',
			run: () => certain.count > 0 && data.mayAct && (dialog = 'certain')
		},
		{ keys: ['u'], what: 'undo the last posting', run: () => lastAct !== null && void undoAct(lastAct) },
		{ keys: ['?'], what: 'these keys', run: () => (dialog = 'keys') }
	]);

	function onkeydown(event: KeyboardEvent) {
		const target = event.target as HTMLElement;
		if (
			event.key === 'Enter' &&
			mayPress(event) &&
			allocating &&
			data.mayAct &&
			(!target.matches('a, button, summary, select') || target.hasAttribute('data-receipt'))
		) {
			if (target.hasAttribute('data-keep-enter')) return;
			event.preventDefault();
			if (usual) postUsual();
			else if (allocating.outcome.ok && !post.busy) postForm.requestSubmit();
			return;
		}
		if (!pressKey(event, bindings)) return;
		void tick().then(() =>
			document.querySelector('[data-active="true"]')?.scrollIntoView({ block: 'nearest' })
		);
	}
</script>

<svelte:head><title>Money in · Odd Penny</title></svelte:head>
<svelte:window {onkeydown} />

<div class="grid h-[calc(100vh-48px)] grid-cols-[236px_1fr] xl:grid-cols-[286px_1fr] grid-rows-[1fr_auto]">
	<section class="overflow-y-auto border-r border-rule" aria-label="The pile">
		<PileHead {data} bind:field={pileFilter} />
		{#if markedRows.length}
			<p class="sticky top-0 z-20 mt-2 flex flex-wrap gap-x-3 bg-wash px-5 py-1.5 text-sm" role="status">
				<strong>{count(markedRows.length, 'receipt')} marked</strong>
				<button
					class="min-h-6 cursor-pointer text-copper hover:underline"
					onclick={() => (several = 'account')}>on one account</button
				>
				<button class="min-h-6 cursor-pointer text-copper hover:underline" onclick={() => (several = 'hold')}
					>hold, hand over</button
				>
				<button class="min-h-6 cursor-pointer text-soft hover:underline" onclick={() => marks.clear()}
					>clear</button
				>
			</p>
		{/if}
		<PileList
			groups={data.groups}
			more={(group, rows) => wantRows(group, data.filter, rows) && void refreshWhenStill('books:pile-rows')}
			filter={data.filter}
			marked={marks}
			{mark}
			today={(data.today ?? '') as Day}
			credits={data.credits}
			account={data.desk && !data.desk.receipt ? (data.desk.customer?.id ?? null) : null}
			selected={data.desk?.receipt?.id ?? null}
			readThrough={() => (dialog = 'certain')}
		/>
	</section>

	<section bind:this={deskSection} class="overflow-y-auto outline-none" aria-label="The desk" tabindex="-1">
		{#if data.gone}<GoneNote gone={data.gone} />{/if}
		{#if problems.length}<div class="px-6 pt-4"><Problems {problems} /></div>{/if}
		{#if allocating && data.desk}
			{#key data.desk}
				{#if data.desk.receipt && data.desk.bankMatches.length && data.mayAct}
					<BankMatchNote
						receipt={data.desk.receipt}
						bankMatches={data.desk.bankMatches}
						today={data.today ?? ''}
						{done}
					/>
				{/if}
				{#if data.desk.receipt && data.desk.debit}
					<ReturnNote
						receipt={data.desk.receipt}
						debit={data.desk.debit}
						currency={data.desk.currency}
						today={data.today ?? ''}
						mayAct={data.mayAct}
						{done}
					/>
				{/if}
			{/key}
			<DeskView
				{allocating}
				reasons={data.reasons}
				bind:filter
				bind:sets
				bind:active
				mayAct={data.mayAct}
				join={() => join.send({ receiptId: data.desk?.receipt?.id ?? 0 })}
				takeOff={(actId) => undoAct([actId])}
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
		usual={usual && { name: usual.name, post: postUsual, busy: usualForm.busy }}
		mayAct={data.mayAct}
		ask={(what) => (dialog = what)}
	/>
</div>

<PostCertainDialog
	bind:open={() => dialog === 'certain', (on) => (dialog = on ? 'certain' : null)}
	all={certain.count}
	filter={data.filter}
	today={data.today ?? ''}
	{done}
/>
{#if data.desk?.receipt}
	<HoldDialog
		bind:open={() => dialog === 'hold', (on) => (dialog = on ? 'hold' : null)}
		receipt={data.desk.receipt}
		order={allocating?.order ?? null}
		people={data.ways.people}
		{done}
	/>
	<SetAsideDialog
		bind:open={() => dialog === 'aside', (on) => (dialog = on ? 'aside' : null)}
		receipt={data.desk.receipt}
		accounts={data.desk.setAside}
		usual={data.desk.answer?.usual?.account ?? null}
		{done}
	/>
{/if}
{#if allocating?.desk.customer}<AdviceDialog
		bind:open={() => dialog === 'advice', (on) => (dialog = on ? 'advice' : null)}
		bind:text={adviceText}
		{allocating}
	/>{/if}
<SeveralDialogs bind:what={several} rows={markedRows} people={data.ways.people} {done} />
<KeysDialog {bindings} bind:open={() => dialog === 'keys', (on) => (dialog = on ? 'keys' : null)} />
