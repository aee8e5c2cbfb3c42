<script lang="ts">
	import { REPORT_IDS } from '$lib/core/model/report';
	import { rowCursor } from '$lib/ui/row-cursor';
	import { REPORT_NAMES } from '$lib/words';
</script>

<svelte:head><title>Reports · Odd Penny</title></svelte:head>

<div class="max-w-[900px] px-8 pt-5 pb-10">
	<h1>Reports.</h1>
	<p class="mt-1 says">
		Each from the books alone, as of today or any day past, on screen, as PDF, XLSX or CSV. A day of a locked
		period gives the same figures for ever.
	</p>
	<ul class="mt-3" {@attach rowCursor}>
		{#each REPORT_IDS as id (id)}
			<li class="border-t border-rule py-2.5">
				<a class="font-serif text-xl font-semibold" href="/reports/{id}">{REPORT_NAMES[id].name}</a>
				<p class="says">{REPORT_NAMES[id].about}</p>
			</li>
		{/each}
	</ul>
</div>
