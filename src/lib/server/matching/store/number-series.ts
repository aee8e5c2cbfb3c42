import { sql } from 'drizzle-orm';
import {
	learnNumberPatterns,
	type NumberFrame,
	numberFrames,
	type NumberPatterns
} from '../../../core/3-matching';
import type { Reader } from '../../platform/db/open';

/** How the firm numbers its documents. */
export interface NumberSeries {
	/** What stands around the digits. */
	readonly frames: readonly NumberFrame[];
	readonly patterns: NumberPatterns;
}

interface Kept {
	/** The newest document: no number changes. */
	readonly mark: number;
	readonly text: string;
	readonly series: NumberSeries;
}

const kept = new WeakMap<object, Kept>();

/** So many of the newest documents are read, and so many spread over all: older series may still be open. */
const READ = 1_000;

/** Learned from documents, whatever of them waits for money; the same object for as long as they teach the same. */
export async function numberSeries(db: Reader, keeper: object): Promise<NumberSeries> {
	const newest = await db.all<{ mark: number | null }>(sql`select max(id) as mark from document`);
	const mark = newest[0]?.mark ?? 0;
	const known = kept.get(keeper);
	if (known?.mark === mark) return known.series;
	const spread = Array.from({ length: READ }, (_, n) => Math.ceil(((n + 1) * mark) / READ));
	const rows = await db.all<{ number: string }>(sql`
		select number from document where id > ${mark - READ} or id in (select value from json_each(${JSON.stringify(spread)}))
		order by id desc`);
	const numbers = rows.map((row) => row.number);
	const series = { frames: numberFrames(numbers), patterns: learnNumberPatterns(numbers) };
	const text = JSON.stringify([series.frames, [...series.patterns].sort()]);
	const same = known?.text === text ? known.series : series;
	kept.set(keeper, { mark, text, series: same });
	return same;
}
