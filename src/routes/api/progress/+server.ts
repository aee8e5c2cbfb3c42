import { error, json } from '@sveltejs/kit';
import { progressOf } from '$lib/server/services/threads/meters';
import type { RequestHandler } from './$types';

/** How far what the person sent has come, by the key of its form; null once it is done, or is not theirs. */
export const GET: RequestHandler = ({ locals, url }) => {
	const key = url.searchParams.get('key') ?? '';
	if (!locals.who || key.length > 64) error(400, 'A key is needed.');
	return json(progressOf(locals.who.id, key), { headers: { 'cache-control': 'no-store' } });
};
