import { rowNumber } from '$lib/server/platform/http/row-number';
import { error } from '@sveltejs/kit';
import { undoPosting } from '$lib/server/allocation/commands/undo-posting';
import { mayAct, view } from '$lib/server/platform/http/view';
import { lookAtThreads } from '$lib/server/customers/queries/threads';
import { action } from '$lib/server/platform/http/action';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ locals, params, url }) => {
	const input = {
		code: params.code,
		from: url.searchParams.get('from'),
		ghosts: url.searchParams.get('off') === 'shown',
		item: rowNumber(url.searchParams.get('item')),
		money: rowNumber(url.searchParams.get('money'))
	};
	const threads = await view(locals, lookAtThreads, input);
	if (!threads) error(404, `There is no account ${params.code}.`);
	return { threads, mayAct: mayAct(locals), asTable: url.searchParams.get('as') === 'table' };
};

export const actions = {
	off: action(undoPosting)
};
