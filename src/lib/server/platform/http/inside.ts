/** Only paths of this application: a link must not lead elsewhere after sign-in. */
export function inside(to: string | null): string {
	if (!to?.startsWith('/')) return '/';
	// Browsers take tabs and line breaks out of an address and a backslash for a slash: the address is read as they read it.
	const base = 'http://books.invalid';
	const read = URL.canParse(to, base) ? new URL(to, base) : null;
	return read?.origin === base ? read.pathname + read.search : '/';
}
