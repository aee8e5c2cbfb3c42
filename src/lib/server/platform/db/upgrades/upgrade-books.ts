import { eq } from 'drizzle-orm';
import { SEARCH_KEYS } from '../../../../core/text/search-keys';
import type { Db, Reader, Tx } from '../types';
import { upgrade } from '../schema';
import { fillLineSources } from './line-sources';
import { rebuildSearchKeys } from './search-keys';

/** What books of earlier versions need beyond their tables, in order, each once: how many rows it could not tell. */
const UPGRADES: Readonly<Record<string, (tx: Tx) => Promise<number>>> = {
	'line-sources': fillLineSources,
	[`search-keys-${SEARCH_KEYS}`]: rebuildSearchKeys
};

/** Brings the contents of books up to date; each step in one transaction with the note that it was done and what was left. */
export async function upgradeBooks(db: Db): Promise<void> {
	for (const [name, bring] of Object.entries(UPGRADES)) {
		if (await isDone(db, name)) continue;
		await db.transaction(async (tx) => {
			// Another process may have opened the books meanwhile.
			if (!(await isDone(tx, name))) await tx.insert(upgrade).values({ name, left: await bring(tx) });
		});
	}
}

async function isDone(db: Reader, name: string): Promise<boolean> {
	return (
		(await db.select({ name: upgrade.name }).from(upgrade).where(eq(upgrade.name, name)).get()) !== undefined
	);
}
