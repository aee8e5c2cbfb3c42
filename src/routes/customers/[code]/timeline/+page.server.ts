import { rowNumber } from '$lib/server/platform/http/row-number';
import { error } from '@sveltejs/kit';
import { addNote, takeOffNote } from '$lib/server/customers/commands/notes';
import { lookAtTimeline } from '$lib/server/customers/queries/timeline';
import { action } from '$lib/server/platform/http/action';
import { mayAct, view } from '$lib/server/platform/http/view';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ locals, params, url }) => {
	const before = rowNumber(url.searchParams.get('before'));
	const timeline = await view(locals, lookAtTimeline, { code: params.code, before });
	if (!timeline) error(404, `There is no account ${params.code}.`);
	return { timeline, paged: before !== null, mayAct: mayAct(locals) };
};

export const actions = { note: action(addNote), 'take-off': action(takeOffNote) };
