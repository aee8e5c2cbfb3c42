<script lang="ts">
	import { rowCursor } from '$lib/ui/row-cursor';
	import { goto } from '$app/navigation';
	import { moment, securityEventSentence } from '$lib/words';
	let { data } = $props();
	const of = (person: string) => (person ? `?person=${encodeURIComponent(person)}` : '?');
	const bad = new Set([
		'sign-in-refused',
		'too-many-attempts',
		'confirm-refused',
		'code-refused',
		'second-factor-refused',
		'act-refused'
	]);
</script>

<svelte:head><title>Sign-ins · Odd Penny</title></svelte:head>

<div class="px-8 pt-5 pb-10">
	<p class="text-sm"><a href="/books/people">People</a></p>
	<h1>Sign-ins and refusals, newest first</h1>
	<p class="mt-1 mb-3 says">
		Who signed in, who was refused, and what was taken out as a table or a file. Changes of people, limits and
		passwords are in the <a href="/books/record">record</a>. Nothing here can be changed unnoticed.
	</p>
	<label class="mb-3 flex items-center gap-2 text-sm"
		>Person <select
			value={data.query.person ?? ''}
			onchange={({ currentTarget }) => goto(of(currentTarget.value))}
			><option value="">anybody</option>{#each data.people as one (one.id)}<option value={one.id}
					>{one.name}</option
				>{/each}</select
		></label
	>
	<table class="max-w-[1000px]">
		<thead><tr><th>When</th><th>Who</th><th>What</th><th>From</th></tr></thead>
		<tbody {@attach rowCursor}>
			{#each data.rows as row (row.id)}
				<tr>
					<td class="whitespace-nowrap text-soft">{moment(row.at)}</td>
					<td>{row.person ?? 'somebody unknown'}</td>
					<td class={bad.has(row.kind) ? 'text-oxblood' : ''}>{securityEventSentence(row)}</td>
					<td class="text-soft">{row.origin}</td>
				</tr>
			{:else}<tr><td colspan="4" class="py-6 text-soft">Nothing yet.</td></tr>{/each}
		</tbody>
	</table>
	{#if data.next}
		<p class="mt-3">
			<a class="btn" href="{of(data.query.person ?? '')}&before={data.next}">Earlier ones</a>
		</p>
	{/if}
</div>
