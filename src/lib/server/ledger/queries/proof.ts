import type { Breach, RecordBreach } from '../../../core/5-journal/proof/facts';
import { prove } from '../../../core/5-journal/proof/prove';
import { inList } from '../../platform/db/in-list';
import { seal } from '../../platform/db/schema';
import type { AnchorFile } from '../../platform/anchors/anchor-files';
import { checkAnchors } from '../../platform/anchors/check-anchors';
import type { Reader } from '../../platform/db/open';
import { checkSeals, type SealCheck } from '../../platform/db/seal/check-seals';
import { acknowledged } from '../store/acknowledged';
import { brokenRecords } from '../store/broken-records';
import { proofFacts } from '../store/proof-facts';
import { runWorker } from '../../platform/worker-pool';
import { actSentence, moment } from '../../../words';
import { statementFaults } from '../../receipts/store/statement-faults';
import { saidOf } from '../../act/said';
import { defineLook } from '../../act/define-look';

export interface Proof {
	readonly breaches: readonly Breach[];
	readonly counts: {
		readonly acts: number;
		readonly journalLines: number;
		readonly items: number;
		readonly receipts: number;
		readonly seals: number;
		readonly anchors: number;
		/** Findings that somebody put down with a reason. */
		readonly acknowledged: number;
	};
}

/** Where the books are, for a thread of its own, and what they are compared with. */
export interface ProofAsked {
	readonly url: string;
	readonly token?: string;
	readonly anchors: ProofAnchors;
}

/** Anchors to compare the books with, and the key that signs those of these books; null where it is not known. */
export interface ProofAnchors {
	readonly files: readonly AnchorFile[];
	readonly publicKey: string | null;
}

/** Recomputes everything that must hold from the journal and the records. */
export async function proveBooks(
	db: Reader,
	{ files, publicKey }: ProofAnchors = { files: [], publicKey: null }
): Promise<Proof> {
	const facts = await proofFacts(db);
	const known = await acknowledged(db);
	const chain = await brokenLinks(db, known);
	const hashes: string[] = [];
	const seals = await checkSeals(db, (hash) => hashes.push(hash));
	const anchors = checkAnchors(files, hashes, publicKey).map(({ name, fault }): Breach => ({
		rule: 9,
		about: `anchor ${name}`,
		fault
	}));
	// One without balances says nothing that could be wrong; what it brought is not certain, that is all.
	const doubted = (await statementFaults(db)).filter(({ code }) => code !== 'no-balances');
	const statements = doubted.map(({ reference, account, want, found, currency, code }): Breach => ({
		...{ rule: 10, want, found, currency },
		about: `statement ${reference} of ${account}, ${code === 'overlap-differs' ? 'closing' : 'opening'} balance`
	}));
	return {
		breaches: [
			...prove(facts),
			...chain.breaches,
			...(await sealBreaches(db, seals)),
			...anchors,
			...statements
		],
		counts: {
			acts: chain.acts,
			journalLines: facts.lines.length,
			items: facts.items.length,
			receipts: facts.receipts.length,
			seals: hashes.length,
			anchors: files.length,
			acknowledged: known.count
		}
	};
}

async function brokenLinks(
	db: Reader,
	known: Awaited<ReturnType<typeof acknowledged>>
): Promise<{ acts: number; breaches: Breach[] }> {
	const { acts, broken } = await brokenRecords(db);
	const left = broken.filter(({ row, state, inPlace }) => !(inPlace && known.record(row.id, state)));
	return {
		acts,
		breaches: left.map(({ row, what }) => ({
			...{ rule: 6, about: `record ${row.id} (${actSentence(saidOf(row))})`, fault: what }
		}))
	};
}

/** What the seals say, with the act by which each row was written. */
async function sealBreaches(db: Reader, check: SealCheck): Promise<Breach[]> {
	const { chain, unsound, foreign, pending, unguarded } = check;
	const ids = unsound.flatMap(({ sealId }) => sealId ?? []);
	const writtenBy = new Map(
		(await db.select({ id: seal.id, actId: seal.actId }).from(seal).where(inList(seal.id, ids))).map(
			({ id, actId }) => [id, actId]
		)
	);
	const breach = (about: string, fault: RecordBreach['fault']): Breach => ({ rule: 8, about, fault });
	return [
		...chain.broken.map(({ sealId, what }) => breach(`seal ${sealId}`, what === 'stray' ? 'added' : what)),
		...unsound.map(({ tableName, firstKey, lastKey, what, sealId }) => {
			const actId = sealId === null ? null : writtenBy.get(sealId);
			const rows = `${rowName(tableName)} ${firstKey}${firstKey === lastKey ? '' : ` to ${lastKey}`}`;
			return breach(actId ? `${rows} (record ${actId})` : rows, what);
		}),
		...foreign.map(({ tableName, rowKey, foundAt }) =>
			breach(`${rowName(tableName)} ${rowKey}, found ${moment(foundAt)},`, 'foreign')
		),
		...pending.map(({ tableName, rowKey }) => breach(`${rowName(tableName)} ${rowKey}`, 'unsealed')),
		...unguarded.map((name) => breach(rowName(name), 'unguarded'))
	];
}

function rowName(table: string): string {
	return table.replaceAll('_', ' ');
}

/** Milliseconds: a million documents take some minutes. */
const PROOF_LIMIT = 1_800_000;

/** The proof for a page: reading everything takes seconds in large books, so it is made in a worker thread where there is one. */
export const lookAtProof = defineLook(
	'reader',
	(db, asked: ProofAsked) =>
		runWorker<ProofAsked, Proof>('proof-worker', asked, { limit: PROOF_LIMIT }) ??
		proveBooks(db, asked.anchors)
);
