<script lang="ts">
	import { onMount, tick, untrack } from 'svelte';
	import { documentsPaid } from '$lib/core/2-receipts/documents-paid';
	import { openItemsOf } from '$lib/trade/open-items-of';
	import { amount as amountText, list } from '$lib/words';
	import type { Day } from '$lib/core/day/day';
	import { parseTypedDay } from '$lib/core/day/parse-typed-day';
	import { typedAmount } from '$lib/words/typed-amount';
	import type { FoundCustomer } from '$lib/server/customers/queries/find-customers';
	import type { PaidInto } from '$lib/server/receipts/store/paid-into';
	import type { ManualReceiptRow } from '$lib/server/receipts/store/manual-receipt-row';
	import { attributesOf } from '$lib/ui/field-faults';
	import CustomerField from '$lib/trade/CustomerField.svelte';

	/** One row to be typed, field after field without the mouse; Enter in the last one keeps it and begins the next. */
	let {
		today,
		methods,
		banks,
		disabled,
		addMethod,
		keep,
		paste,
		editing = null,
		leave
	}: {
		today: Day;
		methods: readonly string[];
		/** The firm's current accounts. */
		banks: readonly { readonly id: number; readonly name: string; readonly currency: string }[];
		disabled: boolean;
		/** Adds a way to the firm's list; true when it is there. */
		addMethod: (name: string) => Promise<boolean>;
		/** Keeps the row; true when it is kept. */
		keep: (row: ManualReceiptRow) => Promise<boolean>;
		paste: (text: string) => void;
		/** A row that was kept before, to be changed; null for a new one. */
		editing?: (ManualReceiptRow & { readonly name: string }) | null;
		/** Leaves the row as it was kept. */
		leave: () => void;
	} = $props();
	let who = $state('');
	let owner = $state<Pick<FoundCustomer, 'id' | 'name' | 'currency'> | null>(null);
	/** What is open on the customer's account, to see whether what is typed is there. */
	let open = $state.raw<readonly { id: number; number: string }[] | null>(null);
	let when = $state('');
	const ANOTHER = '';
	let method = $state('cheque');
	let another = $state('');
	let reference = $state('');
	let sum = $state('');
	let pays = $state('');
	/** Where the last row was paid in; the next one mostly is too. */
	let place = $state<PaidInto>(null);
	const places = $derived(banks.filter((bank) => !owner || bank.currency === owner.currency));
	const paidInto = $derived(
		place === 'petty cash' || places.some((bank) => bank.id === place) ? place : (places[0]?.id ?? null)
	);
	/** What is wrong, and in which field. */
	let problem = $state<{
		readonly at: 'customer' | 'date' | 'amount' | 'pays';
		readonly says: string;
	} | null>(null);
	const faultAt = (name: string) =>
		attributesOf(problem?.at === name ? problem.says : undefined, 'row-problem');
	let first = $state<HTMLInputElement | null>(null);
	let whenField = $state<HTMLInputElement>()!;

	/** Numbers typed under Pays that are not open on the account. */
	const missing = $derived(open && pays.trim() ? documentsPaid(pays.trim(), open).missing : []);
	async function readOpen(customerId: number) {
		open = null;
		const items = await openItemsOf(customerId).catch(() => null);
		if (owner?.id === customerId) open = items;
	}
	function checkPays() {
		if (missing.length)
			problem = {
				at: 'pays',
				says: `${list(missing)} ${missing.length === 1 ? 'is' : 'are'} not open on the account of ${owner!.name}.`
			};
		else if (problem?.at === 'pays') problem = null;
	}
	$effect(() => {
		const row = editing;
		untrack(() => {
			problem = null;
			if (!row) return;
			const { customerId: id, name, currency } = row;
			[owner, who, when, method, reference] = [
				{ id, name, currency },
				name,
				row.date,
				row.method,
				row.reference
			];
			place = row.paidInto;
			[sum, pays] = [amountText(row.amount, currency), row.pays === 'oldest' ? '' : row.pays];
			void readOpen(id);
			first?.focus();
		});
	});
	function choose(one: FoundCustomer) {
		owner = one;
		who = one.name;
		void readOpen(one.id);
		// Found by a document: that is what it pays.
		if (one.by && !pays) pays = one.by.number;
		whenField.focus();
	}
	/** Takes the way that was typed into the list; nothing typed goes back to the list as it was. */
	async function addOne() {
		if (method !== ANOTHER) return;
		const name = another.trim().toLowerCase();
		another = '';
		if (name && !methods.includes(name) && !(await addMethod(name))) method = methods[0]!;
		else method = name || methods[0]!;
	}
	/** Goes to the first field. */
	export function begin() {
		first?.focus();
	}
	onMount(begin);
	function clear() {
		[who, owner, open, reference, sum, pays] = ['', null, null, '', '', ''];
		if (editing) {
			when = '';
			leave();
		}
	}
	async function submit(event: SubmitEvent) {
		event.preventDefault();
		const date = parseTypedDay(when, today);
		const amount = owner ? typedAmount(sum, owner.currency) : 'not-a-number';
		if (!owner)
			problem = {
				at: 'customer',
				says: 'Choose the customer from the list: any part of name, code or document number.'
			};
		else if (!date)
			problem = { at: 'date', says: `“${when}” is not a date. Write 30/10, 30 Oct or 2026-10-30.` };
		else if (typeof amount === 'string' || amount <= 0)
			problem = { at: 'amount', says: `“${sum}” is not an amount above zero.` };
		else if (missing.length) checkPays();
		else {
			problem = null;
			const row = {
				...{ id: editing?.id ?? null, customerId: owner.id, date, method, reference, amount },
				...{ currency: owner.currency, paidInto, pays: pays.trim() || 'oldest' }
			};
			if (!(await keep(row))) return;
			clear();
			await tick();
			first?.focus();
		}
	}
