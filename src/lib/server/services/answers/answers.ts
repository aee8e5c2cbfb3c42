import { type Answer, notYet } from '../../../core/3-matching';
import type { Db } from '../../platform/db/open';
import { waitingReceipts, type Waiting } from '../../receipts/store/waiting-receipts';
import { logFailure, logTrace } from '../../platform/log';
import { APPLICATION } from '../../act/person';
import { day } from '../../../core/day/day';
import { lookInThread } from '../threads/look-in-thread';
import { hasWorker, runWorker } from '../../platform/worker-pool';
import { type AnsweredReceipts, newestAct, patched, PileMaker, type PilePatch } from './pile-maker';

export interface Pile extends AnsweredReceipts {
	/** False where something was done since, and a newer one is being made. */
	readonly fresh: boolean;
}

/** Where books can be read by a thread of its own. */
export interface BooksPlace {
	readonly url: string;
	readonly token?: string;
}

/** Answering takes seconds for the longest piles in the largest books; what takes longer is a fault, and pages go on without it. */
const ANSWERS_LIMIT = 300_000;
/** So many milliseconds a page waits for the newest answers, where it can show those before. */
const PATIENCE = 400;
/** And so many where there are none yet: then it shows what waits, and the answers when they are there. */
const FIRST_PATIENCE = 1_000;

/** What the thread is asked: the pile as it is now, to one who knows it as of an act, or not at all. */
export interface AskedPile {
	readonly place: BooksPlace;
	readonly since: number | null;
}

interface Kept {
	/** What is known where there is no thread for it. */
	readonly maker: PileMaker;
	/** The last that was made. */
	pile: Pile | null;
	/** What is shown meanwhile, for which act, with the answers of before. */
	meanwhile: { readonly actId: number; readonly before: Pile | null; readonly pile: Promise<Pile> } | null;
	making: { readonly actId: number; readonly began: number; readonly pile: Promise<Pile> } | null;
}

const kept = new WeakMap<Db, Kept>();
const places = new WeakMap<Db, BooksPlace>();

/**
 * From now on the receipts of these books are answered in a thread of its own, where the application is built: those that wait at once,
 * before somebody asks.
 */
export function answerInThread(db: Db, place: BooksPlace): void {
	places.set(db, place);
	if (hasWorker('answers-worker')) answeredPile(db, Infinity).catch(() => undefined);
}

/**
 * All receipts that wait, answered together; anew only when something was done since. Where that takes longer than a page may
 * wait, what was answered before is given, without what is gone; then `fresh` is false and it pays to ask again.
 * @param patience milliseconds to wait for the newest; nought does not wait at all
 */
export async function answeredPile(db: Db, patience = PATIENCE): Promise<Pile> {
	const actId = await newestAct(db);
	const mine = kept.get(db) ?? { maker: new PileMaker(), pile: null, meanwhile: null, making: null };
	kept.set(db, mine);
	if (mine.pile && mine.pile.actId >= actId) return mine.pile;
	const before = mine.pile;
	const newest = newestPile(db, actId, mine);
	if (patience === Infinity) return newest;
	// Answers that cannot be made stop nobody: what waits is shown as it is.
	const made = newest.catch((error: unknown) => {
		logFailure('answering the receipts that wait', error);
		return null;
	});
	// A page asks several times, one after another: it waits once.
	const waited = performance.now() - (mine.making?.began ?? performance.now());
	const bound = (before ? patience : Math.max(patience, FIRST_PATIENCE)) - waited;
	const pile = bound <= 0 ? null : await within(made, bound);
	return pile ?? asFarAsKnown(db, mine, actId);
}

/** What is there before anything was answered. */
const NO_PILE: Pile = {
	...{ receipts: [], answers: new Map(), shown: new Map(), actId: 0, fresh: false, failures: [] }
};

/** What comes of work within so many milliseconds; null where that is too short. */
async function within<T>(work: Promise<T>, milliseconds: number): Promise<T | null> {
	let timer: NodeJS.Timeout | undefined;
	const late = new Promise<null>((done) => (timer = setTimeout(() => done(null), milliseconds)));
	try {
		return await Promise.race([work, late]);
	} finally {
		clearTimeout(timer);
	}
}

/** What was answered last for a receipt, as pages have shown it; null where nothing was. */
export function answerGiven(db: Db, receiptId: number): Answer | null {
	return kept.get(db)?.pile?.answers.get(receiptId) ?? null;
}

/** The pile for the books as they are now; one is made at a time. */
async function newestPile(db: Db, actId: number, mine: Kept): Promise<Pile> {
	while (mine.making && mine.making.actId < actId) await mine.making.pile.catch(() => undefined);
	if (!mine.making) {
		const place = places.get(db);
		const before = mine.pile;
		const since = before?.actId ?? null;
		const patch =
			(place &&
				runWorker<AskedPile, PilePatch>(
					'answers-worker',
					{ place, since },
					{ keeps: true, limit: ANSWERS_LIMIT }
				)) ??
			mine.maker.make(db, since);
		const made = patch.then((one) => ({ ...patched(before, one), fresh: true }));
		mine.making = { actId, began: performance.now(), pile: made };
		made.then(
			(pile) => {
				for (const { receiptId, trace } of pile.failures)
					logTrace('answering a receipt', trace, { ...(receiptId !== null && { id: receiptId }) });
				mine.pile = pile;
				mine.meanwhile = null;
				mine.making = null;
			},
			() => (mine.making = null)
		);
	}
	const pile = await mine.making.pile;
	return pile.actId < actId ? newestPile(db, actId, mine) : pile;
}

/**
 * What waits now, with the answers of before; what came since has none yet. It is read once for all who look meanwhile, and in a thread
 * where there is one: thousands of receipts take as long as several pages.
 */
function asFarAsKnown(db: Db, mine: Kept, actId: number): Promise<Pile> {
	const { pile: before, meanwhile } = mine;
	if (meanwhile?.actId === actId && meanwhile.before === before) return meanwhile.pile;
	// Nobody in particular looks: what waits is the same for all, and on any day.
	const viewer = { who: APPLICATION, today: day('2000-01-01') };
	const read = places.has(db) ? lookInThread(db, 'waiting-receipts', null, viewer) : waitingReceipts(db);
	const pile = read.then((receipts) => withAnswersOf(before ?? NO_PILE, receipts));
	mine.meanwhile = { actId, before, pile };
	pile.catch(() => (mine.meanwhile = null));
	return pile;
}

function withAnswersOf(before: Pile, receipts: readonly Waiting[]): Pile {
	const answers = new Map(
		receipts.map((row) => [row.id, before.answers.get(row.id) ?? notYet(row)] as const)
	);
	return { ...before, receipts, answers, fresh: false };
}
