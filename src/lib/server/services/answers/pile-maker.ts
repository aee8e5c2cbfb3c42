import { desc } from 'drizzle-orm';
import type { Answer, AnswerFailure } from '../../../core/3-matching';
import { type Answered, KeptAnswers, type Shown } from '../../matching/store/kept-answers';
import { inPileOrder, KnownPile } from '../../matching/store/known-pile';
import { newestSeal } from '../../platform/db/seal/changes-since';
import { act } from '../../platform/db/schema';
import type { Reader } from '../../platform/db/open';
import { traceOf, type Trace } from '../../platform/trace-of';
import type { Waiting } from '../../receipts/store/waiting-receipts';

/** What waits, with its answers, as of one act of the books. */
export interface AnsweredReceipts {
	/** The oldest first. */
	readonly receipts: readonly Waiting[];
	readonly answers: ReadonlyMap<number, Answer>;
	readonly shown: ReadonlyMap<number, Shown>;
	/** The newest act of the books that it was answered for. */
	readonly actId: number;
	/** Receipts on which answering failed, and how: they are answered "not yet". */
	readonly failures: readonly { readonly receiptId: number | null; readonly trace: Trace }[];
}

/** What is otherwise than it was for an earlier act, so that little goes from one thread to another. */
export interface PilePatch {
	/** The act that it follows; null where it is all there is. */
	readonly since: number | null;
	readonly actId: number;
	/** Receipts that wait no longer. */
	readonly gone: readonly number[];
	/** Those that are new or written anew. */
	readonly receipts: readonly Waiting[];
	readonly answered: readonly Answered[];
	readonly failures: AnsweredReceipts['failures'];
}

/** So often it is read again where somebody writes meanwhile, and no transaction holds one moment. */
const MOST_READS = 5;

/** Makes the pile for the newest books, and keeps what it knows from one time to the next. */
export class PileMaker {
	readonly #known = new KnownPile();
	readonly #answers = new KeptAnswers();
	#made: {
		readonly actId: number;
		readonly rows: Map<number, Waiting>;
		readonly answered: Map<number, Answered>;
	} | null = null;

	/**
	 * Reads what was written since the last time, and answers what that touches.
	 * @param since the act that whoever asks knows the pile of; null where none
	 */
	async make(db: Reader, since: number | null): Promise<PilePatch> {
		const before = this.#made?.actId === since ? this.#made : null;
		let actId = 0;
		for (let reads = 0; reads < MOST_READS; reads++) {
			const seal = await newestSeal(db);
			actId = await newestAct(db);
			await this.#known.read(db);
			if ((await newestSeal(db)) === seal) break;
		}
		const rows = new Map([...this.#known.receipts].map((one) => [one.id, one.row]));
		const groups = [...this.#answers.answer(this.#known)];
		const answered = new Map(
			groups.flatMap((group) => group.answered).map((one) => [one.answer.receiptId, one])
		);
		this.#made = { actId, rows, answered };
		return {
			...{ since: before && since, actId },
			gone: before ? [...before.rows.keys()].filter((id) => !rows.has(id)) : [],
			receipts: [...rows.values()].filter((row) => before?.rows.get(row.id) !== row),
			answered: [...answered].flatMap(([id, one]) => (before?.answered.get(id) === one ? [] : [one])),
			failures: groups.flatMap((group) => group.failures).map(asText)
		};
	}
}

/** The pile that comes of another one and what is otherwise. */
export function patched(before: AnsweredReceipts | null, patch: PilePatch): AnsweredReceipts {
	const { actId, failures, since } = patch;
	const from = since === null ? null : before;
	const other = new Set([...patch.gone, ...patch.receipts.map((row) => row.id)]);
	const stay = (from?.receipts ?? []).filter((row) => !other.has(row.id));
	const receipts = patch.receipts.length > 0 ? [...stay, ...patch.receipts].sort(inPileOrder) : stay;
	const [answers, shown] = [new Map(from?.answers), new Map(from?.shown)];
	for (const id of patch.gone) {
		answers.delete(id);
		shown.delete(id);
	}
	for (const one of patch.answered) {
		answers.set(one.answer.receiptId, one.answer);
		shown.set(one.answer.receiptId, one.shown);
	}
	return { receipts, answers, shown, actId, failures };
}

/** A failure as it crosses threads. */
function asText({ receiptId, error }: AnswerFailure) {
	return { receiptId, trace: traceOf(error) };
}

/** The newest act of the books; nought where there is none. */
export async function newestAct(db: Reader): Promise<number> {
	const [last] = await db.select({ id: act.id }).from(act).orderBy(desc(act.id)).limit(1);
	return last?.id ?? 0;
}
