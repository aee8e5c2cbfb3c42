import { eq, inArray } from 'drizzle-orm';
import { CHART } from '../../core/5-journal/chart';
import { journalOfSetAside } from '../../core/5-journal/journal-of-set-aside';
import type { Day } from '../../core/day/day';
import { minor } from '../../core/money/minor';
import { toDecimal } from '../../core/money/to-decimal';
import { journalLine, receiptState, tie } from '../db/schema';
import { onItsWay } from '../repo/recorded';
import { postJournal } from '../repo/post-journal';
import { actByKey, recordAct } from '../repo/record-act';
import { whereMoneyLies } from '../repo/where-money-lies';
import { DomainError } from '../domain-error';
import { defineAct } from './perform';
import { accountingDate } from './accounting-day';
import { refuseUnidentified, takeReceipt } from './take-receipt';

/**
 * The bank shows money that was recorded by hand: the entry meets the receipt, or all of a paying-in slip, and is not counted
 * again. Bank to money on its way; the customers' accounts stay as they are.
 */
export const tieEntry = defineAct({
	kind: 'tie-entry',
	needs: 'clerk',
	run: async (
		tx,
		input: {
			readonly receiptId: number;
			readonly receiptVersion: number;
			readonly to: { readonly kind: 'slip' | 'receipt'; readonly id: number };
		},
		at
	): Promise<{ actId: number }> => {
		if (at.key) {
			const done = await actByKey(tx, at.key);
			if (done) return { actId: done.id };
		}
		const { row, state } = await takeReceipt(tx, input.receiptId, input.receiptVersion);
		const found = (await onItsWay(tx)).find((one) => one.kind === input.to.kind && one.id === input.to.id);
		if (!found || row.bankEntryId === null)
			throw new DomainError({ code: 'not-found', what: 'recorded payment' });
		refuseUnidentified(state);
		if (found.amount !== row.amount || found.currency !== row.currency)
			throw new DomainError({
				code: 'tie-differs',
				recorded: found.amount,
				shown: row.amount,
				currency: row.currency
			});
		const date = await accountingDate(tx, row.booked as Day);
		const amount = minor(row.amount);
		// What was recorded stands on money on its way with a base value of its own: that one is moved.
		const lines = await tx
			.select({ base: journalLine.base, account: journalLine.account })
			.from(journalLine)
			.innerJoin(receiptState, eq(receiptState.actId, journalLine.actId))
			.where(inArray(receiptState.receiptId, [...found.receiptIds]));
		const base = minor(
			lines.filter((line) => line.account === CHART.onItsWay.code).reduce((sum, line) => sum + line.base, 0)
		);
		const lies = whereMoneyLies(row, state);
		const actId = await recordAct(tx, {
			kind: 'tie-entry',
			date,
			at: at.now(),
			userId: at.who.id,
			userName: at.who.name,
			summary: `The bank shows ${toDecimal(amount, row.currency)} ${row.currency} recorded before: ${found.method} ${found.reference}`,
			facts: { to: input.to, receiptIds: found.receiptIds },
			receiptId: row.id,
			key: at.key
		});
		await tx
			.insert(tie)
			.values(found.receiptIds.map((recordedId) => ({ actId, shownId: row.id, recordedId })));
		await tx
			.update(receiptState)
			.set({
				state: 'tied',
				heldBecause: null,
				heldOrder: null,
				version: input.receiptVersion + 1,
				actId,
				lastActId: actId
			})
			.where(eq(receiptState.receiptId, row.id));
		await postJournal(
			tx,
			actId,
			date,
			journalOfSetAside({
				amount,
				base,
				currency: row.currency,
				bankLedger: lies.ledger,
				bankEntryId: lies.bankEntryId,
				account: CHART.onItsWay.code
			})
		);
		return { actId };
	}
});
