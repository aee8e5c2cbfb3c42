/** Fields of addresses that were one letter once, by the pages that had them: people may have kept such an address. */
const OLD_FIELDS: Readonly<Record<string, string>> = {
	r: 'receipt',
	k: 'credits',
	c: 'customer',
	also: 'accounts',
	lay: 'items'
};
const PAGES = /^\/(money-in|open-items\/new)(\/|$)/;

/** Where an address of before leads now, as path and query; null where it is one of today. */
export function oldAddress(url: URL): string | null {
	if (!PAGES.test(url.pathname)) return null;
	const fields = [...url.searchParams];
	if (!fields.some(([name]) => name in OLD_FIELDS)) return null;
	const now = new URLSearchParams(fields.map(([name, value]) => [OLD_FIELDS[name] ?? name, value]));
	return `${url.pathname}?${now}`;
}
