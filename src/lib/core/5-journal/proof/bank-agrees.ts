import { tally, type Breach, type ProofFacts } from './facts';

/**
 * Rule 4: each statement's opening balance and entries come to its closing balance; each entry stands in the journal just
 * once with what its allocated receipts come to (nothing while they wait and are not booked as unidentified), on the ledger account of its bank account; and no
 * bank ledger line is without an entry. Money on its way is what was recorded by hand and not tied to an entry, unidentified receipts
 * are what was booked there and still waits, returned payments are those that no debit entry has shown.
 */
export function bankAgrees(facts: ProofFacts): Breach[] {
	const breaches: Breach[] = [];
	const accounts = new Map(facts.bankAccounts.map((account) => [account.id, account]));
	for (const { accountId, reference, opening, closing, entries } of facts.statements)
		if (opening !== null && closing !== null && opening + entries !== closing)
			breaches.push({
				rule: 4,
				about: `statement ${reference}`,
				want: closing,
				found: opening + entries,
				currency: accounts.get(accountId)!.currency
			});
	const journal = new Map<string, number>();
	const ledgers = new Set(facts.bankAccounts.map((account) => account.ledger));
	for (const line of facts.lines) {
		if (line.bankEntryId !== null) tally(journal, `${line.bankEntryId} ${line.account}`, line.amount);
		else if (ledgers.has(line.account) && line.amount !== 0)
			breaches.push({
				rule: 4,
				about: `act ${line.actId}: bank line without an entry`,
				want: 0,
				found: line.amount,
				currency: line.currency
			});
	}
	const between = new Map<string, number>();
	const [way, unknown, back] = ['money on its way', 'unidentified receipts', 'returned payments'];
	for (const { account, currency, amount } of facts.lines) {
		if (account === facts.way) tally(between, `${currency} ${way}`, amount);
		if (account === facts.unidentified) tally(between, `${currency} ${unknown}`, amount);
		if (account === facts.back) tally(between, `${currency} ${back}`, amount);
	}
	for (const { onItsWay, unidentified, currency, amount } of facts.receipts) {
		if (onItsWay) tally(between, `${currency} ${way}`, -amount);
		if (unidentified) tally(between, `${currency} ${unknown}`, amount);
	}
	for (const { currency, amount } of facts.returned) tally(between, `${currency} ${back}`, amount);
	for (const [key, found] of between)
		if (found !== 0)
			breaches.push({ rule: 4, about: key.slice(4), want: 0, found, currency: key.slice(0, 3) });
	const posted = new Map<number, number>();
	const parts = new Map<number, number>();
	for (const receipt of facts.receipts) {
		if (receipt.bankEntryId === null || receipt.state === 'withdrawn') continue;
		if (receipt.state !== 'split') tally(parts, receipt.bankEntryId, receipt.amount);
		const { state, unidentified } = receipt;
		if (unidentified || state === 'allocated' || state === 'set_aside' || state === 'matched')
			tally(posted, receipt.bankEntryId, receipt.amount);
	}
	for (const entry of facts.entries) {
		const account = accounts.get(entry.accountId)!;
		const key = `${entry.id} ${account.ledger}`;
		const want = posted.get(entry.id) ?? 0;
		const found = journal.get(key) ?? 0;
		journal.delete(key);
		if (want !== found)
			breaches.push({
				rule: 4,
				about: `bank entry ${entry.id} in the journal`,
				want,
				found,
				currency: entry.currency
			});
		if (parts.get(entry.id) !== entry.amount)
			breaches.push({
				rule: 4,
				about: `bank entry ${entry.id}: its receipts`,
				want: entry.amount,
				found: parts.get(entry.id) ?? 0,
				currency: entry.currency
			});
	}
	for (const [key, found] of journal)
		if (found !== 0)
			breaches.push({
				rule: 4,
				about: `bank entry ${key.split(' ')[0]} on account ${key.split(' ')[1]}`,
				want: 0,
				found,
				currency: ''
			});
	return breaches;
}
