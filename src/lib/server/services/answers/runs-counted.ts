import { and, gt, inArray, ne, sql } from 'drizzle-orm';
import type { Viewer } from '../../act/define-look';
import { CAME_TO_NOTHING } from '../../letters/store/chases';
import type { RunsCounted } from '../../letters/queries/letters';
import type { Db } from '../../platform/db/open';
import { act, delivery } from '../../platform/db/schema';
import { lookInThread } from '../threads/look-in-thread';
import { newestAct } from './pile-maker';

/** While nothing but letters is written, a count is shown for so many times as long as it took. */
const TIMES_AS_LONG = 10;

interface Kept {
	/** All that it rests on beside acts. */
	readonly key: string;
	readonly actId: number;
	readonly at: number;
	readonly took: number;
	readonly counts: Promise<RunsCounted>;
}

const kept = new WeakMap<Db, Kept>();

/**
 * How many letters of each kind could go today, counted anew when something was done since. A run puts letters in the books by the
 * thousand, and each is an act: while nothing else is done, the last count stands for a moment, in proportion to what it took.
 * @param waiting the customers whose money waits
 * @param timesAsLong how long the last count stands while letters are written, by what it took
 */
export async function runsCounted(
	db: Db,
	waiting: readonly number[],
	viewer: Viewer,
	timesAsLong = TIMES_AS_LONG
): Promise<RunsCounted> {
	const actId = await newestAct(db);
	const key = `${viewer.today} ${await failedLetters(db)} ${waiting.join(' ')}`;
	const last = kept.get(db);
	const isRecent = last && performance.now() - last.at < timesAsLong * last.took;
	if (last?.key === key && (last.actId === actId || (isRecent && (await isLettersAlone(db, last.actId)))))
		return last.counts;
	const at = performance.now();
	const counts = lookInThread(db, 'letters-count', { waiting }, viewer);
	const own: Kept = { key, actId, at, took: Infinity, counts };
	kept.set(db, own);
	try {
		const counted = await counts;
		if (kept.get(db) === own) kept.set(db, { ...own, took: performance.now() - at });
		return counted;
	} catch (error) {
		if (kept.get(db) === own) kept.delete(db);
		throw error;
	}
}

/** Whether nothing but letters was put in the books since an act. */
async function isLettersAlone(db: Db, since: number): Promise<boolean> {
	const other = await db
		.select({ id: act.id })
		.from(act)
		.where(and(gt(act.id, since), ne(act.kind, 'send-letters')))
		.limit(1)
		.all();
	return other.length === 0;
}

/** Letters that came to nothing: what the post office notes of them is no act. */
async function failedLetters(db: Db): Promise<number> {
	const [row] = await db
		.select({ n: sql<number>`count(*)` })
		.from(delivery)
		.where(inArray(delivery.state, [...CAME_TO_NOTHING]))
		.all();
	return row!.n;
}
