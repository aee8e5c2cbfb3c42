<script lang="ts">
	import { amount } from '$lib/words';
	import type { FeeKind } from '$lib/core/model/posting';
	import type { Allocating } from './allocating.svelte';

	/** A fee kept from a payment that is credited in full: net + fee = gross, always shown. */
	let { allocating, mayAct }: { allocating: Allocating; mayAct: boolean } = $props();
	const names: Readonly<Record<FeeKind, string>> = {
		processor_fee: 'processor fee',
		bank_charge: 'bank charge'
	};
	const receipt = $derived(allocating.desk.receipt!);
	const stated = $derived(
		receipt.charges > 0 ? `The bank states charges of ${amount(receipt.charges, allocating.currency)}.` : ''
	);
</script>

<p
	role="group"
	aria-label="A fee that was kept"
	class="mt-2 flex flex-wrap items-center gap-2 text-sm text-soft"
>
	{#each allocating.fees as fee, i (i)}
		{amount(receipt.amount, allocating.currency)} came +
		<input
			type="text"
			inputmode="decimal"
			class="amount-field"
			aria-label="Kept as {names[fee.kind]}"
			bind:value={fee.text}
			disabled={!mayAct}
		/>
		<select aria-label="Who kept it" bind:value={fee.kind} disabled={!mayAct}>
			{#each Object.entries(names) as [kind, name] (kind)}<option value={kind}>{name}</option>{/each}
		</select>
		= {amount(allocating.gross, allocating.currency)} credited
		<button
			class="cursor-pointer hover:text-ink"
			onclick={() => (allocating.fees = allocating.fees.filter((_, n) => n !== i))}>remove</button
		>
	{:else}
		<button
			class="cursor-pointer text-copper hover:underline"
			disabled={!mayAct}
			onclick={() =>
				(allocating.fees = [
					{
						kind: 'bank_charge',
						text: receipt.charges > 0 ? amount(receipt.charges, allocating.currency) : ''
					}
				])}>A fee was kept: credit them in full</button
		>
		{stated}
	{/each}
</p>
