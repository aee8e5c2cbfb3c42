<script lang="ts">
	import MailServer from './MailServer.svelte';
	import ReturnsMailbox from './ReturnsMailbox.svelte';
	import SigningKey from './SigningKey.svelte';
	let { data } = $props();
	const { mail } = $derived(data);
</script>

<svelte:head><title>Mail · Odd Penny</title></svelte:head>

<div class="px-8 pt-5 pb-10">
	<p><a class="underline" href="/books/settings">Settings</a></p>
	<h1 class="mt-2">
		{data.trouble
			? 'Letters cannot be sent.'
			: data.isStandIn
				? 'No letter leaves: each is kept in a folder.'
				: `Letters leave through ${data.givenServer ?? mail.server?.host ?? ''}.`}
	</h1>
	{#if data.trouble}<p class="mt-1 text-oxblood">{data.trouble}</p>{/if}
	{#if mail.demo}<p class="mt-1 says">
			These are the demo’s books: of them nothing leaves, whatever is set here, but to a server of your own
			network.
		</p>{/if}
	<div class="grid grid-cols-[minmax(0,1fr)_minmax(0,1fr)] gap-x-10">
		<div>
			{#if data.givenServer}
				<h2 id="server" class="mt-6 text-xl">Mail server</h2>
				<p class="mt-1 max-w-md says">
					The operator said it in <span class="font-mono">SMTP_URL</span>: {data.givenServer}. Without that,
					it is set here.
				</p>
			{:else}<MailServer account={mail.server} />{/if}
			<ReturnsMailbox account={mail.mailbox} email={mail.email} last={data.returned} />
		</div>
		<div><SigningKey signing={mail.signing} record={data.record} email={mail.email} /></div>
	</div>
</div>
