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
		over = false;
		// A place of its own on the page has taken them.
		if (event.defaultPrevented) return;
		event.preventDefault();
		ondrop(event.dataTransfer?.files);
	}}
/>
