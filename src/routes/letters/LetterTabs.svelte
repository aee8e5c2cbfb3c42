<script lang="ts">
	/** The pages of letters; corrections only where there are any, or they are shown. */
	let {
		here,
		corrections = 0
	}: {
		here:
			| 'statement'
			| 'reminder'
			| 'correction'
			| 'runs'
			| 'outbox'
			| 'wordings'
			| 'calls'
			| 'chasing'
			| 'interest';
		corrections?: number;
	} = $props();
	const tabs = $derived([
		['statement', '/letters?kind=statement', 'Statements'],
		['reminder', '/letters?kind=reminder', 'Reminders'],
		...(corrections > 0 || here === 'correction'
			? [
					[
						'correction',
						'/letters?kind=correction',
						corrections ? `Corrections (${corrections})` : 'Corrections'
					]
				]
			: []),
		['calls', '/letters/calls', 'Calls'],
		['interest', '/letters/interest', 'Interest'],
		['runs', '/letters/runs', 'Runs'],
		['outbox', '/letters/outbox', 'Outbox'],
		['chasing', '/letters/chasing', 'Chasing'],
		['wordings', '/letters/wordings', 'Wording']
	]);
</script>

<nav class="flex flex-wrap gap-x-5 gap-y-1" aria-label="Kinds of letters">
	{#each tabs as [name, href, label] (name)}
		<a
			{href}
			aria-current={here === name ? 'page' : undefined}
			class={[
				'border-b-2 pb-0.5 hover:no-underline',
				here === name ? 'border-copper font-semibold' : 'border-transparent text-soft'
			]}>{label}</a
		>
	{/each}
</nav>
