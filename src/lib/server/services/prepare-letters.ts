import { append } from '../../core/append';
import type { Problem } from '../../core/problems';
import { err, ok, type Result } from '../../core/result';
import { conventions, type Conventions } from '../../words/conventions';
import type { Viewer } from '../act/define-look';
import {
	writeLetters,
	type LetterOrWhy,
	type WriteAsked,
	type WrittenLetter
} from '../letters/write-letters';
import type { Books } from '../platform/db/open';
import { runWorker } from '../platform/worker-pool';

/** What another thread is told. */
export interface WriteTask {
	readonly place: { readonly url: string; readonly token?: string };
	readonly conventions: Conventions;
	readonly asked: WriteAsked;
	readonly today: Viewer['today'];
	readonly now: string;
}

/** So many threads write letters: as many as the smallest machine has to give. */
const THREADS = 2;
/** Milliseconds for a batch, in which one letter may have thousands of items. */
const BATCH_LIMIT = 600_000;

/** Letters and why there are none, written in a thread of its own where the application is built; their papers are kept. */
export async function lettersWritten(
	books: Books,
	asked: WriteAsked,
	today: Viewer['today'],
	now: string
): Promise<LetterOrWhy[]> {
	const task: WriteTask = {
		...{ place: books.place, conventions: conventions(), asked, today, now }
	};
	const made = runWorker<WriteTask, LetterOrWhy[]>('letters-worker', task, {
		...{ keeps: true, threads: THREADS, limit: BATCH_LIMIT }
	});
	const letters = await (made ?? writeLetters(books.db, asked, { today }, now));
	// First the papers, then the books that name them.
	await books.papers.keep(letters.flatMap((one) => (one.ok ? [one.value.paper, ...one.value.copiesOf] : [])));
	return letters;
}

/** Letters for all of the accounts, or what stands against any of them. */
export async function prepareLetters(
	books: Books,
	asked: WriteAsked,
	{ today }: Pick<Viewer, 'today'>,
	now: string
): Promise<Result<WrittenLetter[]>> {
	const problems: Problem[] = [];
	const letters: WrittenLetter[] = [];
	for (const one of await lettersWritten(books, asked, today, now)) {
		if (one.ok) letters.push(one.value);
		else append(problems, one.problems);
	}
	return problems.length ? err(...problems) : ok(letters);
}
