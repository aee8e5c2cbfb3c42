import { asc } from 'drizzle-orm';
import type { Breach } from '../../../core/5-journal/proof/facts';
import { prove } from '../../../core/5-journal/proof/prove';
import { act } from '../../platform/db/schema';
import type { Db } from '../../platform/db/open';
import { FIRST_HASH, hashAct } from '../../act/hash-act';
import { proofFacts } from '../store/proof-facts';
import { runWorker } from '../../platform/worker-pool';
import { actSentence } from '../../../words';
import { saidOf } from '../../act/said';
import { defineLook } from '../../act/define-look';

export interface Proof {
	readonly breaches: readonly Breach[];
	readonly counts: {
		readonly acts: number;
		readonly journalLines: number;
		readonly items: number;
		readonly receipts: number;
	};
}

/** Recomputes everything that must hold from the journal and the records. */
export async function proveBooks(db: Db): Promise<Proof> {
	const facts = await proofFacts(db);
	const chain = await brokenLinks(db);
	return {
		breaches: [...prove(facts), ...chain.breaches],
		counts: {
			acts: chain.acts,
			journalLines: facts.lines.length,
			items: facts.items.length,
			receipts: facts.receipts.length
		}
	};
}

async function brokenLinks(db: Db): Promise<{ acts: number; breaches: Breach[] }> {
	const breaches: Breach[] = [];
	let previous = FIRST_HASH;
	let want = 1;
	const rows = await db.select().from(act).orderBy(asc(act.id));
	for (const { hash, ...row } of rows) {
		const sound = row.id === want && row.previousHash === previous && hashAct(row) === hash;
		if (!sound)
			breaches.push({
				rule: 6,
				about: `record ${row.id} (${actSentence(saidOf(row))})`,
				want,
				found: row.id,
				currency: ''
			});
		previous = hash;
		want = row.id + 1;
	}
	return { acts: rows.length, breaches };
}

/** The proof for a page: reading everything takes seconds in large books, so it is made in a worker thread where there is one. */
export const lookAtProof = defineLook(
	'reader',
	(db, at: { url: string; token?: string }) =>
		runWorker<typeof at, Proof>('proof-worker', at) ?? proveBooks(db)
);
