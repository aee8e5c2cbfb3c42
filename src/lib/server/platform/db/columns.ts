import { integer, text } from 'drizzle-orm/sqlite-core';
import type { Day } from '../../../core/day/day';
import type { Minor } from '../../../core/money/minor';

/** Names of columns that hold amounts, and days: in every table they are bounded (`seal/triggers.ts`). */
export const AMOUNT_COLUMNS = new Set<string>();
export const DAY_COLUMNS = new Set<string>();

/** An amount in minor units of the currency that stands beside it, or of base currency. */
export function amountColumn<Name extends string>(name: Name) {
	AMOUNT_COLUMNS.add(name);
	return integer(name).$type<Minor>();
}

/** A calendar day, `YYYY-MM-DD`. */
export function dayColumn<Name extends string>(name: Name) {
	DAY_COLUMNS.add(name);
	return text(name).$type<Day>();
}

/** The row that a second record takes back: each only once. */
export const undoesColumn = () => integer('undoes_id').unique();
