import type { CertainRow } from '$lib/server/receipts/queries/certain';
import type { PileFilter } from '$lib/server/services/answers/order-pile';
import type { PileGroupRows, PileRow } from '$lib/server/receipts/queries/pile';

/** So many rows of each group of the pile come with the page; more when they are wanted. */
export const FIRST_ROWS = 100;
/** Never more than this of one group. */
export const MOST_ROWS = 2_000;

/** How many rows of each group are wanted here. Only a browser keeps it: on the server it would be everybody's. */
const wanted = new Map<string, number>();

const keyOf = (group: string, filter: PileFilter) => group + filterText(filter);

/** A filter as it stands in an address, led by `&`; nothing for the whole pile. */
export function filterText({ find, order, group, bankAccountId, heldFor }: PileFilter): string {
	const params = new URLSearchParams();
	if (find) params.set('find', find);
	if (order !== 'day') params.set('order', order);
	if (group !== null) params.set('band', group);
	if (bankAccountId !== null) params.set('bank', String(bankAccountId));
	if (heldFor !== null) params.set('for', heldFor);
	const text = params.toString();
	return text && `&${text}`;
}

/** Wants so many rows of a group from now on. @returns whether that is more than before */
export function wantRows(group: PileGroupRows['name'], filter: PileFilter, rows: number): boolean {
	const most = Math.min(rows, MOST_ROWS);
	if (typeof window === 'undefined' || most <= (wanted.get(keyOf(group, filter)) ?? FIRST_ROWS)) return false;
	wanted.set(keyOf(group, filter), most);
	return true;
}

/** A group with as many rows as are wanted of it. */
export async function withMoreRows(
	group: PileGroupRows,
	filter: PileFilter,
	fetcher: typeof fetch
): Promise<PileGroupRows> {
	const most = Math.min(wanted.get(keyOf(group.name, filter)) ?? 0, group.count);
	const more = most - group.rows.length;
	if (more <= 0) return group;
	const rows = [...group.rows, ...(await rowsOf(group.name, filter, group.rows.length, more, fetcher))];
	// The pile may have moved on in between: each is there once.
	return { ...group, rows: [...new Map(rows.map((row) => [row.id, row])).values()] };
}

/** Rows of a group from one place on. */
export async function rowsOf(
	group: PileGroupRows['name'],
	filter: PileFilter,
	from: number,
	most: number,
	fetcher: typeof fetch = fetch
): Promise<readonly PileRow[]> {
	const response = await fetcher(`/api/pile?group=${group}&from=${from}&most=${most}${filterText(filter)}`);
	if (!response.ok) throw new Error('The pile could not be read. Load the page again.');
	return (await response.json()) as PileRow[];
}

/** What is certain, with all that posting does and why. */
export async function certainRows(filter: PileFilter): Promise<readonly CertainRow[]> {
	const response = await fetch(`/api/certain?from=0&most=${MOST_ROWS}${filterText(filter)}`);
	if (!response.ok) throw new Error('What is certain could not be read. Try again.');
	return (await response.json()) as CertainRow[];
}
