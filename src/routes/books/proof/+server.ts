import { json } from '@sveltejs/kit';
import { ownBooks } from '$lib/server/app';
import { view } from '$lib/server/http/view';
import { lookAtProof } from '$lib/server/looks/proof';
import type { RequestHandler } from './$types';

/** The proof, made anew in a worker thread. */
export const GET: RequestHandler = async ({ locals }) => {
	return json(await view(locals, lookAtProof, ownBooks()));
};
