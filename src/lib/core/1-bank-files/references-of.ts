import type { StatementEntry } from '../model/bank';

/** All references that an entry and its details have, each once, without blanks and in capitals. */
export function referencesOf(
	entry: Pick<StatementEntry, 'entryReference' | 'bankReference' | 'details'>
): string[] {
	const all = [
		entry.bankReference,
		entry.entryReference,
		...entry.details.flatMap((one) => [one.endToEndId, one.structuredReference])
	];
	return [...new Set(all.flatMap((one) => (one ? one.replace(/\s/g, '').toUpperCase() : [])))];
}
