import { randomBytes } from 'node:crypto';
import { z } from 'zod';
import { err, ok } from '$lib/core/result';
import { keyAddress, keyText, stepOfCode } from '$lib/server/people/app-codes';
import {
	addSecondFactor,
	removeSecondFactor,
	remakeRecoveryCodes
} from '$lib/server/people/commands/second-factors';
import { newPasskey, passkeysWork } from '$lib/server/people/passkeys';
import { lookAtOwnSecondFactors } from '$lib/server/people/queries/own-second-factors';
import { action, shaped } from '$lib/server/platform/http/action';
import { inside } from '$lib/server/platform/http/inside';
import { view } from '$lib/server/platform/http/view';
import { mailPerson } from '$lib/server/services/mail-person';
import type { RequestEvent } from '@sveltejs/kit';
import type { Actions, PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ locals, url }) => {
	const { app, who, sessionId } = locals;
	const { factors, codes, email } = await view(locals, lookAtOwnSecondFactors, null);
	const mark = randomBytes(16).toString('base64url');
	const key = app.appKey(who!.id, mark);
	const confirmed = app.confirmations.has(sessionId!, Date.now());
	return {
		factors,
		left: codes.length,
		/** The codes themselves only for who just typed their password. */
		codes: confirmed ? codes.map((code) => app.codeText('recovery code', code)) : null,
		fresh: { mark, key: keyText(key), address: keyAddress(key, email) },
		passkeys: passkeysWork(url),
		mustSetUp: locals.mustSetUp,
		/** Where one wanted to go before a second step was asked for. */
		to: url.searchParams.has('to') ? inside(url.searchParams.get('to')) : null
	};
};

const name = z.string().trim().min(1, 'Give it a name.').max(60);
const appInput = z.object({
	name,
	mark: z.string().regex(/^[\w-]{22}$/),
	code: z.string().trim().min(1, 'Type the code that the app shows.').max(20)
});
const passkeyInput = z.object({ name, passkey: z.string().max(20_000) });
const always = () => true;
const tellAdded = ({ device }: { readonly device: string }, { locals: { app, who } }: RequestEvent) =>
	mailPerson(app, who!.id, { about: 'second-step-added', device });

const field = (at: string, message: string) => err({ code: 'field' as const, field: at, message });

export const actions: Actions = {
	app: action(addSecondFactor, {
		confirm: always,
		then: tellAdded,
		prepare: async (fields, _form, { locals: { app, who, sessionId } }) => {
			const read = shaped(appInput, fields);
			if (!read.ok) return read;
			const { mark, code } = read.value;
			const shown = await stepOfCode(app.appKey(who!.id, mark), code, { after: 0, now: Date.now() });
			if (shown === null)
				return field('code', 'That is not the code that the app shows now. Is the clock of the phone right?');
			return ok({
				...{ kind: 'app' as const, name: read.value.name, mark, counter: shown, sessionId: sessionId! },
				...{ publicKey: null, transports: null }
			});
		}
	}),
	passkey: action(addSecondFactor, {
		confirm: always,
		then: tellAdded,
		prepare: async (fields, _form, { locals: { app, sessionId }, url }) => {
			const read = shaped(passkeyInput, fields);
			if (!read.ok) return read;
			const challenge = app.challenges.take(sessionId!, Date.now());
			const made = challenge && (await newPasskey(url, challenge, read.value.passkey));
			if (!made) return field('name', 'The browser’s passkey could not be taken. Try again.');
			return ok({ ...made, name: read.value.name, sessionId: sessionId! });
		}
	}),
	remove: action(removeSecondFactor, {
		confirm: always,
		then: ({ device }, { locals: { app, who } }) =>
			mailPerson(app, who!.id, { about: 'second-step-removed', device })
	}),
	codes: action(remakeRecoveryCodes, { confirm: always })
};
