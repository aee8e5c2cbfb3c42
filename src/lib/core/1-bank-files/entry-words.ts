import type { StatementEntry } from '../model/bank';

/** What a bank wrote of an entry, in one line: who paid, and their words. */
export function entryWords({ text, details }: Pick<StatementEntry, 'text' | 'details'>): string {
	const said = details.flatMap((one) => [one.counterpartyName ?? '', one.text]);
	const words = said.some((one) => one.trim() !== '') ? said : [text];
	return words
		.map((one) => one.trim())
		.filter(Boolean)
		.join(' ');
}
