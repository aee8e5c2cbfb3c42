/** What is left of a body is thrown away up to so many bytes; of a larger one the connection is closed. */
const THROWN_AWAY = 1_000_000;

/**
 * Sees to the body of a request that was refused before it was read. On a connection that goes on, the next request would wait behind
 * what nobody reads, and be cut off in the end.
 * @param headers of the response, which is not sent yet
 */
export async function leaveNothingUnread(
	request: Pick<Request, 'bodyUsed' | 'body' | 'headers'>,
	headers: Headers
): Promise<void> {
	if (request.bodyUsed || request.body === null) return;
	if (Number(request.headers.get('content-length') ?? Infinity) > THROWN_AWAY) {
		headers.set('connection', 'close');
		return;
	}
	const reader = request.body.getReader();
	// It is looked at by nobody; that it ends early changes nothing.
	while (!(await reader.read().catch(() => ({ done: true }))).done);
}
