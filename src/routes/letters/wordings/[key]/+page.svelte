<script lang="ts">
	import { beforeNavigate } from '$app/navigation';
	import { toast } from 'svelte-sonner';
	import { LETTER_LANGUAGES, type LetterKind } from '$lib/core/7-letters/letter';
	import { isBuiltIn } from '$lib/core/7-letters/wording/wording';
	import type { dropWording, keepWording } from '$lib/server/letters/commands/keep-wording';
	import { ActForm } from '$lib/trade/act-form.svelte';
	import CustomerField from '$lib/trade/CustomerField.svelte';
	import PdfView from '$lib/trade/PdfView.svelte';
	import { WordingDraft } from '$lib/trade/letters/wording-draft.svelte';
	import WordingFields from '$lib/trade/letters/WordingFields.svelte';
	import Problems from '$lib/ui/Problems.svelte';
	import { languageName, LETTER_NAMES, moment, WORDING_NAMES } from '$lib/words';
	import { untrack } from 'svelte';
	let { data } = $props();
	/** What was typed stays until the page shows another version of it. */
	const shown = $derived(`${data.isNew} ${data.now.key} ${data.language} ${data.now.version}`);
	let draft = $state.raw(untrack(() => new WordingDraft(data.now.kind, data.words)));
	let count = $state(0);
	let name = $state(untrack(() => (data.isNew ? '' : nameNow())));
	function nameNow(): string {
		return isBuiltIn(data.now.key) ? WORDING_NAMES[data.now.key] : data.now.name;
	}
	let of = untrack(() => shown);
	$effect.pre(() => {
		if (shown === of) return;
		of = shown;
		isKept = false;
		use(data.words);
		name = data.isNew ? '' : nameNow();
	});
	function use(words: typeof data.words) {
		draft = new WordingDraft(data.now.kind, words);
		count++;
	}
	/** What was typed is kept, and the page goes on to where it stands now. */
	let isKept = false;
	const keeping = new ActForm<typeof keepWording>('?/keep', {
		done: ({ output }) => void toast(`Kept as version ${output.version}. Letters from now on say this.`),
		leaving: () => {
			isKept = true;
			toast('Kept. Letters of its kind can have this wording now.');
		}
	});
	const dropping = new ActForm<typeof dropWording>('?/drop', {
		done: () => void toast('Gone back. Your own words are kept among the versions.')
	});
	function keep(event: SubmitEvent) {
		event.preventDefault();
		const { now, language, isNew } = data;
		const given = {
			key: isNew ? null : now.key,
			kind: now.kind,
			language,
			name,
			seen: isNew ? 0 : now.version
		};
		const { body, ...words } = draft.words;
		void keeping.send({ ...given, words: { ...words, body: structuredClone(body) as never } });
	}
	beforeNavigate(({ cancel, willUnload }) => {
		if (isKept || keeping.busy || !draft.isChanged || willUnload) return;
		if (!confirm('The words that you changed are not kept. Leave them?')) cancel();
	});

	// The letter as it would be with these words, once typing rests.
	const REST = 400;
	let sample = $state.raw(untrack(() => data.sample));
	let customer = $state('');
	/** Why a letter cannot be shown that is about something that happened. */
	const NOTHING_TO_SHOW: Readonly<Record<LetterKind, string>> = {
		statement: '',
		reminder: '',
		returned: 'It is shown with a returned payment whose notice waits; none does.',
		thanks: 'It is shown with an invoice that was paid; there is none yet.',
		copies: 'It is shown with a document; there is none yet.',
		interest: 'It is shown with interest that was charged; none was yet.'
	};
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
		sample &&
			`/letters/preview?${new URLSearchParams({
				...{ kind: data.now.kind, language: data.language },
				...{ customer: String(sample.id), currency: sample.currency },
				...(sample.items ? { items: sample.items.join(',') } : {}),
				...(sample.returnedId ? { of: String(sample.returnedId) } : {})
			})}`
	);
	/** Whether it can be tried on any customer; others are about something that happened. */
	const isOfAnybody = $derived(data.now.kind === 'statement' || data.now.kind === 'reminder');
</script>

<svelte:head><title>{name || 'New wording'} · Odd Penny</title></svelte:head>

