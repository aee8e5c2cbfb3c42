import { eq } from 'drizzle-orm';
import { z } from 'zod';
import { journalOfReturnShown } from '../../../core/5-journal/journal-of-return-shown';
import { minor } from '../../../core/money/minor';
import { returnedPayment, bankReturnMatch } from '../../platform/db/schema';
import { moveReceipt } from '../../receipts/store/receipt-states';
import { DomainError } from '../../act/domain-error';
import { postJournal } from '../../ledger/store/post-journal';
import { returnedPayments } from '../store/returned-payments';
import { accountingDate, converter } from '../../receipts/commands/accounting-day';
import { defineAct } from '../../act/define-act';
import { refuseUnidentified, takeReceipt } from '../../receipts/commands/take-receipt';

export const returnParts = z.enum(['money', 'fee', 'both']);
export type ReturnPart = z.infer<typeof returnParts>;

export const matchReturnInput = z.object({
	receiptId: z.number().int(),
	receiptVersion: z.number().int(),
	returnedId: z.number().int(),
	part: returnParts,
	/** Whether what the entry takes beyond that is a bank charge. */
	restIsCharge: z.boolean().default(false)
});

/** The bank's debit entry shows a returned payment, its fee, or both, which were booked before: they meet, and nothing is counted twice. */
export const matchBankReturn = defineAct({
	kind: 'match-bank-return',
	role: 'clerk',
	input: matchReturnInput,
	run: async (ctx, input): Promise<{ actId: number }> => {
		const { tx } = ctx;
		const { row, state } = await takeReceipt(tx, input.receiptId, input.receiptVersion);
		const [back] = await returnedPayments(tx, { id: input.returnedId });
		const shownBefore =
			back && ((back.moneyShown && input.part !== 'fee') || (back.feeShown && input.part !== 'money'));
		if (!back || shownBefore || row.amount >= 0 || row.bankEntryId === null || back.currency !== row.currency)
			throw new DomainError({ code: 'not-found', what: 'returned payment that this entry could show' });
		refuseUnidentified(state);
		const values = await tx.select().from(returnedPayment).where(eq(returnedPayment.id, back.id)).get();
		const booked = minor((input.part === 'fee' ? 0 : back.amount) + (input.part === 'money' ? 0 : back.fee));
		const bookedBase = minor(
			(input.part === 'fee' ? 0 : values!.base) + (input.part === 'money' ? 0 : values!.feeBase)
		);
		const shown = minor(-row.amount);
		if (shown < booked || (shown > booked && !input.restIsCharge))
			throw new DomainError({ code: 'return-differs', shown, booked, currency: row.currency });
		const date = await accountingDate(tx, row.booked);
		const toBase = await converter(tx, row.currency, date);
		const actId = await ctx.record({
			date,
			summary: { amount: shown, currency: row.currency, part: input.part, customer: back.customer },
			facts: { returnedId: back.id, part: input.part, rest: shown - booked },
			receiptId: row.id,
			customerId: back.customerId
		});
		await tx.insert(bankReturnMatch).values({
			...{ actId, shownId: row.id, returnedId: back.id, part: input.part },
			...{ amount: booked, base: bookedBase }
		});
		await moveReceipt(tx, { id: row.id, state: state.state }, 'match', actId);
		await postJournal(
			tx,
			actId,
			date,
			journalOfReturnShown({
				...{ amount: shown, base: toBase(shown), currency: row.currency },
				...{ bankLedger: row.bankLedger!, bankEntryId: row.bankEntryId },
				...{ booked, bookedBase, restBase: shown > booked ? toBase(minor(shown - booked)) : minor(0) }
			})
		);
		return { actId };
	}
});
