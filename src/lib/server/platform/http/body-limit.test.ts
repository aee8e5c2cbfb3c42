import { expect, it } from 'vitest';
import { refusedBody } from './body-limit';

const body = (headers: Record<string, string>, method = 'POST') => ({
	method,
	headers: new Headers(headers)
});

it.each([
	['a sign-in', { 'content-length': '200' }, false, null],
	['fifty megabytes from a stranger', { 'content-length': '50000000' }, false, 413],
	['a bank file from a clerk', { 'content-length': '50000000' }, true, null],
	['a body without an end', { 'transfer-encoding': 'chunked' }, true, 411],
	['a length that is none', { 'content-length': '1e9' }, true, 411],
	['no body at all', {}, false, null]
] as const)('%s', (_, headers, signedIn, want) => expect(refusedBody(body(headers), signedIn)).toBe(want));
it('a page that is looked at has none', () =>
	expect(refusedBody(body({ 'content-length': '99999999' }, 'GET'), false)).toBe(null));
