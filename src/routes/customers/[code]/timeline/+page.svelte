<script lang="ts">
	import { goto } from '$app/navigation';
	import { toast } from 'svelte-sonner';
	import { groupBy } from '$lib/core/group-by';
	import type { addNote, takeOffNote } from '$lib/server/customers/commands/notes';
	import type {
		keepCustomerFiles,
		takeOffCustomerFiles
	} from '$lib/server/customers/commands/customer-files';
	import KeepFiles from '$lib/trade/files/KeepFiles.svelte';
	import { KEPT_KINDS } from '$lib/trade/files/kept-kinds';
	import { takeFiles } from '$lib/trade/files/take-files.svelte';
	import { ActForm } from '$lib/trade/act-form.svelte';
	import FieldError from '$lib/ui/FieldError.svelte';
	import Problems from '$lib/ui/Problems.svelte';
	import { screenKeys } from '$lib/ui/screen-keys.svelte';
	import { rowCursor } from '$lib/ui/row-cursor';
	import { actSentence, DELIVERY_WORDS, LETTER_NAMES, money, momentDay, momentTime } from '$lib/words';

	let { data } = $props();
	const timeline = $derived(data.timeline);
	const customer = $derived(timeline.customer);
	const here = $derived(`/customers/${encodeURIComponent(customer.code)}`);
	const days = $derived([...groupBy(timeline.rows, ({ at }) => momentDay(at))]);
	let text = $state('');
	let form = $state<HTMLFormElement>();
	const noting = new ActForm<typeof addNote>('?/note', {
		otherwise: 'It could not be noted. What you typed is still there; try again.',
		done: () => {
			text = '';
			toast('Noted.');
			if (data.paged) void goto(`${here}/timeline`);
		}
	});
	let keepFiles = $state<KeepFiles>();
	takeFiles({ kinds: KEPT_KINDS, take: (given) => keepFiles?.take(given) });
	const keeping = new ActForm<typeof keepCustomerFiles>('?/file', {
		otherwise: 'The files could not be kept. Nothing was changed.',
		done: ({ output }) =>
			void toast(output.kept === 1 ? 'Kept with the customer.' : 'All kept with the customer.')
	});
	const takingFiles = new ActForm<typeof takeOffCustomerFiles>('?/take-off-files', {
		done: () => void toast('Taken off. It stays in the record.')
	});
	const isOff = ({ isNote, files }: (typeof timeline.rows)[number]) => isNote || files.length > 0;
	const taking = new ActForm<typeof takeOffNote>('?/take-off', { done: () => void toast('Taken off.') });
	function note(event: SubmitEvent) {
		event.preventDefault();
		void noting.send({ customerId: customer.id, text });
	}
	screenKeys(() => [
		...(data.mayAct
			? [{ keys: ['n'], what: 'note something', run: () => form?.querySelector('textarea')?.focus() }]
			: []),
		{ keys: ['Escape'], what: 'back to the account', run: () => goto(here) }
	]);
</script>

<svelte:head><title>{customer.name}, timeline · Odd Penny</title></svelte:head>

<div class="max-w-[900px] px-8 pt-5 pb-10">
	<p class="text-sm"><a class="underline" href={here}>{customer.code}</a></p>
	<h1>What happened with {customer.name}</h1>
	{#if data.mayAct}
		<form class="mt-4 grid gap-2" bind:this={form} onsubmit={note}>
			<label class="grid gap-1 text-sm text-soft"
				>Note something<textarea
					bind:value={text}
					rows="2"
					maxlength="1000"
					placeholder="Rang Ada Reed: pays AK-43022 on Friday"
					class="rounded border border-rule bg-raised px-2 py-1 text-base text-ink"
					{...noting.at('text')}
					onkeydown={(event) => {
						if (event.key === 'Enter' && (event.ctrlKey || event.metaKey))
							event.currentTarget.form?.requestSubmit();
					}}></textarea></label
			>
			<FieldError form={noting} name="text" />
			<p class="flex items-center gap-3 text-sm text-soft">
				<button class="btn" disabled={noting.busy || !text.trim()}
					>Note <span class="key">Ctrl Enter</span></button
				>It stands in the record with your name; what is to show on the desk belongs to Details.
			</p>
			<Problems
				problems={[...noting.problems, ...taking.problems, ...keeping.problems, ...takingFiles.problems]}
			/>
		</form>
		<KeepFiles
			bind:this={keepFiles}
			form={keeping}
			name="customerId"
			id={customer.id}
			label="Drop agreements, orders or letters of theirs here, or choose them:"
		/>
	{/if}
	{#each days as [day, rows] (day)}
		<h2 class="mt-6 border-b border-rule pb-1 font-sans text-sm font-semibold text-soft">{day}</h2>
		<ul {@attach rowCursor}>
			{#each rows as row (row.id)}
				<li class="group flex items-baseline gap-4 border-b border-rule py-2">
					<span class="w-12 shrink-0 text-sm text-soft">{momentTime(row.at)}</span>
					<div class={['min-w-0 grow wrap-anywhere', row.undoneBy && 'text-soft line-through']}>
						{#if row.letters.length}
							{#each row.letters as letter (letter.id)}<a class="block" href="/letters/outbox/{letter.id}"
									>{LETTER_NAMES[letter.kind]} of {money(letter.amount, letter.currency)} to {letter.recipient},
									{DELIVERY_WORDS[letter.state]}</a
								>{/each}
						{:else if row.posted}<a href="/books/journal?act={row.id}">{actSentence(row.said)}</a>
						{:else if row.isNote && 'kind' in row.said && row.said.kind === 'add-note'}<span
								class="whitespace-pre-wrap">{row.said.facts.text}</span
							>
						{:else if row.files.length}
							{#each row.files as file (file.id)}<a
									class="mr-3 inline-block underline"
									href="/customers/kept/{file.id}"
									target="_blank">{file.name}</a
								>{/each}
						{:else}{actSentence(row.said)}{/if}
					</div>
					{#if row.undoneBy}<span class="shrink-0 text-sm text-copper"
							>{isOff(row) ? 'taken off' : 'undone'}</span
						>
					{:else if isOff(row) && data.mayAct}<button
							type="button"
							class="shrink-0 cursor-pointer text-sm text-copper opacity-0 group-focus-within:opacity-100 group-hover:opacity-100 hover:underline"
							disabled={taking.busy || takingFiles.busy}
							onclick={() => void (row.isNote ? taking : takingFiles).send({ actId: String(row.id) })}
							>take off</button
						>{/if}
					<span class="shrink-0 text-sm text-soft">{row.by}</span>
				</li>
			{/each}
		</ul>
	{:else}<p class="mt-6 text-soft">
			{data.paged
				? 'Nothing is further back.'
				: 'Nothing happened yet. What is posted, sent, changed or noted stands here.'}
		</p>{/each}
	<p class="mt-3 flex gap-4">
		{#if timeline.next}<a class="underline" href="{here}/timeline?before={timeline.next}">Further back</a
			>{/if}
		{#if data.paged}<a class="underline" href="{here}/timeline">The newest</a>{/if}
	</p>
</div>
