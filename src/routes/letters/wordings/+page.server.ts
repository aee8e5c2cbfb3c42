import { lookAtWordings } from '$lib/server/letters/queries/wordings';
import { mayAct, view } from '$lib/server/platform/http/view';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ locals }) => ({
	wordings: await view(locals, lookAtWordings, null),
	maySet: mayAct(locals) && locals.who?.role === 'supervisor'
});
