import { error, fail } from '@sveltejs/kit';
import { decideClaims, decideInput } from '$lib/server/acts/decide-claims';
import { changeClaim, claimChange, fileClaim, noteClaim, noteInput } from '$lib/server/acts/keep-with-claim';
import { perform } from '$lib/server/acts/perform';
import { readForm } from '$lib/server/http/read-form';
import { look, refuse } from '$lib/server/http/refuse';
import { lookAtClaim } from '$lib/server/looks/claim';
import type { Actions, PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ locals, params }) => {
	const viewer = { who: locals.who!, today: await locals.app.today() };
	const claim = await look(lookAtClaim(locals.app.books.db, params.number, viewer));
	if (!claim) error(404, `There is no claim ${params.number}.`);
	return { claim, mayAct: locals.who!.role !== 'reader' };
};

export const actions: Actions = {
	note: async ({ request, locals }) => {
		const read = await readForm(request, noteInput);
		if (!read.ok) return refuse(read.problems);
		const at = await locals.app.circumstance(locals.who!, read.key);
		const result = await perform(locals.app.books, noteClaim, read.value, at);
		return result.ok ? { done: true } : refuse(result.problems);
	},
	change: async ({ request, locals }) => {
		const read = await readForm(request, claimChange);
		if (!read.ok) return refuse(read.problems);
		const at = await locals.app.circumstance(locals.who!, read.key);
		const result = await perform(locals.app.books, changeClaim, read.value, at);
		return result.ok ? { done: true } : refuse(result.problems);
	},
	file: async ({ request, locals }) => {
		const form = await request.formData();
		const at = await locals.app.circumstance(locals.who!);
		const files = form.getAll('files').filter((one): one is File => one instanceof File && one.name !== '');
		if (files.length === 0) return fail(400, { problems: ['Choose a file first.'] });
		for (const file of files) {
			const content = Buffer.from(await file.arrayBuffer());
			const kept = { claimId: Number(form.get('claimId')), name: file.name, type: file.type, content };
			const result = await perform(locals.app.books, fileClaim, kept, at);
			if (!result.ok) return refuse(result.problems);
		}
		return { kept: files.length };
	},
	decide: async ({ request, locals }) => {
		const read = await readForm(request, decideInput);
		if (!read.ok) return refuse(read.problems);
		const at = await locals.app.circumstance(locals.who!, read.key);
		const result = await perform(locals.app.books, decideClaims, read.value, at);
		return result.ok ? result.value : refuse(result.problems);
	}
};
