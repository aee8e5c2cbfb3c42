import type { Books } from '../../platform/db/open';
import { readSetting } from '../../firm/store/settings';
import { deliverWaiting } from './deliver';
import { newOwner } from './owner';
import { SendRate } from './send-rate';
import { logFailure } from '../../platform/log';
import { startStandIn, type StandIn } from '../../platform/mail/stand-in';

const EVERY_MS = 60_000;

export interface PostOffice {
	/** Starts sending what waits; a call while sending is under way makes it look once more. */
	wake(): void;
	/** Resolves when nothing waits any more. */
	idle(): Promise<void>;
	readonly standIn: boolean;
	/** Where it hands mail over. */
	readonly url: string;
	close(): Promise<void>;
}

/** Sends letters in the background, by `smtpUrl` or, with none, by the stand-in that keeps them in a folder. */
export async function openPostOffice(
	books: Books,
	smtpUrl: string | null,
	folder: string,
	now: () => string
): Promise<PostOffice> {
	const standIn: StandIn | null = smtpUrl ? null : await startStandIn(folder);
	const url = smtpUrl ?? standIn!.url;
	const [owner, rate] = [newOwner(), new SendRate(null)];
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
		do {
			again = false;
			rate.perMinute = (await readSetting(books.db, 'letters'))?.perMinute ?? null;
			await deliverWaiting(books, url, now, owner, rate);
		} while (again && rate.waits(now()) === 0);
		const wait = rate.waits(now());
		clearTimeout(next);
		if (wait > 0) (next = setTimeout(wake, wait)).unref();
	};
	/** Another process may have been cut off with letters under way. */
	const timer = setInterval(wake, EVERY_MS);
	timer.unref();
	return {
		standIn: standIn !== null,
		url,
		wake,
		idle: async () => {
			while (running) await running;
		},
		close: async () => {
			clearInterval(timer);
			while (running) await running;
			clearTimeout(next);
			await standIn?.close();
		}
	};
}
