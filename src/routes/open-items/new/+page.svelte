<script lang="ts">
	import { enhance } from '$app/forms';
	import type { issueByHand } from '$lib/server/documents/commands/issue-by-hand';
	import { ActForm } from '$lib/trade/act-form.svelte';
	import { goto } from '$app/navigation';
	import { onMount, tick, untrack } from 'svelte';
	import type { Day } from '$lib/core/day/day';
	import CustomerField from '$lib/trade/CustomerField.svelte';
	import { NewDocument, type NewKind } from './new-document.svelte';
	import Field from '$lib/ui/Field.svelte';
	import FieldError from '$lib/ui/FieldError.svelte';
	import Problems from '$lib/ui/Problems.svelte';
	import { toast } from 'svelte-sonner';
	import { amount, CREDIT_NOTE_NAMES, money, overLimitSentence, shortDay } from '$lib/words';
	let { data } = $props();
	const KINDS: readonly (readonly [NewKind, string])[] = [
		['invoice', 'invoice'],
		['credit_note', 'credit note'],
		['charge', 'charge']
	];
	const FIELDS = [
		['number', 'Number', 'w-36', ''],
		['issued', 'Issued', 'w-28', 'today'],
		['purchaseOrder', 'Their order', 'w-36', ''],
		['orderReference', 'Our order', 'w-32', ''],
		['paymentReference', 'Payment reference', 'w-44', '']
	] as const;
	const today = $derived((data.today ?? '') as Day);
	let form = $derived(
		new NewDocument(
			data.beginning,
			untrack(() => today)
		)
	);
	let element = $state<HTMLFormElement>()!;
	let whose = $state<HTMLInputElement | null>(null);
	onMount(() => void (!owner && whose?.focus()));
	const issue = new ActForm<typeof issueByHand, NewDocument['input']>('?', {
		done: async ({ output }) => {
			toast(`${output.waits.map((over) => overLimitSentence(over, data.base)).join(' ')} They are asked.`);
			await goto(`/customers/${output.code}`);
		},
		otherwise: 'That did not work. Nothing was issued; try again.'
	});
	const refused = $derived(issue.problems);
	const owner = $derived(data.beginning.customer);
	const kindName = $derived(KINDS.find(([kind]) => kind === form.kind)![1]);
	const says = $derived(
		!owner || form.total <= 0
			? ''
			: form.kind === 'credit_note'
				? `${owner.name} will owe ${money(form.total, form.currency)} less.`
				: `${owner.name} will owe ${money(form.total, form.currency)} more.`
	);
	/** What is owed with it, where that is above the credit limit. */
	const above = $derived.by(() => {
		const { limit } = data.beginning;
		if (!limit || form.kind === 'credit_note' || form.total <= 0) return null;
		const owed = limit.owed + form.total;
		return owed > limit.most ? { owed, by: owed - limit.most, most: limit.most } : null;
	});
	async function onLineKey(event: KeyboardEvent, i: number) {
		if (event.key !== 'Enter') return;
		event.preventDefault();
		if (i === form.lines.length - 1) form.addLine();
		await tick();
		document.querySelector<HTMLInputElement>(`[data-line="${i + 1}"]`)?.focus();
	}
</script>

<svelte:head><title>New document · Odd Penny</title></svelte:head>

<form
	bind:this={element}
	method="POST"
	class="grid min-h-[calc(100vh-48px)] grid-cols-[minmax(0,7fr)_minmax(0,5fr)]"
	use:enhance={issue.submit(() => form.input)}
