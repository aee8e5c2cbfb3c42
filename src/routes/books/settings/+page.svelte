<script lang="ts">
	import Ageing from './Ageing.svelte';
	import AuditorAddress from './AuditorAddress.svelte';
	import BankFilesFrom from './BankFilesFrom.svelte';
	import Firm from './Firm.svelte';
	import HowLettersGo from './HowLettersGo.svelte';
	import LedgerAccounts from './LedgerAccounts.svelte';
	import KnownTables from './KnownTables.svelte';
	import Limits from './Limits.svelte';
	import NewBankAccount from './NewBankAccount.svelte';
	import NumbersAndTimes from './NumbersAndTimes.svelte';
	import TermsList from './TermsList.svelte';
	let { data } = $props();
</script>

<svelte:head><title>Settings · Odd Penny</title></svelte:head>

<div class="grid grid-cols-[minmax(0,1fr)_minmax(0,1fr)]">
	<div>
		<Limits {data} />
		<section class="px-8 pb-10">
			<TermsList terms={data.terms} />
			<NumbersAndTimes conventions={data.conventions} timeZones={data.timeZones} />
			<Ageing ends={data.ageEnds} />
			<HowLettersGo letters={data.letters} />
			<AuditorAddress email={data.auditor} />
		</section>
	</div>
	<section class="border-l border-rule px-8 pt-5 pb-10">
		{#if data.firm}<Firm firm={data.firm} />{/if}
		<h2 id="bank-accounts" class="text-xl">Bank accounts</h2>
		<table class="mt-2">
			<thead><tr><th>Name</th><th>Number</th><th>Currency</th><th>Ledger</th></tr></thead>
			<tbody>
				{#each data.banks as bank (bank.id)}
					<tr
						><td>{bank.name}</td><td class="font-mono text-[13px]">{bank.number}</td><td>{bank.currency}</td
						><td>{bank.ledger}</td></tr
					>
				{:else}<tr
						><td colspan="4" class="text-soft">None yet. Add the account that customers pay into.</td></tr
					>{/each}
			</tbody>
		</table>
		<NewBankAccount />
		<LedgerAccounts accounts={data.accounts} />
		<BankFilesFrom from={data.bankFiles} />
		<KnownTables tables={data.tables} banks={data.banks} />
	</section>
</div>
