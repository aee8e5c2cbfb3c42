import { rowNumber } from '$lib/server/platform/http/row-number';
import { error, redirect } from '@sveltejs/kit';
import { reinstate } from '$lib/server/allocation/commands/reinstate';
import { mayAct, view } from '$lib/server/platform/http/view';
import { lookAtJournal, whatMayFollow } from '$lib/server/ledger/queries/journal';
import { action } from '$lib/server/platform/http/action';
import { undoActs } from '$lib/server/allocation/commands/undo-acts';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ locals, url }) => {
	const query = {
		before: rowNumber(url.searchParams.get('before')),
		account: url.searchParams.get('account') ?? '',
		actId: rowNumber(url.searchParams.get('act'))
	};
	const follows = query.actId === null ? null : await view(locals, whatMayFollow, query.actId);
	const may =
		follows && !mayAct(locals) ? { ...follows, putRight: null, undo: null, asBefore: false } : follows;
	if (may && !may.said) error(404, `There is no record ${query.actId}.`);
	return { ...(await view(locals, lookAtJournal, query)), query, may };
};

export const actions = {
	asBefore: action(reinstate, { then: ({ actId }) => redirect(303, `/books/journal?act=${actId}`) }),
	undo: action(undoActs, { then: ({ actId }) => redirect(303, `/books/journal?act=${actId}`) })
};
