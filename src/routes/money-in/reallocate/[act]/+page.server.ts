import { error, redirect } from '@sveltejs/kit';
import { view } from '$lib/server/platform/http/view';
import { lookAtReallocation } from '$lib/server/allocation/queries/reallocation';
import { action } from '$lib/server/platform/http/action';
import { reallocate } from '$lib/server/allocation/commands/reallocate';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ locals, params, url }) => {
	const input = {
		actId: Number(params.act) || 0,
		customerId: Number(url.searchParams.get('customer')) || null,
		also: (url.searchParams.get('accounts') ?? '').split(',').map(Number).filter(Boolean)
	};
	const again = await view(locals, lookAtReallocation, input);
	if (!again)
		error(404, 'That allocating does not stand any more: somebody has taken it back or changed it.');
	return { again };
};

export const actions = {
	default: action(reallocate, { then: ({ actId }) => redirect(303, `/books/journal?act=${actId}`) })
};
