<script lang="ts">
	import { toast } from 'svelte-sonner';
	import { STEP_EFFECTS, STEP_WAYS, type ChasingPolicy } from '$lib/core/7-letters/chasing/policy';
	import { isBuiltIn } from '$lib/core/7-letters/wording/wording';
	import type { dropPolicy, keepPolicy } from '$lib/server/letters/commands/keep-policy';
	import { ActForm } from '$lib/trade/act-form.svelte';
	import Dialog from '$lib/ui/Dialog.svelte';
	import Field from '$lib/ui/Field.svelte';
	import Problems from '$lib/ui/Problems.svelte';
	import {
		count,
		money,
		STEP_EFFECT_WORDS,
		STEP_WAY_WORDS,
		stepDayWords,
		thanksDayWords,
		WORDING_NAMES
	} from '$lib/words';
	import LetterTabs from '../LetterTabs.svelte';
	import { PolicyDraft } from './policy-draft.svelte';
	let { data } = $props();
	let draft = $state.raw<PolicyDraft | null>(null);
	let open = $state(false);
	const keeping = new ActForm<typeof keepPolicy>('?/keep', {
		done: () => {
			open = false;
			toast('Kept. Runs of reminders go by it from now on.');
		}
	});
	const dropping = new ActForm<typeof dropPolicy>('?/drop', { done: () => void toast('Removed.') });
	const wordingName = (key: string) =>
		isBuiltIn(key)
			? WORDING_NAMES[key]
			: ([...data.wordings, ...data.thanksWordings].find((one) => one.key === key)?.name ?? key);
	function edit(policy: ChasingPolicy) {
		draft = new PolicyDraft(policy, data.base);
		keeping.say();
		open = true;
	}
	function another() {
		const [usual] = data.policies;
		edit({ ...usual!, id: 'new', name: '', version: 0 });
	}
	function keep(event: SubmitEvent) {
		event.preventDefault();
		if (draft) void keeping.send({ policy: draft.given });
	}
	type Step = (typeof data.policies)[number]['steps'][number];
	const says = (step: Step) =>
		[
			step.least > 0 ? `from ${money(step.least, data.base)}` : '',
			step.attach ? 'with copies of the invoices' : '',
			step.copies.length ? `copy to ${step.copies.join(', ')}` : '',
			step.effect === 'nothing' ? '' : STEP_EFFECT_WORDS[step.effect]
		]
			.filter(Boolean)
			.join('; ');
</script>

<svelte:head><title>Chasing · Odd Penny</title></svelte:head>

