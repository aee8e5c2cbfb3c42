<script lang="ts">
	import PdfView from '$lib/trade/PdfView.svelte';
	import SendAgain from '$lib/trade/letters/SendAgain.svelte';
	import { DELIVERY_WORDS, deliverySays, didNotArrive, moment, REPORT_WORDS } from '$lib/words';
	let { data } = $props();
	const { letter, delivery, mail } = $derived(data);
</script>

<svelte:head><title>{mail.subject} · Odd Penny</title></svelte:head>

<div class="max-w-[820px] px-8 pt-5 pb-10">
	<p><a class="underline" href="/letters/outbox">Outbox</a></p>
	<h1 class="double-bottom mt-2 pb-3">{mail.subject}</h1>
	<dl class="mt-3 grid grid-cols-[110px_1fr] gap-y-1">
		<dt class="text-soft">To</dt>
		<dd>
			{letter.recipient || 'By post'}, for
			<a class="underline" href="/customers/{letter.code}">{letter.name}</a>
		</dd>
		{#if letter.copies.length}<dt class="text-soft">Copy to</dt>
			<dd>{letter.copies.join(', ')}</dd>{/if}
		{#if mail.from}<dt class="text-soft">From</dt>
			<dd>{mail.from}</dd>{/if}
		<dt class="text-soft">State</dt>
		<dd class={didNotArrive(delivery.state) ? 'text-oxblood' : ''}>
			{DELIVERY_WORDS[delivery.state]}, {moment(delivery.at)}{delivery.nextAt
				? `. ${deliverySays(delivery)}`
				: delivery.answer
					? `: ${delivery.answer}`
					: ''}
		</dd>
		{#if delivery.resentTo && delivery.resentAt}<dt class="text-soft">Sent again</dt>
			<dd>to {delivery.resentTo}, {moment(delivery.resentAt)}</dd>{/if}
		{#each data.reports as report (report.id)}<dt class="text-soft">Reported</dt>
			<dd>
				{REPORT_WORDS[report.action]} for {report.recipient}, {moment(report.at)}{report.said
					? `: ${report.said}`
					: ''}
			</dd>{/each}
		{#if delivery.printing}<dt class="text-soft">On paper</dt>
			<dd>
				{#if delivery.printedActId}<a class="underline" href="/letters/printed/{delivery.printedActId}"
						>printed</a
					>{:else}to be printed{/if}
			</dd>{/if}
		{#if data.runId}<dt class="text-soft">Run</dt>
			<dd><a class="underline" href="/letters/runs/{data.runId}">{data.runId}</a></dd>{/if}
		{#if delivery.messageId}<dt class="text-soft">Message id</dt>
			<dd class="break-all">{delivery.messageId}</dd>{/if}
	</dl>
	<pre class="mt-4 border border-rule bg-raised p-4 font-sans text-base whitespace-pre-wrap">{mail.text}</pre>
	{#if data.mayAct}<p class="mt-3">
			<SendAgain
				letter={{
					...{ id: letter.id, name: letter.name, to: delivery.resentTo ?? letter.recipient },
					...{ state: delivery.state, answer: delivery.answer, nextAt: delivery.nextAt }
				}}
			/>
		</p>{/if}
	<p class="mt-4 flex gap-3">
		<a class="btn" href="/letters/outbox/{letter.id}/pdf"
			>{mail.attachments[0]
				? `${mail.attachments[0].name}, ${Math.ceil(mail.attachments[0].bytes / 1024)} KB`
				: 'The letter (PDF)'}</a
		>
		{#if mail.from}<a class="btn" href="/letters/outbox/{letter.id}/eml">The message as sent (.eml)</a>{/if}
	</p>
	<div class="mt-4 flex h-[70vh] flex-col">
		<PdfView url="/letters/outbox/{letter.id}/pdf" label="The letter as it was sent" />
	</div>
</div>
