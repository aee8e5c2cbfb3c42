import { z } from 'zod';
import { STEP_ANCHORS, STEP_EFFECTS, STEP_WAYS } from '../../../core/7-letters/chasing/policy';
import { emailField, sumField } from '../../act/fields';

const ID = z.string().regex(/^[a-z0-9-]{1,40}$/);

const STEP = z
	.object({
		id: ID,
		name: z.string().trim().min(1, 'Give the step a name.').max(60, 'A name may have 60 letters.'),
		after: z.enum(STEP_ANCHORS),
		days: z
			.number('Give the days as a whole number.')
			.int('Give the days as a whole number.')
			.min(-60, 'A step may be 60 days before an item is due.')
			.max(730, 'A step may be two years after an item is due.'),
		least: z.number('That is not an amount.').min(0, 'That is not an amount.').pipe(sumField),
		wording: z.string().regex(/^[a-z0-9-]{1,60}$/),
		way: z.enum(STEP_WAYS),
		copies: z.array(emailField).max(5, 'A step may have five further addresses.'),
		attach: z.boolean(),
		effect: z.enum(STEP_EFFECTS)
	})
	.refine(({ after, days }) => after === 'due' || days >= 1, {
		...{ path: ['days'], message: 'A step follows the one before by a day at least.' }
	});

/** Thanks after the last step. */
const THANKS = z.object({
	days: z
		.number('Give the days as a whole number.')
		.int('Give the days as a whole number.')
		.min(0, 'Thanks come after the payment.')
		.max(60, 'Later than 60 days after the payment nobody expects thanks.'),
	least: z.number('That is not an amount.').min(0, 'That is not an amount.').pipe(sumField),
	wording: z.string().regex(/^[a-z0-9-]{1,60}$/)
});

/** A way of chasing customers: a ladder of steps in their order. */
export const CHASING_POLICY = z.object({
	id: ID,
	name: z.string().trim().min(1, 'Give it a name.').max(60, 'A name may have 60 letters.'),
	version: z.number().int().min(0),
	thanks: THANKS.nullable().optional(),
	steps: z
		.array(STEP)
		.max(12, 'A ladder may have twelve steps.')
		.refine((steps) => new Set(steps.map((step) => step.id)).size === steps.length, 'Two steps are one.')
		.superRefine((steps, context) => {
			steps.forEach((step, n) => {
				const before = steps[n - 1];
				if (step.after === 'step' && n === 0)
					context.addIssue({
						...{ code: 'custom', path: [0, 'after'] },
						message: 'The first step has none before it: count from the due day.'
					});
				if (step.after === 'due' && before?.after === 'due' && step.days <= before.days)
					context.addIssue({
						...{ code: 'custom', path: [n, 'days'] },
						message: `This step comes after “${before.name}”: give it more than ${before.days} days.`
					});
			});
		})
});
