<script lang="ts">
	import { goto } from '$app/navigation';
	import { untrack } from 'svelte';
	import { isBuiltIn } from '$lib/core/7-letters/wording/wording';
	import { isImpossible } from '$lib/core/7-letters/why-held';
	import type { startRun } from '$lib/server/letters/commands/start-run';
	import { ActForm } from '$lib/trade/act-form.svelte';
	import PdfView from '$lib/trade/PdfView.svelte';
	import { WordingDraft } from '$lib/trade/letters/wording-draft.svelte';
	import WordingFields from '$lib/trade/letters/WordingFields.svelte';
	import Problems from '$lib/ui/Problems.svelte';
	import {
		amount,
		count,
		heldReason,
		LETTER_WAY_WORDS,
		list,
		money,
		shortDay,
		WORDING_NAMES
	} from '$lib/words';
	let { data } = $props();
	const letter = $derived(data.letter);
	const row = $derived(letter.row);
	const today = $derived(data.today ?? undefined);
	const NAMES = { reminder: 'A reminder', statement: 'A statement', copies: 'Copies of documents' } as const;
	/** What the page is for: with another of these it begins anew. */
	const about = $derived(`${data.kind} ${letter.customer.id} ${letter.currency} ${letter.wording}`);
	let draft = $state.raw(untrack(() => new WordingDraft(data.kind, letter.words)));
	let chosen = $state.raw<readonly number[]>(untrack(() => chosenNow()));
	let attach = $state(untrack(() => row.step?.details.attach === true));
	let copyToMe = $state(false);
	let number = $state('');
	let of = untrack(() => about);
	function chosenNow(): number[] {
		return letter.items.filter((item) => item.isChosen).map((item) => item.id);
	}
	$effect.pre(() => {
		const now = letter.items.filter((item) => item.isChosen).map((item) => item.id);
		if (about === of) {
			chosen = [...new Set([...untrack(() => chosen), ...now])];
			return;
		}
		of = about;
		draft = new WordingDraft(data.kind, letter.words);
		chosen = now;
	});
	const here = (over: Record<string, string>) =>
		`/letters/write?${new URLSearchParams({
			...{ kind: data.kind, customer: String(letter.customer.id), currency: letter.currency },
			...(data.kind === 'statement' || chosen.length === 0 ? {} : { items: chosen.join(',') }),
			...over
		})}`;
	const form = new ActForm<typeof startRun, unknown>('?/send', {
		otherwise: 'The letter could not be asked for. It was not sent; try again.'
	});
	function send(event: SubmitEvent) {
		event.preventDefault();
		void form.send({
			...{ kind: data.kind, customerId: letter.customer.id, currency: letter.currency, amount: asksFor },
			...(row.held ? { overruled: row.held } : {}),
			...{ words: draft.words, wording: letter.wording, isChanged: draft.isChanged },
			...{ about: chosen, attach, copyToMe, seen: data.seen }
		});
	}
	function toggle(id: number, on: boolean) {
		chosen = on ? [...chosen, id] : chosen.filter((one) => one !== id);
	}
	const REST = 400;
	const words = $derived(draft.words);
	let asked = $state.raw<{ readonly words: typeof words } | null>(null);
	$effect(() => {
		const given = { words };
		const timer = setTimeout(
			() => (asked = given),
			untrack(() => (asked ? REST : 0))
		);
		return () => clearTimeout(timer);
	});
	const url = $derived(
		`/letters/preview?${new URLSearchParams({
			...{ kind: data.kind, customer: String(letter.customer.id), currency: letter.currency },
			...(data.kind === 'statement' ? {} : { items: chosen.join(',') })
		})}`
	);
	const canGo = $derived(
		draft.isRight && !(row.held && isImpossible(row.held)) && (data.kind === 'statement' || chosen.length > 0)
	);
	const sum = $derived(
		letter.items.filter((item) => chosen.includes(item.id)).reduce((all, item) => all + item.open, 0)
	);
	/** What the letter will come to, as it is seen now. */
	const asksFor = $derived(
		data.kind === 'statement' ? row.amount : data.kind === 'reminder' ? Math.max(0, sum - row.credit) : sum
	);
</script>

<svelte:head><title>{NAMES[data.kind]} · Odd Penny</title></svelte:head>

