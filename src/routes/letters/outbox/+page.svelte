<script lang="ts">
	import { enhance } from '$app/forms';
	import { invalidate } from '$app/navigation';
	import type { sendAgain } from '$lib/server/letters/commands/send-again';
	import { ActForm } from '$lib/trade/act-form.svelte';
	import Problems from '$lib/ui/Problems.svelte';
	import { count, money, moment, shortDay } from '$lib/words/en-GB/format';
	import { LETTER_NAMES } from '$lib/words/en-GB/letter-text';
	let { data } = $props();
	const form = new ActForm<typeof sendAgain>('?/again');
	// While letters are on their way the list is asked again; it stops by itself.
	$effect(() => {
		if (data.busy === 0) return;
		const timer = setTimeout(() => invalidate('books:outbox'), 700);
		return () => clearTimeout(timer);
	});
	const states = {
		waiting: 'waits',
		sending: 'on its way',
		sent: 'sent',
		refused: 'refused',
		failed: 'failed'
	} as const;
</script>

<svelte:head><title>Outbox · Odd Penny</title></svelte:head>

<div class="mx-auto max-w-[1100px] px-8 pt-5 pb-10">
	<nav class="flex gap-5" aria-label="Kinds of letters">
		<a
			href="/letters?kind=statement"
			class="border-b-2 border-transparent pb-0.5 text-soft hover:no-underline">Statements</a
		>
		<a href="/letters?kind=reminder" class="border-b-2 border-transparent pb-0.5 text-soft hover:no-underline"
			>Reminders</a
		>
		<a
			href="/letters/outbox"
			aria-current="page"
			class="border-b-2 border-copper pb-0.5 font-semibold hover:no-underline">Outbox</a
		>
	</nav>
	<h1 class="mt-3" aria-live="polite">
		{data.busy
			? `${count(data.busy, 'letter')} on the way …`
			: data.rows.length
				? 'Every letter, as it was sent.'
				: 'No letter was sent yet.'}
	</h1>
	<Problems problems={form.problems} />
	<table class="mt-3">
		<thead
			><tr><th>Letter</th><th>Customer</th><th>To</th><th class="num">Amount</th><th>State</th><th></th></tr
			></thead
		>
		<tbody>
			{#each data.rows as row (row.id)}
				<tr class="align-top">
					<td
						><a class="font-semibold" href="/letters/outbox/{row.id}"
							>{LETTER_NAMES[row.kind]} of {shortDay(row.date, data.today ?? undefined)}</a
						></td
					>
					<td><a href="/customers/{row.code}">{row.name}</a></td>
					<td class="text-soft">{row.recipient}</td>
					<td class="num">{money(row.amount, row.currency)}</td>
					<td>
						<span
							class={row.state === 'refused' || row.state === 'failed'
								? 'font-semibold text-oxblood'
								: row.state === 'sent'
									? 'text-patina'
									: 'text-copper'}>{states[row.state]}</span
						>
						<span class="block text-xs text-soft"
							>{row.state === 'refused' || row.state === 'failed' ? row.answer : moment(row.at)}</span
						>
					</td>
					<td class="num">
						{#if row.state === 'refused' || row.state === 'failed'}
							<form method="POST" action="?/again" use:enhance={form.submit()}>
								<input type="hidden" name="letterId" value={row.id} /><button
									class="btn py-0.5"
									disabled={!data.mayAct || form.busy}>Send again</button
								>
							</form>
						{/if}
					</td>
				</tr>
			{:else}<tr
					><td colspan="6" class="py-6 text-soft"
						>Choose who gets a statement or a reminder, read one, and send.</td
					></tr
				>{/each}
		</tbody>
	</table>
</div>
