<script lang="ts">
	import { rowCursor } from '$lib/ui/row-cursor';
	import { enhance } from '$app/forms';
	import { toast } from 'svelte-sonner';
	import type { demandSecondFactor } from '$lib/server/people/commands/demand-second-factor';
	import type { takeOffSecondFactors } from '$lib/server/people/commands/take-off-second-factors';
	import type { makeSignInCode } from '$lib/server/people/commands/make-sign-in-code';
	import type { addPerson, changeRole } from '$lib/server/people/commands/people';
	import { moment } from '$lib/words';
	import { ActForm } from '$lib/trade/act-form.svelte';
	import Field from '$lib/ui/Field.svelte';
	import Problems from '$lib/ui/Problems.svelte';
	let { data } = $props();
	const roleForm = new ActForm<typeof changeRole>('?/role', { done: () => void toast('Changed.') });
	const addForm = new ActForm<typeof addPerson>('?/add', {
		done: () => void toast('Added. Hand over the code that stands beside the name.')
	});
	const codeForm = new ActForm<typeof makeSignInCode>('?/code', {
		done: () => void toast('The code is made. Hand it over.')
	});
	const takeOffForm = new ActForm<typeof takeOffSecondFactors>('?/takeOff', {
		done: () => void toast('Removed. They sign in by their password alone.')
	});
	const demandForm = new ActForm<typeof demandSecondFactor>('?/demand', { done: () => void toast('Set.') });
	const ROLES = ['supervisor', 'clerk', 'reader'] as const;
	let demanded = $derived([...data.demanded]);
	const problems = $derived([
		...takeOffForm.problems,
		...demandForm.problems,
		...roleForm.problems,
		...addForm.problems,
		...codeForm.problems
	]);
	const codeOf = $derived(new Map(data.codes.map((code) => [code.userId, code])));
</script>

<svelte:head><title>People · Odd Penny</title></svelte:head>

<div class="px-8 pt-5 pb-10">
	<section class="max-w-[1080px]">
		<div class="flex items-baseline gap-3">
			<h1 class="mr-auto">People</h1>
			<a class="btn" href="/books/record">Who did what</a>
			<a class="btn" href="/books/people/events">Sign-ins</a>
		</div>
		<p class="mt-1 mb-3 says">
			A reader looks. A clerk allocates money and sends letters. A supervisor also adds people and sets up the
			books; where there are two supervisors, the other one has to approve that. People set their own
			password, with a code that you hand over: at <a href="/set-password">/set-password</a>, within a week,
			once.
		</p>
		<Problems {problems} />
		<table>
			<thead
				><tr><th>Name</th><th>Signs in as</th><th>Role</th><th>Password</th><th>Second step</th></tr></thead
			>
			<tbody {@attach rowCursor}>
				{#each data.people as person (person.id)}
					<tr>
						<td class={person.active ? '' : 'text-soft line-through'}
							><a href="/books/record?person={encodeURIComponent(person.name)}">{person.name}</a></td
						>
						<td class="text-soft">{person.email}</td>
						<td>
							<form method="POST" action="?/role" use:enhance={roleForm.submit()} class="flex gap-1">
								<input type="hidden" name="id" value={person.id} />
								<select
									name="role"
									aria-label="Role of {person.name}"
									value={person.active ? person.role : 'none'}
								>
									<option value="reader">reader</option><option value="clerk">clerk</option><option
										value="supervisor">supervisor</option
									><option value="none">no access</option>
								</select>
								<button class="btn py-0.5" disabled={roleForm.busy}>Change</button>
							</form>
						</td>
						<td>
							{#if codeOf.get(person.id)}
								{@const code = codeOf.get(person.id)!}
								{#if code.text}<span class="block font-mono whitespace-nowrap">{code.text}</span>{/if}
								<span class="block text-xs text-soft"
									>{code.mine ? 'code' : `code by ${code.madeBy},`} good until {moment(
										code.expiresAt.toISOString()
									)}</span
								>
							{:else if person.active}
								<form method="POST" action="?/code" use:enhance={codeForm.submit()}>
									<input type="hidden" name="id" value={person.id} />
									<button class="btn py-0.5" disabled={codeForm.busy} aria-label="Code for {person.name}"
										>{person.hasPassword ? 'New code' : 'Make a code'}</button
									>
								</form>
							{/if}
						</td>
						<td>
							{#if person.secondFactors > 0}
								<form method="POST" action="?/takeOff" use:enhance={takeOffForm.submit()}>
									<input type="hidden" name="id" value={person.id} />
									<button
										class="btn py-0.5"
										disabled={takeOffForm.busy}
										aria-label="Remove the second step of {person.name}">Remove</button
									>
								</form>
							{:else if person.active && data.demanded.includes(person.role)}<span class="text-soft"
									>asked for</span
								>{:else}<span class="text-soft">none</span>{/if}
						</td>
					</tr>
				{/each}
			</tbody>
		</table>
		<h2 class="mt-8 text-xl">Who needs a second step</h2>
		<p class="mt-1 mb-2 says">
			A code from an app, or a passkey, as well as the password. Anybody without one has to set one up before
			they can go on.
		</p>
		<form
			method="POST"
			action="?/demand"
			use:enhance={demandForm.submit()}
			class="flex flex-wrap items-center gap-4"
		>
			<input type="hidden" name="json" value={JSON.stringify({ roles: demanded })} />
			{#each ROLES as role (role)}
				<label class="flex items-center gap-1.5"
					><input type="checkbox" value={role} bind:group={demanded} />{role}s</label
				>
			{/each}
			<button class="btn" disabled={demandForm.busy}>Set</button>
		</form>
		<h2 class="mt-8 text-xl">Add a person</h2>
		<form method="POST" action="?/add" use:enhance={addForm.submit()} class="mt-2 grid w-80 gap-2">
			<Field form={addForm} name="name" label="Name"
				>{#snippet input(attributes)}<input type="text" required {...attributes} />{/snippet}</Field
			>
			<Field form={addForm} name="email" label="E-mail address"
				>{#snippet input(attributes)}<input type="email" required {...attributes} />{/snippet}</Field
			>
			<label class="grid gap-1"
				>Role<select name="role"
					><option>clerk</option><option>reader</option><option>supervisor</option></select
				></label
			>
			<button class="btn btn-main mt-1 justify-center" disabled={addForm.busy}>Add them</button>
		</form>
	</section>
</div>
