import { error, redirect } from '@sveltejs/kit';
import { nobodyYet } from '$lib/server/people/commands/people';
import { logFailure } from '$lib/server/platform/log';
import { DEMO_BOOKS_COOKIE, demoBooks } from '$lib/server/services/demo-books';
import type { RequestHandler } from './$types';

/** Leads whoever has no books yet into demo books, which are made the first time somebody asks. */
export const POST: RequestHandler = async ({ locals, cookies, url }) => {
	const demo = demoBooks();
	if (!demo || !(await nobodyYet(locals.app.books.db))) error(404, 'There are no demo books here.');
	await demo.start().catch((cause: unknown) => {
		logFailure('demo books', cause);
		error(
			503,
			'The demo books could not be made. The log of the server says why; your own books are not touched.'
		);
	});
	const secure = url.protocol === 'https:';
	cookies.set(DEMO_BOOKS_COOKIE, '1', { path: '/', httpOnly: true, sameSite: 'lax', secure });
	redirect(303, '/sign-in');
};
