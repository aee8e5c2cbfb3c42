import { plainBankNumber } from '../../core/text/bank-number';
import { z } from 'zod';
import { minor, MOST_AMOUNT } from '../../core/money/minor';
import { parseDay, type Day } from '../../core/day/day';
import { isEmailAddress } from '../../core/text/email-address';
import { currencyDigits } from '../../core/money/currency';

/** The number of a row that the form names. */
export const idField = z.number().int().positive();

/** The number of a row where a plain form field brings it, as text. */
export const idFromText = z
	.union([
		z.number(),
		z
			.string()
			.regex(/^\d{1,15}$/)
			.transform(Number)
	])
	.pipe(idField);

/** A version of a receipt or an item, as it was seen. */
export const versionField = z.number().int();

/** Minor units, with either sign. */
export const amountField = z
	.number()
	.int()
	.refine((amount) => Math.abs(amount) <= MOST_AMOUNT, 'That is more than an amount may be.')
	.transform((amount) => minor(amount));

/** Minor units, nought or more. */
export const sumField = z.number().int().min(0).pipe(amountField);

/** A day as `YYYY-MM-DD`. */
export const dayField = z
	.string()
	.max(10, 'Give the day as in 2026-10-30.')
	.refine((text) => parseDay(text) !== null, 'Give the day as in 2026-10-30.')
	.transform((text) => text as Day);

/** The accounting day that a person chose; null for the usual one. */
export const chosenDayField = dayField.nullable().default(null);

/** A currency of ISO 4217 by its code. */
export const currencyField = z
	.string()
	.max(12, 'That is no currency of ISO 4217.')
	.trim()
	.toUpperCase()
	.refine((code) => currencyDigits(code) !== undefined, 'That is no currency of ISO 4217.');

/** An address for mail. */
export const emailField = z
	.string()
	.max(300, 'That is longer than an e-mail address may be.')
	.trim()
	.refine(isEmailAddress, 'That is not an e-mail address: it needs a name, an @ and a host.');

/** What somebody may note, or leave out. */
export const noteField = z.string().trim().max(400).default('');

/** A number of a bank account: letters and digits, blanks taken out. */
export const accountNumberField = (message: string) =>
	z
		.string()
		.max(80, message)
		.transform(plainBankNumber)
		.pipe(z.string().regex(/^[A-Z0-9]{4,34}$/, message));

/** The id of an act that a form names. */
export const actIdInput = z.object({ actId: idFromText });
