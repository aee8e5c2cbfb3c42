<script lang="ts">
	import { enhance } from '$app/forms';
	import { goto, invalidate, preloadData } from '$app/navigation';
	import { toast } from 'svelte-sonner';
	import { tick } from 'svelte';
	import type { ActionResult } from '@sveltejs/kit';
	import AdviceSheet from '$lib/desk/AdviceSheet.svelte';
	import AsideSheet from '$lib/desk/AsideSheet.svelte';
	import BringIn from '$lib/desk/BringIn.svelte';
	import CertainSheet from '$lib/desk/CertainSheet.svelte';
	import DeskView from '$lib/desk/DeskView.svelte';
	import HoldSheet from '$lib/desk/HoldSheet.svelte';
	import KeysSheet from '$lib/desk/KeysSheet.svelte';
	import PileList from '$lib/desk/PileList.svelte';
	import { isTyping, itemKeys } from '$lib/desk/item-keys';
	import { Placing } from '$lib/desk/placing.svelte';
	import type SetsHere from '$lib/desk/SetsHere.svelte';
	import ReturnNote from '$lib/desk/ReturnNote.svelte';
	import TieNote from '$lib/desk/TieNote.svelte';
	import { postAction } from '$lib/desk/post-action';
	import Problems from '$lib/ui/Problems.svelte';
	import type { Day } from '$lib/core/day/day';
	import { count, money } from '$lib/words/format';

	let { data } = $props();
	let key = $state(crypto.randomUUID());
	let laid: { readonly mark: string; readonly placing: Placing } | null = null;
	/** What lies on the strip; the same as before where nothing about it changed, with all that was typed. */
	const placing = $derived.by(() => {
		const { desk, lay } = data;
		if (!desk) return null;
		const { receipt, answer, customer, itemsOf, credits } = desk;
		const mark = JSON.stringify([receipt, answer, customer?.id, itemsOf, credits, lay, key]);
		if (laid?.mark !== mark)
			laid = { mark, placing: new Placing(desk, data.today as Day, data.who?.name ?? '', lay) };
		return laid.placing;
	});

	/** Answers that are being made anew are fetched when they are there; nobody who types is disturbed. */
	$effect(() => {
		if (data.fresh) return;
		const timer = setInterval(() => {
			if (!isTyping(document.activeElement as HTMLElement)) void invalidate('books:pile');
		}, 700);
		return () => clearInterval(timer);
	});
	const certain = $derived(data.rows.filter((row) => row.band === 'certain' && !row.held));
	const sums = $derived.by(() => {
		const by = new Map<string, number>();
		for (const row of data.rows)
			if (row.amount > 0) by.set(row.currency, (by.get(row.currency) ?? 0) + row.amount);
		return [...by].map(([currency, sum]) => money(sum, currency)).join(' and ');
	});
	let problems = $state<readonly string[]>([]);
	let busy = $state(false);
	let sheet = $state<'certain' | 'hold' | 'aside' | 'advice' | 'keys' | null>(null);
	let lastActs = $state<readonly number[]>([]);
	let filter = $state<HTMLInputElement>();
	let sets = $state<SetsHere>();
	let active = $state(0);
	let postForm = $state<HTMLFormElement>()!;
	let undoForm = $state<HTMLFormElement>()!;

	const nextId = $derived.by(() => {
		const at = data.rows.findIndex((row) => row.id === data.desk?.receipt?.id);
		return data.rows[at + 1]?.id ?? data.rows[at - 1]?.id ?? null;
	});

	/** The next receipt is fetched while this one is looked at, so that going on answers at once. */
	$effect(() => {
		const next = `/money-in?r=${nextId}`;
		const soon = nextId === null ? undefined : setTimeout(() => void preloadData(next), 120);
		return () => clearTimeout(soon);
	});

	/** After an act: says what was done with a way back, and goes on to the next receipt. */
	function after(said: string, goOn: boolean) {
		busy = true;
		problems = [];
		const going = nextId;
		return async ({
			result,
			update
		}: {
			result: ActionResult;
			update: (options: { reset: boolean; invalidateAll: boolean }) => Promise<void>;
		}) => {
			busy = false;
			if (result.type === 'failure') {
				problems = (result.data?.problems as string[]) ?? ['That was refused.'];
				return;
			}
			if (result.type !== 'success') {
				problems = [
					result.type === 'error' ? (result.error.message ?? 'That did not work.') : 'That did not work.'
				];
				return;
			}
			key = crypto.randomUUID();
			sheet = null;
			const done = result.data?.done as number[] | undefined;
			if (done?.length) {
				lastActs = done;
				toast(said, { action: { label: 'Undo', onClick: () => undoForm.requestSubmit() } });
			} else toast(said);
			if (goOn)
				await goto(going ? `/money-in?r=${going}` : '/money-in', {
					invalidateAll: true,
					noScroll: true,
					keepFocus: true
				});
			else await update({ reset: false, invalidateAll: true });
			active = 0;
		};
	}

	async function joinParts() {
		const receiptId = data.desk?.receipt?.id;
		const result = await postAction(
			'?/join',
			{ json: { receiptId }, key: '' },
			'That did not work; try again.'
		);
		if (!result.ok) return void (problems = result.problems);
		toast('The parts are one entry again.');
		await goto('/money-in', { invalidateAll: true });
	}

	async function takeOff(actId: number) {
		lastActs = [actId];
		await tick();
		undoForm.requestSubmit();
	}

	function step(by: 1 | -1) {
		const at = data.rows.findIndex((row) => row.id === data.desk?.receipt?.id);
		const row = data.rows[at + by];
		if (!row) return;
		problems = [];
		active = 0;
		void goto(`/money-in?r=${row.id}`, { noScroll: true, keepFocus: true })?.then(() =>
			document.querySelector(`[data-receipt="${row.id}"]`)?.scrollIntoView({ block: 'nearest' })
		);
	}

	function onkeydown(event: KeyboardEvent) {
		const target = event.target as HTMLElement;
		const typing = isTyping(target);
		if (sheet || event.ctrlKey || event.metaKey || event.altKey || event.defaultPrevented) return;
		// A sheet that belongs to no station, such as the search, keeps its keys to itself.
		if (document.querySelector('[role="dialog"]')) return;
		if (event.key === 'Escape' && typing) return target.blur();
		if (
			event.key === 'Enter' &&
			placing &&
			data.mayAct &&
			(!target.matches('a, button, summary, select') || target.hasAttribute('data-receipt'))
		) {
			if (target.hasAttribute('data-keep-enter')) return;
			event.preventDefault();
			if (placing.outcome.ok && !busy) postForm.requestSubmit();
			return;
		}
		// A button that was reached by Tab is pressed with the space bar, as everywhere.
		if (typing || (event.key === ' ' && target.matches('button, summary'))) return;
		const does: Record<string, () => void> = {
			...(placing ? itemKeys(placing, { active, move: (to) => (active = to), filter }) : {}),
			j: () => step(1),
			k: () => step(-1),
			'?': () => (sheet = 'keys'),
			a: () => data.mayAct && placing?.desk.customer && (sheet = 'advice'),
			s: () => sets?.look(),
			h: () => data.mayAct && placing?.desk.receipt && (sheet = 'hold'),
			n: () => data.mayAct && placing?.desk.receipt && (sheet = 'aside'),
			c: () => certain.length > 0 && data.mayAct && (sheet = 'certain'),
			u: () => lastActs.length > 0 && undoForm.requestSubmit()
		};
		const act = does[event.key.length === 1 ? event.key.toLowerCase() : event.key];
		if (!act) return;
		event.preventDefault();
		act();
		void tick().then(() =>
			document.querySelector('[data-active="true"]')?.scrollIntoView({ block: 'nearest' })
		);
	}