<div class="grid h-[calc(100vh-48px)] grid-cols-[minmax(0,1fr)_minmax(360px,44%)]">
	<section class="overflow-y-auto px-8 pt-5 pb-8">
		<p class="text-sm"><a class="underline" href="/letters/wordings">What letters say</a></p>
		<h1 class="mt-1">
			{data.isNew ? 'New wording' : name}, in {languageName(data.language)}
		</h1>
		<nav class="mt-1 flex gap-4 text-sm" aria-label="Languages">
			{#each LETTER_LANGUAGES as language (language)}
				<a
					class={language === data.language ? 'font-semibold' : 'underline'}
					aria-current={language === data.language ? 'page' : undefined}
					href="?{data.isNew ? `kind=${data.now.kind}&` : ''}language={language}">{languageName(language)}</a
				>
			{/each}
			<span class="text-soft"
				>{data.isNew
					? `begins with the usual words of a ${LETTER_NAMES[data.now.kind].toLowerCase()}`
					: data.now.isOwn
						? `your own words, version ${data.now.version}`
						: data.now.words
							? 'as it came with Odd Penny'
							: 'no words in this language yet'}</span
			>
		</nav>
		<form class="mt-3 grid gap-3" onsubmit={keep} aria-label="Words of the letter">
			{#if data.isNew || !isBuiltIn(data.now.key)}
				<label class="grid max-w-sm gap-0.5"
					><span class="text-sm text-soft">Name</span><input
						type="text"
						required
						maxlength="60"
						placeholder="Reminder to schools"
						disabled={!data.maySet}
						bind:value={name}
						{...keeping.at('name')}
					/></label
				>
				{#if keeping.error('name')}<p id={keeping.errorId('name')} class="text-sm text-oxblood">
						{keeping.error('name')}
					</p>{/if}
			{/if}
			{#key count}<WordingFields {draft} disabled={!data.maySet} />{/key}
			<Problems problems={[...keeping.problems, ...dropping.problems]} />
			{#if data.maySet}
				<div class="flex items-center gap-3">
					<button
						class="btn btn-main"
						disabled={keeping.busy || !draft.isRight || (!draft.isChanged && data.now.isOwn)}>Keep</button
					>
					{#if data.now.isOwn && !data.isNew}
						<button
							type="button"
							class="btn"
							disabled={dropping.busy}
							onclick={() => dropping.send({ key: data.now.key, language: data.language })}
							>{isBuiltIn(data.now.key) ? 'Back to the words that came with it' : 'Remove'}</button
						>
					{/if}
				</div>
			{:else}<p class="says">You may look; setting the firm’s words takes a supervisor.</p>{/if}
		</form>
		{#if data.versions.length}
			<h2 class="mt-6 text-xl">Versions</h2>
			<table class="mt-1">
				<thead><tr><th>Version</th><th>By</th><th>At</th><th><span class="sr-only">Use</span></th></tr></thead
				>
				<tbody>
					{#each data.versions as one (one.version)}
						<tr
							><td>{one.version}{one.words ? '' : ': what came with Odd Penny'}</td><td>{one.by}</td><td
								class="text-soft">{moment(one.at)}</td
							><td class="text-right"
								>{#if one.words && data.maySet}<button
										class="btn py-0.5"
										aria-label="Put the words of version {one.version} into the fields"
										onclick={() => one.words && use(one.words)}>Use these words</button
									>{/if}</td
							></tr
						>
					{/each}
				</tbody>
			</table>
		{/if}
	</section>
	<section
		class="flex min-h-0 flex-col border-l border-rule bg-wash p-4"
		aria-label="The letter with these words"
	>
		{#if !isOfAnybody && !sample}
			<p class="says">{NOTHING_TO_SHOW[data.now.kind]}</p>
		{:else}
			<div class="mb-2 flex items-center gap-3 text-sm">
				<span class="min-w-0 shrink truncate"
					>{sample ? `As ${sample.name} would get it` : 'Choose a customer to see it'}</span
				>
				{#if isOfAnybody}<span class="ml-auto w-56 shrink-0">
						<CustomerField
							label="Show it for another customer"
							placeholder="another customer"
							bind:text={customer}
							choose={(one) => {
								sample = { id: one.id, name: one.name, currency: one.currency };
								customer = '';
							}}
						/>
					</span>{/if}
			</div>
			{#if url && asked}<PdfView {url} {asked} label="The letter with these words" />{/if}
		{/if}
	</section>
</div>
