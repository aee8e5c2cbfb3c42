<script lang="ts">
	import { page as here } from '$app/state';
	/** Which rows of a long list are shown, with links to the ones before and after; the rest of the address stays. */
	let { page, per, total }: { page: number; per: number; total: number } = $props();
	function link(to: number): string {
		const params = new URLSearchParams(here.url.searchParams);
		params.set('page', String(to));
		return `${here.url.pathname}?${params}`;
	}
</script>

{#if total > per}
	<nav aria-label="Pages" class="double-top mt-1 flex gap-4 py-3 text-sm">
		<span class="text-soft">{page * per + 1} to {Math.min(total, (page + 1) * per)} of {total}</span>
		{#if page > 0}<a class="underline" href={link(page - 1)}>previous</a>{/if}
		{#if (page + 1) * per < total}<a class="underline" href={link(page + 1)}>next</a>{/if}
	</nav>
{/if}
