import { z } from 'zod';
import { CLAIM_REASONS } from '../../core/model/claim';
import { DIFFERENCE_KINDS } from '../../core/model/records';
import { amountField, chosenDayField, dayField } from '../act/fields';

const amount = amountField;

const claimInput = z.object({
	reason: z.enum(CLAIM_REASONS),
	owner: z.string().trim().min(1, 'Say who follows the claim up.').max(120),
	deadline: dayField,
	note: z.string().trim().max(1000).default('')
});

/** What the desk sends: which money, credits and items were seen in which version, and what is laid on each. */
export const allocationInput = z.object({
	/** Null where only credits are allocated. */
	receiptId: z.number().int().nullable(),
	receiptVersion: z.number().int().nullable(),
	customerId: z.number().int().nullable(),
	/** Earlier money on account that is allocated now. */
	credits: z
		.array(z.object({ receiptId: z.number().int(), version: z.number().int(), use: amount }))
		.max(500)
		.default([]),
	lines: z
		.array(
			z.object({
				itemId: z.number().int(),
				version: z.number().int(),
				cash: amount,
				settles: amount.optional(),
				differences: z.array(z.object({ kind: z.enum(DIFFERENCE_KINDS), amount })).max(20),
				claim: claimInput.optional()
			})
		)
		.max(2000),
	fees: z
		.array(z.object({ kind: z.enum(['processor_fee', 'bank_charge']), amount }))
		.max(20)
		.default([]),
	surplus: z
		.array(z.object({ kind: z.enum(['small_difference', 'refund']), amount }))
		.max(20)
		.default([]),
	/** The order that what stays on account was paid for. */
	depositFor: z.string().trim().max(70).nullable().default(null),
	/** The accounting day where no new money is allocated; the bank's day goes before. */
	date: chosenDayField,
	/** The remittance advice that was followed. */
	adviceId: z.number().int().nullable().default(null),
	/** Whether this payer is remembered as one who pays for the customer. */
	remember: z.boolean().default(false)
});
export type AllocationInput = z.input<typeof allocationInput>;
/** The same, with what was left out filled in. */
export type AllocationOrder = z.output<typeof allocationInput>;
