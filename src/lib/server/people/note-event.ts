import type { Books } from '../platform/db/open';
import { securityEvent } from '../platform/db/schema';
import { logFailure, logSecurity } from '../platform/log';

export type SecurityEvent = Pick<typeof securityEvent.$inferInsert, 'kind'> & {
	/** Who it was, where it is known. */
	readonly personId?: string | null;
	/** The network address. */
	readonly origin: string;
	readonly about?: string;
};

/** Of one kind from one address, so many are kept in a minute; more are in the log alone, so that nobody fills the books. */
const MOST = 30;
const MINUTE = 60_000;
const lately = new Map<string, { since: number; count: number }>();

/** Keeps an event of security, in the log and in the books. Nobody waits for it; that it cannot be kept stops nobody. */
export function noteEvent(books: Books, event: SecurityEvent): void {
	const { kind, personId = null, origin, about = '' } = event;
	logSecurity({ kind, person: personId, from: origin, about });
	if (!mayKeep(`${kind} ${origin}`, Date.now())) return;
	const row = { at: new Date().toISOString(), kind, personId, origin, about };
	void books
		.write((tx) => tx.insert(securityEvent).values(row))
		.catch((error: unknown) => logFailure('keeping an event of security', error));
}

function mayKeep(key: string, now: number): boolean {
	for (const [other, { since }] of lately) if (now - since > MINUTE) lately.delete(other);
	const mine = lately.get(key) ?? { since: now, count: 0 };
	lately.set(key, { ...mine, count: mine.count + 1 });
	return mine.count < MOST;
}
