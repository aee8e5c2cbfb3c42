<script lang="ts">
	import { rowCursor } from '$lib/ui/row-cursor';
	import { loadProof } from './load-proof';
	import { amount, breachSentence, count, money, shortDay } from '$lib/words';
	let { data } = $props();
	/** The proof reads everything: the page shows at once, the proof when it is done. */
	const proof = loadProof();
	const rules = $derived(Object.entries(data.rules));
</script>

<svelte:head><title>Books · Odd Penny</title></svelte:head>

<div class="grid min-h-[calc(100vh-48px)] grid-cols-[minmax(0,1fr)_minmax(0,1fr)]">
	<section class="px-8 pt-5 pb-10">
		{#await proof}
			<h1>Proving the books …</h1>
			<p class="mt-1 says">Every journal line, item, receipt and record is read again.</p>
		{:then proof}
			<h1>
				{proof.breaches.length === 0
					? 'The books prove.'
					: `The books do not prove: ${count(proof.breaches.length, 'breach', 'breaches')}.`}
			</h1>
			<p class="mt-1 says">
				Recomputed from {proof.counts.journalLines.toLocaleString('en-GB')} journal lines of {proof.counts.acts.toLocaleString(
					'en-GB'
				)} acts, {proof.counts.items.toLocaleString('en-GB')} items and {proof.counts.receipts.toLocaleString(
					'en-GB'
				)} receipts; compared with {count(proof.counts.seals, 'seal')} and {count(
					proof.counts.anchors,
					'anchor'
				)}.
				{data.lockedThrough ? `Locked up to ${shortDay(data.lockedThrough)}.` : 'No period is locked.'}
				{#if proof.counts.acknowledged}{count(proof.counts.acknowledged, 'finding was', 'findings were')} acknowledged
					with a reason: it is in the <a href="/books/record">record</a>.{/if}
			</p>
			<ol class="mt-3">
				{#each rules as [rule, text] (rule)}
					{@const broken = proof.breaches.filter((one) => one.rule === Number(rule))}
					<li class="flex gap-3 border-t border-rule py-2">
						<span class={['w-14 shrink-0 font-semibold', broken.length ? 'text-oxblood' : 'text-patina']}
							>{broken.length ? 'broken' : 'holds'}</span
						>
						<span>
							{text[0]!.toUpperCase()}{text.slice(1)}
							{#each broken.slice(0, 5) as one, i (i)}<span class="block text-sm text-oxblood"
									>{breachSentence(one)}</span
								>{/each}
						</span>
					</li>
				{/each}
			</ol>
		{:catch}
			<h1>The proof could not be made.</h1>
			<p class="mt-1 says">Load the page again; the books themselves were not touched.</p>
		{/await}
		<h2 class="mt-8 flex items-baseline justify-between text-xl">
			The bank against the books <a class="font-sans text-sm" href="/money-in/bank-files">Bank files</a>
		</h2>
		<table class="mt-1">
			<thead
				><tr
					><th>Account</th><th class="num">In the books</th><th class="num">Not dealt with</th><th class="num"
						>At the bank</th
					><th class="num">Out by</th></tr
				></thead
			>
			<tbody {@attach rowCursor}>
				{#each data.banks as bank (bank.id)}
					{@const out =
						bank.closing === null ? 0 : bank.closing - (bank.opening + bank.ledgerBalance + bank.waiting)}
					<tr>
						<td
							><a href="/books/bank/{bank.id}">{bank.name}</a><span class="block text-xs text-soft"
								>{bank.closingOn ? `to ${shortDay(bank.closingOn)}` : 'no statement yet'}</span
							></td
						>
						<td class="num">{money(bank.opening + bank.ledgerBalance, bank.currency)}</td>
						<td class="num">{bank.waitingCount ? money(bank.waiting, bank.currency) : '–'}</td>
						<td class="num">{bank.closing === null ? '–' : money(bank.closing, bank.currency)}</td>
						<td class={['num', out ? 'text-oxblood' : 'text-patina']}
							>{out ? money(out, bank.currency) : 'agrees'}</td
						>
					</tr>
				{/each}
			</tbody>
		</table>
		<p class="mt-1 text-xs text-soft">
			In the books: the first statement's opening balance and everything posted since.
		</p>
	</section>
	<section class="border-l border-rule px-8 pt-5 pb-10">
		<div class="flex flex-wrap items-baseline justify-between gap-2">
			<h2 class="text-xl">Balances</h2>
			<nav aria-label="In the books" class="flex flex-wrap gap-2">
				<a class="btn" href="/books/rates">Rates</a>
				<a class="btn" href="/books/reductions">Reductions</a>
				<a class="btn" href="/books/approvals">Approvals</a>
				<a class="btn" href="/books/periods">Periods</a>
				<a class="btn" href="/books/record">Record</a>
				<a class="btn" href="/books/journal">Journal</a>
			</nav>
		</div>
		<table class="mt-2">
			<thead
				><tr><th>Account</th><th></th><th class="num">Balance</th><th class="num">In {data.base}</th></tr
				></thead
			>
			<tbody {@attach rowCursor}>
				{#each data.balances as row (row.code + row.currency)}
					<tr>
						<td class="text-soft">{row.code}</td>
						<td><a href="/books/journal?account={row.code}">{row.name}</a></td>
						<td class="num">{row.currency === data.base ? '' : money(row.amount, row.currency)}</td>
						<td class="num">{amount(row.base, data.base)}</td>
					</tr>
				{:else}<tr><td colspan="4" class="py-6 text-soft">Nothing is posted yet.</td></tr>{/each}
			</tbody>
			<tfoot class="double-top"
				><tr
					><td></td><td>Debits less credits</td><td></td><td class="num font-semibold"
						>{amount(
							data.balances.reduce((sum, row) => sum + row.base, 0),
							data.base
						)}</td
					></tr
				></tfoot
			>
		</table>
	</section>
</div>
