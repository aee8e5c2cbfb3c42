import { and, asc, eq, inArray, notInArray, sql } from 'drizzle-orm';
import type { Day } from '../../../core/day/day';
import type { Problem } from '../../../core/problems';
import type { CallContext } from '../../act/define-act';
import { perform } from '../../act/perform';
import type { Person } from '../../act/person';
import { holdLetters } from '../../letters/commands/hold-letters';
import { sendLetters } from '../../letters/commands/send-letters';
import type { LetterOrWhy } from '../../letters/write-letters';
import type { Books } from '../../platform/db/open';
import { letterRun, runLetter } from '../../platform/db/schema';
import { logFailure } from '../../platform/log';
import { lettersWritten } from '../prepare-letters';

/** So many letters are written by one thread at a time, and put in the books by one act. */
const BATCH = 40;
/** As many batches as there are threads that write. */
const AT_ONCE = 2;
/** An account that changes again and again while its letter is written: after so many times it is left to a person. */
const MOST_TRIES = 4;
const EVERY_MS = 60_000;

type Wanted = Pick<
	typeof runLetter.$inferSelect,
	'id' | 'customerId' | 'currency' | 'way' | 'note' | 'details' | 'tries'
> & { readonly run: typeof letterRun.$inferSelect };

/** Writes the letters of runs, whoever looks on or not. */
export interface LetterWriter {
	/** Looks whether anything is to be written. */
	wake(): void;
	/** Resolves when nothing is to be written any more. */
	idle(): Promise<void>;
	close(): Promise<void>;
}

/**
 * Writes what runs ask for, oldest first, in batches on threads of their own; each batch is one act in the name of who asked. What a stop
 * cut off is still to be written in the books, so it goes on from there.
 * @param sent is told when letters lie in the outbox
 */
export function openLetterWriter(
	books: Books,
	{ today, now, sent }: { today: () => Promise<Day>; now: () => string; sent: () => void }
): LetterWriter {
	const taken = new Set<number>();
	let running: Promise<void> | null = null;
	let again = false;
	let closing = false;
	const wake = () => {
		if (closing) return;
		if (running) again = true;
		else
			running = work()
				.catch((error: unknown) => logFailure('writing letters', error))
				.finally(() => (running = null));
	};
	async function work(): Promise<void> {
		do {
			again = false;
			await Promise.all(Array.from({ length: AT_ONCE }, writeOn));
		} while (again && !closing);
	}
	async function writeOn(): Promise<void> {
		while (!closing) {
			const batch = await nextBatch(books, [...taken]);
			if (batch.length === 0) return;
			for (const { id } of batch) taken.add(id);
			try {
				await writeBatch(books, batch, { today: await today(), now });
				sent();
			} catch (error) {
				logFailure('writing a batch of letters', error);
				await countTry(books, batch);
			} finally {
				for (const { id } of batch) taken.delete(id);
			}
		}
	}
	const timer = setInterval(wake, EVERY_MS);
	timer.unref();
	return {
		wake,
		idle: async () => {
			while (running) await running;
		},
		close: async () => {
			closing = true;
			clearInterval(timer);
			while (running) await running;
		}
	};
}

/** The next letters of one run that nobody here writes. */
async function nextBatch(books: Books, taken: readonly number[]): Promise<Wanted[]> {
	const [first] = await toWrite(books, taken).limit(1).all();
	if (!first) return [];
	const rows = await toWrite(books, taken, first.run.id).limit(BATCH).all();
	return rows.map(({ run, one }) => ({
		...{ id: one.id, customerId: one.customerId, currency: one.currency, way: one.way },
		...{ note: one.note, details: one.details, tries: one.tries },
		run
	}));
}

