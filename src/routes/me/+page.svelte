<script lang="ts">
	import { enhance } from '$app/forms';
	import type { setOwnPassword } from '$lib/server/people/commands/set-own-password';
	import { ActForm } from '$lib/trade/act-form.svelte';
	import Field from '$lib/ui/Field.svelte';
	import Problems from '$lib/ui/Problems.svelte';
	import { count, moment } from '$lib/words';
	let { data } = $props();
	const form = new ActForm<typeof setOwnPassword>('?/password', {
		otherwise: 'That did not work. Your password is as it was.'
	});
	const others = $derived(data.sessions.filter((one) => !one.here).length);
</script>

<svelte:head><title>Your sign-in · Odd Penny</title></svelte:head>

<div class="grid min-h-[calc(100vh-48px)] grid-cols-[minmax(0,5fr)_minmax(0,7fr)]">
	<section class="px-8 pt-5 pb-10">
		<h1>{data.person.name}</h1>
		<p class="mt-1 says">You sign in as {data.person.email}, and are a {data.person.role} here.</p>
		<h2 class="mt-8 text-xl">Another password</h2>
		<p class="mt-1 mb-3 says">Twelve characters or more. All your sessions end, and you sign in again.</p>
		<Problems problems={form.problems} />
		<form method="POST" action="?/password" use:enhance={form.submit()} class="grid w-80 gap-3">
			<input type="hidden" name="username" autocomplete="username" value={data.person.email} />
			<Field {form} name="before" label="Your password so far"
				>{#snippet input(attributes)}<input
						type="password"
						autocomplete="current-password"
						required
						{...attributes}
					/>{/snippet}</Field
			>
			<Field {form} name="password" label="The new one"
				>{#snippet input(attributes)}<input
						type="password"
						autocomplete="new-password"
						required
						{...attributes}
					/>{/snippet}</Field
			>
			<button class="btn btn-main mt-1 justify-center" disabled={form.busy}>Change it</button>
		</form>
		<h2 class="mt-8 text-xl">A second step</h2>
		<p class="mt-1 mb-3 says">
			As well as the password, a code from an app on your phone or a passkey. {data.factors.length
				? `You have ${count(data.factors.length, 'one', 'of them')}.`
				: 'You have none.'}
		</p>
		<a class="btn inline-flex" href="/me/second-step">{data.factors.length ? 'Change it' : 'Set one up'}</a>
	</section>
	<section class="border-l border-rule px-8 pt-5 pb-10">
		<h2 class="text-xl">Where you are signed in</h2>
		<p class="mt-1 mb-3 says">
			A session ends after twelve hours, or when nobody used it for one. End those that are not yours, and set
			another password.
		</p>
		<table>
			<thead><tr><th>Since</th><th>From</th><th>With</th><th></th></tr></thead>
			<tbody>
				{#each data.sessions as one (one.id)}
					<tr>
						<td class="whitespace-nowrap">{moment(one.since.toISOString())}</td>
						<td>{one.from || 'unknown'}</td>
						<td class="max-w-72 truncate text-soft" title={one.agent}>{one.agent || 'unknown'}</td>
						<td class="text-right">
							{#if one.here}<span class="text-soft">this one</span>
							{:else}
								<form method="POST" action="?/end" use:enhance>
									<input type="hidden" name="id" value={one.id} />
									<button class="btn py-0.5">End</button>
								</form>
							{/if}
						</td>
					</tr>
				{/each}
			</tbody>
		</table>
		{#if others > 1}
			<form method="POST" action="?/end" use:enhance class="mt-3">
				<button class="btn">End all but this one</button>
			</form>
		{/if}
	</section>
</div>
