/** The page of a long list that an address asks for, from nought; the first where it asks for none or for nonsense. */
export function readPage(url: URL): number {
	const page = Math.trunc(Number(url.searchParams.get('page')));
	return Number.isSafeInteger(page) && page > 0 ? page : 0;
}
