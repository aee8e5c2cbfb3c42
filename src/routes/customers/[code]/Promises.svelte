<script lang="ts">
	import { enhance } from '$app/forms';
	import { page } from '$app/state';
	import { toast } from 'svelte-sonner';
	import { parseTypedDay } from '$lib/core/day/parse-typed-day';
	import type { recordPromise, takeOffPromise } from '$lib/server/customers/commands/promises';
	import type { PromiseShown } from '$lib/server/customers/store/promises-of';
	import { ActForm } from '$lib/trade/act-form.svelte';
	import Dialog from '$lib/ui/Dialog.svelte';
	import Field from '$lib/ui/Field.svelte';
	import Problems from '$lib/ui/Problems.svelte';
	import { screenKeys } from '$lib/ui/screen-keys.svelte';
	import { list, money, PROMISE_WORDS, shortDay } from '$lib/words';
	import { typedAmount } from '$lib/words/typed-amount';

	/** What a customer promised to pay, how far it was kept, and a new promise. */
	let {
		customer,
		promises,
		owing,
		mayAct
	}: {
		customer: { readonly id: number; readonly name: string; readonly currency: string };
		promises: readonly PromiseShown[];
		/** What they owe: what a promise may be for. */
		owing: readonly { readonly id: number; readonly number: string }[];
		mayAct: boolean;
	} = $props();
	const SHOWN = 5;
	let open = $state(false);
	let all = $state(false);
	const EMPTY = { amount: '', promisedFor: '', saidBy: '', numbers: '' };
	let typed = $state({ ...EMPTY });
	const today = $derived(page.data.today);
	const taking = new ActForm<typeof takeOffPromise>('?/take-off-promise', {
		done: () => void toast('The promise was taken off.')
	});
	const form = new ActForm<typeof recordPromise>('?/promise', {
		done: ({ output }) => {
			open = false;
			typed = { ...EMPTY };
			toast('The promise was recorded.', {
				action: { label: 'Undo', onClick: () => void taking.send({ actId: String(output.actId) }) }
			});
		}
	});
	function submit() {
		const amount = typedAmount(typed.amount, customer.currency);
		if (typeof amount === 'string') return form.sayAt('amount', `“${typed.amount}” is not an amount.`);
		const promisedFor = parseTypedDay(typed.promisedFor, today);
		if (!promisedFor)
			return form.sayAt(
				'promisedFor',
				`“${typed.promisedFor}” is not a date. Write 6 Nov, 6/11 or 2026-11-06.`
			);
		const numbers = typed.numbers.split(/[\s,;]+/).filter(Boolean);
		const unknown = numbers.find((one) => !owing.some((item) => isSame(item.number, one)));
		if (unknown) return form.sayAt('items', `Nothing that they owe has the number “${unknown}”.`);
		const items = owing
			.filter((item) => numbers.some((one) => isSame(item.number, one)))
			.map((item) => item.id);
		return { customerId: customer.id, amount, promisedFor, saidBy: typed.saidBy, items };
	}
	const isSame = (number: string, other: string) => number.toLowerCase() === other.toLowerCase();
	const isShort = ({ state }: PromiseShown) => state === 'broken' || state === 'part_kept';
	screenKeys(() => (mayAct ? [{ keys: ['p'], what: 'a promise to pay', run: () => (open = true) }] : []));
</script>

<h2 class="mt-5 flex font-sans font-semibold text-soft">
	Promises{#if mayAct}<button
			type="button"
			class="ml-auto cursor-pointer font-normal underline"
			onclick={() => (open = true)}>Record one <span class="key">P</span></button
		>{/if}
</h2>
<Problems problems={taking.problems} />
{#each all ? promises : promises.slice(0, SHOWN) as one (one.actId)}
	<p class={['mt-1 wrap-anywhere', isShort(one) && 'text-oxblood']}>
		{money(one.amount, one.currency)} by {shortDay(one.promisedFor, today)}{one.items.length
			? ` for ${list(one.items.map((item) => item.number))}`
			: ''}{one.saidBy ? `, ${one.saidBy}` : ''}: {PROMISE_WORDS[one.state]}{one.came > 0 &&
		one.came < one.amount
			? `, ${money(one.came, one.currency)} came`
			: ''}.
		{#if mayAct && one.state === 'open'}<button
				type="button"
				class="cursor-pointer text-copper hover:underline"
				disabled={taking.busy}
				aria-label="Take off the promise of {money(one.amount, one.currency)}"
				onclick={() => taking.send({ actId: String(one.actId) })}>take off</button
			>{/if}
	</p>
{:else}<p class="mt-1 says">None is recorded.</p>{/each}
{#if promises.length > SHOWN && !all}<button
		type="button"
		class="mt-1 cursor-pointer underline"
		onclick={() => (all = true)}>{promises.length - SHOWN} more</button
	>{/if}

<Dialog title="A promise to pay" bind:open>
	<form method="POST" action="?/promise" class="grid grid-cols-2 gap-3" use:enhance={form.submit(submit)}>
		<p class="col-span-2 says">
			What {customer.name} said they would pay. Nothing is posted by it; it is kept by what comes from them by that
			day.
		</p>
		<Field {form} name="amount" label="Amount, {customer.currency}"
			>{#snippet input(attributes)}<input
					type="text"
					inputmode="decimal"
					autocomplete="off"
					required
					{...attributes}
					bind:value={typed.amount}
				/>{/snippet}</Field
		>
		<Field {form} name="promisedFor" label="By"
			>{#snippet input(attributes)}<input
					type="text"
					autocomplete="off"
					required
					placeholder="6 Nov"
					{...attributes}
					bind:value={typed.promisedFor}
				/>{/snippet}</Field
		>
		<Field {form} name="saidBy" label="Who said so" class="col-span-2"
			>{#snippet input(attributes)}<input
					type="text"
					autocomplete="off"
					maxlength="200"
					{...attributes}
					bind:value={typed.saidBy}
				/>{/snippet}</Field
		>
		<Field {form} name="items" label="For which items, by number; empty for the account" class="col-span-2"
			>{#snippet input(attributes)}<input
					type="text"
					autocomplete="off"
					placeholder={owing[0]?.number ?? ''}
					{...attributes}
					bind:value={typed.numbers}
				/>{/snippet}</Field
		>
		<div class="col-span-2"><Problems problems={form.problems} /></div>
		<div class="col-span-2"><button class="btn btn-main" disabled={form.busy}>Record it</button></div>
	</form>
</Dialog>
