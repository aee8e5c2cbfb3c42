import { z } from 'zod';
import type { InterestSheet } from '../../../core/9-interest/interest-sheet';
import { daysOf } from '../../../core/9-interest/interest-of';
import type { DaySpan } from '../../../core/model/late-span';
import type { Day } from '../../../core/day/day';
import { minor } from '../../../core/money/minor';
import { sumOf } from '../../../core/money/add';
import { count, shortDay } from '../../../words';
import { defineAct, type ActContext } from '../../act/define-act';
import { DomainError } from '../../act/domain-error';
import { amountField, currencyField, dayField, idField } from '../../act/fields';
import { customerById } from '../../customers/store/customer-by-id';
import { issue } from '../../documents/commands/issue-documents';
import { nextNumber } from '../../documents/store/next-number';
import { insertRows } from '../../platform/db/insert-rows';
import { interestCharge, interestCorrection } from '../../platform/db/schema';
import { sheetOf } from '../queries/interest';
import { interestAccounts, type InterestAccount } from '../store/interest-accounts';

export const chargeInput = z.object({
	/** The last day that is charged. */
	through: dayField,
	chosen: z
		.array(
			z.object({
				customerId: idField,
				currency: currencyField,
				/** What the person saw on the sheet: charged, and given back. */
				charge: amountField,
				credit: amountField
			})
		)
		.min(1, 'Choose somebody first.')
		.max(5_000, 'So many accounts are charged in parts: 5,000 at a time.')
});

/**
 * Charges interest up to a day: one charge for each account, due at once, in a series of its own, with a line for each item; and a credit
 * note for what was charged too much on days before. The sheet is reckoned anew: where it is no longer what the person saw, nothing is charged.
 */
export const chargeInterest = defineAct({
	kind: 'charge-interest',
	role: 'clerk',
	input: chargeInput,
	run: async (ctx, { through, chosen }): Promise<{ actId: number; accounts: number }> => {
		if (through > ctx.today)
			throw new DomainError({ code: 'field', field: 'through', message: 'That day is still to come.' });
		const accounts = new Map(
			(
				await interestAccounts(
					ctx.tx,
					through,
					chosen.map((one) => one.customerId)
				)
			).map((one) => [`${one.customerId} ${one.currency}`, one])
		);
		const sheets = chosen.map((one) => {
			const account = accounts.get(`${one.customerId} ${one.currency}`);
			return { one, account, sheet: account ? sheetOf(account, through) : null };
		});
		for (const { one, sheet } of sheets)
			if (!sheet || sheet.charge !== one.charge || sheet.credit !== one.credit)
				throw new DomainError({
					code: 'interest-changed',
					customer: (await customerById(ctx.tx, one.customerId)).name
				});
		const actId = await ctx.record({ summary: { count: chosen.length, through } });
		for (const { account, sheet } of sheets)
			await chargeAccount(ctx.part('charge-account'), account!, sheet!);
		return { actId, accounts: chosen.length };
	}
});

async function chargeAccount(
	ctx: ActContext<'charge-account'>,
	account: InterestAccount,
	sheet: InterestSheet
): Promise<void> {
	const { tx, today } = ctx;
	const { customerId, currency } = account;
	const { name } = await customerById(tx, customerId);
	const numbers = new Map(account.items.map((item) => [item.id, item.number]));
	const actId = await ctx.record({
		summary: { customer: name, charge: sheet.charge, credit: sheet.credit, currency },
		customerId
	});
	if (sheet.charge > 0) {
		const lines = sheet.rows.flatMap((row) => [
			...(row.amount > 0
				? [{ text: `interest on ${numbers.get(row.itemId)!}, ${spanText(row.spans)}`, net: row.amount }]
				: []),
			...(row.compensation > 0
				? [{ text: `compensation for late payment of ${numbers.get(row.itemId)!}`, net: row.compensation }]
				: [])
		]);
		const documentId = await issueInterest(ctx, 'charge', { customerId, currency, lines }, today);
		await insertRows(
			tx,
			interestCharge,
			sheet.rows.map((row) => ({
				...{ actId, documentId, itemId: row.itemId, fromDay: row.from, toDay: row.to },
				...{ amount: row.amount, compensation: row.compensation, spans: [...row.spans] }
			}))
		);
	}
	if (sheet.credit > 0) {
		const lines = sheet.corrections.map((one) => ({
			text: `interest on ${numbers.get(one.itemId)!}, ${spanText([one])}, corrected`,
			net: minor(one.charged - one.shouldBe)
		}));
		const documentId = await issueInterest(ctx, 'credit_note', { customerId, currency, lines }, today);
		await insertRows(
			tx,
			interestCorrection,
			sheet.corrections.map((one) => ({
				...{ actId, documentId, chargeId: one.chargeId, amount: minor(one.charged - one.shouldBe) }
			}))
		);
	}
}

/** The days on which something was late, as the charge's line names them. */
function spanText(spans: readonly DaySpan[]): string {
	const days = spans.reduce((sum, span) => sum + daysOf(span), 0);
	return `${shortDay(spans[0]!.from)} to ${shortDay(spans.at(-1)!.to)}, ${count(days, 'day')}`;
}

/** A document of interest: no tax, due at once. @returns its id */
export async function issueInterest(
	ctx: ActContext,
	kind: 'charge' | 'credit_note',
	{
		customerId,
		currency,
		lines
	}: {
		readonly customerId: number;
		readonly currency: string;
		readonly lines: readonly { readonly text: string; readonly net: ReturnType<typeof minor> }[];
	},
	day: Day
): Promise<number> {
	const total = sumOf(lines, (line) => line.net);
	const { documentIds } = await issue(ctx, [
		{
			...{ kind, income: 'interest', number: await nextNumber(ctx.tx, kind, 'interest') },
			...{ customerId, issued: day, currency, text: 'late-payment interest' },
			lines: lines.map((line) => ({ ...line, taxBasisPoints: 0, tax: minor(0) })),
			instalments: [{ due: day, amount: total }],
			...{ purchaseOrder: null, orderReference: null, paymentReference: null },
			...{ discountBasisPoints: null, discountUntil: null }
		}
	]);
	return documentIds[0]!;
}
