<script lang="ts">
	/** What is added to the letters of a run: to all of them, and to the one that is shown. */
	let {
		name,
		note = $bindable(),
		ownNote = $bindable()
	}: {
		/** Whose letter is shown. */
		name: string;
		note: string;
		ownNote: string;
	} = $props();
</script>

<div role="group" aria-label="Notes on these letters">
	<details class="mt-2 text-sm">
		<summary class="cursor-pointer text-copper"
			>{note || ownNote ? 'Notes on these letters' : 'Add a note'}</summary
		>
		<div class="mt-1 grid grid-cols-2 gap-3">
			<label class="grid gap-0.5"
				><span class="text-soft">To all of them</span><textarea
					rows="2"
					maxlength="2000"
					value={note}
					onchange={(event) => (note = event.currentTarget.value.trim())}></textarea></label
			>
			<label class="grid gap-0.5"
				><span class="truncate text-soft">To {name} alone</span><textarea
					rows="2"
					maxlength="2000"
					value={ownNote}
					onchange={(event) => (ownNote = event.currentTarget.value.trim())}></textarea></label
			>
		</div>
	</details>
</div>
