import { hashPassword } from 'better-auth/crypto';
import { redirect } from '@sveltejs/kit';
import { z } from 'zod';
import { cleanText } from '$lib/core/text/clean-text';
import { err, ok } from '$lib/core/result';
import { readSetting } from '$lib/server/firm/store/settings';
import { passwordFault } from '$lib/server/people/check-password';
import { setOwnPassword } from '$lib/server/people/commands/set-own-password';
import { endSessions } from '$lib/server/people/end-sessions';
import { noteEvent } from '$lib/server/people/note-event';
import { passwordFits } from '$lib/server/people/password-fits';
import { lookAtOwnSecondFactors } from '$lib/server/people/queries/own-second-factors';
import { lookAtOwnSessions } from '$lib/server/people/queries/own-sessions';
import { action, shaped } from '$lib/server/platform/http/action';
import { view } from '$lib/server/platform/http/view';
import { mailPerson } from '$lib/server/services/mail-person';
import type { Actions, PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ locals }) => {
	const { person, sessions } = await view(locals, lookAtOwnSessions, new Date());
	const { factors } = await view(locals, lookAtOwnSecondFactors, null);
	return {
		...{ person, factors },
		sessions: sessions.map((one) => ({ ...one, here: one.id === locals.sessionId }))
	};
};

const passwords = z.object({
	before: z.string().max(400).transform(cleanText),
	password: z.string().max(400).transform(cleanText)
});

const field = (name: string, message: string) => err({ code: 'field', field: name, message });

export const actions: Actions = {
	password: action(setOwnPassword, {
		prepare: async (fields, _form, { locals, getClientAddress }) => {
			const read = shaped(passwords, fields);
			if (!read.ok) return read;
			const { app, who } = locals;
			const now = Date.now();
			const origin = getClientAddress();
			if (!app.attempts.mayTry(who!.id, origin, now))
				return field('before', 'Too many attempts. Wait a quarter of an hour.');
			const { person } = await view(locals, lookAtOwnSessions, new Date(now));
			if (!(await passwordFits(app.books.db, person.email, read.value.before))) {
				app.attempts.failed(who!.id, origin, now);
				return field('before', 'That is not your password.');
			}
			app.attempts.succeeded(who!.id, origin);
			const firm = await readSetting(app.books.db, 'firm');
			const own = [person.name, person.email, firm?.name ?? '', 'odd penny'];
			const fault = passwordFault(read.value.password, own);
			if (fault) return field('password', fault);
			return ok({ hash: await hashPassword(read.value.password), by: 'password' as const });
		},
		then: (_, { locals: { app, who } }) => {
			mailPerson(app, who!.id, { about: 'password-set' });
			redirect(303, '/sign-in?changed');
		}
	}),
	end: async ({ request, locals, getClientAddress }) => {
		const id = String((await request.formData()).get('id') ?? '');
		const { app, who, sessionId } = locals;
		await endSessions(app.books, who!.id, id === '' ? { allBut: sessionId! } : { id });
		noteEvent(app.books, { kind: 'sessions-ended', personId: who!.id, origin: getClientAddress() });
		return {};
	}
};
