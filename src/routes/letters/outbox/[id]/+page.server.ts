import { rowNumber } from '$lib/server/platform/http/row-number';
import { error } from '@sveltejs/kit';
import { simpleParser } from 'mailparser';
import { view } from '$lib/server/platform/http/view';
import { lookAtSent } from '$lib/server/letters/queries/letters';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ locals, params }) => {
	const found = await view(locals, lookAtSent, rowNumber(params.id) ?? 0);
	if (!found) error(404, 'There is no such letter.');
	// Read from the message itself, so that what is shown is what travelled.
	const mail = await simpleParser(found.eml);
	const { id, kind, date, recipient, copies } = found.letter;
	return {
		letter: { id, kind, date, recipient, copies: copies ?? [], name: found.name, code: found.code },
		delivery: found.delivery,
		mail: {
			from: mail.from?.text ?? '',
			subject: mail.subject ?? '',
			text: mail.text ?? '',
			attachments: mail.attachments.map((one) => ({ name: one.filename ?? '', bytes: one.size }))
		}
	};
};
