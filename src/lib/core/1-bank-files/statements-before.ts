import type { Day } from '../day/day';
import { groupBy } from '../group-by';
import type { BankFileFormat } from './read-statement';

/** What of a statement tells which others it goes on from. */
export interface ChainedStatement {
	readonly format: BankFileFormat;
	readonly reference: string;
	readonly opening: number | null;
	readonly closing: number | null;
	readonly closingOn: Day | null;
}

/**
 * Statements of the same account that one goes on from: those that end with the balance with which it begins, those that these go on
 * from, and so on. What they list and it lists as well are two payments, however alike. One that ends later is none of them; nor is the
 * same statement again, in another format; nor is anything found beyond one that begins and ends with the same balance, which may be
 * the days that it covers itself.
 * @param others those that end on its days, or later
 */
export function statementsBefore(
	statement: ChainedStatement,
	others: readonly (ChainedStatement & { readonly id: number })[]
): Set<number> {
	const endingWith = groupBy(
		others.filter(
			(other) => other.closing !== null && !isSame(statement, other) && !isLater(statement, other)
		),
		(other) => other.closing
	);
	const before = new Set<number>();
	const asked = new Set<number | null>([statement.closing]);
	const pending = [statement.opening];
	for (let balance = pending.pop(); balance !== undefined; balance = pending.pop()) {
		if (balance === null) continue;
		for (const { id, opening } of endingWith.get(balance) ?? []) {
			before.add(id);
			if (!asked.has(opening) && balance !== statement.closing) pending.push(opening);
			asked.add(opening);
		}
	}
	return before;
}

function isSame(one: ChainedStatement, other: ChainedStatement): boolean {
	if (one.format === other.format) return one.reference === other.reference;
	return one.opening === other.opening && one.closing === other.closing && one.closingOn === other.closingOn;
}

function isLater(one: ChainedStatement, other: ChainedStatement): boolean {
	return one.closingOn !== null && other.closingOn !== null && other.closingOn > one.closingOn;
}
