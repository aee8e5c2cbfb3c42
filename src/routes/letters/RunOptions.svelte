<script lang="ts">
	import { goto } from '$app/navigation';
	import type { StatementAsked, StatementKind } from '$lib/core/7-letters/letter';
	import type { RunFilter } from '$lib/server/letters/queries/run-rows';
	import { LETTER_WAY_WORDS } from '$lib/words';
	import DayField from '$lib/ui/DayField.svelte';
	import type { Day } from '$lib/core/day/day';
	import { untrack } from 'svelte';

	/** What kind of letters, of which days, and which accounts: each choice is a part of the address, so that it can be shared. */
	let {
		kind,
		asked,
		filter,
		month,
		today,
		tags,
		currencies,
		least,
		wordings,
		wording
	}: {
		kind: 'statement' | 'reminder';
		asked: StatementAsked;
		filter: RunFilter;
		/** The first day of this month. */
		month: Day;
		today: Day;
		tags: readonly string[];
		currencies: readonly string[];
		/** The least amount as it is typed. */
		least: string;
		/** Wordings of the firm's own that these letters may have, and which was chosen. */
		wordings: readonly { readonly key: string; readonly name: string }[];
		wording: string | null;
	} = $props();
	const names: Readonly<Record<StatementKind, string>> = {
		open: 'Open items',
		activity: 'Activity',
		forward: 'Balance forward'
	};
	let show = $state(untrack(() => asked.kind));
	const filters = $derived(
		[
			filter.tag,
			filter.currency,
			filter.way,
			filter.least,
			filter.overdueOnly,
			filter.parent,
			filter.everyone
		].filter((one) => one !== undefined).length
	);
	function look(event: SubmitEvent & { currentTarget: HTMLFormElement }) {
		event.preventDefault();
		const params = new URLSearchParams();
		for (const [name, value] of new FormData(event.currentTarget))
			if (typeof value === 'string' && value !== '') params.set(name, value);
		void goto(`/letters?${params}`, { keepFocus: true, noScroll: true });
	}
	const changed = (event: Event & { currentTarget: HTMLElement }) =>
		event.currentTarget.closest('form')?.requestSubmit();
</script>

<form
	class="mt-2 flex flex-wrap items-end gap-x-4 gap-y-2 text-sm"
	onsubmit={look}
	aria-label="Which letters"
>
	<input type="hidden" name="kind" value={kind} />
	{#if kind === 'statement'}
		<label class="grid gap-0.5"
			><span class="text-soft">Statement of</span>
			<select name="show" class="py-0.5" bind:value={show} onchange={changed}
				>{#each Object.entries(names) as [value, name] (value)}<option {value}>{name}</option>{/each}</select
			></label
		>
		{#if show !== 'open'}
			<DayField name="from" label="From" value={asked.from ?? month} near={today} {changed} />
		{/if}
		<DayField name="to" label={show === 'open' ? 'As at' : 'To'} value={asked.to} near={today} {changed} />
	{/if}
	{#if wordings.length > 0}
		<label class="grid gap-0.5"
			><span class="text-soft">Wording</span>
			<select name="wording" class="py-0.5" value={wording ?? ''} onchange={changed}
				><option value="">the usual one</option>{#each wordings as one (one.key)}<option value={one.key}
						>{one.name}</option
					>{/each}</select
			></label
		>
	{/if}
	<details class="grow" open={filters > 0}>
		<summary class="cursor-pointer py-1 text-copper"
			>{filters === 0 ? 'All accounts' : filters === 1 ? '1 filter' : `${filters} filters`}</summary
		>
		<div class="mt-1 flex flex-wrap items-end gap-x-4 gap-y-2">
			{#if tags.length}
				<label class="grid gap-0.5"
					><span class="text-soft">Tag</span>
					<select name="tag" class="py-0.5" value={filter.tag ?? ''} onchange={changed}
						><option value="">any</option>{#each tags as tag (tag)}<option value={tag}>{tag}</option
							>{/each}</select
					></label
				>
			{/if}
			<label class="grid gap-0.5"
				><span class="text-soft">Currency</span>
				<select name="currency" class="py-0.5" value={filter.currency ?? ''} onchange={changed}
					><option value="">any</option>{#each currencies as currency (currency)}<option value={currency}
							>{currency}</option
						>{/each}</select
				></label
			>
			<label class="grid gap-0.5"
				><span class="text-soft">Sent</span>
				<select name="way" class="py-0.5" value={filter.way ?? ''} onchange={changed}
					><option value="">any way</option
					>{#each Object.entries(LETTER_WAY_WORDS) as [way, name] (way)}<option value={way}>{name}</option
						>{/each}</select
				></label
			>
			<label class="grid gap-0.5"
				><span class="text-soft">At least</span><input
					type="text"
					name="least"
					class="num w-24 py-0.5"
					inputmode="decimal"
					value={least}
					onchange={changed}
				/></label
			>
			<label class="grid gap-0.5"
				><span class="text-soft">Branches of</span><input
					type="text"
					name="parent"
					class="w-24 py-0.5"
					placeholder="code"
					value={filter.parent ?? ''}
					onchange={changed}
				/></label
			>
			{#if kind === 'statement'}
				<label class="flex items-center gap-2 py-1"
					><input type="checkbox" name="overdue" checked={filter.overdueOnly === true} onchange={changed} /> overdue
					only</label
				>
			{:else}
				<label class="flex items-center gap-2 py-1"
					><input type="checkbox" name="everyone" checked={filter.everyone === true} onchange={changed} /> also
					who reaches no step today</label
				>
			{/if}
		</div>
	</details>
	<noscript><button class="btn py-0.5">Show</button></noscript>
</form>
