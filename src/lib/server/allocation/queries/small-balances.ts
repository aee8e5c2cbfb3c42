import { minor } from '../../../core/money/minor';
import { and, asc, eq, inArray, lt, lte } from 'drizzle-orm';
import { NO_LIMITS } from '../../../core/4-allocation/over-limits';
import { customer, document, item, itemState } from '../../platform/db/schema';
import { isOpen } from '../../documents/store/is-open';
import { bookedBefore, limitsNow } from '../../reductions/store/over-limits-now';
import { readSetting } from '../../firm/store/settings';
import { defineLook } from '../../act/define-look';

const BALANCES_SHOWN = 2_000;

/**
 * What is left open of part-paid items (or of all, where asked) up to a sum in base currency, minor units; or, for one
 * account, all that it owes, whatever the sum. At most 2,000.
 */
export const lookAtSmallBalances = defineLook(
	'reader',
	async (db, query: { upTo: number | null; partPaid: boolean; code?: string | null }, { who, today }) => {
		const limits = (await readSetting(db, 'limits')) ?? NO_LIMITS;
		const firm = await readSetting(db, 'firm');
		const upTo = query.upTo ?? limits.tolerance ?? 100;
		const owner = query.code
			? await db
					.select({ id: customer.id, code: customer.code, name: customer.name })
					.from(customer)
					.where(eq(customer.code, query.code))
					.get()
			: undefined;
		const rows = await db
			.select({
				itemId: item.id,
				version: itemState.version,
				number: document.number,
				part: item.part,
				parts: item.parts,
				customer: customer.name,
				code: customer.code,
				due: itemState.due,
				total: item.total,
				open: itemState.open,
				openBase: itemState.openBase,
				currency: itemState.currency
			})
			.from(itemState)
			.innerJoin(item, eq(item.id, itemState.itemId))
			.innerJoin(document, eq(document.id, item.documentId))
			.innerJoin(customer, eq(customer.id, itemState.customerId))
			.where(
				and(
					isOpen,
					inArray(itemState.kind, ['invoice', 'charge']),
					...(owner
						? [eq(itemState.customerId, owner.id)]
						: [
								lte(itemState.openBase, minor(upTo)),
								query.partPaid ? lt(itemState.open, item.total) : undefined
							])
				)
			)
			.orderBy(asc(customer.name), asc(itemState.due), asc(item.id))
			.limit(BALANCES_SHOWN);
		return {
			rows,
			owner: owner ?? null,
			upTo,
			base: firm?.baseCurrency ?? 'GBP',
			tolerance: limits.tolerance,
			mine: await limitsNow(db, who),
			before: (await bookedBefore(db, await limitsNow(db, who), { who, today, customers: [] })).day
		};
	}
);
