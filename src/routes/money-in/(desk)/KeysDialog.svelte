<script lang="ts">
	import Dialog from '$lib/ui/Dialog.svelte';
	let { open = $bindable() }: { open: boolean } = $props();
	const KEYS = [
		['J  K', 'next and previous receipt'],
		['↑  ↓', 'move among the open items'],
		['Space', 'take the item, or leave it'],
		['F', 'take the oldest items, as far as the money goes'],
		['S', 'look for items that come to what is left'],
		['A', 'take their remittance advice'],
		['1 – 9', 'name the odd penny, missing or left over'],
		['Enter', 'post and go on'],
		['O', 'leave all of it on account'],
		['H', 'hold, with what is laid'],
		['N', 'not customer money'],
		['C', 'read and post what is certain'],
		['U', 'take the last posting back'],
		['/', 'filter the open items'],
		['Esc', 'leave a field']
	] as const;
</script>

<Dialog title="Keys of this screen" bind:open>
	<table>
		<tbody>
			{#each KEYS as [keys, what] (keys)}
				<tr><td class="w-24"><span class="key">{keys}</span></td><td>{what}</td></tr>
			{/each}
		</tbody>
	</table>
</Dialog>
