<script lang="ts">
	import { enhance } from '$app/forms';
	import type { setAddress } from '$lib/server/customers/commands/set-address';
	import type { RunRow } from '$lib/server/letters/queries/run-rows';
	import { ActForm } from '$lib/trade/act-form.svelte';
	import FieldError from '$lib/ui/FieldError.svelte';
	import Problems from '$lib/ui/Problems.svelte';

	/** To whom a letter goes; where no address is kept, a field for it. */
	let { row, kind, mayAct }: { row: RunRow; kind: 'statement' | 'reminder'; mayAct: boolean } = $props();
	const form = new ActForm<typeof setAddress>('?/address');
</script>

{#if row.email}<span class="block max-w-[210px] truncate text-soft" title={row.email}>{row.email}</span
	>{#if row.copies.length}<span
			class="block max-w-[210px] truncate text-xs text-soft"
			title={row.copies.join(', ')}>copy to {row.copies.join(', ')}</span
		>{/if}
{:else if row.way === 'paper'}<span class="text-soft">by post</span>
{:else}
	<form method="POST" action="?/address" class="flex gap-1" use:enhance={form.submit()}>
		<input type="hidden" name="customerId" value={row.customerId} /><input
			type="hidden"
			name="kind"
			value={kind}
		/>
		<input
			type="email"
			name="email"
			required
			class="w-40 py-0.5"
			placeholder="fill it in here"
			aria-label="E-mail address of {row.name}"
			disabled={!mayAct}
			{...form.at('email')}
		/>
		<button class="btn px-2 py-0.5" disabled={!mayAct}>Keep</button>
	</form>
	<FieldError {form} name="email" />
	<Problems problems={form.problems} />
{/if}
