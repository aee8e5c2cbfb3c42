import { redirect } from '@sveltejs/kit';
import { z } from 'zod';
import { perform } from '$lib/server/acts/perform';
import { placeAsBefore } from '$lib/server/acts/place-as-before';
import { readForm } from '$lib/server/http/read-form';
import { look, refuse } from '$lib/server/http/refuse';
import { lookAtJournal, whatMayFollow } from '$lib/server/looks/journal';
import type { Actions, PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ locals, url }) => {
	const viewer = { who: locals.who!, today: await locals.app.today() };
	const query = {
		before: Number(url.searchParams.get('before')) || null,
		account: url.searchParams.get('account') ?? '',
		actId: Number(url.searchParams.get('act')) || null
	};
	const { db } = locals.app.books;
	const may =
		query.actId === null || locals.who!.role === 'reader'
			? null
			: await look(whatMayFollow(db, query.actId, viewer));
	return { ...(await look(lookAtJournal(db, query, viewer))), query, may };
};

export const actions: Actions = {
	asBefore: async ({ request, locals }) => {
		const read = await readForm(request, z.object({ actId: z.coerce.number().int() }));
		if (!read.ok) return refuse(read.problems);
		const at = await locals.app.circumstance(locals.who!, read.key);
		const result = await perform(locals.app.books, placeAsBefore, read.value, at);
		if (!result.ok) return refuse(result.problems);
		redirect(303, `/books/journal?act=${result.value.actId}`);
	}
};
