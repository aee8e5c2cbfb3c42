<script lang="ts">
	import { goto } from '$app/navigation';
	import type { dropAdvice, keepAdvice } from '$lib/server/receipts/commands/keep-advice';
	import { toast } from 'svelte-sonner';
	import type { Day } from '$lib/core/day/day';
	import { parseTypedDay } from '$lib/core/day/parse-typed-day';
	import { matchAdvice } from '$lib/core/3-matching';
	import AdviceLines from '$lib/trade/AdviceLines.svelte';
	import { textOfFile } from '$lib/trade/files/text-of-file';
	import { bringFiles, takeFiles } from '$lib/trade/files/take-files.svelte';
	import CustomerField from '$lib/trade/CustomerField.svelte';
	import { ActForm } from '$lib/trade/act-form.svelte';
	import { readAdvice } from '$lib/tables/read-advice';
	import FieldError from '$lib/ui/FieldError.svelte';
	import Problems from '$lib/ui/Problems.svelte';
	import { count, money, shortDay, problemSentence, sumsByCurrency } from '$lib/words';
	let { data } = $props();
	let source = $state('');
	let when = $state('');
	const form = new ActForm<typeof keepAdvice>('?/keep', {
		done: () => {
			toast('Kept until the money comes.');
			[source, when] = ['', ''];
		}
	});
	const dropForm = new ActForm<typeof dropAdvice>('?/drop', { done: () => void toast('Deleted.') });
	const refused = $derived([...form.problems, ...dropForm.problems]);
	const currency = $derived(data.owner?.currency ?? data.base);
	const read = $derived(readAdvice(source, currency));
	const lines = $derived(matchAdvice(read.ok ? read.value : [], data.ownerItems));
	const sum = $derived(lines.reduce((all, line) => all + (line.paid ?? line.item?.open ?? 0), 0));
	const problems = $derived(refused.length ? refused : read.ok ? [] : read.problems.map(problemSentence));
	const sums = $derived(sumsByCurrency(data.waiting.map((one) => ({ ...one, amount: one.total }))));
	function keep() {
		const date = parseTypedDay(when, (data.today ?? '') as Day);
		if (!date) return void form.sayAt('date', `“${when}” is not a date. Write 30/10, 30 Oct or 2026-10-30.`);
		if (!data.owner) return form.say('Choose the customer first.');
		void form.send({ customerId: data.owner.id, date, source });
	}
	takeFiles({
		kinds: ['advice', 'other-table', 'processor-report', 'unknown'],
		take: async ([file]) => {
			const taken = await textOfFile(file!, 'advice');
			if (taken.ok) source = taken.value;
			else form.say(...taken.problems.map(problemSentence));
		}
	});
</script>

<svelte:head><title>Remittance advice · Odd Penny</title></svelte:head>

<div class="grid min-h-[calc(100vh-48px)] grid-cols-[minmax(0,1fr)_minmax(0,1fr)]">
	<section class="px-8 pt-5 pb-10">
		<p class="text-sm"><a href="/money-in">Money in</a></p>
		<h1>
			{data.waiting.length ? `${sums} announced, not here yet.` : 'No advice waits for its money.'}
		</h1>
		<p class="mt-1 says">
			What customers say is on its way. When money of just that sum comes, it is allocated as they said.
		</p>
		{#if data.waiting.length}
			<table class="mt-4">
				<thead
					><tr><th>Customer</th><th>Of</th><th>Documents</th><th class="num">Comes to</th><th></th></tr
					></thead
				>
				<tbody>
					{#each data.waiting as one (one.id)}
						<tr
							><td><a href="/customers/{one.code}" class="block py-0.5">{one.name}</a></td><td
								class="whitespace-nowrap">{shortDay(one.date, data.today ?? undefined)}</td
							><td class={one.tied < one.lines ? 'text-copper' : ''}
								>{one.tied === one.lines
									? count(one.lines, 'document')
									: `${one.tied} of ${one.lines} as they stand`}</td
							><td class="num">{money(one.total, one.currency)}</td><td class="num"
								>{#if data.mayAct}<button
										class="cursor-pointer text-sm text-soft hover:text-ink"
										aria-label="Remove the advice of {one.name}"
										disabled={dropForm.busy}
										onclick={() => dropForm.send({ adviceId: one.id })}>delete</button
									>{/if}</td
							></tr
						>
					{/each}
				</tbody>
			</table>
		{/if}
	</section>
	<section class="border-l border-rule px-8 pt-5 pb-10">
		{#if data.mayAct}
			<h2 class="text-xl">Take an advice{data.owner ? ` of ${data.owner.name}` : ''}</h2>
			<div class="mt-3 flex gap-2">
				<CustomerField
					class="w-96"
					placeholder={data.owner ? 'of another customer' : 'Whose? Part of name, code or document number'}
					choose={(one) => goto(`/money-in/advice?customer=${one.id}`, { noScroll: true, keepFocus: true })}
				/>
				<input
					type="text"
					class="w-28"
					aria-label="Day of the advice"
					placeholder="today"
					bind:value={when}
					{...form.at('date')}
				/>
			</div>
			<FieldError {form} name="date" />
			<textarea
				class="mt-2 w-full rounded border border-rule bg-raised p-2 font-mono text-[13px]"
				rows="8"
				aria-label="The advice"
				placeholder="AK-40017   1,043.20&#10;AK-40018   100.00   4.50   95.50   breakage"
				bind:value={source}
				{...form.at('source')}
				oninput={() => form.say()}></textarea>
			<FieldError {form} name="source" />
			<input
				type="file"
				class="mt-1"
				aria-label="The advice as a file: a spreadsheet, CSV, text or UBL"
				onchange={({ currentTarget }) => void bringFiles([...(currentTarget.files ?? [])])}
			/>
			<div class="mt-2"><Problems {problems} /></div>
			{#if lines.length}
				<AdviceLines {lines} {currency} />
				<p class="mt-2 text-sm">The advice comes to {money(sum, currency)}.</p>
			{/if}
			<button
				class="btn btn-main mt-3"
				disabled={form.busy || !data.owner || sum <= 0 || !read.ok}
				onclick={keep}
				>{sum > 0 && data.owner
					? `Keep it: ${money(sum, currency)} of ${data.owner.name}`
					: 'Keep it'}</button
			>
		{:else}<p class="says">A clerk or supervisor takes advices here.</p>{/if}
	</section>
</div>
