<script lang="ts">
	import { moment } from '$lib/words';
	let { data } = $props();
	const { letter, delivery, mail } = $derived(data);
</script>

<svelte:head><title>{mail.subject} · Odd Penny</title></svelte:head>

<div class="max-w-[820px] px-8 pt-5 pb-10">
	<p><a class="underline" href="/letters/outbox">Outbox</a></p>
	<h1 class="double-bottom mt-2 pb-3">{mail.subject}</h1>
	<dl class="mt-3 grid grid-cols-[110px_1fr] gap-y-1">
		<dt class="text-soft">To</dt>
		<dd>{letter.recipient}, for <a class="underline" href="/customers/{letter.code}">{letter.name}</a></dd>
		{#if letter.copies.length}<dt class="text-soft">Copy to</dt>
			<dd>{letter.copies.join(', ')}</dd>{/if}
		<dt class="text-soft">From</dt>
		<dd>{mail.from}</dd>
		<dt class="text-soft">State</dt>
		<dd class={delivery.state === 'refused' || delivery.state === 'failed' ? 'text-oxblood' : ''}>
			{delivery.state}, {moment(delivery.at)}{delivery.answer ? `: ${delivery.answer}` : ''}
		</dd>
		<dt class="text-soft">Message id</dt>
		<dd class="break-all">{delivery.messageId}</dd>
	</dl>
	<pre class="mt-4 border border-rule bg-raised p-4 font-sans text-base whitespace-pre-wrap">{mail.text}</pre>
	<p class="mt-4 flex gap-3">
		{#each mail.attachments as one (one.name)}<a class="btn" href="/letters/outbox/{letter.id}/pdf"
				>{one.name}, {Math.ceil(one.bytes / 1024)} KB</a
			>{/each}
		<a class="btn" href="/letters/outbox/{letter.id}/eml">The message as sent (.eml)</a>
	</p>
</div>
