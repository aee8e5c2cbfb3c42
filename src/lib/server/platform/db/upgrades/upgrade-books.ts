import { eq } from 'drizzle-orm';
import { SEARCH_KEYS } from '../../../../core/text/search-keys';
import type { Db, Reader, Tx } from '../types';
import { upgrade } from '../schema';
import { withTablesSealedAnew } from '../seal/install-seals';
import { fillOpenSpans } from '../derived/open-spans';
import { countEarlierReductions } from './earlier-reductions';
import { fillLineSources } from './line-sources';
import { pettyCashIsAPlace } from './petty-cash';
import { rulesToUsualLines } from './rules-to-usual-lines';
import { rebuildSearchKeys } from './search-keys';

interface Upgrade {
	/** Tables of which it changes rows that are else never changed. */
	readonly tables: readonly string[];
	/** Says how many rows it could not tell. */
	readonly bring: (tx: Tx) => Promise<number>;
}

/** What books of earlier versions need beyond their tables, in order, each once. */
const UPGRADES: Readonly<Record<string, Upgrade>> = {
	'earlier-reductions': { tables: [], bring: countEarlierReductions },
	'line-sources': { tables: ['journal_line'], bring: fillLineSources },
	'open-spans': {
		tables: [],
		bring: async (tx) => {
			await fillOpenSpans(tx);
			return 0;
		}
	},
	'petty-cash': { tables: ['receipt'], bring: pettyCashIsAPlace },
	// Before the keys: what it adds is found by them.
	'rules-to-usual-lines': { tables: [], bring: rulesToUsualLines },
	[`search-keys-${SEARCH_KEYS}`]: {
		tables: ['payer_lesson', 'forgotten_payer', 'document'],
		bring: rebuildSearchKeys
	}
};

/** Brings the contents of books up to date; each step in one transaction with the note that it was done and what was left. */
export async function upgradeBooks(db: Db, now: () => string): Promise<void> {
	for (const [name, { tables, bring }] of Object.entries(UPGRADES)) {
		if (await isDone(db, name)) continue;
		await db.transaction(async (tx) => {
			// Another process may have opened the books meanwhile.
			if (await isDone(tx, name)) return;
			await withTablesSealedAnew(tx, now, tables, async () => {
				await tx.insert(upgrade).values({ name, left: await bring(tx) });
			});
		});
	}
}

async function isDone(db: Reader, name: string): Promise<boolean> {
	return (
		(await db.select({ name: upgrade.name }).from(upgrade).where(eq(upgrade.name, name)).get()) !== undefined
	);
}
