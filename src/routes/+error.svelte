<script lang="ts">
	import { page } from '$app/state';
</script>

<div class="mx-auto mt-24 w-[520px]">
	<h1>
		{page.status === 404 ? 'Nothing here' : page.status === 403 ? 'Not for this role' : 'That did not work'}
	</h1>
	<p class="mt-2 text-soft">{page.error?.message}</p>
	{#if page.error?.failure}
		<p class="mt-2 text-sm text-soft">
			Its number in the log is <span class="figures font-semibold text-ink">{page.error.failure}</span>.
		</p>
	{/if}
	<p class="mt-6"><a class="btn" href="/">Go to Today</a></p>
</div>
