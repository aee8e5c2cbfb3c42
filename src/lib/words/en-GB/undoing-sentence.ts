import { count, list, money, shortDay } from './format';
import type { Undoing } from '../../server/allocation/queries/what-undoing-does';

/** Says what undoing does, before anybody does it. */
export function undoingSentence({ kind, parts, opens, opensCount, waits, accounts, date }: Undoing): string {
	const said: string[] = [];
	if (parts > 1) said.push(`undoes ${count(parts, 'posting')}`);
	if (opens.length) said.push(`opens ${named(opens, opensCount)} again`);
	const offLedger = kind === 'set-aside' || kind === 'book-unidentified';
	for (const { amount, currency } of waits) {
		const sum = money(Math.abs(amount), currency);
		const off = offLedger && accounts.length ? `takes ${sum} off ${list(accounts)}; it` : `${sum}`;
		said.push(`${off} waits in Money in again`);
	}
	if (kind === 'match-bank-entry') said.push('what it was matched to is on its way again');
	if (kind === 'match-bank-return') said.push('the return waits for the bank’s entry again');
	if (kind === 'allocate-credits') said.push('the credit is on account again');
	if (date) said.push(`it is dated ${shortDay(date)}, because the day of the posting is locked`);
	const text = said.join('; ');
	return text ? `${text[0]!.toUpperCase()}${text.slice(1)}.` : '';
}

function named(opens: readonly string[], all: number): string {
	return all > opens.length ? `${opens.join(', ')} and ${all - opens.length} more` : list(opens, all);
}
