import { createReadStream } from 'node:fs';
import { join } from 'node:path';
import { Readable } from 'node:stream';
import { error } from '@sveltejs/kit';
import { LETTER_FACES, letterFontFolder } from '$lib/server/platform/pdf/letter-fonts';
import type { RequestHandler } from './$types';

/** The faces of letters, for the page that shows one as it will be printed. */
export const GET: RequestHandler = ({ params }) => {
	const file =
		params.face === 'bold' ? LETTER_FACES.bold : params.face === 'regular' ? LETTER_FACES.regular : null;
	if (!file) error(404, 'There is no such font.');
	return new Response(Readable.toWeb(createReadStream(join(letterFontFolder(), file))) as ReadableStream, {
		headers: { 'content-type': 'font/ttf', 'cache-control': 'private, max-age=86400' }
	});
};
