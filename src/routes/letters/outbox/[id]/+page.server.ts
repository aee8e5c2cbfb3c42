import { rowNumber } from '$lib/server/platform/http/row-number';
import { error } from '@sveltejs/kit';
import { simpleParser } from 'mailparser';
import { sendAgain } from '$lib/server/letters/commands/send-again';
import { action } from '$lib/server/platform/http/action';
import { mayAct, view } from '$lib/server/platform/http/view';
import { lookAtSent } from '$lib/server/letters/queries/outbox';
import { messageText } from '$lib/server/letters/store/kept-letters';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ locals, params }) => {
	const found = await view(locals, lookAtSent, rowNumber(params.id) ?? 0);
	if (!found) error(404, 'There is no such letter.');
	// Read from the message itself, so that what is shown is what travelled.
	const mail = found.message ? await simpleParser(await messageText(locals.app.books, found.message)) : null;
	const { id, kind, date, recipient, copies, subject, body } = found.letter;
	return {
		letter: { id, kind, date, recipient, copies: copies ?? [], name: found.name, code: found.code },
		delivery: found.delivery,
		runId: found.runId,
		/** What mail servers reported since. */
		reports: found.reports,
		mayAct: mayAct(locals),
		/** On paper alone it says what its letter says. */
		mail: {
			from: mail?.from?.text ?? '',
			subject: mail?.subject ?? subject,
			text: mail?.text ?? body,
			attachments: (mail?.attachments ?? []).map((one) => ({ name: one.filename ?? '', bytes: one.size }))
		}
	};
};

export const actions = {
	again: action(sendAgain, { then: (_, { locals }) => locals.app.postOffice.wake() })
};
