<script lang="ts">
	import { enhance } from '$app/forms';
	import { page } from '$app/state';
	import { faultsOfForm, type RefusedForm } from '$lib/ui/field-faults';
	import Field from '$lib/ui/Field.svelte';
	import Problems from '$lib/ui/Problems.svelte';
	let { data, form } = $props();
	const asked = $derived(form && 'asked' in form ? form.asked : null);
	/** The code of a link from a mail: behind the hash, so that it is in nobody's log. */
	const fromLink = $derived(page.url.hash.slice(1));
	const { faults, elsewhere } = faultsOfForm(() => form as RefusedForm | null);
	const email = $derived(page.url.searchParams.get('email') ?? '');
</script>

<svelte:head><title>A password of your own · Odd Penny</title></svelte:head>

<div class="mx-auto mt-[14vh] w-[400px]">
	<p class="flex items-center gap-3 font-serif text-2xl font-semibold">
		<img src="/coin.svg" alt="" width="30" height="30" /> odd penny
	</p>
	<h1 class="double-bottom mt-6 mb-4 pb-3 text-xl">A password of your own</h1>
	<p class="mb-4 says">
		You need a code, which can be used once: from a supervisor{data.mails
			? ', or by mail to the address that you sign in with'
			: ''}. Whoever gave it to you cannot see the password that you set.
	</p>
	{#if asked}<p role="status" class="note mb-4">
			If somebody signs in as {asked}, a code is on its way there. It is valid for half an hour.
		</p>{/if}
	{#if data.mails}
		<form method="POST" action="?/send" class="mb-6 flex items-end gap-2" use:enhance>
			<label class="grid grow gap-1"
				>Send a code to<input type="email" name="email" autocomplete="username" required /></label
			>
			<button class="btn py-2">Send it</button>
		</form>
	{/if}
	<Problems problems={elsewhere()} />
	<form
		method="POST"
		action="?/set"
		class="grid gap-3"
		use:enhance={() =>
			({ update }) =>
				update({ reset: false })}
	>
		<Field form={faults} name="email" label="E-mail address"
			>{#snippet input(attributes)}<input
					type="email"
					autocomplete="username"
					required
					value={asked ?? email}
					{...attributes}
				/>{/snippet}</Field
		>
		<Field form={faults} name="code" label="The code"
			>{#snippet input(attributes)}<input
					type="text"
					class="font-mono"
					autocomplete="one-time-code"
					spellcheck="false"
					required
					value={fromLink}
					{...attributes}
				/>{/snippet}</Field
		>
		<Field form={faults} name="password" label="New password, twelve characters or more"
			>{#snippet input(attributes)}<input
					type="password"
					autocomplete="new-password"
					required
					{...attributes}
				/>{/snippet}</Field
		>
		<button class="btn btn-main mt-1 justify-center py-2">Set it and sign in</button>
	</form>
	<p class="mt-6 text-sm"><a href="/sign-in">Back to signing in</a></p>
</div>
