<script lang="ts">
	import { tick } from 'svelte';
	import type { Snippet } from 'svelte';
	import { usePasskey } from './use-passkey';

	/** Has the browser make or show a passkey, and sends the form around it with the answer in its field `passkey`. */
	let {
		what,
		disabled = false,
		class: classes = '',
		children
	}: { what: 'make' | 'show'; disabled?: boolean; class?: string; children: Snippet } = $props();
	let answer = $state('');
	let said = $state('');
	let button = $state<HTMLButtonElement>();

	async function ask(): Promise<void> {
		said = '';
		try {
			answer = await usePasskey(what);
			await tick();
			button?.form?.requestSubmit();
		} catch (cause) {
			said = (cause as Error).message;
		}
	}
</script>

{#if said}<p role="alert" class="note mb-3 text-oxblood">{said}</p>{/if}
<input type="hidden" name="passkey" value={answer} />
<button
	bind:this={button}
	type="button"
	class={['btn btn-main justify-center', classes]}
	{disabled}
	onclick={ask}>{@render children()}</button
>
