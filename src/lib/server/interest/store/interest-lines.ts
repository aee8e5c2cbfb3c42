import { eq } from 'drizzle-orm';
import { alias } from 'drizzle-orm/sqlite-core';
import type { InterestLine } from '../../../core/7-letters/letter';
import { groupBy } from '../../../core/group-by';
import { minor, ZERO } from '../../../core/money/minor';
import { inList } from '../../platform/db/in-list';
import type { Reader } from '../../platform/db/open';
import { document, interestCharge, interestCorrection, item } from '../../platform/db/schema';

/** What charges of interest, and credit notes that correct some, are made of, as a letter tells it. @param ids of their own items */
export async function interestLines(
	db: Reader,
	ids: readonly number[]
): Promise<ReadonlyMap<number, InterestLine[]>> {
	const late = alias(item, 'late');
	const charged = await db
		.select({ itemId: item.id, number: document.number, row: interestCharge })
		.from(item)
		.innerJoin(interestCharge, eq(interestCharge.documentId, item.documentId))
		.innerJoin(late, eq(late.id, interestCharge.itemId))
		.innerJoin(document, eq(document.id, late.documentId))
		.where(inList(item.id, ids))
		.orderBy(interestCharge.id)
		.all();
	const corrected = await db
		.select({ itemId: item.id, number: document.number, row: interestCorrection, of: interestCharge })
		.from(item)
		.innerJoin(interestCorrection, eq(interestCorrection.documentId, item.documentId))
		.innerJoin(interestCharge, eq(interestCharge.id, interestCorrection.chargeId))
		.innerJoin(late, eq(late.id, interestCharge.itemId))
		.innerJoin(document, eq(document.id, late.documentId))
		.where(inList(item.id, ids))
		.orderBy(interestCorrection.id)
		.all();
	const lines = [
		...charged.flatMap(({ itemId, number, row }) => {
			const { spans, fromDay: from, amount, compensation } = row;
			const days = { number, from, to: spans.at(-1)?.to ?? row.toDay };
			return [
				...(amount > 0 ? [{ itemId, line: { kind: 'interest' as const, ...days, spans, amount } }] : []),
				...(compensation > 0
					? [{ itemId, line: { kind: 'compensation' as const, ...days, spans: [], amount: compensation } }]
					: [])
			];
		}),
		...corrected.map(({ itemId, number, row, of }) => ({
			itemId,
			line: {
				...{ kind: 'correction' as const, number, from: of.fromDay, to: of.toDay, spans: [] },
				amount: minor(ZERO - row.amount)
			}
		}))
	];
	return new Map(
		[...groupBy(lines, (one) => one.itemId)].map(([id, some]) => [id, some.map((one) => one.line)] as const)
	);
}
