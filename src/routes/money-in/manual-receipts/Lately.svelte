<script lang="ts">
	import type { Day } from '$lib/core/day/day';
	import { rowCursor } from '$lib/ui/row-cursor';
	import { money, shortDay } from '$lib/words';
	import type { PageData } from './$types';
	import VoidDialog from './VoidDialog.svelte';
	let { lately, today, mayAct }: { lately: PageData['lately']; today: Day; mayAct: boolean } = $props();
	let voiding = $state.raw<PageData['lately'][number] | null>(null);
	const WHERE = {
		way: 'on its way',
		slip: 'on a paying-in slip',
		bank: 'the bank shows it',
		'petty cash': 'in petty cash',
		pile: 'waits in Money in',
		voided: 'voided'
	} as const;
</script>

<!-- What was recorded by hand lately, with where it is now. -->
<h2 class="mt-8 text-xl">Recorded lately</h2>
<p class="says">Recorded by mistake? Void it: what it was allocated to is open again.</p>
<table class="mt-1">
	<thead
		><tr
			><th>Customer</th><th>Date</th><th>How</th><th>Reference</th><th>Where it is</th><th class="num"
				>Amount</th
			><th></th></tr
		></thead
	>
	<tbody {@attach rowCursor}>
		{#each lately as one (one.id)}
			<tr class={[one.state === 'voided' && 'text-soft']}>
				<td>{one.name}</td><td>{shortDay(one.booked, today)}</td><td>{one.method}</td><td>{one.reference}</td
				><td>{WHERE[one.where]}</td><td class={['num', one.state === 'voided' && 'line-through']}
					>{money(one.amount, one.currency)}</td
				>
				<td class="num whitespace-nowrap"
					><a class="mr-3 text-sm text-soft" href="/books/journal?act={one.actId ?? one.lastActId}">journal</a
					>{#if mayAct && one.where !== 'voided' && one.where !== 'bank'}<button
							class="cursor-pointer text-sm text-soft hover:text-ink"
							aria-label="Void the {one.method} of {one.name}"
							onclick={() => (voiding = one)}>void</button
						>{/if}</td
				>
			</tr>
		{/each}
	</tbody>
</table>

<VoidDialog receipt={voiding} close={() => (voiding = null)} />
