import { json } from '@sveltejs/kit';
import { ownBooks } from '$lib/server/app';
import { look } from '$lib/server/http/refuse';
import { lookAtProof } from '$lib/server/looks/proof';
import type { RequestHandler } from './$types';

/** The proof, made anew in a worker thread. */
export const GET: RequestHandler = async ({ locals }) => {
	const viewer = { who: locals.who!, today: await locals.app.today() };
	return json(await look(lookAtProof(locals.app.books.db, ownBooks(), viewer)));
};
