/** What a form may have that comes from somebody who is not signed in, in bytes: an address and a password. */
const STRANGER_BYTES = 20_000;

/**
 * Whether a request's body is refused before a byte of it is read: from a stranger what is larger than a sign-in, and from anybody
 * what does not say how large it is. Each action has a bound of its own beside it.
 * @returns the status (RFC 9110, 15.5.12 and 15.5.14), or null where it may be read
 */
export function refusedBody(
	request: Pick<Request, 'method' | 'headers'>,
	signedIn: boolean
): 411 | 413 | null {
	if (request.method === 'GET' || request.method === 'HEAD') return null;
	const length = request.headers.get('content-length');
	if (length === null) return request.headers.has('transfer-encoding') ? 411 : null;
	if (!/^\d{1,15}$/.test(length)) return 411;
	return !signedIn && Number(length) > STRANGER_BYTES ? 413 : null;
}