const toWrite = (books: Books, taken: readonly number[], runId?: number) =>
	books.db
		.select({ run: letterRun, one: runLetter })
		.from(runLetter)
		.innerJoin(letterRun, eq(letterRun.id, runLetter.runId))
		.where(
			and(
				sql`${runLetter.state} = 'to-write'`,
				eq(letterRun.isPaused, false),
				runId === undefined ? undefined : eq(runLetter.runId, runId),
				taken.length > 0 ? notInArray(runLetter.id, [...taken]) : undefined
			)
		)
		.orderBy(asc(runLetter.runId), asc(runLetter.id));

async function writeBatch(
	books: Books,
	batch: readonly Wanted[],
	{ today, now }: { readonly today: Day; readonly now: () => string }
): Promise<void> {
	const { run } = batch[0]!;
	const asked = {
		...{
			kind: run.kind,
			accounts: batch.map(({ customerId, currency, way, note, details }) => ({
				customerId,
				currency,
				way,
				note,
				...details
			}))
		},
		person: run.userName,
		...(run.statement ? { statement: run.statement } : {}),
		...{ note: run.note, copyTo: run.copyTo }
	};
	const found = await lettersWritten(books, asked, today, now());
	const who: Person = { id: run.userId, name: run.userName, role: run.userRole };
	const call: CallContext = { who, today, now };
	const letters = batch.flatMap((wanted, n) => {
		const one = found[n]!;
		return one.ok ? [{ wanted, letter: one.value }] : [];
	});
	const done = letters.length === 0 ? null : await put(books, run.kind, letters, call);
	const changed = done !== null && !done.ok ? done.problems : [];
	await hold(books, batch, found, changed, call);
	if (changed.length > 0) await countTry(books, batch);
}

type Ready = { readonly wanted: Wanted; readonly letter: Extract<LetterOrWhy, { ok: true }>['value'] };

/** Puts letters in the books; where some of their accounts changed meanwhile, the others alone. */
async function put(books: Books, kind: Wanted['run']['kind'], letters: readonly Ready[], call: CallContext) {
	const given = (some: readonly Ready[]) => ({
		...{ kind, letters: some.map((one) => one.letter), ofRun: some.map((one) => one.wanted.id) }
	});
	const done = await perform(books, sendLetters, given(letters), call);
	if (done.ok) return done;
	const names = new Set(
		done.problems.flatMap((one) =>
			one.code === 'letter-changed' || one.code === 'step-taken' ? [one.customer] : []
		)
	);
	const rest = letters.filter((one) => !names.has(one.letter.letter.customer.name));
	if (rest.length > 0 && rest.length < letters.length) await perform(books, sendLetters, given(rest), call);
	return done;
}

/** Says why letters cannot be written: what refused them, or that their account does not come to rest. */
async function hold(
	books: Books,
	batch: readonly Wanted[],
	found: readonly LetterOrWhy[],
	changed: readonly Problem[],
	call: CallContext
): Promise<void> {
	const held = batch.flatMap(({ id, tries }, n) => {
		const one = found[n]!;
		if (!one.ok) return [{ id, why: one.problems }];
		const name = one.value.letter.customer.name;
		const own = changed.filter((problem) => 'customer' in problem && problem.customer === name);
		const isOver = tries + 1 >= MOST_TRIES || own.some((problem) => problem.code === 'step-taken');
		return own.length > 0 && isOver ? [{ id, why: own }] : [];
	});
	if (held.length > 0) await perform(books, holdLetters, { held }, call);
}

/** Counts a try of what is still to be written; what fails again and again is left to a person. */
async function countTry(books: Books, batch: readonly Wanted[]): Promise<void> {
	const ids = batch.map((one) => one.id);
	const why = JSON.stringify([{ code: 'letter-failed', customer: '' } satisfies Problem]);
	await books.write(async (tx) => {
		const own = and(inArray(runLetter.id, ids), eq(runLetter.state, 'to-write'));
		await tx
			.update(runLetter)
			.set({ tries: sql`${runLetter.tries} + 1` })
			.where(own);
		await tx
			.update(runLetter)
			.set({ state: 'held', why })
			.where(and(own, sql`${runLetter.tries} > ${MOST_TRIES}`));
	});
}
