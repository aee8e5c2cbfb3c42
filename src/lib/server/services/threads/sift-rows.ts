import { createHash } from 'node:crypto';
import type { Problem } from '../../../core/problems';
import { groupBy } from '../../../core/group-by';
import { WHY_REFUSED } from '../../../tables/read-own-table';
import { problemSentence } from '../../../words';
import type { PreviewRow } from '../../act/preview-rows';
import { csvText } from '../../platform/http/csv-response';
import type { RefusedRow, TablesRead } from '../../platform/http/read-table-form';

/** So many rows that were not taken are given back to be mended. */
const MOST_GIVEN_BACK = 5_000;

/** The rows of tables that can be taken, what would become of each, and the others. */
export interface Sifted<T> {
	readonly rows: readonly T[];
	readonly shown: readonly PreviewRow[];
	readonly refused: readonly RefusedRow[];
	/** What is wrong with what came in files of their own: they are not rows that can be left out. */
	readonly problems: readonly Problem[];
}

/**
 * Divides rows into those that the books can take and those that they cannot. What hangs on a row that is left out, as a branch on
 * its parent, is left out with it.
 * @param look says what would become of rows, each in its place
 */
export async function siftRows<T>(
	read: TablesRead<T>,
	look: (rows: readonly T[]) => Promise<PreviewRow[]>
): Promise<Sifted<T>> {
	const refused = [...read.refused];
	const problems: Problem[] = [];
	let rows = read.rows.map((row, i) => ({ row, table: read.tableOf[i]! }));
	for (;;) {
		const shown = await look(rows.map(({ row }) => row));
		const taken = rows.filter((_, i) => !shown[i]!.refused);
		if (taken.length === rows.length)
			return {
				...{ rows: taken.map(({ row }) => row), shown, problems },
				refused: refused.sort((a, b) => a.table - b.table || a.line - b.line)
			};
		for (const [i, { table }] of rows.entries()) {
			const { refused: problem, line } = shown[i]!;
			if (!problem) continue;
			const file = table === null ? null : read.tables[table]!.file;
			if (table === null) problems.push(problem);
			else refused.push({ table, line, problem: { ...problem, ...(file === null ? {} : { file }) } });
		}
		rows = taken;
	}
}

/** The rows that cannot be taken, each once: one may have several faults. */
function placesOf(refused: readonly RefusedRow[]): string[] {
	return [...new Set(refused.map(({ table, line }) => `${table} ${line}`))];
}

/** How many rows cannot be taken. */
export function countRefused(refused: readonly RefusedRow[]): number {
	return placesOf(refused).length;
}

/** What stands for just these rows as they are, so that whoever agreed to leave them out agreed to no others; empty where there are none. */
export function keyOfRefused({ grids }: TablesRead<unknown>, refused: readonly RefusedRow[]): string {
	if (refused.length === 0) return '';
	const places = new Set(placesOf(refused));
	const rows = grids.flatMap((grid, table) => grid.filter(({ line }) => places.has(`${table} ${line}`)));
	return createHash('sha256').update(JSON.stringify(rows)).digest('hex');
}

/** Rows that were not taken, as they stood in their table, with why: a file to be mended and brought again. */
export interface RefusedFile {
	readonly name: string;
	readonly text: string;
	readonly rows: number;
	readonly of: number;
}

/** A file for each table of which rows were not taken. */
export function refusedFiles(
	{ tables, grids }: TablesRead<unknown>,
	refused: readonly RefusedRow[]
): RefusedFile[] {
	return [...groupBy(refused, (one) => one.table)].map(([table, own]) => {
		const { file, headings } = tables[table]!;
		const why = groupBy(own, (one) => one.line);
		const rows = grids[table]!.filter(({ line }) => why.has(line));
		const given = rows.slice(0, MOST_GIVEN_BACK).map(({ line, cells }) => [
			...headings.map((_, at) => cells[at] ?? ''),
			why
				.get(line)!
				.map(({ problem }) => problemSentence({ ...problem, line: undefined, file: undefined } as Problem))
				.join(' ')
		]);
		const name = (file ?? 'pasted').replace(/\.\w+$/, '');
		return {
			name: `${name}-not-taken.csv`,
			text: csvText([...headings, WHY_REFUSED], given),
			...{ rows: given.length, of: rows.length }
		};
	});
}
