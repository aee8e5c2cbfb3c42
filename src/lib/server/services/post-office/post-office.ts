import type { Books } from '../../platform/db/open';
import { join } from 'node:path';
import { readSetting } from '../../firm/store/settings';
import { watchReturnedMail, type ReturnedMail } from '../returned-mail/returned-mail';
import { mailRoute, returnsFrom, type MailGiven } from './mail-route';
import { deliverWaiting } from './deliver';
import { newOwner } from './owner';
import { SendRate } from './send-rate';
import { logFailure } from '../../platform/log';
import type { MailRoute } from '../../platform/mail/mail-server';
import { startStandIn, type StandIn } from '../../platform/mail/stand-in';

const EVERY_MS = 60_000;

export interface PostOffice {
	/** Starts sending what waits; a call while sending is under way makes it look once more. */
	wake(): void;
	/** Resolves when nothing waits any more. */
	idle(): Promise<void>;
	/** Where it hands mail over now. */
	route(): Promise<MailRoute & { readonly isStandIn: boolean }>;
	/** Whether nothing leaves: mail is kept in a folder. */
	isStandIn(): Promise<boolean>;
	/** What stood in the way of all letters at the last look; null for nothing. */
	readonly trouble: string | null;
	/** Reads what comes back. */
	readonly returned: ReturnedMail;
	close(): Promise<void>;
}

/**
 * Sends letters in the background, and reads what is reported of them.
 * @param dataDir where the stand-in keeps messages
 */
export function openPostOffice(
	books: Books,
	{ smtpUrl, secret, dataDir }: Pick<MailGiven, 'smtpUrl' | 'secret'> & { readonly dataDir: string },
	now: () => string
): PostOffice {
	const returnedTo = join(dataDir, 'returned');
	/** Begun when something is first to go through it: where mail leaves there is none. */
	let standIn: Promise<StandIn> | null = null;
	const given: MailGiven = {
		...{ smtpUrl, secret, returned: returnedTo },
		standIn: async () => (await (standIn ??= startStandIn(join(dataDir, 'outbox'), returnedTo))).url
	};
	const returned = watchReturnedMail(books, () => returnsFrom(books.db, given), now);
	const [owner, rate] = [newOwner(), new SendRate(null)];
	let trouble: string | null = null;
	let running: Promise<void> | null = null;
	let again = false;
	/** The next look, where as many went as may go in a minute. */
	let next: NodeJS.Timeout | undefined;
	function wake(): void {
		if (running) again = true;
		else
			running = run()
				.catch((error) => logFailure('sending letters', error))
				.finally(() => (running = null));
	}
	const run = async () => {
		let route: MailRoute & { readonly isStandIn: boolean };
		do {
			again = false;
			try {
				route = await mailRoute(books.db, given);
				trouble = null;
			} catch (error) {
				trouble = (error as Error).message;
				throw error;
			}
			rate.perMinute = (await readSetting(books.db, 'letters'))?.perMinute ?? null;
			await deliverWaiting(books, route, now, owner, rate);
		} while (again && rate.waits(now()) === 0);
		// Nobody waits for it: what is to be sent meanwhile is seen by the next round.
		if (route.isStandIn) void returned.look();
		const wait = rate.waits(now());
		clearTimeout(next);
		if (wait > 0) (next = setTimeout(wake, wait)).unref();
	};
	/** Another process may have been cut off with letters under way. */
	const timer = setInterval(wake, EVERY_MS);
	timer.unref();
	return {
		route: () => mailRoute(books.db, given),
		isStandIn: () =>
			mailRoute(books.db, given).then(
				(route) => route.isStandIn,
				() => false
			),
		get trouble() {
			return trouble;
		},
		returned,
		wake,
		idle: async () => {
			while (running) await running;
		},
		close: async () => {
			clearInterval(timer);
			while (running) await running;
			clearTimeout(next);
			await returned.close();
			await (await standIn)?.close();
		}
	};
}
