import { bankAgrees } from './bank-agrees';
import type { Breach, ProofFacts } from './facts';
import { journalsBalance } from './journals-balance';
import { ledgerAgrees } from './ledger-agrees';
import { linesHaveSources } from './lines-have-sources';
import { nothingBeyond } from './nothing-beyond';
import { undoingsMatch } from './undoings-match';

/** What must always hold, by number; records and their seals (6, 8, 9) need hashes, statements (10) are
 * compared in `1-bank-files`, and both are checked where they are read. */
export const RULES: Readonly<Record<Breach['rule'], string>> = {
	1: 'each journal balances, per currency and in base currency',
	2: 'control account = customer balances = open items less unallocated credits, on every day',
	3: 'no item is settled beyond its total, no credit used beyond its amount',
	4: 'each bank account: opening balance + entries = closing balance, each entry once in the journal',
	5: 'each undone allocation and its undoing come to nothing',
	6: 'the chain of records is unbroken',
	7: 'each line of receivables has its source, and both come to the same',
	8: 'every row of every table is as it was written',
	9: 'the books go on from every anchor',
	10: 'each bank statement goes on from the one before'
};

/** Recomputes rules 1 to 5 and 7 from the journal and the posted records. No breaches means the books prove. */
export function prove(facts: ProofFacts): Breach[] {
	return [journalsBalance, ledgerAgrees, nothingBeyond, bankAgrees, undoingsMatch, linesHaveSources].flatMap(
		(rule) => rule(facts)
	);
}
