import { writeLetters, type LetterOrWhy } from '../server/letters/write-letters';
import type { Db } from '../server/platform/db/open';
import { openForReading } from '../server/platform/db/open-for-reading';
import { giveWay } from '../server/platform/give-way';
import type { WriteTask } from '../server/services/prepare-letters';
import { useConventions } from '../words/conventions';

/** Connections of this thread, kept with their statements for the next letters. */
const connections = new Map<string, Db>();

/** In a worker thread, with a reading client and fonts of its own: letters written, with their papers and messages. */
export default async function (task: WriteTask): Promise<LetterOrWhy[]> {
	giveWay();
	const { place, asked, today, now } = task;
	useConventions(task.conventions);
	const db = connections.get(place.url) ?? openForReading(place.url, place.token);
	connections.set(place.url, db);
	return writeLetters(db, asked, { today }, now);
}
