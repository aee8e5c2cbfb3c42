import { z } from 'zod';
import { TERMS_FROM, type Terms } from '../../../core/model/customer-details';

const DAYS = 'Give the terms as a number of days.';

/** Days of terms. */
export const termsField = z
	.number({ message: DAYS })
	.int(DAYS)
	.min(0, DAYS)
	.max(3650, 'That is more than ten years.');

/** Hundredths of a per cent, up to the whole. @param name of what it is, in a sentence */
export const percentField = (name: string) =>
	z
		.number({ message: `Give ${name} in per cent.` })
		.int(`Give ${name} with two decimals at most.`)
		.min(1, `Give ${name} in per cent, or leave it empty.`)
		.max(10_000, 'That is more than the whole.');

/** Instalments of terms: their shares come to the whole, each due after the one before. */
const partsField = z
	.array(z.object({ basisPoints: percentField('each part'), days: termsField }))
	.max(60, 'Sixty parts at most.')
	.refine((parts) => parts.length !== 1, 'One part alone is all of it: give the days above.')
	.refine(
		(parts) => parts.length === 0 || parts.reduce((sum, one) => sum + one.basisPoints, 0) === 10_000,
		'The parts do not come to 100%.'
	)
	.refine(
		(parts) => parts.every((one, i) => i === 0 || one.days > parts[i - 1]!.days),
		'Each part is due later than the one before.'
	);

/** When documents are due, and what is given for paying them early. */
export const TERMS_SHAPE = {
	termsDays: termsField,
	termsFrom: z.enum(TERMS_FROM),
	termsParts: partsField,
	discountBasisPoints: percentField('the discount').nullable(),
	discountDays: termsField.nullable()
};

/** What is wrong with terms as a whole, by its field. */
export function termsFault(
	given: Pick<Terms, 'discountBasisPoints' | 'discountDays'>
): { readonly field: keyof Terms; readonly message: string } | null {
	if ((given.discountBasisPoints === null) === (given.discountDays === null)) return null;
	return {
		field: given.discountDays === null ? 'discountDays' : 'discountBasisPoints',
		message: 'A discount needs both: how much, and within how many days.'
	};
}

/** Terms whose parts say when all of it is due. */
export const withLastPart = <T extends Pick<Terms, 'termsDays' | 'termsParts'>>(given: T): T => ({
	...given,
	termsDays: given.termsParts.at(-1)?.days ?? given.termsDays
});

/** Terms of the firm's own list, by their name. */
export const NAMED_TERMS = z
	.object({
		name: z.string().trim().min(1, 'Give the terms a name, as in “30 days net”.').max(60),
		...TERMS_SHAPE
	})
	.superRefine((given, ctx) => {
		const fault = termsFault(given);
		if (fault) ctx.addIssue({ code: 'custom', path: [fault.field], message: fault.message });
	})
	.transform(withLastPart);
