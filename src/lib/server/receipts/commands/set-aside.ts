import { and, eq } from 'drizzle-orm';
import { z } from 'zod';
import type { OverLimit, Reduction } from '../../../core/4-allocation/over-limits';
import { journalOfSetAside } from '../../../core/5-journal/journal-of-set-aside';
import { ledgerAccount } from '../../platform/db/schema';
import { readSetting } from '../../firm/store/settings';
import { postJournal } from '../../ledger/store/post-journal';
import { learnUsualLine, ruleUsualLine } from '../store/usual-lines';
import { whereMoneyLies } from '../store/where-money-lies';
import { defineAct } from '../../act/define-act';
import { askApproval } from '../../approvals/store/ask-approval';
import { overLimitsNow } from '../../reductions/store/over-limits-now';
import { writeReductions } from '../../reductions/store/write-reductions';
import { moneyOf } from './accounting-day';
import { moveReceipt } from '../store/receipt-states';
import { DomainError } from '../../act/domain-error';
import { takeReceipt } from './take-receipt';

export const setAsideInput = z.object({
	receiptId: z.number().int(),
	receiptVersion: z.number().int(),
	account: z.string().min(1, 'Choose the ledger account.').max(40),
	/** Whether money of this name goes there from now on: proposed, not posted by itself. */
	remember: z.boolean().default(false)
});

export interface SetAside {
	/** Null where it waits for a supervisor. */
	readonly actId: number | null;
	/** What is beyond the person's limits. */
	readonly waits: readonly OverLimit[];
}

/**
 * Books money that is not a customer's (either direction) on a ledger account. Money that came in counts against the person's
 * limits: beyond them the receipt waits for a supervisor.
 */
export const setAside = defineAct({
	kind: 'set-aside',
	role: 'clerk',
	input: setAsideInput,
	run: async (ctx, input): Promise<SetAside> => {
		const { tx } = ctx;
		const { row, state } = await takeReceipt(tx, input.receiptId, input.receiptVersion);
		const target = await tx
			.select()
			.from(ledgerAccount)
			.where(and(eq(ledgerAccount.code, input.account), eq(ledgerAccount.forSettingAside, true)))
			.get();
		if (!target) throw new DomainError({ code: 'not-found', what: `ledger account ${input.account}` });
		const lies = whereMoneyLies(row, state);
		const { date, base } = await moneyOf(tx, row, state, ctx.today);
		const amount = row.amount;
		const booked: Reduction[] = amount > 0 ? [{ kind: 'set_aside', base, customerId: null }] : [];
		const waits = await overLimitsNow(ctx, booked);
		if (waits.length > 0) {
			const sum = { amount, currency: row.currency };
			const asked = await askApproval(ctx, {
				...{ kind: 'set-aside', input, over: waits, customerId: null, receiptId: row.id },
				about: { code: 'set-aside', sum, payer: row.payerName, account: target.name },
				run: (rehearsal) => setAside.run(rehearsal.as('set-aside'), input)
			});
			await moveReceipt(tx, { id: row.id, state: state.state }, 'ask', asked, { heldBecause: null });
			return { actId: null, waits };
		}
		const actId = await ctx.record({
			date,
			summary: { amount, currency: row.currency, account: target.name },
			facts: { account: target.code },
			receiptId: row.id
		});
		await moveReceipt(tx, { id: row.id, state: state.state }, 'set_aside', actId);
		if (input.remember) await ruleUsualLine(tx, row, target.code, ctx.who.name);
		const vat = (await readSetting(tx, 'vatOfAccounts'))?.[target.code] ?? null;
		const posting = {
			amount,
			base,
			currency: row.currency,
			bankLedger: lies.ledger,
			bankEntryId: lies.bankEntryId
		};
		await learnUsualLine(tx, row, target.code);
		await postJournal(
			tx,
			actId,
			date,
			journalOfSetAside({ ...posting, account: target.code, vatBasisPoints: vat })
		);
		await writeReductions(ctx, actId, booked);
		return { actId, waits };
	}
});
