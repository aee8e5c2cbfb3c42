import { eq } from 'drizzle-orm';
import { z } from 'zod';
import { drawUp } from '../../../core/1-open-items/draw-up';
import { addDays } from '../../../core/day/arithmetic';
import { dayField } from '../../act/fields';
import { minor } from '../../../core/money/minor';
import { customer } from '../../platform/db/schema';
import { DomainError } from '../../act/domain-error';
import { issue } from './issue-documents';
import { defineAct } from '../../act/define-act';

const reference = z.string().trim().max(70).nullable();

/** What the screen for one document sends. Amounts in minor units of the customer's currency, rates in basis points. */
export const documentInput = z.object({
	kind: z.enum(['invoice', 'credit_note', 'charge']),
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
			'The instalments do not come to 100 %.'
		),
	discount: z
		.object({ basisPoints: z.number().int().min(1).max(10_000), days: z.number().int().min(0).max(3650) })
		.nullable(),
	purchaseOrder: reference,
	orderReference: reference,
	paymentReference: reference
});

/** Issues one document as it was typed: worked out by the core, posted with its journal. */
export const issueByHand = defineAct({
	kind: 'issue-by-hand',
	role: 'clerk',
	input: documentInput,
	run: async (ctx, input): Promise<{ documentId: number; code: string }> => {
		const { tx } = ctx;
		const owner = await tx
			.select({ code: customer.code, name: customer.name, currency: customer.currency })
			.from(customer)
			.where(eq(customer.id, input.customerId))
			.get();
		if (!owner) throw new DomainError({ code: 'not-found', what: 'customer' });
		const { issued } = input;
		const lines = input.lines.map((line) => ({ ...line, net: minor(line.net) }));
		const drawn = drawUp(lines, issued, input.shares);
		if (drawn.total <= 0)
			throw new DomainError({
				...{ code: 'field', field: 'lines' },
				message: 'The document has to come to more than nothing. What lowers the debt is a credit note.'
			});
		await ctx.record({
			date: issued,
			summary: { number: input.number, customer: owner.name },
			customerId: input.customerId
		});
		const { documentIds } = await issue(ctx, [
			{
				...{ kind: input.kind, number: input.number, customerId: input.customerId, issued },
				...{ currency: owner.currency, lines: drawn.lines, text: lines[0]!.text },
				instalments: drawn.instalments.filter((part) => part.amount > 0),
				purchaseOrder: input.purchaseOrder || null,
				orderReference: input.orderReference || null,
				paymentReference: input.paymentReference || null,
				discountBasisPoints: input.discount?.basisPoints ?? null,
				discountUntil: input.discount ? addDays(issued, input.discount.days) : null
			}
		]);
		return { documentId: documentIds[0]!, code: owner.code };
	}
});
