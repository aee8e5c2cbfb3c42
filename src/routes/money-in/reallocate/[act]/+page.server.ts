import { rowNumber, rowNumbers } from '$lib/server/platform/http/row-number';
import { error, redirect } from '@sveltejs/kit';
import { view } from '$lib/server/platform/http/view';
import { lookAtReallocation } from '$lib/server/allocation/queries/reallocation';
import { action } from '$lib/server/platform/http/action';
import { reallocate } from '$lib/server/allocation/commands/reallocate';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ locals, params, url }) => {
	const input = {
		actId: rowNumber(params.act) ?? 0,
		customerId: rowNumber(url.searchParams.get('customer')),
		also: rowNumbers(url.searchParams.get('accounts'))
	};
	const again = await view(locals, lookAtReallocation, input);
	if (!again) error(404, 'That allocation no longer stands: somebody has undone or changed it.');
	return { again };
};

export const actions = {
	default: action(reallocate, { then: ({ actId }) => redirect(303, `/books/journal?act=${actId}`) })
};
