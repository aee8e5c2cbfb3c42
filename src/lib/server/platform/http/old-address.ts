/** Fields of addresses that were one letter once, by the pages that had them: people may have kept such an address. */
const OLD_FIELDS: Readonly<Record<string, string>> = {
	r: 'receipt',
	k: 'credits',
	c: 'customer',
	also: 'accounts',
	lay: 'items'
};
const PAGES_WITH_OLD_FIELDS = /^\/(money-in|open-items\/new)(\/|$)/;

/** Pages that had another name. */
const OLD_PATHS: readonly (readonly [string, string])[] = [
	['/odd-pennies/asked', '/books/approvals'],
	['/odd-pennies/approvals', '/books/approvals'],
	['/odd-pennies/remainders', '/odd-pennies/small-balances'],
	['/odd-pennies/lost', '/odd-pennies/deduction-analysis'],
	['/money-in/again', '/money-in/reallocate'],
	['/money-in/by-hand', '/money-in/manual-receipts']
];

/** Where an address of before leads now, as path and query; null where it is one of today. */
export function oldAddress(url: URL): string | null {
	const path = pathOfToday(url.pathname);
	const fields = [...url.searchParams];
	const rename = PAGES_WITH_OLD_FIELDS.test(path) && fields.some(([name]) => name in OLD_FIELDS);
	if (path === url.pathname && !rename) return null;
	const now = new URLSearchParams(
		fields.map(([name, value]) => [rename ? (OLD_FIELDS[name] ?? name) : name, value])
	);
	return fields.length ? `${path}?${now}` : path;
}

function pathOfToday(path: string): string {
	for (const [old, now] of OLD_PATHS)
		if (path === old || path.startsWith(`${old}/`)) return now + path.slice(old.length);
	return path;
}
