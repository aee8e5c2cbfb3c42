import { rowNumber } from '$lib/server/platform/http/row-number';
import { view } from '$lib/server/platform/http/view';
import { lookAtSecurityEvents } from '$lib/server/people/queries/security-events';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ locals, url }) => {
	const query = {
		person: url.searchParams.get('person')?.slice(0, 100) || null,
		before: rowNumber(url.searchParams.get('before'))
	};
	return { ...(await view(locals, lookAtSecurityEvents, query)), query };
};
