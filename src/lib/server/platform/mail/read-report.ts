import { simpleParser, type SimpleParserOptions } from 'mailparser';
import {
	readDeliveryStatus,
	type RecipientReport
} from '../../../core/7-letters/returned/read-delivery-status';

/** What came in as mail about messages that were sent. */
export interface MailReport {
	/** The ids of the messages that it may be about, in the order in which it names them. */
	readonly messageIds: readonly string[];
	/** How each recipient fared; none where a server told of it in words alone. */
	readonly recipients: readonly RecipientReport[];
	/** The words for people. */
	readonly text: string;
}

/** The library knows the option; its types do not. */
const KEEP_STATUS: SimpleParserOptions = { keepDeliveryStatus: true } as object;
const ID = /(?:^|\n)(?:resent-)?message-id:\s*(<[^<>\s]{1,250}>)/gi;
const ANY_ID = /<[^<>\s]{1,250}@[^<>\s]{1,250}>/g;
/** A report names one message; more ids than this are of somebody who tries us. */
const MOST_IDS = 20;
const MOST_TEXT = 4_000;

/** Who sends reports: nobody (RFC 5321, section 4.5.5), or the address of a server's own mail (RFC 2142 names one). */
const SERVERS = /^(?:mailer-daemon|postmaster|mail-daemon)@/i;

/**
 * Reads a message that says what became of another; null for any other message. One that is a report by its form (RFC 3462) is read by
 * its fields; one that a mail server wrote in words alone is taken to say that it was not delivered.
 * @param source as it came (RFC 5322)
 */
export async function readReport(source: Buffer): Promise<MailReport | null> {
	const mail = await simpleParser(source, KEEP_STATUS);
	const status = mail.attachments.find((one) => one.contentType === 'message/delivery-status');
	const from = mail.from?.value[0]?.address ?? '';
	if (!status && !SERVERS.test(from)) return null;
	const own = mail.messageId ?? '';
	const said = status ? readDeliveryStatus(status.content.toString('utf8')) : null;
	const parts = mail.attachments.map((one) => one.content.toString('latin1'));
	const texts = [source.toString('latin1'), ...parts];
	const named = texts.flatMap((text) => [...text.matchAll(ID)].map((found) => found[1]!));
	const words = mail.text ?? '';
	const mentioned = status ? [] : (words.match(ANY_ID) ?? []);
	const enveloped = said?.envelopeId ? [`<${said.envelopeId}>`] : [];
	const messageIds = [...new Set([...enveloped, ...named, ...mentioned])].filter((id) => id !== own);
	return {
		messageIds: messageIds.slice(0, MOST_IDS),
		recipients: said?.recipients ?? [],
		text: words.slice(0, MOST_TEXT)
	};
}
