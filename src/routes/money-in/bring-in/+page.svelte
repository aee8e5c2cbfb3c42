<script lang="ts">
	let { form } = $props();
</script>

<div class="mx-auto mt-12 w-[560px]">
	<h1>Bank files</h1>
	{#each form?.told ?? [] as one (one.name)}<p class="mt-3">{one.name}: {one.lines.join(' ')}</p>{/each}
	<p class="mt-6"><a class="btn" href="/money-in">Go to Money in</a></p>
</div>
