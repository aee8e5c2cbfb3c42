<script lang="ts">
	/** How far long work has come, for whoever waits for it. */
	const {
		progress
	}: {
		/** Rows written, and of how many; 0 as long as that is not known. */
		progress: { readonly done: number; readonly of: number };
	} = $props();
	const share = $derived(progress.of > 0 ? Math.min(1, progress.done / progress.of) : null);
</script>

<div class="grid gap-1" role="status">
	<progress
		class="h-2 w-full max-w-md accent-copper"
		aria-label="How far it has come"
		value={share ?? undefined}
	></progress>
	<p class="text-sm text-soft">
		{share === null
			? 'It is read and checked.'
			: share < 1
				? `${Math.floor(100 * share)}% is written.`
				: 'All is written and is being sealed.'}
		You can go on elsewhere meanwhile: a message says when it is done. What others post waits until then.
	</p>
</div>
