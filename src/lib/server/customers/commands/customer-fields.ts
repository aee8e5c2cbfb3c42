import { z } from 'zod';
import {
	CONTACT_COPIES,
	CUSTOMER_LANGUAGES,
	INTEREST_POLICIES,
	STATEMENT_FILES,
	STATEMENT_WAYS
} from '../../../core/model/customer-details';
import { percentField, TERMS_SHAPE, termsFault, withLastPart } from '../../firm/store/terms-shape';
import { accountNumberField, dayField, emailField, sumField } from '../../act/fields';

/** Lines or words of a list; empty ones and repeated ones are left out. */
const listField = (most: number, length: number, tooMany: string) =>
	z
		.array(z.string().trim().max(length, `Each may be ${length} letters long.`))
		.max(most, tooMany)
		.transform((lines) => [...new Set(lines.filter(Boolean))]);

const orNull = <T extends z.ZodType<string>>(field: T) =>
	z.union([z.literal('').transform(() => null), field]).nullable();

const text = (most: number) =>
	z
		.string()
		.trim()
		.max(most, `That is longer than ${most} letters.`)
		.nullable()
		.transform((given) => given || null);

/** Lines of an address: the same line may stand there twice. */
const addressField = z
	.array(z.string().trim().max(200, 'Each line may be 200 letters long.'))
	.max(8, 'An address has eight lines at most.')
	.transform((lines) => lines.filter(Boolean));

/** Somebody at a customer's; whoever gets copies needs an address. */
const contactField = z
	.object({
		name: z.string().trim().min(1, 'Type the name, or take the line off.').max(200),
		role: z.string().trim().max(80, 'That is longer than 80 letters.'),
		email: orNull(emailField),
		phone: text(60),
		copies: z.enum(CONTACT_COPIES)
	})
	.superRefine(({ copies, email }, ctx) => {
		if (copies !== 'none' && email === null)
			ctx.addIssue({ code: 'custom', path: ['email'], message: 'Copies need an e-mail address.' });
	});

export const nameField = z.string().trim().min(1, 'Type the name of the customer.').max(200);

/** What is kept of a customer, as a form sends it. */
export const detailsField = z
	.object({
		name: nameField,
		otherNames: listField(20, 200, 'Twenty other names at most are kept.'),
		address: addressField,
		statementAddress: addressField,
		...TERMS_SHAPE,
		creditLimit: sumField.nullable(),
		parentCode: text(60),
		statementEmail: orNull(emailField),
		reminderEmail: orNull(emailField),
		phone: text(60),
		contacts: z.array(contactField).max(20, 'Twenty contacts at most are kept.'),
		taxNumber: text(40),
		language: z.enum(CUSTOMER_LANGUAGES),
		statementWay: z.enum(STATEMENT_WAYS),
		statementFiles: z
			.array(z.enum(STATEMENT_FILES))
			.max(STATEMENT_FILES.length)
			.transform((given) => STATEMENT_FILES.filter((one) => given.includes(one))),
		interest: z.enum(INTEREST_POLICIES),
		interestBasisPoints: percentField('the rate').nullable(),
		tags: listField(20, 40, 'Twenty tags at most are kept.'),
		notes: z.string().trim().max(2_000, 'That is longer than 2,000 letters.'),
		chasingPolicy: text(40),
		chasingPaused: text(200),
		pausedUntil: dayField.nullable(),
		payerAccounts: z
			.array(accountNumberField('One of these is not the number of a bank account.'))
			.max(50, 'Fifty accounts at most are kept.')
			.transform((accounts) => [...new Set(accounts)])
	})
	.superRefine((given, ctx) => {
		const fault = (field: string, message: string) =>
			ctx.addIssue({ code: 'custom', path: [field], message });
		const terms = termsFault(given);
		if (terms) fault(terms.field, terms.message);
		if ((given.interest === 'agreed') !== (given.interestBasisPoints !== null))
			fault(
				'interestBasisPoints',
				given.interest === 'agreed'
					? 'Give the rate that was agreed, in per cent a year.'
					: 'A rate is given only where one was agreed.'
			);
		if (given.pausedUntil !== null && given.chasingPaused === null)
			fault('chasingPaused', 'Say why they get no reminders.');
	})
	.transform(withLastPart);
