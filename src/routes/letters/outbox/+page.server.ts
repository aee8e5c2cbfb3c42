import { readPage } from '$lib/server/platform/http/read-page';
import { sendAgain } from '$lib/server/letters/commands/send-again';
import { mayAct, view } from '$lib/server/platform/http/view';
import { lookAtOutbox } from '$lib/server/letters/queries/letters';
import { action } from '$lib/server/platform/http/action';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ locals, url, depends }) => {
	depends('books:outbox');
	const page = readPage(url);
	return {
		...(await view(locals, lookAtOutbox, { page })),
		page,
		mayAct: mayAct(locals)
	};
};

export const actions = {
	again: action(sendAgain, { then: (_, { locals }) => locals.app.postOffice.wake() })
};
