<script lang="ts">
	import { enhance } from '$app/forms';
	import { page } from '$app/state';
	import { attributesOf } from '$lib/ui/field-faults';
	import PasskeyButton from '$lib/trade/PasskeyButton.svelte';
	let { data, form } = $props();
	const to = $derived(page.url.searchParams.get('to'));
	const along = $derived(to ? `?to=${encodeURIComponent(to)}` : '');
	const why = $derived(form?.problems?.[0] ?? '');
	const fault = $derived(attributesOf(why, 'refused'));
</script>

<svelte:head><title>The second step · Odd Penny</title></svelte:head>

<div class="mx-auto mt-[14vh] w-[400px]">
	<p class="flex items-center gap-3 font-serif text-2xl font-semibold">
		<img src="/coin.svg" alt="" width="30" height="30" /> odd penny
	</p>
	<h1 class="double-bottom mt-6 mb-5 pb-3 text-xl">The second step</h1>
	{#if why}<p id="refused" role="alert" class="note mb-4 text-oxblood">{why}</p>{/if}
	<p class="mb-4 says">{data.name}, your password is right. Now the second step.</p>
	{#if data.passkey}
		<form method="POST" action={along} use:enhance class="mb-6">
			<PasskeyButton what="show" class="w-full py-2">Use your passkey</PasskeyButton>
		</form>
	{/if}
	<form method="POST" action={along} use:enhance class="grid gap-3">
		<label class="grid gap-1"
			>{data.app ? 'The code that your app shows, or a recovery code' : 'A recovery code'}<input
				type="text"
				name="code"
				class="font-mono"
				autocomplete="one-time-code"
				required
				{...fault}
			/></label
		>
		<button class={['btn mt-1 justify-center py-2', !data.passkey && 'btn-main']}>Go on</button>
	</form>
	<form method="POST" action="/sign-out" class="mt-6 text-sm">
		<p class="mb-3">Lost it? A supervisor can take the second step off your sign-in.</p>
		<button class="btn">Sign out</button>
	</form>
</div>
