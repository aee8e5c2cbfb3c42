<script lang="ts">
	/** Takes files that are dropped anywhere on the page; `over` while some are held above it. */
	let { over = $bindable(false), ondrop }: { over?: boolean; ondrop: (files: FileList | undefined) => void } =
		$props();
</script>

<svelte:window
	ondragover={(event) => {
		if (!event.dataTransfer?.types.includes('Files')) return;
		event.preventDefault();
		over = true;
	}}
	ondragleave={(event) => {
		if (!event.relatedTarget) over = false;
	}}
	ondrop={(event) => {
		event.preventDefault();
		over = false;
		ondrop(event.dataTransfer?.files);
	}}
/>
