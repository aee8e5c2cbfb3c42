import { fail, redirect } from '@sveltejs/kit';
import { DEMO_PASSWORD, DEMO_PEOPLE } from '../../demo/firm';
import { signIn } from '$lib/server/people/sign-in';
import { cleanText } from '$lib/core/text/clean-text';
import { readSetting } from '$lib/server/firm/store/settings';
import { inside } from '$lib/server/platform/http/inside';
import type { Actions, PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ locals, url }) => {
	if (locals.who) redirect(303, inside(url.searchParams.get('to')));
	const demo = (await readSetting(locals.app.books.db, 'demo')) === true;
	return { demo: demo ? DEMO_PEOPLE.map(({ name, role }) => ({ name, role })) : [] };
};

export const actions: Actions = {
	person: async (event) => {
		const form = await event.request.formData();
		const email = String(form.get('email') ?? '')
			.trim()
			.toLowerCase();
		const result = await signIn(event, email, cleanText(String(form.get('password') ?? '')));
		if (!result.ok) return fail(400, { message: result.message, email });
		redirect(303, inside(event.url.searchParams.get('to')));
	},
	demo: async (event) => {
		const demo = await readSetting(event.locals.app.books.db, 'demo');
		const role = String((await event.request.formData()).get('role'));
		const person = DEMO_PEOPLE.find((one) => one.role === role);
		if (!demo || !person) return fail(403, { message: 'There is no demo here.', email: '' });
		const result = await signIn(event, person.email, DEMO_PASSWORD);
		if (!result.ok) return fail(400, { message: result.message, email: '' });
		redirect(303, inside(event.url.searchParams.get('to')));
	}
};
