<script lang="ts">
	import type { AskedKind } from '$lib/core/model/asked-kind';
	import { ROW_FIELD, TABLE_FIELDS, type FieldKey, type FieldShape } from '$lib/core/1-columns/fields';
	import { isAsking, type TableAnswer, type TableSeen } from '$lib/tables/table-seen';
	import { count, FIELD_WORDS, list } from '$lib/words';

	/** Which column of a table is which, and how it writes dates and numbers: as it was understood, to be put otherwise. */
	let {
		kind,
		seen,
		busy,
		say
	}: {
		kind: AskedKind;
		seen: TableSeen;
		busy: boolean;
		/** Takes what somebody says of the table. */
		say: (answer: TableAnswer) => void;
	} = $props();
	const fields = $derived(TABLE_FIELDS[kind]);
	/** Whoever says one column goes on to the next: the list stays open. */
	let saying = $state(false);
	let open = $derived(isAsking(seen) || saying);
	/** What is told by the table itself is nobody's saying: the next one may tell otherwise. */
	const said = $derived<TableAnswer>({
		...{ headings: seen.key, columns: seen.columns, currency: seen.answer?.currency ?? null },
		...(seen.answer?.bankAccountId === undefined ? {} : { bankAccountId: seen.answer.bankAccountId }),
		...{ dayOrder: seen.answer?.dayOrder ?? null, decimalSign: seen.answer?.decimalSign ?? null },
		...(seen.answer?.name || seen.file ? { name: seen.answer?.name ?? seen.file! } : {})
	});
	const fieldAt = (at: number) => fields.find(({ key }) => seen.columns[key] === at)?.key ?? '';
	/** A column is one field, and a field is in one column. */
	function setField(at: number, key: FieldKey | '') {
		saying = true;
		const others = Object.entries(seen.columns).filter(([other, place]) => other !== key && place !== at);
		say({ ...said, columns: { ...Object.fromEntries(others), ...(key ? { [key]: at } : {}) } });
	}
	/** Whether there is a column of such a shape. */
	const has = (shape: FieldShape) =>
		fields.some((one) => one.shape === shape && seen.columns[one.key] !== undefined);
	const understood = $derived(
		[
			seen.answer
				? `Read as was said before${seen.answer.name && seen.answer.name !== seen.file ? ` of “${seen.answer.name}”` : ''}`
				: 'Read by its headings',
			`${count(Object.keys(seen.columns).length, 'column')} of ${seen.headings.length}`,
			...(seen.dayOrder && has('day')
				? [seen.dayOrder === 'day-first' ? 'day before month' : 'month before day']
				: []),
			...(!has('amount')
				? []
				: seen.decimalSign === ','
					? ['decimals after a comma']
					: seen.decimalSign
						? ['decimals after a point']
						: []),
			...(seen.columns.currency === undefined ? [`in ${seen.currency}`] : [])
		].join(', ')
	);
</script>

<section class="mb-5">
	<h3 class="font-sans font-semibold">{seen.file ?? 'What was pasted'}</h3>
	{#if seen.asks.fields.length}<p class="text-copper" role="alert">
			Say which column is the {list(seen.asks.fields.map((key) => FIELD_WORDS[key]))}.
		</p>{/if}
	{#if seen.asks.dayOrder}
		<label class="mt-1 flex items-center gap-2 text-copper"
			>Each date could be read in two ways. Which comes first?
			<select
				disabled={busy}
				value=""
				onchange={({ currentTarget }) =>
					say({ ...said, dayOrder: currentTarget.value as 'day-first' | 'month-first' })}
				><option value="" disabled>choose</option><option value="day-first">the day</option><option
					value="month-first">the month</option
				></select
			></label
		>
	{/if}
	{#if seen.asks.decimalSign}
		<label class="mt-1 flex items-center gap-2 text-copper"
			>Each amount could be read in two ways. What stands before the pence or cents?
			<select
				disabled={busy}
				value=""
				onchange={({ currentTarget }) => say({ ...said, decimalSign: currentTarget.value as '.' | ',' })}
				><option value="" disabled>choose</option><option value=".">a point, as in 1.23</option><option
					value=",">a comma, as in 1,23</option
				></select
			></label
		>
	{/if}
	<details bind:open>
		<summary class="cursor-pointer text-sm text-soft">{understood}</summary>
		<table class="mt-1">
			<thead><tr><th>Column</th><th>First rows</th><th>What it is</th></tr></thead>
			<tbody>
				{#each seen.headings as heading, at (at)}
					<tr>
						<td>{heading || `column ${at + 1}`}</td>
						<td class="max-w-56 truncate text-sm text-soft"
							>{seen.samples
								.map((row) => row[at])
								.filter(Boolean)
								.join(' · ')}</td
						>
						<td
							><select
								class="w-full"
								aria-label="What {heading || `column ${at + 1}`} is"
								disabled={busy}
								value={fieldAt(at)}
								onchange={({ currentTarget }) => setField(at, currentTarget.value as FieldKey | '')}
								><option value="">not used</option>{#each fields as { key, needed } (key)}<option value={key}
										>{FIELD_WORDS[key]}{needed ? ' *' : ''}</option
									>{/each}</select
							></td
						>
					</tr>
				{/each}
			</tbody>
		</table>
		{#if seen.columns.currency === undefined && kind !== 'bank-table'}
			<label class="mt-2 flex items-center gap-2 text-sm"
				>All of it is in <input
					type="text"
					class="w-16 uppercase"
					maxlength="3"
					disabled={busy}
					value={seen.currency}
					onchange={({ currentTarget }) =>
						/^[a-z]{3}$/i.test(currentTarget.value.trim())
							? say({ ...said, currency: currentTarget.value.trim().toUpperCase() })
							: (currentTarget.value = seen.currency)}
				/></label
			>
		{/if}
	</details>
	{#if seen.leftOut.length}<p class="says">
			{count(seen.leftOut.length, 'line')} without {kind === 'bank-table'
				? 'a date or an amount'
				: `a ${FIELD_WORDS[ROW_FIELD[kind]]}`} left out: {list(
				seen.leftOut.slice(0, 5).map((line) => `line ${line}`)
			)}{seen.leftOut.length > 5 ? ' …' : ''}.
		</p>{/if}
	{#if seen.settled.length}<p class="says">
			{count(seen.settled.length, 'line')} with nothing open left out: {list(
				seen.settled.slice(0, 5).map((line) => `line ${line}`)
			)}{seen.settled.length > 5 ? ' …' : ''}.
		</p>{/if}
</section>
