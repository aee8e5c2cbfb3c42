<script lang="ts">
	import { rowCursor } from '$lib/ui/row-cursor';
	import { toast } from 'svelte-sonner';
	import type { confirmBankFile } from '$lib/server/receipts/commands/confirm-bank-file';
	import { ActForm } from '$lib/trade/act-form.svelte';
	import Problems from '$lib/ui/Problems.svelte';
	import AcceptStatement from './AcceptStatement.svelte';
	import { BANK_FILES_FROM, count, moment, statementFaultSentence, whole } from '$lib/words';
	let { data } = $props();
	const form = new ActForm<typeof confirmBankFile>('?/confirm', {
		otherwise: 'It could not be confirmed. Nothing was changed; try again.',
		done: () => void toast('Confirmed. What it brought may be certain now.')
	});
	const waiting = $derived(data.files.filter((file) => file.waits).length);
</script>

<svelte:head><title>Bank files · Odd Penny</title></svelte:head>

<div class="px-8 pt-5 pb-10">
	<p class="text-sm"><a href="/money-in">Money in</a></p>
	<h1>
		{waiting
			? `${count(waiting, 'bank file waits', 'bank files wait')} for a second person.`
			: `${count(data.files.length, 'bank file')} ${data.files.length === 1 ? 'is' : 'are'} in the books.`}
	</h1>
	<p class="mt-1 mb-3 says">
		Bank files are taken from {BANK_FILES_FROM[data.from]}. {data.from === 'confirmed'
			? 'Until somebody else has looked at one that was brought in by hand, nothing of it is certain.'
			: ''}
	</p>
	<Problems problems={form.problems} />
	<table>
		<thead
			><tr
				><th>File</th><th>Brought in</th><th class="num">New entries</th><th>Statements</th><th>Confirmed</th
				></tr
			></thead
		>
		<tbody {@attach rowCursor}>
			{#each data.files as file (file.id)}
				<tr>
					<td>{file.name}</td>
					<td
						>{moment(file.at)}<span class="block text-sm text-soft"
							>{file.byHand ? `${file.who}, by hand` : 'from the watched folder'}</span
						></td
					>
					<td class="num">{whole(file.entries)}</td>
					<td>
						{#each file.statements as one (one.id)}
							<span class="block"
								>{one.reference}{#if one.fault}<span class="block max-w-prose text-sm text-copper"
										>{statementFaultSentence(one.fault)}</span
									>{#if file.mayAccept}<AcceptStatement
											statementId={one.id}
											reference={one.reference}
										/>{/if}{/if}</span
							>
						{/each}
						{#if file.reported}<a class="block text-sm" href="/money-in/reported"
								>{count(file.reported, 'entry', 'entries')} reported before the statement</a
							>{/if}
					</td>
					<td>
						{#if file.confirmedBy}{file.confirmedBy}<span class="block text-sm text-soft"
								>{moment(file.confirmedAt!)}</span
							>
						{:else if file.waits && file.mayConfirm}
							<button
								type="button"
								class="btn py-0.5"
								disabled={form.busy}
								onclick={() => void form.send({ fileId: file.id })}>It is the bank’s</button
							>
						{:else if file.waits}<span class="text-copper">by somebody else</span>
						{:else}<span class="text-soft">–</span>{/if}
					</td>
				</tr>
			{:else}<tr
					><td colspan="5" class="py-6 text-soft"
						>None yet. Bring in the first on <a href="/money-in">Money in</a>, or put it into the watched
						folder.</td
					></tr
				>{/each}
		</tbody>
	</table>
</div>
