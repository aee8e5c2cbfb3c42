import type { CertainRow } from '$lib/server/receipts/queries/certain';
import type { PileGroupRows, PileRow } from '$lib/server/receipts/queries/pile';

/** So many rows of each group of the pile come with the page; more when they are wanted. */
export const FIRST_ROWS = 100;
/** Never more than this of one group. */
export const MOST_ROWS = 2_000;

/** How many rows of each group are wanted here. Only a browser keeps it: on the server it would be everybody's. */
const wanted = new Map<string, number>();

/** Wants so many rows of a group from now on. @returns whether that is more than before */
export function wantRows(group: PileGroupRows['name'], rows: number): boolean {
	const most = Math.min(rows, MOST_ROWS);
	if (typeof window === 'undefined' || most <= (wanted.get(group) ?? FIRST_ROWS)) return false;
	wanted.set(group, most);
	return true;
}

/** A group with as many rows as are wanted of it. */
export async function withMoreRows(group: PileGroupRows, fetcher: typeof fetch): Promise<PileGroupRows> {
	const most = Math.min(wanted.get(group.name) ?? 0, group.count);
	const more = most - group.rows.length;
	if (more <= 0) return group;
	const rows = [...group.rows, ...(await rowsOf(group.name, group.rows.length, more, fetcher))];
	// The pile may have moved on in between: each is there once.
	return { ...group, rows: [...new Map(rows.map((row) => [row.id, row])).values()] };
}

/** Rows of a group from one place on. */
export async function rowsOf(
	group: PileGroupRows['name'],
	from: number,
	most: number,
	fetcher: typeof fetch = fetch
): Promise<readonly PileRow[]> {
	const response = await fetcher(`/api/pile?group=${group}&from=${from}&most=${most}`);
	if (!response.ok) throw new Error('The pile could not be read. Load the page again.');
	return (await response.json()) as PileRow[];
}

/** What is certain, with all that posting does and why. */
export async function certainRows(): Promise<readonly CertainRow[]> {
	const response = await fetch(`/api/certain?from=0&most=${MOST_ROWS}`);
	if (!response.ok) throw new Error('What is certain could not be read. Try again.');
	return (await response.json()) as CertainRow[];
}
