import { z } from 'zod';
import { CALL_OUTCOMES } from '../../../core/model/call-outcome';
import { CLAIM_REASONS } from '../../../core/model/claim';
import { addDays } from '../../../core/day/arithmetic';
import { minor } from '../../../core/money/minor';
import { allocateReceipt } from '../../allocation/commands/allocate-receipt';
import { defineAct } from '../../act/define-act';
import { DomainError } from '../../act/domain-error';
import { currencyField, dayField, idField, sumField, versionField } from '../../act/fields';
import { recordPromise } from '../../customers/commands/promises';
import { customerById } from '../../customers/store/customer-by-id';
import { insertRows } from '../../platform/db/insert-rows';
import { chasingStep, phoneCall } from '../../platform/db/schema';
import { chaseAccounts } from '../store/chases';

/** A claim that is raised by telephone is followed up within so many days, where nothing else is said. */
const CLAIM_DAYS = 14;

const positive = sumField.refine((amount) => amount > 0, 'Type an amount.');

export const callInput = z
	.object({
		customerId: idField,
		currency: currencyField,
		number: z.string().trim().max(60).default(''),
		/** Who was spoken to. */
		spokeTo: z.string().trim().max(200).default(''),
		outcome: z.enum(CALL_OUTCOMES),
		said: z.string().trim().max(1_000, 'That is longer than 1,000 letters.'),
		againOn: dayField.nullable().default(null),
		/** What they promised, where they did. */
		promise: z
			.object({
				amount: positive,
				promisedFor: dayField,
				items: z.array(idField).max(200).default([])
			})
			.nullable()
			.default(null),
		/** What they dispute, where they do. */
		dispute: z
			.object({ itemId: idField, version: versionField, amount: positive, reason: z.enum(CLAIM_REASONS) })
			.nullable()
			.default(null)
	})
	.superRefine(({ outcome, againOn, promise, dispute }, context) => {
		const miss = (path: string, message: string) =>
			context.addIssue({ code: 'custom', path: [path], message });
		if ((outcome === 'promise') !== (promise !== null)) miss('promise', 'Say how much, and by which day.');
		if ((outcome === 'dispute') !== (dispute !== null))
			miss('dispute', 'Say which item, and how much of it.');
		if (outcome === 'again' && againOn === null) miss('againOn', 'Say when to call again.');
	});

/**
 * Records a call to a customer with what came of it, in one act: a promise, a claim on an item that is disputed (moved off it without a
 * payment), a day to call again. Steps of chasing that are calls are taken by it.
 */
export const recordCall = defineAct({
	kind: 'record-call',
	role: 'clerk',
	input: callInput,
	run: async (ctx, input): Promise<{ actId: number }> => {
		const { tx, today } = ctx;
		const { customerId, currency, outcome, said, againOn, promise, dispute } = input;
		const owner = await customerById(tx, customerId);
		if (againOn !== null && againOn < today)
			throw new DomainError({ code: 'field', field: 'againOn', message: 'That day is over.' });
		const chase = (await chaseAccounts(tx, today, [customerId])).get(`${customerId} ${currency}`);
		const actId = await ctx.record({
			summary: { customer: owner.name, outcome, said, ...(againOn ? { againOn } : {}) },
			facts: { currency, number: input.number },
			customerId
		});
		await tx
			.insert(phoneCall)
			.values({ actId, customerId, currency, day: today, number: input.number, outcome, said, againOn });
		// Nobody answered: the step is still to be taken.
		if (outcome !== 'no-answer' && chase)
			await insertRows(
				tx,
				chasingStep,
				chase.calls.map(({ id: itemId, step: { id: step, name, effect } }) => ({
					...{ actId, itemId, step, name, effect, day: today, way: 'phone' as const, letterId: null }
				}))
			);
		if (promise)
			await ctx.run(recordPromise, { customerId, ...promise, saidBy: input.spokeTo || 'by telephone' });
		if (dispute)
			await ctx.run(allocateReceipt, {
				...{ receiptId: null, receiptVersion: null, customerId },
				lines: [
					{
						...{ itemId: dispute.itemId, version: dispute.version, cash: minor(0) },
						differences: [{ kind: 'claim', amount: dispute.amount }],
						claim: {
							...{ reason: dispute.reason, owner: ctx.who.name, deadline: addDays(today, CLAIM_DAYS) },
							note: said
						}
					}
				]
			});
		return { actId };
	}
});
