<script lang="ts">
	import Dialog from './Dialog.svelte';
	import type { KeyBinding } from './keys';

	/** The keys of a screen, from the list that they are taken from. */
	let { open = $bindable(), bindings }: { open: boolean; bindings: readonly KeyBinding[] } = $props();
	const shown = (one: KeyBinding) => one.shown ?? one.keys.map((key) => key.toUpperCase()).join('  ');
</script>

<Dialog title="Keys of this screen" bind:open>
	<table>
		<tbody>
			{#each bindings as binding (`${binding.keys} ${binding.what}`)}
				<tr><td class="w-24"><span class="key">{shown(binding)}</span></td><td>{binding.what}</td></tr>
			{/each}
		</tbody>
	</table>
</Dialog>
