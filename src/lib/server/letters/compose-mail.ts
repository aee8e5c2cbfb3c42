import MailComposer from 'nodemailer/lib/mail-composer/index.js';
import type { Letter } from '../../core/7-letters/letter';
import { mailText } from '../../words/letters';

/** A file as it hangs on a letter, beside its paper. */
export interface AttachedFile {
	readonly name: string;
	readonly contentType: string;
	readonly content: Buffer;
}

/** All that hangs on a message travels alike, so that it can be kept apart from it. */
const BASE_64 = { contentTransferEncoding: 'base64' as const };

/** A number as a file's name: what a file system may not have is a dash. */
export const fileName = (number: string) =>
	number.replace(/[^\p{L}\p{N}._-]+/gu, '-').slice(0, 80) || 'document';

export interface Composed {
	readonly eml: Buffer;
	readonly messageId: string;
	readonly subject: string;
	readonly body: string;
}

/** The message that carries a letter, as it will travel (RFC 5322, MIME). Its id is given, so that sending again is seen. */
export async function composeMail(
	letter: Letter,
	{ pdf, papers }: { readonly pdf: Buffer; readonly papers: readonly AttachedFile[] },
	{ to, copies }: { readonly to: string; readonly copies: readonly string[] },
	id: string,
	date: Date
): Promise<Composed> {
	const { subject, body, html, fromName, replyTo } = mailText(letter);
	const host = letter.firm.email.split('@')[1] ?? 'localhost';
	const messageId = `<${id}@${host}>`;
	const filename = `${letter.kind}-${letter.customer.code}-${letter.date}.pdf`;
	const composer = new MailComposer({
		from: { name: fromName || letter.firm.name, address: letter.firm.email },
		...(replyTo ? { replyTo } : {}),
		to,
		...(copies.length > 0 ? { cc: [...copies] } : {}),
		subject,
		text: body,
		html,
		messageId,
		date,
		attachments: [
			{ filename, content: pdf, contentType: 'application/pdf' },
			...papers.map(({ name, content, contentType }) => ({
				filename: name,
				content,
				contentType,
				...BASE_64
			}))
		]
	});
	return { eml: await composer.compile().build(), messageId, subject, body };
}
