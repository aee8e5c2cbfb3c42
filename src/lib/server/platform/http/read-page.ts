import { rowNumber } from './row-number';

/** Pages further on than any list has are the first again. */
const MOST_PAGES = 100_000;

/** The page of a long list that an address asks for, from nought; the first where it asks for none or for nonsense. */
export function readPage(url: URL): number {
	const page = rowNumber(url.searchParams.get('page')) ?? 0;
	return page <= MOST_PAGES ? page : 0;
}
