import { action } from '$lib/server/platform/http/action';
import { mayAct, view } from '$lib/server/platform/http/view';
import { holdReceipts } from '$lib/server/receipts/commands/hold-receipt';
import { lookAtUnidentified } from '$lib/server/receipts/queries/unidentified';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ locals }) => ({
	...(await view(locals, lookAtUnidentified, null)),
	mayAct: mayAct(locals)
});

export const actions = { hand: action(holdReceipts) };
