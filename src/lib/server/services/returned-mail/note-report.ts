import { createHash } from 'node:crypto';
import { and, eq, inArray, or } from 'drizzle-orm';
import type { RecipientReport } from '../../../core/7-letters/returned/read-delivery-status';
import { cleanText } from '../../../core/text/clean-text';
import { cutText } from '../../../core/text/cut-text';
import type { Books } from '../../platform/db/open';
import { delivery, deliveryReport, letter } from '../../platform/db/schema';
import { readReport } from '../../platform/mail/read-report';

const short = (text: string) => cutText(cleanText(text).replace(/\s+/g, ' ').trim(), 400);
const same = (a: string, b: string) => a.toLowerCase() === b.toLowerCase();

/**
 * Keeps what a message says of letters of ours, and says of each that did not arrive that it was not delivered. A message that is no
 * report, or of no letter of ours, changes nothing; nor does one that was read before, or one of a time before the letter was sent again.
 * @returns how many letters it told of
 */
export async function noteReport(books: Books, source: Buffer, at: string): Promise<number> {
	const report = await readReport(source);
	if (!report || report.messageIds.length === 0) return 0;
	const ids = [...report.messageIds];
	const mailHash = createHash('sha256').update(source).digest('hex');
	return books.write(async (tx) => {
		const found = await tx
			.select({ letter: { id: letter.id, recipient: letter.recipient, copies: letter.copies }, delivery })
			.from(delivery)
			.innerJoin(letter, eq(letter.id, delivery.letterId))
			.where(or(inArray(delivery.messageId, ids), inArray(delivery.resentId, ids)))
			.all();
		for (const { letter: own, delivery: way } of found) {
			const to = way.resentTo ?? own.recipient;
			const known = [to, own.recipient, ...(own.copies ?? [])];
			const inWords: RecipientReport = { recipient: to, action: 'failed', status: '', said: report.text };
			const told = report.recipients.filter((one) => known.some((address) => same(address, one.recipient)));
			// Where it names nobody we know it was passed on there: it is still about the letter.
			const about = told.length > 0 ? told : report.recipients.length > 0 ? report.recipients : [inWords];
			const isOfThisTime = way.resentId === null || ids.includes(way.resentId);
			const named = (isOfThisTime && way.resentId) || way.messageId;
			const rows = about.map((one) => ({
				...{ letterId: own.id, about: named, at, mailHash, action: one.action, status: one.status },
				...{ recipient: short(one.recipient), said: short(one.said || report.text) }
			}));
			const kept = await tx.insert(deliveryReport).values(rows).onConflictDoNothing().returning();
			if (!isOfThisTime) continue;
			const ofCopies = (address: string) =>
				!same(address, to) && (own.copies ?? []).some((copy) => same(copy, address));
			const last = kept.filter((one) => !ofCopies(one.recipient)).at(-1);
			if (!last) continue;
			await tx
				.update(delivery)
				.set(
					last.action === 'failed' ? { state: 'undelivered', at, answer: last.said } : { answer: last.said }
				)
				.where(and(eq(delivery.letterId, own.id), eq(delivery.state, 'sent')));
		}
		return found.length;
	});
}
