<script lang="ts">
	import { page } from '$app/state';
	import { toast } from 'svelte-sonner';
	import { parseTypedDay } from '$lib/core/day/parse-typed-day';
	import type { addTask, finishTask } from '$lib/server/customers/commands/tasks';
	import type { ChaseOf } from '$lib/server/letters/queries/chase-of';
	import { ActForm } from '$lib/trade/act-form.svelte';
	import Dialog from '$lib/ui/Dialog.svelte';
	import Field from '$lib/ui/Field.svelte';
	import Problems from '$lib/ui/Problems.svelte';
	import { CALL_OUTCOME_WORDS, shortDay, STEP_EFFECT_WORDS } from '$lib/words';

	/** How a customer is being chased, and what is to be done for them. */
	let {
		customer,
		chase,
		mayAct
	}: {
		customer: { readonly id: number; readonly name: string };
		chase: ChaseOf;
		mayAct: boolean;
	} = $props();
	const today = $derived(page.data.today);
	let open = $state(false);
	let typed = $state({ what: '', day: '' });
	const adding = new ActForm<typeof addTask>('?/task', {
		done: () => {
			open = false;
			typed = { what: '', day: '' };
			toast('Put down. It stands on Calls, and on Today, from that day on.');
		}
	});
	const finishing = new ActForm<typeof finishTask>('?/finish', { done: () => void toast('Done.') });
	function add(event: SubmitEvent) {
		event.preventDefault();
		const day = parseTypedDay(typed.day, today);
		if (!day)
			return void adding.sayAt('day', `“${typed.day}” is not a date. Write 6 Nov, 6/11 or 2026-11-06.`);
		void adding.send({ customerId: customer.id, what: typed.what, day });
	}
	const stands = $derived(
		chase.stands.map(({ currency, due, next }) => {
			const of = chase.stands.length > 1 ? `${currency}: ` : '';
			if (due) return `${of}${due} is due now.`;
			return next ? `${of}next, ${next.name} on ${shortDay(next.day, today)}.` : `${of}every step was taken.`;
		})
	);
</script>

<h2 class="mt-5 font-sans font-semibold text-soft">Chasing</h2>
{#each chase.effects as one, n (n)}
	<p class="note mt-1">
		{STEP_EFFECT_WORDS[one.effect]}: {one.step} of {shortDay(one.day, today)} is unpaid
	</p>
{/each}
{#each stands as one (one)}<p class="mt-1">{one}</p>{:else}<p class="mt-1 says">
		Nothing is on a step.
	</p>{/each}
<p class="mt-1 text-soft">{chase.policy} way of chasing</p>
{#each chase.calls as call, n (n)}
	<p class="mt-1 wrap-anywhere">
		Called {shortDay(call.day, today)}, {call.by}: {CALL_OUTCOME_WORDS[call.outcome]}{call.said
			? `. ${call.said}`
			: ''}
	</p>
{/each}
<h2 class="mt-5 flex font-sans font-semibold text-soft">
	To be done{#if mayAct}<button
			type="button"
			class="ml-auto cursor-pointer font-normal underline"
			onclick={() => (open = true)}>Put down</button
		>{/if}
</h2>
<Problems problems={finishing.problems} />
{#each chase.tasks as one (one.id)}
	<p class="mt-1 wrap-anywhere">
		{shortDay(one.day, today)}: {one.what}
		{#if mayAct}<button
				type="button"
				class="cursor-pointer text-copper hover:underline"
				disabled={finishing.busy}
				aria-label="{one.what}: done"
				onclick={() => finishing.send({ taskId: one.id })}>done</button
			>{/if}
	</p>
{:else}<p class="mt-1 says">Nothing.</p>{/each}

<Dialog title="Something to be done" bind:open>
	<form class="grid gap-3" onsubmit={add}>
		<Field form={adding} name="what" label="What is to be done for {customer.name}"
			>{#snippet input(attributes)}<input
					type="text"
					required
					maxlength="400"
					autocomplete="off"
					{...attributes}
					bind:value={typed.what}
				/>{/snippet}</Field
		>
		<Field form={adding} name="day" label="By"
			>{#snippet input(attributes)}<input
					type="text"
					required
					class="w-32"
					autocomplete="off"
					placeholder="6 Nov"
					{...attributes}
					bind:value={typed.day}
				/>{/snippet}</Field
		>
		<Problems problems={adding.problems} />
		<p><button class="btn btn-main" disabled={adding.busy}>Put it down</button></p>
	</form>
</Dialog>
