import { rowNumber } from '$lib/server/platform/http/row-number';
import { error, redirect } from '@sveltejs/kit';
import { view } from '$lib/server/platform/http/view';
import { lookAtReturn } from '$lib/server/returns/queries/return-desk';
import { action } from '$lib/server/platform/http/action';
import { returnPayment } from '$lib/server/returns/commands/return-payment';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ locals, params, url }) => {
	const input = {
		receiptId: rowNumber(params.receipt) ?? 0,
		shownId: rowNumber(url.searchParams.get('shown'))
	};
	const back = await view(locals, lookAtReturn, input);
	if (!back) error(404, 'That payment is not allocated, so it cannot be returned: somebody has undone it.');
	return { back, shownId: input.shownId };
};

export const actions = {
	default: action(returnPayment, { then: ({ actId }) => redirect(303, `/money-in/returned?act=${actId}`) })
};
