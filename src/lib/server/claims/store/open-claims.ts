import { ZERO } from '../../../core/money/minor';
import { itemLabel } from '../../../core/4-allocation/item-label';
import type { AllocateLine } from '../../../core/4-allocation/allocate-order';
import type { Day } from '../../../core/day/day';
import type { ClaimFacts } from '../../../core/model/claim';
import type { JournalSource } from '../../../core/model/journal';
import type { NumberedPosting } from '../../../core/model/posting';
import { referenceKey } from '../../../core/text/words-of-text';
import type { Tx } from '../../platform/db/open';
import { takeId } from '../../platform/db/take-ids';
import { claim, document, documentLine, item, itemState } from '../../platform/db/schema';

/**
 * Splits claims off their invoices: each becomes a document and an open item of its own, worth what was taken off.
 * @returns what stands on the other side of each claim's deduction in the journal, by the deduction's number
 */
export async function openClaims(
	tx: Tx,
	at: { readonly actId: number; readonly date: Day },
	input: readonly {
		readonly itemId: number;
		readonly claim?: ClaimFacts;
	}[],
	posting: NumberedPosting,
	lines: readonly AllocateLine[]
): Promise<Map<number, JournalSource>> {
	const sources = new Map<number, JournalSource>();
	const items = new Map(lines.map((line) => [line.item.id, line.item]));
	for (const gap of posting.differences.filter((one) => one.kind === 'claim')) {
		const facts = input.find((line) => line.itemId === gap.itemId)!.claim!;
		const from = items.get(gap.itemId)!;
		const documentId = await takeId(tx, document);
		const itemId = await takeId(tx, item);
		const number = `CL-${String(documentId).padStart(5, '0')}`;
		const common = { customerId: from.customerId, due: facts.deadline };
		const { amount: total, base: totalBase, currency } = gap;
		await tx.insert(document).values({
			id: documentId,
			actId: at.actId,
			kind: 'claim',
			number,
			numberKey: referenceKey(number),
			customerId: from.customerId,
			issued: at.date,
			currency,
			total,
			totalBase,
			purchaseOrder: from.purchaseOrder,
			purchaseOrderKey: from.purchaseOrder && referenceKey(from.purchaseOrder),
			text: `claim on ${itemLabel(from)}`
		});
		await tx.insert(documentLine).values({
			documentId,
			text: `${facts.reason}: ${facts.note}`,
			net: total,
			taxBasisPoints: 0,
			tax: ZERO
		});
		await tx.insert(item).values({ id: itemId, documentId, part: 1, parts: 1, total, totalBase, ...common });
		await tx.insert(itemState).values({
			itemId,
			kind: 'claim',
			currency,
			open: total,
			openBase: totalBase,
			version: 1,
			lastActId: at.actId,
			...common
		});
		await tx
			.insert(claim)
			.values({ documentId, actId: at.actId, fromItemId: from.id, state: 'open', ...facts });
		sources.set(gap.id, { kind: 'document', id: documentId, itemId, receiptId: null });
	}
	return sources;
}
