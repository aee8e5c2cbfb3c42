import { fail, redirect } from '@sveltejs/kit';
import { z } from 'zod';
import { passkeysWork } from '$lib/server/people/passkeys';
import { showSecondFactor } from '$lib/server/people/show-second-factor';
import { secondFactorsOf } from '$lib/server/people/store/second-factors';
import { shaped } from '$lib/server/platform/http/action';
import { inside } from '$lib/server/platform/http/inside';
import { refuse } from '$lib/server/platform/http/refuse';
import type { Actions, PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ locals, url }) => {
	if (!locals.halfway) redirect(303, inside(url.searchParams.get('to')));
	const own = await secondFactorsOf(locals.app.books.db, locals.halfway.id);
	return {
		name: locals.halfway.name,
		app: own.some(({ kind }) => kind === 'app'),
		passkey: own.some(({ kind }) => kind === 'passkey') && passkeysWork(url)
	};
};

const input = z.object({ code: z.string().trim().max(60), passkey: z.string().max(20_000) }).partial();

export const actions: Actions = {
	default: async (event) => {
		const who = event.locals.halfway;
		if (!who) redirect(303, '/sign-in');
		const read = shaped(input, Object.fromEntries(await event.request.formData()));
		if (!read.ok) return refuse(read.problems);
		const { code = '', passkey } = read.value;
		const why = await showSecondFactor(event, who, passkey ? { passkey } : { code });
		if (why !== null) return fail(400, { problems: [why], fields: { code: why }, codes: ['field'] });
		redirect(303, inside(event.url.searchParams.get('to')));
	}
};
