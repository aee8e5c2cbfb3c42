import { expect, it } from 'vitest';
import { contentDisposition } from './content-disposition';

it.each([
	['plain', 'statement H1.pdf', `inline; filename="statement H1.pdf"; filename*=UTF-8''statement%20H1.pdf`],
	[
		'letters beyond Latin',
		'Łódź.pdf',
		`inline; filename="odz.pdf"; filename*=UTF-8''%C5%81%C3%B3d%C5%BA.pdf`
	],
	[
		'quotes and a line break',
		'a"b\r\nX-Y: 1',
		`inline; filename="ab X-Y: 1"; filename*=UTF-8''a%22b%20X-Y%3A%201`
	],
	['a path', '../a\\b', `inline; filename="..-a-b"; filename*=UTF-8''..-a-b`],
	['nothing that is ASCII', '書', `inline; filename="file"; filename*=UTF-8''%E6%9B%B8`]
])('a file’s name with %s', (_, name, want) => {
	const header = contentDisposition('inline', name);
	expect(header).toBe(want);
	// What a header may not hold is refused here.
	expect(new Headers({ 'content-disposition': header }).get('content-disposition')).toBe(want);
});
