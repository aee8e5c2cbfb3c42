<script lang="ts">
	import { page } from '$app/state';
	import { toast } from 'svelte-sonner';
	import type { partAccounts } from '$lib/server/customers/commands/merge-accounts';
	import type { lookAtAccount } from '$lib/server/customers/queries/account';
	import { ActForm } from '$lib/trade/act-form.svelte';
	import Problems from '$lib/ui/Problems.svelte';
	import {
		contactWords,
		languageName,
		list,
		money,
		returnedMark,
		shortDay,
		STATEMENT_FILE_WORDS,
		STATEMENT_WAY_WORDS,
		termsWords
	} from '$lib/words';

	/** What is kept of a customer: where they are, on which terms, who they belong to, who they are. */
	let { account }: { account: NonNullable<Awaited<ReturnType<typeof lookAtAccount>>> } = $props();
	const customer = $derived(account.customer);
	const here = $derived(`/customers/${customer.code}`);
	const today = $derived(page.data.today ?? undefined);
	const mark = $derived(returnedMark(account.returned, today));
	const parting = new ActForm<typeof partAccounts>('?/part', {
		done: () => void toast('Both are accounts of their own again.')
	});
</script>

<h2 class="flex font-sans font-semibold text-soft">
	Details{#if page.data.who?.role !== 'reader'}<a class="ml-auto font-normal underline" href="{here}/details"
			>Change <span class="key">E</span></a
		>{/if}
</h2>
<p class="mt-1">
	{#each customer.address as line, i (i)}{line}<br />{/each}
</p>
<p class="mt-2">
	Pays {customer.termsParts.length ? '' : 'in '}{termsWords(customer)}.{customer.interest === 'statutory'
		? ''
		: customer.interest === 'none'
			? ' No interest is charged.'
			: ` Interest of ${(customer.interestBasisPoints ?? 0) / 100}% a year was agreed.`}
</p>
<p class="mt-2">
	Statements {customer.statementWay === 'mail'
		? `to ${customer.statementEmail ?? 'nobody yet'}`
		: STATEMENT_WAY_WORDS[customer.statementWay]}{customer.reminderEmail
		? `, reminders to ${customer.reminderEmail}`
		: ''}.{customer.statementFiles.length
		? ` With them: ${list(customer.statementFiles.map((one) => STATEMENT_FILE_WORDS[one]))}.`
		: ''}
</p>
{#if mark}<p class="note mt-2">
		{mark} <a href="/money-in/returned?q={customer.code}">All of them</a>
	</p>{/if}
{#if customer.creditLimit !== null}
	{@const owes = account.standing.find((one) => one.currency === customer.currency)}
	{@const over = (owes ? owes.open - owes.credit : 0) - customer.creditLimit}
	<p class="mt-2 {over > 0 ? 'note text-oxblood' : ''}">
		Credit limit {money(customer.creditLimit, customer.currency)}{over > 0
			? `, exceeded by ${money(over, customer.currency)}`
			: `, ${money(-over, customer.currency)} left`}.
	</p>
{/if}
{#if account.parent}<p class="mt-2">
		Branch of <a class="underline" href="/customers/{account.parent.code}">{account.parent.name}</a>.
	</p>{/if}
{#each account.merged as one (one.code)}<p class="mt-2">
		One with {one.name}, {one.code}.{#if page.data.who?.role === 'supervisor'}
			<button
				type="button"
				class="cursor-pointer text-copper hover:underline"
				disabled={parting.busy}
				onclick={() => parting.send({ actId: String(one.actId) })}>take that back</button
			>{/if}
	</p>{/each}
<Problems problems={parting.problems} />
{#if account.branches.length}<p class="mt-2">
		Branches: {#each account.branches as branch, i (branch.code)}{i ? ', ' : ''}<a
				class="underline"
				href="/customers/{branch.code}">{branch.name}</a
			>{/each}.
	</p>{/if}
{#if customer.contacts.length}<ul class="mt-2">
		{#each customer.contacts as contact, i (i)}<li class="wrap-anywhere">
				{contactWords(contact)}
			</li>{/each}
	</ul>{/if}
{#if customer.phone}<p class="mt-2">Telephone {customer.phone}</p>{/if}
{#if customer.language !== 'en'}<p class="mt-2">Written to in {languageName(customer.language)}</p>{/if}
{#if customer.taxNumber}<p class="mt-2">VAT number {customer.taxNumber}</p>{/if}
{#if customer.tags.length}<p class="mt-2">{list(customer.tags)}</p>{/if}
{#if customer.chasingPaused}<p class="note mt-2">
		No reminders{customer.pausedUntil ? ` until ${shortDay(customer.pausedUntil, today)}` : ''}: {customer.chasingPaused}
	</p>{/if}
{#if customer.notes}<p class="mt-2">{customer.notes}</p>{/if}