</script>

<form onsubmit={submit} class="grid gap-1">
	<div
		class="grid grid-cols-[minmax(0,5fr)_5rem_6.5rem_minmax(0,3fr)_6.5rem_minmax(0,3fr)_minmax(8.5rem,2.5fr)_auto] items-end gap-2"
	>
		<label class="grid min-w-0 gap-0.5 text-sm"
			>Customer<CustomerField
				label="Customer"
				class="w-full"
				placeholder="part of name, code or document"
				keepsName
				takesOnTab
				{...faultAt('customer')}
				bind:text={who}
				bind:field={first}
				ask={() => (owner = null)}
				{choose}
				{disabled}
				onpaste={(event) => {
					const text = event.clipboardData?.getData('text') ?? '';
					if (!text.includes('\t')) return;
					event.preventDefault();
					paste(text);
				}}
			/></label
		>
		<label class="grid min-w-0 gap-0.5 text-sm"
			>Date<input
				bind:this={whenField}
				type="text"
				class="w-full"
				bind:value={when}
				{...faultAt('date')}
				placeholder="today"
				{disabled}
			/></label
		>
		<label class="grid min-w-0 gap-0.5 text-sm"
			>How{#if method === ANOTHER}<input
					type="text"
					class="w-full"
					placeholder="another way"
					bind:value={another}
					{@attach (field) => field.focus()}
					onkeydown={(event) => {
						if (event.key !== 'Enter' && event.key !== 'Escape') return;
						event.preventDefault();
						if (event.key === 'Escape') method = methods[0]!;
						else void addOne();
					}}
					onblur={addOne}
				/>{:else}<select bind:value={method} {disabled}
					>{#each methods as one (one)}<option value={one}>{one}</option>{/each}<option value={ANOTHER}
						>another …</option
					></select
				>{/if}</label
		>
		<label class="grid min-w-0 gap-0.5 text-sm"
			>Reference<input
				type="text"
				class="w-full"
				bind:value={reference}
				placeholder="cheque number"
				{disabled}
			/></label
		>
		<label class="grid min-w-0 gap-0.5 text-sm"
			>Amount<input
				type="text"
				inputmode="decimal"
				class="w-full text-right"
				bind:value={sum}
				{...faultAt('amount')}
				placeholder="750+480"
				{disabled}
			/></label
		>
		<label class="grid min-w-0 gap-0.5 text-sm"
			>Pays<input
				type="text"
				class="w-full"
				bind:value={pays}
				onblur={checkPays}
				{...faultAt('pays')}
				placeholder="oldest, account or numbers"
				{disabled}
			/></label
		>
		<label class="grid min-w-0 gap-0.5 text-sm"
			>Paid into<select
				bind:value={() => paidInto, (chosen) => (place = chosen)}
				{disabled}
				class="w-full min-w-0"
				>{#each places as bank (bank.id)}<option value={bank.id}>{bank.name}</option>{/each}<option
					value="petty cash">petty cash</option
				>{#if paidInto === null}<option value={null}>no account in {owner?.currency}</option>{/if}</select
			></label
		>
		<button class="btn" {disabled}>{editing ? 'Change' : 'Keep'} <span class="key">Enter</span></button>
	</div>
	{#if editing}<p class="text-sm text-copper">
			You are changing a row that was kept.
			<button type="button" class="cursor-pointer underline" onclick={clear}>Leave it as it was</button>
		</p>{/if}
	{#if problem}<p id="row-problem" role="alert" class="text-sm text-oxblood">{problem.says}</p>{/if}
</form>
