import { minor, ZERO, type Minor } from '../../money/minor';
import { parseDecimal } from '../../money/parse-decimal';
import type { Problem } from '../../problems';
import { all, at, textAt, type Node } from './node';

export interface Amount {
	readonly value: Minor;
	readonly currency: string;
}

/** Where a part of the message stands, for its problems. */
export interface Place {
	readonly statement?: string;
	readonly entry?: string;
	readonly line?: number;
}

/** Reads an `Amt` element with its `Ccy`; adds a problem and gives null where it is not an amount. */
export function readAmount(
	node: Node | undefined,
	part: string,
	place: Place,
	problems: Problem[]
): Amount | null {
	if (!node) {
		problems.push({ code: 'part-missing', part, ...place });
		return null;
	}
	const currency = node.attributes['Ccy'] ?? '';
	const value = parseDecimal(node.text, currency);
	if (typeof value === 'string') {
		problems.push({
			code: 'amount-bad',
			text: node.text.trim().slice(0, 40),
			currency,
			why: value,
			part,
			...place
		});
		return null;
	}
	return { value, currency };
}

/** +1 for CRDT, −1 for DBIT, null (with a problem) for anything else. */
export function readSign(node: Node, part: string, place: Place, problems: Problem[]): 1 | -1 | null {
	const text = textAt(node, 'CdtDbtInd');
	if (text === 'CRDT') return 1;
	if (text === 'DBIT') return -1;
	problems.push({ code: 'part-missing', part: `${part} CdtDbtInd`, ...place });
	return null;
}

/**
 * Charges stated for an entry or a transaction, in the given currency, as a positive sum: `Chrgs/Amt` up to version 03,
 * `Chrgs/Rcrd/Amt` from 04. Charges in another currency, or credited to us, are left out: they explain no shortfall.
 */
export function readCharges(node: Node, currency: string, place: Place, problems: Problem[]): Minor {
	let sum = 0;
	for (const charges of all(node, 'Chrgs')) {
		const records = all(charges, 'Rcrd');
		for (const record of records.length ? records : [charges]) {
			const amount = at(record, 'Amt');
			if (!amount || textAt(record, 'CdtDbtInd') === 'CRDT') continue;
			const read = readAmount(amount, 'Chrgs/Amt', place, problems);
			if (read && read.currency === currency) sum += read.value;
		}
	}
	return sum === 0 ? ZERO : minor(sum);
}
