import { z } from 'zod';
import { err, ok } from '$lib/core/result';
import { sessionSecret } from '$lib/server/app';
import { setMailServer } from '$lib/server/firm/commands/set-mail-server';
import { setMailbox } from '$lib/server/firm/commands/set-mailbox';
import { makeSigningKey, signingFor, useSigningKey } from '$lib/server/firm/commands/signing-key';
import { lookAtMailSettings } from '$lib/server/firm/queries/mail-settings';
import { readSetting } from '$lib/server/firm/store/settings';
import { config } from '$lib/server/platform/config';
import { action, preview, shaped } from '$lib/server/platform/http/action';
import { view } from '$lib/server/platform/http/view';
import { lookIntoMailbox } from '$lib/server/platform/mail/take-from-imap';
import { sealSecret } from '$lib/server/platform/sealed-secret';
import { troubleOf } from '$lib/server/services/returned-mail/returned-mail';
import { newSigningKey, notPublished, signingRecord } from '$lib/server/services/signing-keys';
import { sendTestMail } from '$lib/server/services/test-mail';
import { accountToTry, sealAccount, typedMailbox, typedServer } from './read-account';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ locals }) => {
	const mail = await view(locals, lookAtMailSettings, null);
	const { postOffice } = locals.app;
	return {
		mail,
		record: mail.signing && signingRecord(mail.signing),
		/** Whether the operator said through which server mail goes: then the settings do not. */
		givenServer: config().smtpUrl === null ? null : new URL(config().smtpUrl!).hostname,
		isStandIn: await postOffice.isStandIn(),
		trouble: postOffice.trouble,
		returned: postOffice.returned.last
	};
};

/** The password is in nothing that is kept but sealed. */
const secret = ['password'];

export const actions = {
	server: action(setMailServer, {
		secret,
		prepare: (fields, _, { locals }) => sealAccount(locals.app.books.db, 'server', fields, typedServer),
		then: (_, { locals }) => locals.app.postOffice.wake()
	}),
	tryServer: preview('supervisor', async (fields, _, { locals }) => {
		const account = await accountToTry(locals.app.books.db, 'server', fields);
		if (!account.ok) return account;
		const route = { server: account.value, signing: null, isStandIn: false };
		const { books } = locals.app;
		const sent = await sendTestMail({ books, postOffice: { route: async () => route } }, locals.who!);
		return sent.ok ? ok({ output: sent.value }) : sent;
	}),
	mailbox: action(setMailbox, {
		secret,
		prepare: (fields, _, { locals }) => sealAccount(locals.app.books.db, 'mailbox', fields, typedMailbox),
		then: (_, { locals }) => void locals.app.postOffice.returned.look()
	}),
	tryMailbox: preview('supervisor', async (fields, _, { locals }) => {
		const account = await accountToTry(locals.app.books.db, 'mailbox', fields);
		if (!account.ok) return account;
		const asked = shaped(typedMailbox.pick({ folder: true }), fields);
		if (!asked.ok) return asked;
		try {
			const messages = await lookIntoMailbox({ ...account.value, ...asked.value });
			return ok({ output: { messages } });
		} catch (error) {
			return err({ code: 'mailbox-refused', why: troubleOf(error) });
		}
	}),
	makeKey: action(makeSigningKey, {
		prepare: async (fields) => {
			const read = shaped(signingFor, fields);
			if (!read.ok) return read;
			const { publicKey, privateKey } = await newSigningKey();
			return ok({ ...read.value, publicKey, sealedKey: sealSecret(sessionSecret(), privateKey) });
		}
	}),
	useKey: action(useSigningKey, {
		prepare: async (fields, _, { locals }) => {
			const read = shaped(z.object({ on: z.boolean() }), fields);
			if (!read.ok || !read.value.on) return read;
			const mail = await readSetting(locals.app.books.db, 'mail');
			const against = mail?.signing ? await notPublished(mail.signing) : null;
			return against ? err({ code: 'field', field: 'on', message: against }) : read;
		}
	})
};
