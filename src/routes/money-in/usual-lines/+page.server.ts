import { action } from '$lib/server/platform/http/action';
import { mayAct, view } from '$lib/server/platform/http/view';
import { changeUsualLine } from '$lib/server/receipts/commands/change-usual-line';
import { lookAtUsualLines } from '$lib/server/receipts/queries/usual-lines';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ locals }) => ({
	...(await view(locals, lookAtUsualLines, null)),
	mayAct: mayAct(locals)
});

export const actions = { change: action(changeUsualLine) };
