import { asc, eq } from 'drizzle-orm';
import nodemailer from 'nodemailer';
import type { Books } from '../../platform/db/open';
import { delivery, letter, message } from '../../platform/db/schema';

type State = (typeof delivery.$inferSelect)['state'];

/**
 * Sends every letter that waits, one by one; what the mail server refuses is marked and the rest still goes. A letter found
 * "sending" was cut off by a stop: it may have gone, so it is not sent again by itself but marked as failed, for a person.
 */
export async function deliverWaiting(books: Books, smtpUrl: string, now: () => string): Promise<void> {
	await books.write(async (tx) => {
		const answer = 'The application stopped while sending. It may have arrived; send again if not.';
		await tx
			.update(delivery)
			.set({ state: 'failed', answer, at: now() })
			.where(eq(delivery.state, 'sending'));
	});
	const transport = nodemailer.createTransport(smtpUrl, {
		connectionTimeout: 10_000,
		greetingTimeout: 10_000,
		socketTimeout: 30_000
	} as object);
	try {
		for (;;) {
			const next = await books.db
				.select({
					id: letter.id,
					to: letter.recipient,
					data: letter.data,
					eml: message.eml,
					tries: delivery.tries
				})
				.from(delivery)
				.innerJoin(letter, eq(letter.id, delivery.letterId))
				.innerJoin(message, eq(message.letterId, delivery.letterId))
				.where(eq(delivery.state, 'waiting'))
				.orderBy(asc(delivery.letterId))
				.limit(1)
				.get();
			if (!next) return;
			const mark = (state: State, answer: string | null) =>
				books.write((tx) =>
					tx
						.update(delivery)
						.set({ state, answer, at: now(), tries: next.tries + 1 })
						.where(eq(delivery.letterId, next.id))
				);
			await mark('sending', null);
			const from = (JSON.parse(next.data) as { firm: { email: string } }).firm.email;
			try {
				const sent = await transport.sendMail({ envelope: { from, to: [next.to] }, raw: next.eml });
				await mark('sent', String(sent.response ?? '').slice(0, 400));
			} catch (error) {
				const {
					responseCode,
					response,
					message: text
				} = error as { responseCode?: number; response?: string; message: string };
				const refused = responseCode !== undefined && responseCode >= 500 && responseCode < 600;
				await mark(refused ? 'refused' : 'failed', (response ?? text).slice(0, 400));
			}
		}
	} finally {
		transport.close();
	}
}
