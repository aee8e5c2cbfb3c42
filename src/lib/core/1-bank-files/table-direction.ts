import { withoutAccents } from '../text/without-accents';

const CREDIT: ReadonlySet<string> = new Set([
	...[
		'c',
		'cr',
		'crdt',
		'credit',
		'h',
		'haben',
		'+',
		'gutschrift',
		'bij',
		'in',
		'avere',
		'haber',
		'abono',
		'paid in'
	]
]);
const DEBIT: ReadonlySet<string> = new Set([
	...[
		'd',
		'dr',
		'dbit',
		'debit',
		's',
		'soll',
		'-',
		'lastschrift',
		'belastung',
		'af',
		'debet',
		'out',
		'dare',
		'debe',
		'cargo',
		'paid out'
	]
]);

/** Which way money went by the word that stands beside its amount, in the languages that headings are known in: 1 came, −1 went, null for another word. */
export function directionOf(word: string): 1 | -1 | null {
	const plain = withoutAccents(word).toLowerCase().trim();
	return CREDIT.has(plain) ? 1 : DEBIT.has(plain) ? -1 : null;
}
