import { asc, eq, isNull } from 'drizzle-orm';
import { matchAdvice } from '../../../core/3-matching';
import { advice, customer } from '../../platform/db/schema';
import { groupBy } from '../../../core/group-by';
import { keptAdvices } from '../store/kept-advices';
import { openItemsOf } from '../../documents/store/open-items';
import { defineLook } from '../../act/define-look';

/** Remittance advices that wait for their payment, with what of each can be tied to something open. */
export const lookAtAdvices = defineLook('reader', async (db, customerId: number | null) => {
	const rows = await db
		.select({ id: advice.id, keptBy: advice.keptBy, name: customer.name, code: customer.code })
		.from(advice)
		.innerJoin(customer, eq(customer.id, advice.customerId))
		.where(isNull(advice.receiptId))
		.orderBy(asc(advice.id));
	const about = new Map(rows.map((row) => [row.id, row]));
	const kept = await keptAdvices(db);
	const items = groupBy(
		await openItemsOf(db, [...new Set(kept.map((one) => one.customerId))]),
		(item) => item.customerId
	);
	const owner = customerId
		? await db
				.select({ id: customer.id, name: customer.name, code: customer.code, currency: customer.currency })
				.from(customer)
				.where(eq(customer.id, customerId))
				.get()
		: undefined;
	return {
		owner: owner ?? null,
		ownerItems: owner ? await openItemsOf(db, [owner.id]) : [],
		waiting: kept.map(({ id, date, currency, total, lines, customerId: of }) => {
			const matched = matchAdvice(lines, items.get(of) ?? []);
			return {
				...about.get(id)!,
				...{ id, date, currency, total, lines: lines.length },
				tied: matched.filter((line) => line.item && !line.wrong).length
			};
		})
	};
});
