import { integer, text } from 'drizzle-orm/sqlite-core';
import type { Day } from '../../../core/day/day';
import type { Minor } from '../../../core/money/minor';

/** An amount in minor units of the currency that stands beside it, or of base currency. */
export const amountColumn = (name: string) => integer(name).$type<Minor>();

/** A calendar day, `YYYY-MM-DD`. */
export const dayColumn = (name: string) => text(name).$type<Day>();

/** The row that a second record takes back: each only once. */
export const undoesColumn = () => integer('undoes_id').unique();