<div class="grid h-[calc(100vh-48px)] grid-cols-[minmax(0,1fr)_minmax(360px,44%)] grid-rows-[1fr_auto]">
	<section class="overflow-y-auto px-8 pt-5 pb-6">
		<p class="text-sm">
			<a class="underline" href="/customers/{letter.customer.code}">{letter.customer.name}</a>
		</p>
		<h1 class="mt-1">{NAMES[data.kind]} to {letter.customer.name}</h1>
		<p class="mt-1 says">
			{row.email && row.way !== 'paper' ? `To ${row.email}` : 'By post'}{row.copies.length
				? `, copy to ${list(row.copies)}`
				: ''}; {LETTER_WAY_WORDS[row.way]}. {row.step
				? `It is their next step: ${row.step.name}.`
				: data.kind === 'reminder'
					? 'It is no step of chasing: those go on as they would.'
					: ''}
			{#if row.held}<span class="text-copper">It would be held: {heldReason(row.held)}.</span>{/if}
		</p>
		<div class="mt-3 flex flex-wrap items-end gap-4 text-sm" role="group" aria-label="What letter">
			<label class="grid gap-0.5"
				><span class="text-soft">Letter</span><select
					class="py-0.5"
					value={data.kind}
					onchange={(event) => goto(here({ kind: event.currentTarget.value }))}
					><option value="reminder">Reminder</option><option value="statement">Statement</option><option
						value="copies">Copies of documents</option
					></select
				></label
			>
			{#if letter.wordings.length > 1}<label class="grid gap-0.5"
					><span class="text-soft">Wording</span><select
						class="py-0.5"
						value={letter.wording}
						onchange={(event) => goto(here({ wording: event.currentTarget.value }))}
						>{#each letter.wordings as one (one.key)}<option value={one.key}
								>{one.name ?? (isBuiltIn(one.key) ? WORDING_NAMES[one.key] : one.key)}</option
							>{/each}</select
					></label
				>{/if}
			{#if data.kind === 'reminder'}<label class="flex items-center gap-2 py-1"
					><input type="checkbox" bind:checked={attach} /> with copies of the invoices</label
				>{/if}
		</div>
		{#if data.kind !== 'statement'}
			<details class="mt-3" open={data.kind === 'copies' || letter.items.length <= 8}>
				<summary class="cursor-pointer text-copper"
					>{count(chosen.length, 'item')} of {letter.items.length}, {money(sum, letter.currency)} open</summary
				>
				<table class="mt-1">
					<thead
						><tr
							><th class="w-8"><span class="sr-only">Chosen</span></th><th>Item</th><th>Due</th><th
								class="num">Total</th
							><th class="num">Open {letter.currency}</th></tr
						></thead
					>
					<tbody>
						{#each letter.items as item (item.id)}
							<tr
								><td
									><input
										type="checkbox"
										aria-label="Choose {item.number}"
										checked={chosen.includes(item.id)}
										onchange={(event) => toggle(item.id, event.currentTarget.checked)}
									/></td
								><td>{item.number}</td><td>{shortDay(item.due, today)}</td><td class="num text-soft"
									>{amount(item.total, letter.currency)}</td
								><td class="num">{amount(item.open, letter.currency)}</td></tr
							>
						{:else}<tr><td colspan="5" class="text-soft">Nothing is open in {letter.currency}.</td></tr
							>{/each}
					</tbody>
				</table>
			</details>
			{#if data.kind === 'copies'}
				<form
					class="mt-2 flex items-end gap-2 text-sm"
					onsubmit={(event) => {
						event.preventDefault();
						void goto(here({ numbers: number }), { keepFocus: true });
					}}
				>
					<label class="grid gap-0.5"
						><span class="text-soft">Others by number, also settled ones</span><input
							type="text"
							class="w-64 py-0.5"
							placeholder="AK-1001, AK-1002"
							bind:value={number}
						/></label
					>
					<button class="btn py-0.5">Add</button>
				</form>
				{#if letter.unknown.length}<p class="mt-1 text-sm text-oxblood" role="status">
						{list(letter.unknown)}: no document of {letter.customer.name} has
						{letter.unknown.length === 1 ? 'this number' : 'these numbers'} in {letter.currency}.
					</p>{/if}
			{/if}
		{/if}
		<h2 class="mt-5 text-xl">What it says</h2>
		<p class="says">Changed here, it is changed for this letter alone, and kept so.</p>
		<div class="mt-2">
			{#key draft}<WordingFields {draft} disabled={!data.mayAct} />{/key}
		</div>
	</section>
	<section
		class="flex min-h-0 flex-col border-l border-rule bg-wash p-4"
		aria-label="The letter as it will arrive"
	>
		{#if asked && (data.kind === 'statement' || chosen.length > 0)}
			<PdfView {url} {asked} label="The letter to {letter.customer.name}" />
		{:else}<p class="says">Choose an item to see the letter.</p>{/if}
	</section>
	<footer class="double-top col-span-2 flex h-[54px] items-center gap-4 bg-raised px-5">
		<form onsubmit={send}>
			<button class="btn btn-main" disabled={form.busy || !canGo || !data.mayAct}
				>{form.busy
					? 'Asking …'
					: row.held && !isImpossible(row.held)
						? 'Send it all the same'
						: 'Send it'}</button
			>
		</form>
		<div class="min-w-0 grow truncate text-sm text-soft"><Problems problems={form.problems} /></div>
		{#if data.mayAct}<label class="flex shrink-0 items-center gap-2 text-sm"
				><input type="checkbox" bind:checked={copyToMe} /> a copy to me</label
			>{/if}
	</footer>
</div>
