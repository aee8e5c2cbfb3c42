import { error } from '@sveltejs/kit';
import { forgetLesson, forgetLessonInput } from '$lib/server/acts/forget-lesson';
import { forgetInput, forgetPayer } from '$lib/server/acts/forget-payer';
import { perform } from '$lib/server/acts/perform';
import { readForm } from '$lib/server/http/read-form';
import { look, refuse } from '$lib/server/http/refuse';
import { lookAtAccount } from '$lib/server/looks/account';
import { lookAtItem } from '$lib/server/looks/item-life';
import type { Actions, PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ locals, params, url }) => {
	const viewer = { who: locals.who!, today: await locals.app.today() };
	const account = await look(lookAtAccount(locals.app.books.db, params.code, viewer));
	if (!account) error(404, `There is no account ${params.code}.`);
	const itemId = Number(url.searchParams.get('item')) || null;
	return { account, item: itemId ? await look(lookAtItem(locals.app.books.db, itemId, viewer)) : null };
};

export const actions: Actions = {
	forget: async ({ request, locals }) => {
		const read = await readForm(request, forgetInput);
		if (!read.ok) return refuse(read.problems);
		const at = await locals.app.circumstance(locals.who!);
		const result = await perform(locals.app.books, forgetPayer, read.value, at);
		return result.ok ? { done: [result.value.actId] } : refuse(result.problems);
	},
	'forget-habit': async ({ request, locals }) => {
		const read = await readForm(request, forgetLessonInput);
		if (!read.ok) return refuse(read.problems);
		const at = await locals.app.circumstance(locals.who!);
		const result = await perform(locals.app.books, forgetLesson, read.value, at);
		return result.ok ? { done: [result.value.actId] } : refuse(result.problems);
	}
};
