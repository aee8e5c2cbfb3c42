import { addMonths, firstOfMonth } from '$lib/core/day/arithmetic';
import { view } from '$lib/server/platform/http/view';
import { lookAtReductions } from '$lib/server/reductions/queries/reductions';
import { readReductionsQuery } from './read-query';
import type { PageServerLoad } from './$types';

const SHOWN = 200;
const MONTHS = 12;

export const load: PageServerLoad = async ({ locals, url }) => {
	const today = await locals.app.today();
	const query = readReductionsQuery(url, today);
	const months = Array.from({ length: MONTHS }, (_, i) => addMonths(firstOfMonth(today), -i));
	return { ...(await view(locals, lookAtReductions, { ...query, most: SHOWN })), query, months };
};
