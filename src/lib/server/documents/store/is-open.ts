import { sql } from 'drizzle-orm';
import { itemState } from '../../platform/db/schema';

/** Condition of items with something open. The nought stands in the text: with a bound value SQLite would not use the partial index. */
export const isOpen = sql`${itemState.open} > 0`;

/** What an item adds to the balance, in its own currency and in base currency: a credit note takes away. */
export const signedOpen = sql<number>`case when ${itemState.kind} = 'credit_note' then -${itemState.open} else ${itemState.open} end`;
export const signedOpenBase = sql<number>`case when ${itemState.kind} = 'credit_note' then -${itemState.openBase} else ${itemState.openBase} end`;
