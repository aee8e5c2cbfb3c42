import { asc } from 'drizzle-orm';
import { FIRST_HASH, hashAct } from '../../act/hash-act';
import { act } from '../../platform/db/schema';
import type { Reader } from '../../platform/db/open';

/** A record that the chain of records does not hold. */
export interface BrokenRecord {
	readonly row: typeof act.$inferSelect;
	readonly what: 'changed' | 'missing';
	/** The hash of it as it is stored. */
	readonly state: string;
	/** Whether it stands at its place in the chain: then only what it says is not as it was hashed. */
	readonly inPlace: boolean;
}

/** Goes through the chain of records. */
export async function brokenRecords(
	db: Reader
): Promise<{ readonly acts: number; readonly broken: readonly BrokenRecord[] }> {
	const broken: BrokenRecord[] = [];
	let previous = FIRST_HASH;
	let want = 1;
	const rows = await db.select().from(act).orderBy(asc(act.id));
	for (const row of rows) {
		const { hash, ...hashed } = row;
		const state = hashAct(hashed);
		const inPlace = row.id === want && row.previousHash === previous;
		if (!inPlace || state !== hash)
			broken.push({ row, what: row.id === want ? 'changed' : 'missing', state, inPlace });
		previous = hash;
		want = row.id + 1;
	}
	return { acts: rows.length, broken };
}
