<script lang="ts">
	import FileDrop from '$lib/ui/FileDrop.svelte';
	import { bringFiles } from './take-files.svelte';

	/** Takes files dropped anywhere in the application, and brings them where they belong. */
	let { mayAct }: { mayAct: boolean } = $props();
	let over = $state(false);
</script>

<FileDrop bind:over ondrop={(files) => files?.length && void bringFiles([...files], mayAct)} />
{#if over}
	<div
		class="pointer-events-none fixed inset-3 z-50 grid place-items-center border-2 border-dashed border-copper bg-wash/90"
	>
		<p class="font-serif text-2xl">Let go: it is brought in where it belongs</p>
	</div>
{/if}