>
	<section class="px-8 pt-5 pb-10">
		<p class="text-sm"><a href="/open-items">Open items</a></p>
		<h1>{owner ? `A new ${kindName} for ${owner.name}` : 'A new document'}</h1>
		<div class="mt-3">
			<CustomerField
				class="w-96"
				bind:field={whose}
				placeholder={owner ? 'for another customer' : 'Whose? Part of name, code or document number'}
				choose={(one) => goto(`/open-items/new?customer=${one.id}`, { keepFocus: true, noScroll: true })}
			/>
		</div>
		<fieldset class="mt-4 flex gap-4">
			<legend class="sr-only">What is it?</legend>
			{#each KINDS as [kind, name] (kind)}
				<label class="flex items-center gap-1"
					><input type="radio" name="kind" value={kind} bind:group={form.kind} /> {name}</label
				>
			{/each}
		</fieldset>
		{#if form.kind === 'credit_note'}
			<fieldset
				class="mt-2 flex gap-4"
				aria-describedby={issue.error('creditNoteKind') ? issue.errorId('creditNoteKind') : undefined}
			>
				<legend class="sr-only">What is it given for?</legend>
				<span class="text-soft">for</span>
				{#each ['goods', 'price', 'goodwill'] as const as given (given)}
					<label class="flex items-center gap-1"
						><input type="radio" name="creditNoteKind" value={given} bind:group={form.creditNoteKind} />
						{CREDIT_NOTE_NAMES[given]}</label
					>
				{/each}
			</fieldset>
			<FieldError form={issue} name="creditNoteKind" />
		{/if}
		<div class="mt-3 flex flex-wrap gap-3">
			{#each FIELDS as [name, label, width, placeholder] (name)}
				<Field form={issue} {name} {label} class="text-sm"
					>{#snippet input(attributes)}<input
							type="text"
							class={width}
							{placeholder}
							{...attributes}
							bind:value={form[name]}
						/>{/snippet}</Field
				>
			{/each}
		</div>
		<table class="mt-5">
			<thead
				><tr
					><th>What for</th><th class="num w-36">Net, {form.currency}</th><th class="num w-20">Tax %</th><th
						class="w-8"
					></th></tr
				></thead
			>
			<tbody>
				{#each form.lines as line, i (line)}
					<tr>
						<td
							><input
								type="text"
								class="w-full"
								data-line={i}
								aria-label="What line {i + 1} is for"
								bind:value={line.text}
								onkeydown={(event) => onLineKey(event, i)}
							/></td
						>
						<td class="num"
							><input
								type="text"
								inputmode="decimal"
								class="w-full text-right"
								aria-label="Net amount of line {i + 1}"
								placeholder="750+480"
								bind:value={line.net}
								onkeydown={(event) => onLineKey(event, i)}
							/></td
						>
						<td class="num"
							><input
								type="text"
								inputmode="decimal"
								class="w-full text-right"
								aria-label="Tax on line {i + 1}, percent"
								bind:value={line.tax}
								onkeydown={(event) => onLineKey(event, i)}
							/></td
						>
						<td
							><button
								type="button"
								class="cursor-pointer px-1 text-soft hover:text-ink"
								aria-label="Take line {i + 1} away"
								onclick={() => form.dropLine(i)}>×</button
							></td
						>
					</tr>
				{/each}
			</tbody>
		</table>
		<button type="button" class="btn mt-2" onclick={() => form.addLine()}>One line more</button>
		<h2 class="mt-6 font-sans text-sm font-semibold text-soft">When it is due</h2>
		{#each form.shares as share, i (share)}
			<p class="mt-1 flex items-center gap-2">
				{#if form.shares.length > 1}
					<input
						type="text"
						inputmode="decimal"
						class="w-16 text-right"
						aria-label="Share of part {i + 1}, percent"
						placeholder="rest"
						bind:value={share.percent}
					/> % of it
				{:else}all of it{/if}
				<input
					type="text"
					inputmode="numeric"
					class="w-16 text-right"
					aria-label="Days until part {i + 1} is due"
					bind:value={share.days}
				/>
				days after {form.termsFrom === 'month_end' ? 'the end of its month' : 'it is issued'}
				{#if form.drawn?.instalments[i]}<span class="text-soft"
						>{shortDay(form.drawn.instalments[i].due, today)}{form.shares.length > 1
							? `, ${amount(form.drawn.instalments[i].amount, form.currency)}`
							: ''}</span
					>{/if}
				{#if form.shares.length > 1}<button
						type="button"
						class="cursor-pointer px-1 text-soft hover:text-ink"
						aria-label="Remove part {i + 1}"
						onclick={() => form.dropShare(i)}>×</button
					>{/if}
			</p>
		{/each}
		<button type="button" class="btn mt-2" onclick={() => form.addShare()}
			>{form.shares.length > 1 ? 'One part more' : 'In several parts'}</button
		>
		{#if form.kind === 'invoice'}
			<p class="mt-4 flex items-center gap-2">
				<input
					type="text"
					inputmode="decimal"
					class="w-16 text-right"
					aria-label="Discount for paying early, percent"
					bind:value={form.discountPercent}
				/>
				% off if paid within
				<input
					type="text"
					inputmode="numeric"
					class="w-16 text-right"
					aria-label="Days within which the discount is given"
					bind:value={form.discountDays}
				/> days
			</p>
		{/if}
	</section>
	<section class="border-l border-rule bg-raised px-10 pt-8 pb-10" aria-live="polite">
		{#if form.drawn && form.drawn.lines.length}
			<p class="font-serif text-xl font-semibold">
				{kindName[0]!.toUpperCase()}{kindName.slice(1)}
				{form.number}
			</p>
			<p class="mt-1 text-soft">
				{owner ? [owner.name, ...owner.address].join(', ') : 'Nobody is chosen yet'}
			</p>
			<table class="mt-4">
				<tbody>
					{#each form.drawn.lines as line, i (i)}
						<tr
							><td>{line.text || '…'}</td><td class="num text-soft"
								>{line.taxBasisPoints ? `${line.taxBasisPoints / 100}%` : ''}</td
							><td class="num">{amount(line.net, form.currency)}</td></tr
						>
					{/each}
					<tr
						><td class="text-soft">Tax</td><td></td><td class="num"
							>{amount(form.drawn.tax, form.currency)}</td
						></tr
					>
				</tbody>
				<tfoot class="double-top"
					><tr
						><td class="font-semibold">{form.kind === 'credit_note' ? 'To their credit' : 'To pay'}</td><td
						></td><td class="num font-serif text-lg font-semibold">{money(form.total, form.currency)}</td></tr
					></tfoot
				>
			</table>
		{:else}
			<p class="mt-16 says">What is typed on the left shows here as it will be printed.</p>
		{/if}
		<div class="mt-4">
			<Problems problems={refused.length ? refused : form.drawn?.lines.length ? form.problems : []} />
		</div>
		<p class="mt-4 says">{says}</p>
		{#if above}<p class="note mt-2 text-oxblood" role="status">
				That is {money(above.owed, form.currency)} in all, {money(above.by, form.currency)} above the credit limit
				of
				{money(above.most, form.currency)}.
			</p>{/if}
		<!-- No submit button: Enter within the document goes on, only this issues it. -->
		<button
			type="button"
			class="btn btn-main mt-3"
			disabled={!form.ready || issue.busy}
			onclick={() => element.requestSubmit()}
			>{issue.busy ? 'Posting …' : `Issue ${form.number}, ${money(form.total, form.currency)}`}</button
		>
		<p class="mt-2 says">
			It is posted and stands on the account from then on; its PDF is made from what is posted.
		</p>
	</section>
</form>
