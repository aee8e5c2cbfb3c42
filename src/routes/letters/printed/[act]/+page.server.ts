import { error } from '@sveltejs/kit';
import { rowNumber } from '$lib/server/platform/http/row-number';
import { view } from '$lib/server/platform/http/view';
import { lookAtPrinted } from '$lib/server/letters/queries/runs';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ locals, params }) => {
	const actId = rowNumber(params.act) ?? 0;
	const letters = await view(locals, lookAtPrinted, actId);
	if (letters.length === 0) error(404, 'No letters were printed so.');
	return {
		actId,
		letters: letters.map(({ letter: { id, kind, date, amount, currency }, code, post }) => ({
			...{ id, kind, date, amount, currency, code },
			town: post.split('\n').slice(0, 2).reverse().join(', ')
		}))
	};
};
