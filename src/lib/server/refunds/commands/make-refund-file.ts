import { takesTwo } from '../../approvals/store/takes-two';
import { eq } from 'drizzle-orm';
import { z } from 'zod';
import { pain001 } from '../../../core/8-payments/pain001';
import type { Problem } from '../../../core/problems';
import { minor } from '../../../core/money/minor';
import { bankAccount, refundFile, refundInFile } from '../../platform/db/schema';
import { refundsDue } from '../store/refunds-due';
import { readSetting } from '../../firm/store/settings';
import { takeId } from '../../platform/db/take-ids';
import { DomainError } from '../../act/domain-error';
import { accountNumberField } from '../../act/fields';
import { defineAct } from '../../act/define-act';

export const refundFileInput = z.object({
	bankAccountId: z.number({ message: 'Choose the bank account.' }).int(),
	refunds: z
		.array(
			z.object({
				id: z.number().int(),
				/** Where it goes: as the bank showed it, or as somebody typed it. */
				account: accountNumberField('Give the account that each refund goes to.')
			})
		)
		.min(1, 'Choose something first.')
		.max(2000)
});

/** Writes refunds into a file for the bank, each once for ever; the bank's own debit is set aside to refunds when it comes. */
export const makeRefundFile = takesTwo(
	defineAct({
		kind: 'make-refund-file',
		role: 'supervisor',
		input: refundFileInput,
		run: async (ctx, input): Promise<{ fileId: number }> => {
			const { tx } = ctx;
			const from = await tx.select().from(bankAccount).where(eq(bankAccount.id, input.bankAccountId)).get();
			const firm = await readSetting(tx, 'firm');
			if (!from || !firm) throw new DomainError({ code: 'not-found', what: 'bank account' });
			const due = new Map((await refundsDue(tx)).map((one) => [one.id, one]));
			const problems: Problem[] = [];
			const refunds = input.refunds.flatMap(({ id, account }) => {
				const one = due.get(id);
				if (!one) problems.push({ code: 'draft-gone' });
				else if (one.currency !== from.currency)
					problems.push({
						code: 'other-currency',
						item: `The refund of ${one.customer}`,
						found: one.currency,
						want: from.currency
					});
				else
					return [
						{
							endToEndId: `REFUND-${id}`,
							payee: one.payee,
							account,
							amount: minor(one.amount),
							text: `Refund, account ${one.code}`
						}
					];
				return [];
			});
			if (problems.length > 0) throw new DomainError(...problems.slice(0, 50));
			const fileId = await takeId(tx, refundFile);
			const messageId = `REFUNDS-${ctx.today}-${fileId}`;
			const xml = pain001({
				messageId,
				madeAt: ctx.now().slice(0, 19),
				payOn: ctx.today,
				firm: firm.name,
				from: { account: from.number, bic: from.bic },
				currency: from.currency,
				refunds
			});
			const actId = await ctx.record({
				summary: { count: refunds.length },
				facts: { fileId, refunds: input.refunds }
			});
			const name = `${messageId.toLowerCase()}.xml`;
			await tx
				.insert(refundFile)
				.values({ id: fileId, actId, date: ctx.today, bankAccountId: from.id, name, xml });
			await tx
				.insert(refundInFile)
				.values(input.refunds.map(({ id }) => ({ receiptAdjustmentId: id, fileId })));
			return { fileId };
		}
	}),
	async ({ tx }, input) => {
		const from = await tx.select().from(bankAccount).where(eq(bankAccount.id, input.bankAccountId)).get();
		const due = new Map((await refundsDue(tx)).map((one) => [one.id, one]));
		const refunds = input.refunds.flatMap(({ id, account }) => {
			const one = due.get(id);
			return one ? [{ payee: one.payee, account, amount: one.amount, currency: one.currency }] : [];
		});
		return { code: 'refund-file', from: from?.name ?? '', refunds };
	}
);
