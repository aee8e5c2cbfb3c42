import { toDecimal } from '../../core/money/to-decimal';
import { IBAN } from '../testing';
import { minor } from '../../core/money/minor';

export interface Mt940Line {
	/** Minor units of GBP, signed. */
	readonly amount: number;
	readonly text: string;
	readonly reference?: string;
}

/** A statement of 28 October 2026 of the account that tests have, as MT940. */
export function mt940Text(
	lines: readonly Mt940Line[],
	{ opening = 0, number = '1/1', account = IBAN } = {}
): string {
	const decimal = (n: number) => toDecimal(minor(Math.abs(n)), 'GBP').replace('.', ',');
	const balance = (n: number, date: string) => `${n < 0 ? 'D' : 'C'}${date}GBP${decimal(n)}`;
	const closing = lines.reduce((sum, one) => sum + one.amount, opening);
	return [
		...[':20:ODDPENNY', `:25:${account}`, `:28C:${number}`, `:60F:${balance(opening, '261027')}`],
		...lines.flatMap(({ amount, text, reference = 'NONREF' }) => [
			`:61:2610281028${amount < 0 ? 'D' : 'C'}${decimal(amount)}NTRFNONREF//${reference}`,
			`:86:${text}`
		]),
		...[`:62F:${balance(closing, '261028')}`, '-', '']
	].join('\r\n');
}
