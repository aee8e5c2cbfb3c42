import { eq } from 'drizzle-orm';
import { z } from 'zod';
import { LIMIT_OF_CREDIT_NOTE, type OverLimit } from '../../../core/4-allocation/over-limits';
import { drawUp } from '../../../core/1-open-items/draw-up';
import { addDays } from '../../../core/day/arithmetic';
import { TERMS_FROM } from '../../../core/model/customer-details';
import { dayField } from '../../act/fields';
import { minor } from '../../../core/money/minor';
import { customer } from '../../platform/db/schema';
import { DomainError } from '../../act/domain-error';
import { askApproval } from '../../approvals/store/ask-approval';
import { converter } from '../../receipts/commands/accounting-day';
import { overLimitsNow } from '../../reductions/store/over-limits-now';
import { writeReductions } from '../../reductions/store/write-reductions';
import { issue } from './issue-documents';
import { defineAct } from '../../act/define-act';

const reference = z.string().trim().max(70).nullable();

/** What the screen for one document sends. Amounts in minor units of the customer's currency, rates in basis points. */
export const documentInput = z.object({
	kind: z.enum(['invoice', 'credit_note', 'charge']),
	/** What a credit note is given for: each has limits of its own. */
	creditNoteKind: z.enum(['goods', 'price', 'goodwill']).nullable().default(null),
	customerId: z.number({ error: 'Choose the customer first.' }).int(),
	number: z.string().trim().min(1, 'Give the document a number.').max(35),
	issued: dayField,
	lines: z
		.array(
			z.object({
				text: z.string().trim().min(1, 'Say on each line what it is for.').max(200),
				net: z.number().int(),
				taxBasisPoints: z.number().int().min(0).max(10_000)
			})
		)
		.min(1, 'Type one line at least.')
		.max(200),
	shares: z
		.array(z.object({ basisPoints: z.number().int().min(1), days: z.number().int().min(0).max(3650) }))
		.min(1)
		.max(60)
		.refine(
			(shares) => shares.reduce((sum, one) => sum + one.basisPoints, 0) === 10_000,
			'The instalments do not come to 100%.'
		),
	/** From when these days are counted, as it was shown. */
	termsFrom: z.enum(TERMS_FROM).default('issue'),
	discount: z
		.object({ basisPoints: z.number().int().min(1).max(10_000), days: z.number().int().min(0).max(3650) })
		.nullable(),
	purchaseOrder: reference,
	orderReference: reference,
	paymentReference: reference
});

export interface IssuedByHand {
	/** Null where it waits for a supervisor. */
	readonly documentId: number | null;
	readonly code: string;
	/** What is beyond the person's limits. */
	readonly waits: readonly OverLimit[];
}

/**
 * Issues one document as it was typed: worked out by the core, posted with its journal. A credit note beyond the person's limits
 * waits for a supervisor.
 */
export const issueByHand = defineAct({
	kind: 'issue-by-hand',
	role: 'clerk',
	input: documentInput,
	run: async (ctx, input): Promise<IssuedByHand> => {
		const { tx } = ctx;
		const owner = await tx
			.select({ code: customer.code, name: customer.name, currency: customer.currency })
			.from(customer)
			.where(eq(customer.id, input.customerId))
			.get();
		if (!owner) throw new DomainError({ code: 'not-found', what: 'customer' });
		const { issued } = input;
		const lines = input.lines.map((line) => ({ ...line, net: minor(line.net) }));
		const drawn = drawUp(lines, issued, input.shares, input.termsFrom);
		if (drawn.total <= 0)
			throw new DomainError({
				...{ code: 'field', field: 'lines' },
				message: 'The document has to come to more than nothing. What lowers the debt is a credit note.'
			});
		const { creditNoteKind } = input;
		if (input.kind === 'credit_note' && !creditNoteKind)
			throw new DomainError({
				...{ code: 'field', field: 'creditNoteKind' },
				message: 'Say what the credit note is given for.'
			});
		const booked =
			creditNoteKind && input.kind === 'credit_note'
				? [
						{
							kind: LIMIT_OF_CREDIT_NOTE[creditNoteKind],
							base: (await converter(tx, owner.currency, issued))(drawn.total),
							customerId: input.customerId
						}
					]
				: [];
		const waits = await overLimitsNow(ctx, booked);
		if (waits.length > 0) {
			await askApproval(ctx, {
				...{ kind: 'issue-by-hand', input, over: waits, customerId: input.customerId },
				about: {
					...{ code: 'credit', number: input.number, of: creditNoteKind!, customer: owner.name },
					sum: { amount: drawn.total, currency: owner.currency }
				},
				run: (rehearsal) => issueByHand.run(rehearsal.as('issue-by-hand'), input)
			});
			return { documentId: null, code: owner.code, waits };
		}
		const actId = await ctx.record({
			date: issued,
			summary: { number: input.number, customer: owner.name },
			customerId: input.customerId
		});
		const { documentIds } = await issue(ctx, [
			{
				...{ kind: input.kind, creditNoteKind, number: input.number, customerId: input.customerId, issued },
				...{ currency: owner.currency, lines: drawn.lines, text: lines[0]!.text },
				instalments: drawn.instalments.filter((part) => part.amount > 0),
				purchaseOrder: input.purchaseOrder || null,
				orderReference: input.orderReference || null,
				paymentReference: input.paymentReference || null,
				discountBasisPoints: input.discount?.basisPoints ?? null,
				discountUntil: input.discount ? addDays(issued, input.discount.days) : null
			}
		]);
		await writeReductions(ctx, actId, booked);
		return { documentId: documentIds[0]!, code: owner.code, waits };
	}
});
