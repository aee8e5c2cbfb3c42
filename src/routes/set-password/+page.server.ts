import { redirect } from '@sveltejs/kit';
import { hashPassword } from 'better-auth/crypto';
import { z } from 'zod';
import { cleanText, cleanTexts } from '$lib/core/text/clean-text';
import { perform } from '$lib/server/act/perform';
import { emailField } from '$lib/server/act/fields';
import { readSetting } from '$lib/server/firm/store/settings';
import { passwordFault } from '$lib/server/people/check-password';
import { setOwnPassword } from '$lib/server/people/commands/set-own-password';
import { signIn } from '$lib/server/people/sign-in';
import { personOfCode } from '$lib/server/people/use-code';
import { shaped } from '$lib/server/platform/http/action';
import { refuse } from '$lib/server/platform/http/refuse';
import { noteEvent } from '$lib/server/people/note-event';
import { sendCode } from '$lib/server/services/send-code';
import { logFailure } from '$lib/server/platform/log';
import { mailPerson } from '$lib/server/services/mail-person';
import type { Actions, PageServerLoad } from './$types';

const input = z.object({
	email: emailField.transform((text) => text.toLowerCase()),
	code: z.string().trim().min(1, 'Type the code.').max(60),
	password: z.string().max(400).transform(cleanText)
});

const field = (name: string, message: string) => refuse([{ code: 'field', field: name, message }]);

export const load: PageServerLoad = async ({ locals }) => ({
	/** Whether mail goes out: else there is nobody to send a code. */
	mails:
		!(await locals.app.postOffice.isStandIn()) || (await readSetting(locals.app.books.db, 'demo')) === true
});

const askInput = z.object({ email: emailField.transform((text) => text.toLowerCase()) });

export const actions: Actions = {
	/** Sends a code to who signs in with an address. Whether somebody does is not told. */
	send: async (event) => {
		const { app } = event.locals;
		const read = shaped(askInput, cleanTexts(Object.fromEntries(await event.request.formData())));
		if (!read.ok) return refuse(read.problems);
		const { email } = read.value;
		const [account, origin, now] = [`mail ${email}`, event.getClientAddress(), Date.now()];
		if (!app.attempts.mayTry(account, origin, now))
			return refuse([
				{ code: 'field', field: 'email', message: 'That was asked for too often. Wait a quarter of an hour.' }
			]);
		app.attempts.failed(account, origin, now);
		noteEvent(app.books, { kind: 'code-asked', origin });
		// Nobody waits for it: how long it takes would tell whether somebody signs in with that address.
		void sendCode(app, email).catch((error: unknown) => logFailure('sending a code', error));
		return { asked: email };
	},
	set: async (event) => {
		const { app } = event.locals;
		const read = shaped(input, cleanTexts(Object.fromEntries(await event.request.formData())));
		if (!read.ok) return refuse(read.problems);
		const { email, code, password } = read.value;
		const now = Date.now();
		const account = `code ${email}`;
		const origin = event.getClientAddress();
		if (!app.attempts.mayTry(account, origin, now))
			return field('code', 'Too many attempts with this address. Wait a quarter of an hour.');
		const found = await personOfCode(app, email, code, new Date(now));
		if (!found) {
			app.attempts.failed(account, origin, now);
			noteEvent(app.books, { kind: 'code-refused', origin });
			return field('code', 'That address and code do not go together, or the code is no longer valid.');
		}
		const { person, codeId } = found;
		const firm = await readSetting(app.books.db, 'firm');
		const fault = passwordFault(password, [person.name, person.email, firm?.name ?? '', 'odd penny']);
		if (fault) return field('password', fault);
		const who = { id: person.id, name: person.name, role: person.role };
		const set = { hash: await hashPassword(password), by: { codeId } };
		const done = await perform(app.books, setOwnPassword, set, await app.context(who));
		if (!done.ok) return refuse(done.problems);
		mailPerson(app, person.id, { about: 'password-set' });
		app.attempts.succeeded(account, origin);
		app.attempts.succeeded(email, origin);
		await signIn(event, email, password);
		redirect(303, '/');
	}
};
