<script lang="ts">
	import { toast } from 'svelte-sonner';
	import type { keepTableReadings } from '$lib/server/firm/commands/keep-table-readings';
	import type { forgetTableReading, nameTableReading } from '$lib/server/firm/commands/known-tables';
	import type { KeptTable } from '$lib/server/firm/store/table-answer';
	import { ActForm } from '$lib/trade/act-form.svelte';
	import Problems from '$lib/ui/Problems.svelte';
	import { FIELD_WORDS, TABLES_OF } from '$lib/words';

	/** Tables of the firm's own, and its banks', of which somebody said how they are read. */
	const {
		tables,
		banks
	}: { tables: readonly KeptTable[]; banks: readonly { readonly id: number; readonly name: string }[] } =
		$props();
	const back = new ActForm<typeof keepTableReadings>('?/keepTable', {
		done: () => void toast('It is known again.')
	});
	const forgetting = new ActForm<typeof forgetTableReading>('?/forgetTable', {
		done: ({ output: { kind, ...answer } }) =>
			void toast(`Forgotten: “${answer.name ?? 'a table'}”. The next one like it is read by its headings.`, {
				action: { label: 'Undo', onClick: () => void back.send({ kind, answers: [answer] }) }
			})
	});
	const naming = new ActForm<typeof nameTableReading>('?/nameTable', {
		done: ({ output }) => void toast(`It is called “${output.name}” now.`)
	});
	const busy = $derived(forgetting.busy || naming.busy || back.busy);
	const which = ({ kind, headings, bankAccountId }: KeptTable) => ({ kind, headings, bankAccountId });
	/** The columns that are used, by what they are. */
	function columnsOf({ headings, columns }: KeptTable): string {
		const names = headings.split('|');
		return Object.entries(columns)
			.sort(([, a], [, b]) => a - b)
			.map(
				([key, at]) => `${names[at] || `column ${at + 1}`} → ${FIELD_WORDS[key as keyof typeof FIELD_WORDS]}`
			)
			.join(', ');
	}
	const isOf = ({ kind, bankAccountId }: KeptTable) => {
		const bank = banks.find(({ id }) => id === bankAccountId);
		return bank ? `${TABLES_OF[kind]} of ${bank.name}` : TABLES_OF[kind];
	};
	const forms = (one: KeptTable) =>
		[
			...(one.dayOrder ? [one.dayOrder === 'day-first' ? 'day before month' : 'month before day'] : []),
			...(one.decimalSign
				? [one.decimalSign === ',' ? 'decimals after a comma' : 'decimals after a point']
				: []),
			...(one.currency ? [`in ${one.currency}`] : [])
		].join(', ');
</script>

<h2 id="tables" class="mt-8 text-xl">Tables that are known</h2>
<p class="mt-1 says">
	{tables.length
		? 'A table with the same headings is read as was said here. One that is forgotten is asked about again.'
		: 'None yet. What is said of the columns of a table that is brought in stands here, for the next one like it.'}
</p>
<div class="mt-2">
	<Problems problems={[...forgetting.problems, ...naming.problems, ...back.problems]} />
</div>
{#if tables.length}
	<table class="mt-2">
		<thead
			><tr><th>Name</th><th>Of</th><th>Columns</th><th><span class="sr-only">Forget</span></th></tr></thead
		>
		<tbody>
			{#each tables as one (`${one.kind} ${one.bankAccountId} ${one.headings}`)}
				<tr class="align-top">
					<td
						><input
							type="text"
							class="w-40"
							maxlength="200"
							aria-label="What the table of {isOf(one)} is called"
							placeholder="give it a name"
							disabled={busy}
							value={one.name ?? ''}
							onchange={({ currentTarget }) => {
								const name = currentTarget.value.trim();
								if (name) void naming.send({ ...which(one), name });
								else currentTarget.value = one.name ?? '';
							}}
						/></td
					>
					<td class="whitespace-nowrap">{isOf(one)}</td>
					<td class="text-sm text-soft">{columnsOf(one)}{forms(one) ? `; ${forms(one)}` : ''}</td>
					<td
						><button
							class="btn"
							disabled={busy}
							aria-label="Forget “{one.name ?? isOf(one)}”"
							onclick={() => forgetting.send(which(one))}>forget</button
						></td
					>
				</tr>
			{/each}
		</tbody>
	</table>
{/if}
