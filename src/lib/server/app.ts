import { randomBytes } from 'node:crypto';
import { existsSync, mkdirSync, readFileSync, writeFileSync } from 'node:fs';
import { join, resolve } from 'node:path';
import { day, type Day } from '../core/day/day';
import type { CallContext } from './act/define-act';
import type { Person } from './act/person';
import { openBooks, type Books } from './db/open';
import { answerGiven, answerInThread } from './looks/answers';
import { watchInbox, type Inbox } from './files/inbox';
import { openAuth, type Auth } from './http/auth';
import { openPostOffice, type PostOffice } from './mail/post-office';
import { readSetting } from './repo/settings';

export interface App {
	readonly books: Books;
	readonly auth: Auth;
	readonly postOffice: PostOffice;
	readonly inbox: Inbox;
	readonly dataDir: string;
	/** The day of the books: the demo's fixed day, else the day of the clock. */
	today(): Promise<Day>;
	context(who: Person, key?: string): Promise<CallContext>;
	close(): Promise<void>;
}

/** Where the repository's own files (migrations, built tools) are. */
export function root(): string {
	return process.env['ODD_PENNY_ROOT'] ?? process.cwd();
}

export function dataDir(): string {
	return resolve(process.env['DATA_DIR'] ?? join(root(), 'data'));
}

/** Where the books are: `DATABASE_URL` (and `DATABASE_TOKEN`), else a file in `DATA_DIR`. */
export function ownBooks(): { url: string; token?: string } {
	const url = process.env['DATABASE_URL'] ?? `file:${join(dataDir(), 'odd-penny.db')}`;
	return { url, token: process.env['DATABASE_TOKEN'] };
}

/** Opens the books that the environment names. */
export function openOwnBooks(): Promise<Books> {
	const { url, token } = ownBooks();
	return openBooks(url, { migrations: join(root(), 'drizzle'), token });
}

export const clock = () => new Date().toISOString();

export async function bookDay(books: Books): Promise<Day> {
	const fixed = await readSetting(books.db, 'today');
	if (fixed) return day(fixed);
	const now = new Date();
	return day(
		`${now.getFullYear()}-${String(now.getMonth() + 1).padStart(2, '0')}-${String(now.getDate()).padStart(2, '0')}`
	);
}

/** Works of the inbox and of the first start are signed by the application itself. */
export const APPLICATION: Person = { id: 'application', name: 'Odd Penny', role: 'supervisor' };

/** Opens everything that the running application needs. */
export async function openApp(): Promise<App> {
	const folder = dataDir();
	mkdirSync(folder, { recursive: true });
	const books = await openOwnBooks();
	answerInThread(books.db, ownBooks());
	const secure = (process.env['PUBLIC_URL'] ?? '').startsWith('https://');
	const auth = openAuth(books.db, secretOf(folder), secure);
	const postOffice = await openPostOffice(books, process.env['SMTP_URL'], join(folder, 'outbox'), clock);
	const today = () => bookDay(books);
	const context = async (who: Person, key?: string): Promise<CallContext> => ({
		...{ who, today: await today(), now: clock, key },
		answerGiven: (receiptId) => answerGiven(books.db, receiptId)
	});
	const inbox = await watchInbox(books, join(folder, 'inbox'), () => context(APPLICATION));
	postOffice.wake();
	return {
		books,
		auth,
		postOffice,
		inbox,
		dataDir: folder,
		today,
		context,
		close: async () => {
			await inbox.close();
			await postOffice.close();
			await books.close();
		}
	};
}

/** The key that signs session cookies: `SECRET`, else made once and kept in the data folder, readable by its owner only. */
function secretOf(folder: string): string {
	if (process.env['SECRET']) return process.env['SECRET'];
	const path = join(folder, 'secret');
	if (!existsSync(path)) writeFileSync(path, randomBytes(32).toString('hex'), { mode: 0o600 });
	return readFileSync(path, 'utf8').trim();
}
