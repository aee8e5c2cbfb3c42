<script lang="ts">
	import { enhance } from '$app/forms';
	import { toast } from 'svelte-sonner';
	import type {
		addSecondFactor,
		removeSecondFactor,
		remakeRecoveryCodes
	} from '$lib/server/people/commands/second-factors';
	import { ActForm } from '$lib/trade/act-form.svelte';
	import { confirmYourself } from '$lib/trade/confirm-yourself.svelte';
	import { invalidateAll } from '$app/navigation';
	import Field from '$lib/ui/Field.svelte';
	import Problems from '$lib/ui/Problems.svelte';
	import QrCode from '$lib/ui/QrCode.svelte';
	import PasskeyButton from '$lib/trade/PasskeyButton.svelte';
	import { count, moment } from '$lib/words';
	let { data } = $props();
	const added = () => void toast('Added. Keep the recovery codes where only you can see them.');
	const appForm = new ActForm<typeof addSecondFactor>('?/app', { done: added });
	const passkeyForm = new ActForm<typeof addSecondFactor>('?/passkey', { done: added });
	const removeForm = new ActForm<typeof removeSecondFactor>('?/remove', {
		done: () => void toast('Taken off.')
	});
	const codesForm = new ActForm<typeof remakeRecoveryCodes>('?/codes', {
		done: () => void toast('There are new codes. The old ones no longer work.')
	});
	const problems = $derived([...removeForm.problems, ...codesForm.problems]);
	// The key that was shown first stays while the page is open: it is in the app by then.
	// svelte-ignore state_referenced_locally
	let fresh = $state(data.fresh);
	// svelte-ignore state_referenced_locally
	let known = data.factors.length;
	$effect(() => {
		// Once it is added, or one is taken off, the next app has a key of its own.
		if (data.factors.length !== known) fresh = data.fresh;
		known = data.factors.length;
	});

	async function showCodes(): Promise<void> {
		if (await confirmYourself.ask()) await invalidateAll();
	}
</script>

<svelte:head><title>Your second step · Odd Penny</title></svelte:head>

<div class="grid min-h-[calc(100vh-48px)] grid-cols-[minmax(0,5fr)_minmax(0,7fr)]">
	<section class="px-8 pt-5 pb-10">
		<p class="text-sm"><a href="/me">Your sign-in</a></p>
		<h1>Your second step</h1>
		{#if data.mustSetUp}
			<p role="status" class="note mt-2">
				The firm asks for a second step when you sign in. Set one up here; everything else opens then.
			</p>
		{:else if data.to}
			<p role="status" class="note mt-2">
				You are set up. <a href={data.to}>Go on to where you were going.</a>
			</p>
		{/if}
		<p class="mt-1 mb-3 says">
			After the password you show a code from an app on your phone, or a passkey. Somebody who learns your
			password still cannot sign in.
		</p>
		<Problems {problems} />
		{#if data.factors.length}
			<table class="mb-2">
				<thead><tr><th>What</th><th>Name</th><th>Since</th><th></th></tr></thead>
				<tbody>
					{#each data.factors as one (one.id)}
						<tr>
							<td>{one.kind === 'app' ? 'App' : 'Passkey'}</td>
							<td>{one.name}</td>
							<td class="whitespace-nowrap">{moment(one.since)}</td>
							<td class="text-right">
								<form method="POST" action="?/remove" use:enhance={removeForm.submit()}>
									<input type="hidden" name="json" value={JSON.stringify({ factorId: one.id })} />
									<button class="btn py-0.5" disabled={removeForm.busy} aria-label="Remove {one.name}"
										>Remove</button
									>
								</form>
							</td>
						</tr>
					{/each}
				</tbody>
			</table>
			<h2 class="mt-8 text-xl">Recovery codes</h2>
			<p class="mt-1 mb-2 says">
				Each lets you in once without the app or the passkey. {count(data.left, 'is', 'are')} left: print them,
				or write them down.
			</p>
			{#if data.codes}
				<ol class="mb-3 columns-2 font-mono text-sm">
					{#each data.codes as code (code)}<li class="whitespace-nowrap">{code}</li>{/each}
				</ol>
			{/if}
			<div class="flex gap-2">
				{#if !data.codes}<button type="button" class="btn" onclick={showCodes}>Show them</button>{/if}
				<form method="POST" action="?/codes" use:enhance={codesForm.submit()}>
					<input type="hidden" name="json" value={'{}'} />
					<button class="btn" disabled={codesForm.busy}>Make ten new ones</button>
				</form>
			</div>
		{/if}
	</section>
	<section class="border-l border-rule px-8 pt-5 pb-10">
		<h2 class="text-xl">Add an app</h2>
		<p class="mt-1 mb-3 says">
			Any app that makes codes of six digits every half minute (RFC 6238). Scan the picture with it, or type
			the key into it; then type the code that it shows.
		</p>
		<Problems problems={appForm.problems} />
		<div class="flex items-start gap-6">
			<QrCode text={fresh.address} label="The key for your app as a picture" />
			<form method="POST" action="?/app" use:enhance={appForm.submit()} class="grid w-72 gap-3">
				<p class="font-mono text-sm break-words">{fresh.key}</p>
				<input type="hidden" name="mark" value={fresh.mark} />
				<Field form={appForm} name="name" label="What you call it"
					>{#snippet input(attributes)}<input
							type="text"
							maxlength="60"
							value="My phone"
							required
							{...attributes}
						/>{/snippet}</Field
				>
				<Field form={appForm} name="code" label="The code that it shows"
					>{#snippet input(attributes)}<input
							type="text"
							class="font-mono"
							inputmode="numeric"
							autocomplete="one-time-code"
							required
							{...attributes}
						/>{/snippet}</Field
				>
				<button class="btn btn-main justify-center" disabled={appForm.busy}>Add the app</button>
			</form>
		</div>
		<h2 class="mt-10 text-xl">Add a passkey</h2>
		{#if data.passkeys}
			<p class="mt-1 mb-3 says">
				A key that stays in this device, in your phone or on a security key, and never leaves it.
			</p>
			<Problems problems={passkeyForm.problems} />
			<form method="POST" action="?/passkey" use:enhance={passkeyForm.submit()} class="grid w-72 gap-3">
				<Field form={passkeyForm} name="name" label="What you call the passkey"
					>{#snippet input(attributes)}<input
							type="text"
							maxlength="60"
							value="This computer"
							required
							{...attributes}
						/>{/snippet}</Field
				>
				<PasskeyButton what="make" disabled={passkeyForm.busy}>Make a passkey</PasskeyButton>
			</form>
		{:else}
			<p class="mt-1 says">
				Passkeys belong to a name: they work where this application is reached by https and a host name.
			</p>
		{/if}
	</section>
</div>