</script>

<svelte:head><title>Money in · Odd Penny</title></svelte:head>
<svelte:window {onkeydown} />

<div class="grid h-[calc(100vh-48px)] grid-cols-[236px_1fr] xl:grid-cols-[286px_1fr] grid-rows-[1fr_auto]">
	<section class="overflow-y-auto border-r border-rule" aria-label="The pile">
		<div class="px-5 pt-4">
			<h1 class="text-xl">
				{data.rows.length
					? `${count(data.rows.length, 'entry', 'entries')}, ${sums || 'money out'}`
					: 'All is placed'}
			</h1>
			<p class="text-sm text-soft">
				{data.rows.length ? 'need a home.' : 'Nothing waits.'}
				{data.doneOfNewest} of the newest file are done.
			</p>
			<BringIn mayAct={data.mayAct} />
			<p class="mt-1 text-sm">
				<a href="/money-in/by-hand">Record by hand</a> · <a href="/money-in/advice">Advice</a> ·
				<a href="/money-in/refunds">Refunds</a> · <a href="/money-in/returned">Returned</a>
			</p>
		</div>
		<PileList
			rows={data.rows}
			credits={data.credits}
			account={data.desk && !data.desk.receipt ? (data.desk.customer?.id ?? null) : null}
			selected={data.desk?.receipt?.id ?? null}
			readThrough={() => (sheet = 'certain')}
		/>
	</section>

	<section class="overflow-y-auto" aria-label="The desk">
		{#if data.gone}
			<div class="p-7">
				<p class="note">
					This receipt is not in the pile any more: somebody has dealt with it. <a
						class="underline"
						href="/money-in">Go on with the pile</a
					>
				</p>
			</div>
		{/if}
		{#if problems.length}<div class="px-6 pt-4"><Problems {problems} /></div>{/if}
		{#if placing && data.desk}
			{#key data.desk}
				{#if data.desk.receipt && data.desk.ties.length && data.mayAct}
					<TieNote
						receipt={data.desk.receipt}
						ties={data.desk.ties}
						today={data.today ?? ''}
						{busy}
						after={(said) => after(said, true)}
					/>
				{/if}
				{#if data.desk.receipt && data.desk.debit}
					<ReturnNote
						receipt={data.desk.receipt}
						debit={data.desk.debit}
						currency={data.desk.currency}
						today={data.today ?? ''}
						{busy}
						mayAct={data.mayAct}
						after={(said) => after(said, true)}
					/>
				{/if}
			{/key}
			<DeskView
				{placing}
				reasons={data.reasons}
				bind:filter
				bind:sets
				bind:active
				mayAct={data.mayAct}
				join={joinParts}
				{takeOff}
			/>
		{:else if !data.gone}
			<div class="mx-auto mt-24 w-[460px]">
				<h2 class="text-2xl">Every penny has a home.</h2>
				<p class="mt-2 says">
					Bring in the next bank file: drop it anywhere on this page, or use the button above the pile. Files
					put in the watched folder come in by themselves.
				</p>
			</div>
		{/if}
	</section>

	<footer class="double-top col-span-2 flex h-[54px] items-center gap-2 bg-sheet px-5 xl:gap-3">
		<form
			bind:this={postForm}
			method="POST"
			action="?/post"
			use:enhance={({ formData }) => {
				formData.set('json', JSON.stringify({ ...placing!.order, reasons: data.reasons }));
				formData.set('key', key);
				const what = money(placing!.desk.receipt?.amount ?? placing!.placed, placing!.currency);
				return after(
					placing!.outcome.asks
						? `A supervisor is asked to post ${what}.`
						: `Posted ${what} for ${data.desk?.customer?.name}.`,
					true
				);
			}}
		>
			<button class="btn btn-main" disabled={!placing?.outcome.ok || busy || !data.mayAct}>
				{placing?.outcome.asks ? 'Ask for' : 'Post'}
				{placing ? money(placing.desk.receipt?.amount ?? placing.placed, placing.currency) : ''}
				<span class="key">Enter</span>
			</button>
		</form>
		<button class="btn" disabled={!placing?.desk.receipt || !data.mayAct} onclick={() => (sheet = 'hold')}
			>Hold <span class="key max-xl:hidden">H</span></button
		>
		<button class="btn" disabled={!placing?.desk.customer || !data.mayAct} onclick={() => placing?.clear()}
			>On account <span class="key max-xl:hidden">O</span></button
		>
		<button
			class="btn"
			disabled={!placing?.desk.customer || !data.mayAct}
			onclick={() => placing?.fillOldest()}>Oldest first <span class="key max-xl:hidden">F</span></button
		>
		<button class="btn" disabled={!placing?.desk.customer || !data.mayAct} onclick={() => (sheet = 'advice')}
			>Advice <span class="key max-xl:hidden">A</span></button
		>
		<button class="btn" disabled={!placing?.desk.receipt || !data.mayAct} onclick={() => (sheet = 'aside')}
			>Not customer money <span class="key max-xl:hidden">N</span></button
		>
		<p
			aria-live="polite"
			class={[
				'ml-auto line-clamp-2 text-right text-sm',
				placing && !placing.outcome.ok ? 'text-copper' : 'text-soft'
			]}
		>
			{data.mayAct ? (placing?.outcome.text ?? '') : 'You may look; placing takes a clerk.'}
		</p>
		<button class="btn" aria-label="Keys of this screen" onclick={() => (sheet = 'keys')}
			><span class="key">?</span></button
		>
	</footer>
</div>

<form
	bind:this={undoForm}
	method="POST"
	action="?/undo"
	hidden
	use:enhance={({ formData }) => {
		formData.set('json', JSON.stringify({ actIds: lastActs }));
		lastActs = [];
		return after('Taken back. It waits in the pile again.', false);
	}}
></form>

<CertainSheet
	bind:open={() => sheet === 'certain', (on) => (sheet = on ? 'certain' : null)}
	rows={certain}
	base={data.base}
	{problems}
	{busy}
	{key}
	after={(said) => after(said, false)}
/>
{#if data.desk?.receipt}
	<HoldSheet
		bind:open={() => sheet === 'hold', (on) => (sheet = on ? 'hold' : null)}
		receipt={data.desk.receipt}
		order={placing?.order ?? null}
		{problems}
		{busy}
		after={(said, goOn = false) => after(said, goOn)}
	/>
	<AsideSheet
		bind:open={() => sheet === 'aside', (on) => (sheet = on ? 'aside' : null)}
		receipt={data.desk.receipt}
		accounts={data.desk.setAside}
		rule={data.desk.asideRule}
		{problems}
		{busy}
		{key}
		after={(said) => after(said, true)}
	/>
{/if}
{#if placing?.desk.customer}<AdviceSheet
		bind:open={() => sheet === 'advice', (on) => (sheet = on ? 'advice' : null)}
		{placing}
	/>{/if}
<KeysSheet bind:open={() => sheet === 'keys', (on) => (sheet = on ? 'keys' : null)} />