<section class="max-w-[1000px] px-8 pt-5 pb-8">
	<LetterTabs here="chasing" />
	<h1 class="mt-3">How customers are chased</h1>
	<p class="mt-1 says">
		Each overdue item goes from step to step, and no step is taken twice. A run of reminders says who reaches
		which step today. A customer’s details say which way of chasing they have.
	</p>
	<Problems problems={dropping.problems} />
	{#each data.policies as policy (policy.id)}
		<section class="mt-5" aria-labelledby="policy-{policy.id}">
			<h2 id="policy-{policy.id}" class="flex items-baseline gap-3 text-xl">
				{policy.name}
				<span class="font-sans text-sm font-normal text-soft"
					>{policy.isUsual ? 'for everybody who has no other' : count(policy.customers, 'customer')}</span
				>
				{#if data.maySet}<span class="ml-auto flex gap-2 font-sans text-sm font-normal"
						><button class="btn py-0.5" aria-label="Change {policy.name}" onclick={() => edit(policy)}
							>change</button
						>{#if !policy.isUsual}<button
								class="btn py-0.5"
								aria-label="Remove {policy.name}"
								disabled={dropping.busy}
								onclick={() => dropping.send({ id: policy.id })}>remove</button
							>{/if}</span
					>{/if}
			</h2>
			<table class="mt-1">
				<thead><tr><th>Step</th><th>When</th><th>Wording</th><th>Goes</th><th></th></tr></thead>
				<tbody>
					{#each policy.steps as step (step.id)}
						<tr class="align-top"
							><td>{step.name}</td><td>{stepDayWords(step)}</td><td class="text-soft"
								>{step.way === 'phone' ? '' : wordingName(step.wording)}</td
							><td class="text-soft">{STEP_WAY_WORDS[step.way]}</td><td class="text-sm text-soft"
								>{says(step)}</td
							></tr
						>
					{:else}<tr><td colspan="5" class="text-soft">No steps: these customers are not chased.</td></tr
						>{/each}
					{#if policy.thanks}<tr class="align-top"
							><td>Thanks</td><td>{thanksDayWords(policy.thanks.days)}</td><td class="text-soft"
								>{wordingName(policy.thanks.wording)}</td
							><td class="text-soft">{STEP_WAY_WORDS.usual}</td><td class="text-sm text-soft"
								>{policy.thanks.least > 0 ? `from ${money(policy.thanks.least, data.base)}` : ''}</td
							></tr
						>{/if}
				</tbody>
			</table>
		</section>
	{/each}
	{#if data.maySet}
		<p class="mt-5"><button class="btn" onclick={another}>Another way of chasing …</button></p>
	{:else}<p class="mt-5 says">Setting the steps takes a supervisor.</p>{/if}
</section>

<Dialog
	title={draft?.id === 'new' ? 'Another way of chasing' : `Chasing: ${draft?.name ?? ''}`}
	bind:open
	wide
>
	{#if draft}
		<form class="grid gap-3" onsubmit={keep}>
			<Field form={keeping} name="policy.name" label="Name" class="max-w-xs"
				>{#snippet input(attributes)}<input
						type="text"
						required
						maxlength="60"
						autocomplete="off"
						placeholder="Schools"
						{...attributes}
						bind:value={draft!.name}
					/>{/snippet}</Field
			>
			{#each draft.steps as step, n (step.id)}
				<fieldset
					class="grid grid-cols-[minmax(0,1.2fr)_minmax(0,0.6fr)_minmax(0,1.3fr)_minmax(0,1.3fr)] items-end gap-x-3 gap-y-2 border-t border-rule pt-2"
				>
					<legend class="sr-only">Step {n + 1}</legend>
					<Field form={keeping} name="policy.steps.{n}.name" label="Step {n + 1}"
						>{#snippet input(attributes)}<input
								type="text"
								required
								maxlength="60"
								class="w-full min-w-0"
								{...attributes}
								bind:value={step.name}
							/>{/snippet}</Field
					>
					<Field form={keeping} name="policy.steps.{n}.days" label="Days"
						>{#snippet input(attributes)}<input
								type="text"
								inputmode="numeric"
								required
								class="w-full min-w-0"
								{...attributes}
								bind:value={step.days}
							/>{/snippet}</Field
					>
					<Field form={keeping} name="policy.steps.{n}.after" label="Counted"
						>{#snippet input(attributes)}<select {...attributes} bind:value={step.when}
								><option value="before-due">before the due day</option><option value="after-due"
									>after the due day</option
								><option value="after-step" disabled={n === 0}>after the step before</option></select
							>{/snippet}</Field
					>
					<Field form={keeping} name="policy.steps.{n}.way" label="Goes"
						>{#snippet input(attributes)}<select {...attributes} bind:value={step.way}
								>{#each STEP_WAYS as way (way)}<option value={way}>{STEP_WAY_WORDS[way]}</option
									>{/each}</select
							>{/snippet}</Field
					>
					<Field form={keeping} name="policy.steps.{n}.wording" label="Wording"
						>{#snippet input(attributes)}<select
								{...attributes}
								disabled={step.way === 'phone'}
								bind:value={step.wording}
								>{#each data.wordings as one (one.key)}<option value={one.key}>{wordingName(one.key)}</option
									>{/each}</select
							>{/snippet}</Field
					>
					<Field form={keeping} name="policy.steps.{n}.least" label="Least"
						>{#snippet input(attributes)}<input
								type="text"
								inputmode="decimal"
								class="w-full min-w-0"
								placeholder="any"
								{...attributes}
								bind:value={step.least}
							/>{/snippet}</Field
					>
					<Field form={keeping} name="policy.steps.{n}.effect" label="Then"
						>{#snippet input(attributes)}<select {...attributes} bind:value={step.effect}
								>{#each STEP_EFFECTS as effect (effect)}<option value={effect}
										>{STEP_EFFECT_WORDS[effect]}</option
									>{/each}</select
							>{/snippet}</Field
					>
					<Field form={keeping} name="policy.steps.{n}.copies" label="Copies to"
						>{#snippet input(attributes)}<input
								type="text"
								placeholder="addresses"
								disabled={step.way === 'phone'}
								{...attributes}
								bind:value={step.copies}
							/>{/snippet}</Field
					>
					<div class="col-span-4 flex flex-wrap items-center gap-4 text-sm">
						<label class="flex items-center gap-2"
							><input type="checkbox" disabled={step.way === 'phone'} bind:checked={step.attach} /> copies of the
							invoices go with it</label
						>
						<span class="ml-auto flex gap-2">
							<button
								type="button"
								class="btn py-0.5"
								disabled={n === 0}
								aria-label="Move step {n + 1} up"
								onclick={() => draft?.move(n, -1)}>up</button
							>
							<button
								type="button"
								class="btn py-0.5"
								disabled={n === draft.steps.length - 1}
								aria-label="Move step {n + 1} down"
								onclick={() => draft?.move(n, 1)}>down</button
							>
							<button
								type="button"
								class="btn py-0.5"
								aria-label="Take step {n + 1} off"
								onclick={() => draft?.takeOff(n)}>take off</button
							>
						</span>
					</div>
				</fieldset>
			{/each}
			<p><button type="button" class="btn" onclick={() => draft?.add()}>Add a step</button></p>
			<label class="flex items-center gap-2 border-t border-rule pt-3"
				><input
					type="checkbox"
					checked={draft.thanks !== null}
					onchange={(event) => draft?.setThanks(event.currentTarget.checked)}
				/> thank them, once all that was chased is paid and nothing else is overdue</label
			>
			{#if draft.thanks}
				{@const thanks = draft.thanks}
				<div class="grid grid-cols-[minmax(0,1fr)_minmax(0,1fr)_minmax(0,2fr)] gap-x-3">
					<Field form={keeping} name="policy.thanks.days" label="Days after"
						>{#snippet input(attributes)}<input
								type="text"
								inputmode="numeric"
								required
								class="w-full min-w-0"
								{...attributes}
								bind:value={thanks.days}
							/>{/snippet}</Field
					>
					<Field form={keeping} name="policy.thanks.least" label="Least"
						>{#snippet input(attributes)}<input
								type="text"
								inputmode="decimal"
								placeholder="any"
								class="w-full min-w-0"
								{...attributes}
								bind:value={thanks.least}
							/>{/snippet}</Field
					>
					<Field form={keeping} name="policy.thanks.wording" label="Wording"
						>{#snippet input(attributes)}<select {...attributes} bind:value={thanks.wording}
								>{#each data.thanksWordings as one (one.key)}<option value={one.key}
										>{wordingName(one.key)}</option
									>{/each}</select
							>{/snippet}</Field
					>
				</div>
			{/if}
			<Problems problems={keeping.problems} />
			<p><button class="btn btn-main" disabled={keeping.busy}>Keep</button></p>
		</form>
	{/if}
</Dialog>
