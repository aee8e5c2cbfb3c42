import { json } from '@sveltejs/kit';
import { ownAnchors } from '$lib/server/app';
import { config } from '$lib/server/platform/config';
import { view } from '$lib/server/platform/http/view';
import { lookAtProof } from '$lib/server/ledger/queries/proof';
import type { RequestHandler } from './$types';

/** The proof, made anew in a worker thread. */
export const GET: RequestHandler = async ({ locals }) => {
	return json(await view(locals, lookAtProof, { ...config().database, anchors: ownAnchors() }));
};
