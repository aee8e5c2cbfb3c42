<script lang="ts">
	import { enhance } from '$app/forms';
	import type { sendAgain } from '$lib/server/letters/commands/send-again';
	import { ActForm } from '$lib/trade/act-form.svelte';
	import Dialog from '$lib/ui/Dialog.svelte';
	import Field from '$lib/ui/Field.svelte';
	import Problems from '$lib/ui/Problems.svelte';
	import { didNotArrive, type DELIVERY_WORDS } from '$lib/words';

	interface Props {
		readonly letter: {
			readonly id: number;
			readonly name: string;
			/** Where it went. */
			readonly to: string;
			readonly state: keyof typeof DELIVERY_WORDS | null;
			readonly answer: string | null;
			readonly nextAt: string | null;
		};
	}
	/** For a letter that did not arrive: sends it again as it was written, to where it went or to another address. */
	const { letter }: Props = $props();
	const again = new ActForm<typeof sendAgain>('?/again', { done: () => void (asking = false) });
	const failed = $derived(didNotArrive(letter.state));
	let asking = $state(false);
</script>

{#if failed || letter.nextAt}
	<span class="inline-flex flex-wrap justify-end gap-1">
		<button
			class="btn py-0.5"
			disabled={again.busy}
			onclick={() => again.send({ letterId: String(letter.id) })}>{failed ? 'Send again' : 'Try now'}</button
		>
		{#if failed}<button class="btn py-0.5" onclick={() => (asking = true)}>Mend address</button>{/if}
	</span>
	{#if !asking}<Problems problems={again.problems} />{/if}
	<Dialog bind:open={asking} title="Send it to which address of {letter.name}?">
		<p>It went to {letter.to || 'no address'}. {letter.answer ?? ''}</p>
		<form
			method="POST"
			action="?/again"
			class="mt-3 grid gap-3"
			use:enhance={again.submit((given) => ({
				letterId: String(letter.id),
				email: String(given.get('email') ?? ''),
				keep: given.get('keep') === 'on' ? 'on' : ''
			}))}
		>
			<Field form={again} name="email" label="E-mail address"
				>{#snippet input(attributes)}<input
						type="email"
						required
						data-first
						autocomplete="off"
						value={letter.to}
						{...attributes}
					/>{/snippet}</Field
			>
			<label class="flex items-center gap-2"
				><input type="checkbox" name="keep" checked />Keep it for their letters to come</label
			>
			<Problems problems={again.problems} />
			<p class="flex gap-2">
				<button class="btn btn-main" disabled={again.busy}>Send it there</button>
				<button type="button" class="btn" onclick={() => (asking = false)}>Leave it</button>
			</p>
		</form>
	</Dialog>
{/if}
