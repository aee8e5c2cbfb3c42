import { and, asc, eq, inArray } from 'drizzle-orm';
import { answerReceipts } from '../../core/3-matching/answer-receipts';
import type { Day } from '../../core/day/day';
import { minor } from '../../core/money/minor';
import { reasonSentence } from '../../words/reason-sentence';
import { receipt, receiptState } from '../db/schema';
import { matchingBooks } from '../repo/matching-books';
import { actByKey } from '../repo/record-act';
import { defineAct } from './perform';
import { placeMoney } from './place-money';

/**
 * Posts receipts whose answers are certain, those that were read and still are so, each an act of its own, all in one
 * transaction. One that changed since, or is no longer certain, is left where it is.
 */
export const placeCertain = defineAct({
	kind: 'place-receipt',
	needs: 'clerk',
	run: async (
		tx,
		input: { receipts: readonly { id: number; version: number }[] },
		at
	): Promise<{ actIds: number[]; left: number }> => {
		if (at.key && (await actByKey(tx, `${at.key}-0`))) return { actIds: [], left: 0 };
		const asked = new Map(input.receipts.map((row) => [row.id, row.version]));
		// Answered with the whole pile: what another receipt wants decides whether this one is still certain.
		const rows = await tx
			.select({ row: receipt, version: receiptState.version })
			.from(receiptState)
			.innerJoin(receipt, eq(receipt.id, receiptState.receiptId))
			.where(and(inArray(receiptState.state, ['waiting', 'held'])))
			.orderBy(asc(receiptState.booked), asc(receipt.id));
		const facts = rows.map(({ row }) => ({
			...row,
			booked: row.booked as Day,
			amount: minor(row.amount + row.fee),
			charges: minor(row.charges)
		}));
		const fees = new Map(
			rows
				.filter(({ row }) => row.fee > 0)
				.map(({ row }) => [row.id, [{ kind: 'processor_fee' as const, amount: row.fee }]])
		);
		const books = await matchingBooks(tx, facts);
		const versions = new Map(rows.map(({ row, version }) => [row.id, version]));
		const itemVersions = new Map(books.items.map((item) => [item.id, item.version]));
		const actIds: number[] = [];
		for (const answer of answerReceipts(facts, books)) {
			if (answer.band !== 'certain' || asked.get(answer.receiptId) !== versions.get(answer.receiptId))
				continue;
			// Earlier money is placed by a person only.
			if (answer.credits.length > 0) continue;
			const order = {
				receiptId: answer.receiptId,
				receiptVersion: versions.get(answer.receiptId)!,
				customerId: answer.customerId,
				lines: answer.lines.map((line) => ({
					itemId: line.itemId,
					version: itemVersions.get(line.itemId)!,
					cash: line.cash,
					differences: [...line.differences]
				})),
				fees: fees.get(answer.receiptId) ?? [],
				adviceId: answer.adviceId ?? null,
				reasons: answer.reasons.map(reasonSentence)
			};
			const { actId } = await placeMoney.run(tx, order, {
				...at,
				key: at.key && `${at.key}-${actIds.length}`
			});
			for (const line of order.lines) itemVersions.set(line.itemId, line.version + 1);
			if (actId === null) continue;
			actIds.push(actId);
		}
		return { actIds, left: input.receipts.length - actIds.length };
	}
});
