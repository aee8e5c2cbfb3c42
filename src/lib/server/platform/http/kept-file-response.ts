import { contentDisposition } from './content-disposition';

/** Pictures and PDFs are shown; anything else is only downloaded, for it comes from outside. */
const SHOWN = new Set(['image/png', 'image/jpeg', 'image/webp', 'image/gif', 'application/pdf']);

/** A file that somebody kept, as it came: nothing in it can run. */
export function keptFileResponse(file: {
	readonly name: string;
	readonly type: string;
	readonly content: Uint8Array;
}): Response {
	const shown = SHOWN.has(file.type);
	return new Response(new Uint8Array(file.content), {
		headers: {
			'content-type': shown ? file.type : 'application/octet-stream',
			'content-disposition': contentDisposition(shown ? 'inline' : 'attachment', file.name),
			'x-content-type-options': 'nosniff',
			'content-security-policy': "sandbox; default-src 'none'"
		}
	});
}
