import { readPage } from '$lib/server/platform/http/read-page';
import { view } from '$lib/server/platform/http/view';
import { lookAtRuns, RUNS_PAGE } from '$lib/server/letters/queries/runs';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ locals, url, depends }) => {
	depends('books:runs');
	const page = readPage(url);
	return { ...(await view(locals, lookAtRuns, { page })), page, perPage: RUNS_PAGE };
};
