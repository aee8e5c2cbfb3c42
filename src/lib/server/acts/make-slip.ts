import { and, eq, inArray } from 'drizzle-orm';
import { minor } from '../../core/money/minor';
import { toDecimal } from '../../core/money/to-decimal';
import { bankAccount, payingInSlip, receipt, receiptState, slipReceipt } from '../db/schema';
import { actByKey, recordAct } from '../repo/record-act';
import { DomainError } from '../domain-error';
import { defineAct } from './perform';

/** Puts cheques and cash on one paying-in slip for a bank account; nothing is posted until the bank shows the money. */
export const makeSlip = defineAct({
	kind: 'make-slip',
	needs: 'clerk',
	run: async (
		tx,
		input: { readonly bankAccountId: number; readonly receiptIds: readonly number[] },
		at
	): Promise<{ slipId: number }> => {
		if (at.key) {
			const done = await actByKey(tx, at.key);
			if (done) return { slipId: (JSON.parse(done.facts) as { slipId: number }).slipId };
		}
		const account = await tx.select().from(bankAccount).where(eq(bankAccount.id, input.bankAccountId)).get();
		if (!account) throw new DomainError({ code: 'not-found', what: 'bank account' });
		const ids = [...input.receiptIds];
		const rows = await tx
			.select({ id: receipt.id, amount: receipt.amount, currency: receipt.currency, on: slipReceipt.slipId })
			.from(receipt)
			.innerJoin(receiptState, eq(receiptState.receiptId, receipt.id))
			.leftJoin(slipReceipt, eq(slipReceipt.receiptId, receipt.id))
			.where(and(inArray(receipt.id, ids), eq(receiptState.state, 'placed')));
		if (rows.length === 0 || rows.length !== ids.length || rows.some((row) => row.on !== null))
			throw new DomainError({ code: 'draft-gone' });
		const other = rows.find((row) => row.currency !== account.currency);
		if (other)
			throw new DomainError({
				code: 'other-currency',
				item: 'A payment on the slip',
				found: other.currency,
				want: account.currency
			});
		const total = rows.reduce((sum, row) => sum + row.amount, 0);
		const slipId = (await tx.$count(payingInSlip)) + 1;
		const actId = await recordAct(tx, {
			kind: 'make-slip',
			date: at.today,
			at: at.now(),
			userId: at.who.id,
			userName: at.who.name,
			summary: `Made paying-in slip ${slipId}: ${rows.length} payments, ${toDecimal(minor(total), account.currency)} ${account.currency}`,
			facts: { slipId, receiptIds: ids },
			key: at.key
		});
		await tx
			.insert(payingInSlip)
			.values({ id: slipId, actId, date: at.today, bankAccountId: account.id, total });
		await tx.insert(slipReceipt).values(ids.map((receiptId) => ({ receiptId, slipId })));
		return { slipId };
	}
});
