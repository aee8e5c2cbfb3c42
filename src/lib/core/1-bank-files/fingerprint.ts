import type { StatementEntry } from '../model/bank';

/**
 * What makes an entry itself, as text to be hashed. Where the bank gives its own reference, that with day and amount is
 * enough (the same entry comes in other words from another export); where it gives none, all that it wrote. Entries alike
 * in this are told apart by their count within the statement.
 */
export function entryContent(entry: StatementEntry): string {
	const core = [entry.booked, entry.amount, entry.currency, entry.bankReference];
	if (entry.bankReference) return JSON.stringify(core);
	const details = entry.details.map((d) => [
		d.amount,
		d.counterpartyName,
		d.counterpartyAccount,
		d.endToEndId,
		d.text
	]);
	return JSON.stringify([
		...core,
		entry.valued,
		entry.reversal,
		entry.entryReference,
		entry.code,
		entry.text,
		details
	]);
}
