<script lang="ts">
	import { goto } from '$app/navigation';
	import { page } from '$app/state';
	import type { Day } from '$lib/core/day/day';
	import type { ReportField } from '$lib/core/model/report';
	import DayField from '$lib/ui/DayField.svelte';
	import { REPORT_FIELDS, reportChoice } from '$lib/words';

	/** What a report is asked, to be changed: each change asks anew, and the address says all of it, so that it can be kept or sent on. */
	let {
		fields,
		faults,
		day
	}: { fields: readonly ReportField[]; faults: Readonly<Record<string, string>>; day: Day } = $props();
	const id = $props.id();
	/** What was typed stays, also where it cannot be read. */
	const typed = (name: string, otherwise: string) => page.url.searchParams.get(name) ?? otherwise;

	function ask(name: string, value: string) {
		const params = new URLSearchParams(page.url.searchParams);
		params.delete('page');
		// What a column was sorted by may not be in what is shown then.
		if (name === 'show' || name === 'by') params.delete('sort');
		// Another way of ageing has other buckets.
		if (name === 'buckets') params.delete('bucket');
		if (value === '') params.delete(name);
		else params.set(name, value);
		void goto(`${page.url.pathname}?${params}`, { keepFocus: true, noScroll: true });
	}
	const described = (name: string) =>
		faults[name] ? { 'aria-invalid': 'true' as const, 'aria-describedby': `${id}-${name}` } : {};
</script>

<div class="mt-3 flex flex-wrap items-start gap-x-5 gap-y-2 text-sm">
	{#each fields as field (field.name)}
		<div class="grid gap-0.5">
			{#if field.kind === 'day'}
				{#key `${field.value} ${faults[field.name]}`}<DayField
						name={field.name}
						label={REPORT_FIELDS[field.name]}
						value={field.value}
						near={day}
						changed={({ currentTarget }) => {
							const read = currentTarget.closest('div')?.querySelector('input[type=hidden]');
							if (read instanceof HTMLInputElement) ask(field.name, read.value);
						}}
					/>{/key}
			{:else}
				<label class="grid gap-0.5"
					><span class="text-soft">{REPORT_FIELDS[field.name]}</span>
					{#if field.kind === 'choice'}
						<select
							class="py-0.5"
							value={field.value}
							onchange={(event) => ask(field.name, event.currentTarget.value)}
							{...described(field.name)}
							>{#each field.options as option (option)}<option value={option}
									>{reportChoice(field.name, option)}</option
								>{/each}</select
						>
					{:else if field.kind === 'picked' && field.options}
						<select
							class="max-w-48 py-0.5"
							value={field.value ?? ''}
							onchange={(event) => ask(field.name, event.currentTarget.value)}
							{...described(field.name)}
							><option value="">any</option>{#each field.options as option (option.value)}<option
									value={option.value}>{option.says}</option
								>{/each}</select
						>
					{:else}
						<input
							type="text"
							class={['py-0.5', field.kind === 'ends' ? 'w-36' : 'w-28']}
							autocomplete="off"
							placeholder={field.kind === 'picked' ? 'any code' : ''}
							value={typed(field.name, field.kind === 'ends' ? field.value.join(', ') : (field.value ?? ''))}
							onchange={(event) => ask(field.name, event.currentTarget.value.trim())}
							{...described(field.name)}
						/>
					{/if}</label
				>
			{/if}
			{#if faults[field.name]}<span id="{id}-{field.name}" class="max-w-52 text-xs text-oxblood" role="alert"
					>{faults[field.name]}</span
				>{/if}
		</div>
	{/each}
</div>
