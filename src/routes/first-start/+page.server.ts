import { redirect } from '@sveltejs/kit';
import { z } from 'zod';
import { hashPassword } from 'better-auth/crypto';
import { cleanText, cleanTexts } from '$lib/core/text/clean-text';
import { openNewBooks } from '$lib/server/firm/commands/open-books';
import { CONVENTIONS_SHAPE } from '$lib/server/firm/store/settings';
import { accountNumberField, currencyField } from '$lib/server/act/fields';
import { BRITISH } from '$lib/words/conventions';
import { nobodyYet, personInput } from '$lib/server/people/commands/people';
import { isCode } from '$lib/server/people/code-text';
import { passwordFault } from '$lib/server/people/check-password';
import { perform } from '$lib/server/act/perform';
import { APPLICATION } from '$lib/server/act/person';
import { shaped } from '$lib/server/platform/http/action';
import { refuse } from '$lib/server/platform/http/refuse';
import { demoBooks } from '$lib/server/services/demo-books';
import { signIn } from '$lib/server/people/sign-in';
import type { Actions, PageServerLoad } from './$types';

const input = personInput.omit({ role: true }).extend({
	password: z.string().max(400).transform(cleanText),
	/** From the console of the server: who only reaches its address opens no books. */
	code: z.string().trim().max(60),
	firm: z.string().trim().min(1, 'Type the name of the firm.').max(200),
	address: z.string().trim().max(1_000),
	phone: z.string().trim().max(40),
	locale: CONVENTIONS_SHAPE.shape.locale.default('en-GB'),
	timeZone: CONVENTIONS_SHAPE.shape.timeZone.default(BRITISH.timeZone),
	baseCurrency: currencyField,
	bank: z.string().trim().min(1, 'Type the name of the bank.').max(200),
	number: accountNumberField('Type the IBAN, or the sort code and account number.'),
	/** The password once more: nobody else could let in who mistyped it. */
	again: z.string().max(400).transform(cleanText)
});

/** Under this name wrong codes are counted. */
const FIRST = 'first start';

export const load: PageServerLoad = async ({ locals }) => {
	if (!(await nobodyYet(locals.app.books.db))) redirect(303, '/sign-in');
	return { timeZones: Intl.supportedValuesOf('timeZone'), mayLookAround: demoBooks() !== undefined };
};

export const actions: Actions = {
	default: async (event) => {
		const { app } = event.locals;
		if (!(await nobodyYet(app.books.db)))
			return refuse([{ code: 'not-allowed', role: 'nobody', needs: 'supervisor' }]);
		const read = shaped(input, cleanTexts(Object.fromEntries(await event.request.formData())));
		if (!read.ok) return refuse(read.problems);
		const { firm, address, phone, baseCurrency, bank, number, locale, timeZone, code, again, ...person } =
			read.value;
		const now = Date.now();
		const origin = event.getClientAddress();
		if (!app.attempts.mayTry(FIRST, origin, now) || !isCode(code, app.firstStartCode)) {
			app.attempts.failed(FIRST, origin, now);
			const message = 'That is not the code that the console of the server shows.';
			return refuse([{ code: 'field', field: 'code', message }]);
		}
		const { password } = person;
		const fault = passwordFault(password, [person.name, person.email, firm, 'odd penny']);
		if (fault) return refuse([{ code: 'field', field: 'password', message: fault }]);
		if (again !== password) {
			const message = 'The two passwords differ. Type it again.';
			return refuse([{ code: 'field', field: 'again', message }]);
		}
		const passwordHash = await hashPassword(password);
		const at = await app.context(APPLICATION);
		const lines = address
			.split('\n')
			.map((line) => line.trim())
			.filter(Boolean);
		const setUp = {
			firm: { name: firm, address: lines, email: person.email, phone, registration: '', baseCurrency },
			bankAccounts: [
				{
					name: 'Current account',
					number,
					bankName: bank,
					currency: baseCurrency,
					ledger: '1200',
					kind: 'current' as const
				}
			]
		};
		const made = await perform(
			app.books,
			openNewBooks,
			{
				person: { name: person.name, email: person.email, passwordHash },
				...{ firm: setUp, conventions: { locale, timeZone } }
			},
			at
		);
		if (!made.ok) return refuse(made.problems);
		await signIn(event, person.email, person.password);
		redirect(303, '/setting-up');
	}
};
