import { randomBytes } from 'node:crypto';
import { existsSync, mkdirSync, readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { day, type Day } from '../core/day/day';
import type { CallContext } from './act/define-act';
import { APPLICATION, type Person } from './act/person';
import { openBooks, type Books } from './platform/db/open';
import { answerGiven, answerInThread } from './services/answers/answers';
import type { ProofAnchors } from './ledger/queries/proof';
import { publicText } from './platform/anchors/anchor';
import { readAnchors } from './platform/anchors/anchor-files';
import { anchorKey, readAnchorKey } from './platform/anchors/anchor-key';
import { keepAnchors, type Anchors } from './services/anchors/keep-anchors';
import { emptyUploads } from './platform/files/uploads-folder';
import { watchInbox, type Inbox } from './services/inbox';
import { Attempts } from './people/attempts';
import { nobodyYet } from './people/commands/people';
import { Confirmations } from './people/confirmations';
import { IdleSessions } from './people/idle-sessions';
import { appKey } from './people/app-codes';
import { Challenges } from './people/challenges';
import { codeText, type CodePurpose } from './people/code-text';
import { openAuth, type Auth } from './people/auth';
import { openLetterWriter, type LetterWriter } from './services/letter-writer/letter-writer';
import { openPostOffice, type PostOffice } from './services/post-office/post-office';
import { readSetting } from './firm/store/settings';
import { config } from './platform/config';
import { BRITISH, useConventions, type Conventions } from '../words/conventions';
import { dayInZone } from '../words/day-in-zone';

export interface App {
	readonly books: Books;
	readonly auth: Auth;
	readonly postOffice: PostOffice;
	readonly letterWriter: LetterWriter;
	readonly inbox: Inbox;
	readonly anchors: Anchors;
	readonly confirmations: Confirmations;
	readonly idle: IdleSessions;
	/** Wrong passwords and codes. */
	readonly attempts: Attempts;
	/** What the console shows, and the first start asks for. */
	readonly firstStartCode: string;
	/** What passkeys have to sign. */
	readonly challenges: Challenges;
	/** The key of the app by which a person makes codes. */
	appKey(userId: string, mark: string): Buffer;
	/** The text of a code of a person's. */
	codeText(purpose: CodePurpose, code: { readonly id: number; readonly userId: string }): string;
	/** The day of the books: the demo's fixed day, else the day of the clock. */
	today(): Promise<Day>;
	/** @param sent what the person sent, where an act is given more than that */
	context(who: Person, key?: string, sent?: unknown): Promise<CallContext>;
	close(): Promise<void>;
}

/** Opens the books that the environment names. */
export function openOwnBooks(): Promise<Books> {
	const { root, database } = config();
	return openBooks(database.url, { migrations: join(root, 'drizzle'), token: database.token });
}

export const clock = () => new Date().toISOString();

/** Numbers and times are written from now on as the firm has set. */
export async function followConventions(books: Books): Promise<Conventions> {
	const set = (await readSetting(books.db, 'conventions')) ?? BRITISH;
	useConventions(set);
	return set;
}

export async function bookDay(books: Books): Promise<Day> {
	const fixed = await readSetting(books.db, 'today');
	if (fixed) return day(fixed);
	await followConventions(books);
	return day(dayInZone(new Date()));
}

/** Opens everything that the running application needs. */
export async function openApp(): Promise<App> {
	const { dataDir, database, publicUrl, smtpUrl, anchorKey: givenKey } = config();
	mkdirSync(dataDir, { recursive: true });
	emptyUploads(dataDir);
	const key = anchorKey(dataDir, givenKey);
	const books = await openOwnBooks();
	await followConventions(books);
	answerInThread(books.db, database);
	const secure = publicUrl?.startsWith('https://') ?? false;
	const ownOrGiven = sessionSecret();
	const auth = openAuth(books, ownOrGiven, secure);
	const postOffice = openPostOffice(books, { smtpUrl, secret: ownOrGiven, dataDir }, clock);
	const today = () => bookDay(books);
	const letterWriter = openLetterWriter(books, { today, now: clock, sent: () => postOffice.wake() });
	const context = async (who: Person, key?: string, sent?: unknown): Promise<CallContext> => ({
		...{ who, today: await today(), now: clock, key, sent },
		answerGiven: (receiptId) => answerGiven(books.db, receiptId)
	});
	const inbox = await watchInbox(books, join(dataDir, 'inbox'), () => context(APPLICATION));
	const anchors = keepAnchors(books, {
		key,
		folders: anchorFolders(),
		today,
		now: clock,
		mailRoute: () => postOffice.route()
	});
	const firstStartCode = codeText(randomBytes(32).toString('hex'), 'sign-in code', {
		id: 0,
		userId: 'first start'
	});
	if (await nobodyYet(books.db)) console.log(`The first start asks for this code: ${firstStartCode}`);
	void anchors.look();
	postOffice.wake();
	letterWriter.wake();
	return {
		books,
		auth,
		postOffice,
		letterWriter,
		inbox,
		anchors,
		confirmations: new Confirmations(),
		idle: new IdleSessions(),
		attempts: new Attempts(),
		firstStartCode,
		codeText: (purpose, code) => codeText(ownOrGiven, purpose, code),
		appKey: (userId, mark) => appKey(ownOrGiven, userId, mark),
		challenges: new Challenges(),
		today,
		context,
		close: async () => {
			await inbox.close();
			await anchors.close();
			await letterWriter.close();
			await postOffice.close();
			await books.close();
		}
	};
}

/** Where anchors are written, and looked for when the books are proved. */
export function anchorFolders(): string[] {
	const { dataDir, anchorDir } = config();
	return [join(dataDir, 'anchors'), ...(anchorDir === null ? [] : [anchorDir])];
}

/** The anchors that lie where this application writes them, and the key that signs them; null where it is not here. */
export function ownAnchors(): ProofAnchors {
	const { dataDir, anchorKey: given } = config();
	const key = readAnchorKey(dataDir, given);
	return { files: anchorFolders().flatMap(readAnchors), publicKey: key && publicText(key) };
}

/** What signs session cookies and codes: of the environment, or the data folder's own. */
export function sessionSecret(): string {
	const { secret, dataDir } = config();
	return secret ?? ownSecret(dataDir);
}

/** The key that signs session cookies, made once and kept in the data folder, readable by its owner only. */
function ownSecret(folder: string): string {
	const path = join(folder, 'secret');
	if (!existsSync(path)) writeFileSync(path, randomBytes(32).toString('hex'), { mode: 0o600 });
	return readFileSync(path, 'utf8').trim();
}
