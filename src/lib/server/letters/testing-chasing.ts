import { addDays } from '../../core/day/arithmetic';
import { day, type Day } from '../../core/day/day';
import { minor } from '../../core/money/minor';
import { perform } from '../act/perform';
import type { Books } from '../platform/db/open';
import { chasingStep } from '../platform/db/schema';
import { openLetterWriter } from '../services/letter-writer/letter-writer';
import { as, CLERK, invoices, newDocument, testBooks, TODAY } from '../testing';
import { startRun, type StartRun } from './commands/start-run';
import { lookAtChosen, lookAtRun } from './queries/letters';

/** The day so many days from today. */
export const on = (days: number): Day => addDays(TODAY, days);

/** An invoice that falls due in so many days. */
export const dueIn = (days: number, number: string, customerId: number, total: number) =>
	newDocument(number, customerId, total, {
		issued: day('2026-08-01'),
		instalments: [{ due: on(days), amount: minor(total) }]
	});

/** Books whose customers are late: Hazel Hill with three invoices, Wicker Lane with one. The day is moved as a test goes on. */
export class ChasedBooks {
	today: Day = TODAY;
	private constructor(readonly books: Books) {}

	static async make(): Promise<ChasedBooks> {
		const books = await testBooks();
		await invoices(
			books,
			...[dueIn(-20, 'AK-1', 1, 1_000), dueIn(-8, 'AK-2', 1, 500), dueIn(-2, 'AK-3', 1, 700)],
			dueIn(-3, 'AK-4', 2, 2_000)
		);
		return new ChasedBooks(books);
	}

	get viewer() {
		return { who: CLERK, today: this.today };
	}

	get call() {
		return { ...as(CLERK), today: this.today };
	}

	/** The run of reminders as it would be looked at. */
	reminders(over: object = {}) {
		return lookAtRun(this.books.db, { kind: 'reminder', page: 0, waiting: [], ...over }, this.viewer);
	}

	/** A run of reminders to all that reach a step, as somebody asks for it who looked just now. */
	async asked(): Promise<StartRun> {
		const { ready: chosen, seen } = await this.reminders();
		const rows = await lookAtChosen(this.books.db, { kind: 'reminder', waiting: [], chosen }, this.viewer);
		return { kind: 'reminder', statement: null, note: '', copyTo: null, chosen, rows, seen };
	}

	/** Sends reminders to all that reach a step. */
	async chase(): Promise<void> {
		await perform(this.books, startRun, await this.asked(), this.call);
		await this.write();
	}

	async write(): Promise<void> {
		const writer = openLetterWriter(this.books, {
			...{ today: () => Promise.resolve(this.today), now: as(CLERK).now, sent: () => {} }
		});
		writer.wake();
		await writer.idle();
		await writer.close();
	}

	/** Every step that was taken, with its item. */
	async steps() {
		return (await this.books.db.select().from(chasingStep).all()).map((one) => [one.itemId, one.step]);
	}

	async itemId(number: string): Promise<number> {
		const [row] = await this.books.db.all<{ id: number }>(
			`select i.id from item i join document d on d.id = i.document_id where d.number = '${number}'`
		);
		return row!.id;
	}
}
