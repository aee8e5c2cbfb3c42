import { action } from '$lib/server/platform/http/action';
import { mayAct, view } from '$lib/server/platform/http/view';
import { dismissReported } from '$lib/server/receipts/commands/dismiss-reported';
import { bookReported } from '$lib/server/receipts/commands/book-reported';
import { lookAtReported } from '$lib/server/receipts/queries/reported-entries';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ locals, url }) => ({
	...(await view(locals, lookAtReported, { older: url.searchParams.has('older') })),
	mayAct: mayAct(locals)
});

export const actions = { book: action(bookReported), dismiss: action(dismissReported) };
