import type { MailAccount } from './mail-server';

/** A mailbox to which undelivered mail comes back. */
export interface MailboxAccount extends MailAccount {
	readonly folder: string;
}

/** How far a mailbox was read: its messages are numbered upwards for as long as `validity` is the same (RFC 9051, section 2.3.1.1). */
export interface MailboxPlace {
	readonly validity: string;
	readonly last: number;
}

/** What is done with a message that may be a report. */
export type TakeMail = (source: Buffer) => Promise<void>;
