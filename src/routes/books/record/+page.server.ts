import { viewInThread } from '$lib/server/services/threads/view-in-thread';
import { rowNumber } from '$lib/server/platform/http/row-number';
import { parseTypedDay } from '$lib/core/day/parse-typed-day';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ locals, url }) => {
	const viewer = { who: locals.who!, today: await locals.app.today() };
	const text = (name: string) => url.searchParams.get(name) ?? '';
	const day = (name: string) => (text(name).trim() ? parseTypedDay(text(name), viewer.today) : '');
	const [from, to] = [day('from'), day('to')];
	const query = {
		...{ person: text('person'), customer: text('customer'), document: text('document') },
		...{ from: from ?? '', to: to ?? '', before: rowNumber(text('before')) }
	};
	const bad = [from === null ? text('from') : '', to === null ? text('to') : ''].filter(Boolean);
	return { ...(await viewInThread(locals, 'record', query)), query, bad };
};
