import type { KeyObject } from 'node:crypto';
import { desc, eq } from 'drizzle-orm';
import type { Day } from '../../../core/day/day';
import { readSetting } from '../../firm/store/settings';
import { signAnchor, type Anchor } from '../../platform/anchors/anchor';
import { writeAnchor } from '../../platform/anchors/anchor-files';
import type { Books } from '../../platform/db/open';
import { act, anchor, seal } from '../../platform/db/schema';
import { logFailure } from '../../platform/log';
import type { MailRoute } from '../../platform/mail/mail-server';
import { mailAnchor } from './mail-anchor';

/** Signs the head of the chain and carries it out of the books, for as long as the application runs. */
export interface Anchors {
	/** Looks whether something was written, or a day has passed. */
	look(): Promise<void>;
	/** A period was locked. */
	locked(): Promise<void>;
	close(): Promise<void>;
}

export interface AnchorOptions {
	readonly key: KeyObject;
	/** Where anchors are written: the data folder's own, and perhaps one on another disk. */
	readonly folders: readonly string[];
	readonly today: () => Promise<Day>;
	readonly now: () => string;
	/** Where mail is handed over. */
	readonly mailRoute: () => Promise<MailRoute>;
}

const EVERY_MS = 2_000;

/**
 * Keeps the last head in a file beside the books, and anchors them for good when a day of the books is over and when a period is
 * locked. What cannot be written or sent is tried again at the next look, and logged.
 */
export function keepAnchors(books: Books, options: AnchorOptions): Anchors {
	const { key, folders, today, now, mailRoute } = options;
	let written = 0;
	/** Whether mail may wait: what was left by a stop before, and what was anchored since. */
	let mayWait = true;
	let turn: Promise<void> = Promise.resolve();
	const inTurn = (work: () => Promise<void>) =>
		(turn = turn.then(work).catch((error: unknown) => logFailure('anchoring the books', error)));
	const look = () =>
		inTurn(async () => {
			const newest = await newestSeal(books);
			if (newest !== written && newest > 0) {
				const day = await today();
				const last = await books.db.select().from(anchor).orderBy(desc(anchor.id)).limit(1).get();
				// The row that tells of an anchor is sealed itself, and wants no anchor of its own.
				if (!last || (last.day !== day && newest > last.seals + 1)) await keep('day');
				written = (await sign('head')).seals;
			}
			if (!mayWait) return;
			await mailWaiting(books, mailRoute);
			mayWait = false;
		});
	/** Signs the head as it is and writes it into every folder. */
	const sign = async (reason: Anchor['reason']): Promise<Anchor> => {
		const head = await headOf(books);
		const signed = signAnchor({ ...head, day: await today(), at: now(), reason }, key);
		for (const folder of folders) writeAnchor(folder, signed);
		return signed;
	};
	const keep = async (reason: 'day' | 'lock'): Promise<void> => {
		mayWait = true;
		const signed = await sign(reason);
		const auditor = await readSetting(books.db, 'auditor');
		const { seals, head, day, at } = signed;
		await books.write(async (tx) => {
			// What did not arrive before goes with it once more.
			await tx.update(anchor).set({ mail: 'waiting' }).where(eq(anchor.mail, 'failed'));
			await tx
				.insert(anchor)
				.values({
					...{ seals, head, day: day as Day, at, reason },
					signed: JSON.stringify(signed),
					mail: auditor?.email ? 'waiting' : null
				})
				.onConflictDoNothing();
		});
	};
	const timer = setInterval(() => void look(), EVERY_MS);
	timer.unref();
	return {
		look,
		locked: () => inTurn(() => keep('lock')),
		close: async () => {
			clearInterval(timer);
			await look();
		}
	};
}

/** How many seals there are. */
async function newestSeal({ db }: Books): Promise<number> {
	const last = await db.select({ id: seal.id }).from(seal).orderBy(desc(seal.id)).limit(1).get();
	return last?.id ?? 0;
}

/** The head of the chain, of which there is one. */
async function headOf({ db }: Books): Promise<Pick<Anchor, 'books' | 'seals' | 'head' | 'acts'>> {
	const [last] = await db.select({ id: seal.id, hash: seal.hash }).from(seal).orderBy(desc(seal.id)).limit(1);
	const first = await db.select({ hash: seal.hash }).from(seal).where(eq(seal.id, 1)).get();
	const newest = await db.select({ id: act.id }).from(act).orderBy(desc(act.id)).limit(1).get();
	return { books: first!.hash, seals: last!.id, head: last!.hash, acts: newest?.id ?? 0 };
}

async function mailWaiting(books: Books, mailRoute: AnchorOptions['mailRoute']): Promise<void> {
	const waiting = await books.db.select().from(anchor).where(eq(anchor.mail, 'waiting')).orderBy(anchor.id);
	if (waiting.length === 0) return;
	const route = await mailRoute();
	const [auditor, firm] = [await readSetting(books.db, 'auditor'), await readSetting(books.db, 'firm')];
	for (const one of waiting) {
		const answer =
			auditor?.email && firm ? await mailAnchor(route, firm, auditor, one) : 'No address is set.';
		await books.write((tx) =>
			tx
				.update(anchor)
				.set({ mail: answer === null ? 'sent' : 'failed', answer })
				.where(eq(anchor.id, one.id))
		);
	}
}
