import { eq, sql } from 'drizzle-orm';
import type { DocumentRow, Opening } from '../../../core/1-open-items/document-row';
import type { Day } from '../../../core/day/day';
import { settledParts } from '../../../core/1-open-items/settled-parts';
import { apportion } from '../../../core/money/apportion';
import { minor, type Minor } from '../../../core/money/minor';
import type { Problem } from '../../../core/problems';
import { err, ok, type Result } from '../../../core/result';
import type { Reader } from '../../platform/db/open';
import { difference, document, item } from '../../platform/db/schema';
import { baseCurrencyOr } from '../../firm/store/settings';
import { baseConverter } from '../../firm/store/to-base';

/** What opening balances come to beside the control account of the books of before, in base currency. */
export interface OpeningSums {
	readonly on: Day;
	readonly currency: string;
	/** What the books have of that day already. */
	readonly before: Minor;
	/** What would be added. */
	readonly added: Minor;
	readonly control: Minor | null;
	/** What both together are above the control account; zero where nobody said what it shows. */
	readonly apart: Minor;
}

/**
 * Adds up opening balances of a day as they would be with these rows.
 * @param rows those that are not in the books yet, at what is open of them
 * @returns no rate for one of their currencies as a problem
 */
export async function openingSums(
	db: Reader,
	{ on, control }: Pick<Opening, 'on' | 'control'>,
	rows: readonly DocumentRow[]
): Promise<Result<OpeningSums>> {
	const currency = await baseCurrencyOr(db, rows[0]?.currency ?? 'GBP');
	const converters = new Map<string, (amount: Minor) => Minor>();
	const problems: Problem[] = [];
	let added = 0;
	for (const code of new Set(rows.map((row) => row.currency))) {
		const convert = await baseConverter(db, code, currency, on);
		if (typeof convert === 'function') converters.set(code, convert);
		else problems.push(convert);
	}
	if (problems.length > 0) return err(...problems);
	for (const row of rows) {
		const toBase = converters.get(row.currency)!;
		// As it is posted: the whole, less what of each part was settled before.
		const totalBase = toBase(row.total);
		const amounts = row.instalments.length ? row.instalments.map((part) => part.amount) : [row.total];
		const bases = apportion(totalBase, amounts);
		const parts = amounts.map((total, i) => ({ total, totalBase: bases[i]! }));
		const settled = settledParts(parts, row.total - row.open).reduce((sum, part) => sum + part.base, 0);
		added += (row.kind === 'credit_note' ? -1 : 1) * (totalBase - settled);
	}
	const before = await openingBalance(db, on);
	const apart = control === null ? 0 : before + added - control;
	return ok({ on, currency, before, added: minor(added), control, apart: minor(apart) });
}

/** What the books hold as opening balances of a day, in base currency. */
async function openingBalance(db: Reader, on: Day): Promise<Minor> {
	const sign = sql`case when ${document.kind} = 'credit_note' then -1 else 1 end`;
	const issued = await db
		.select({ sum: sql<number>`coalesce(sum(${sign} * ${item.totalBase}), 0)` })
		.from(item)
		.innerJoin(document, eq(document.id, item.documentId))
		.where(eq(document.openingOn, on))
		.all();
	const settled = await db
		.select({ sum: sql<number>`coalesce(sum(${sign} * ${difference.base}), 0)` })
		.from(difference)
		.innerJoin(item, eq(item.id, difference.itemId))
		.innerJoin(document, eq(document.id, item.documentId))
		.where(sql`${document.openingOn} = ${on} and ${difference.kind} = 'settled_before'`)
		.all();
	return minor(issued[0]!.sum - settled[0]!.sum);
}
