<script lang="ts">
	import { toast } from 'svelte-sonner';
	import type { acceptStatement } from '$lib/server/receipts/commands/accept-statement';
	import { ActForm } from '$lib/trade/act-form.svelte';
	import FieldError from '$lib/ui/FieldError.svelte';
	import Problems from '$lib/ui/Problems.svelte';

	interface Props {
		readonly statementId: number;
		readonly reference: string;
	}
	const { statementId, reference }: Props = $props();
	let asked = $state(false);
	let reason = $state('');
	const form = new ActForm<typeof acceptStatement>('?/accept', {
		otherwise: 'It could not be accepted. Nothing was changed; try again.',
		done: () => void toast(`${reference} is taken for the bank’s.`)
	});
</script>

{#if asked}
	<form
		class="mt-1 flex flex-wrap items-center gap-2"
		onsubmit={(event) => {
			event.preventDefault();
			void form.send({ statementId, reason });
		}}
	>
		<input
			type="text"
			class="w-64"
			maxlength="400"
			aria-label="Why {reference} is the bank’s, for the record"
			placeholder="Why, for the record"
			bind:value={reason}
			{...form.at('reason')}
		/>
		<button class="btn py-0.5" disabled={form.busy || !reason.trim()}>Accept it</button>
		<button type="button" class="btn py-0.5" onclick={() => (asked = false)}>Leave it</button>
	</form>
	<FieldError {form} name="reason" />
	<Problems problems={form.problems} />
{:else}
	<button type="button" class="btn mt-1 py-0.5" onclick={() => (asked = true)}
		>It is the bank’s all the same</button
	>
{/if}
