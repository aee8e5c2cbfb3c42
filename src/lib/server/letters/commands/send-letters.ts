import { and, eq, gt } from 'drizzle-orm';
import type { Letter } from '../../../core/7-letters/letter';
import type { Problem } from '../../../core/problems';
import type { Tx } from '../../platform/db/open';
import { act, delivery, letter, message, returnedNotice } from '../../platform/db/schema';
import { letterVersions } from '../store/letter-versions';
import { DomainError } from '../../act/domain-error';
import { defineAct, madeHere } from '../../act/define-act';

/** A letter with its paper and its envelope, made before the act so that the act itself is short. */
export interface PreparedLetter {
	readonly letter: Letter;
	readonly to: string;
	readonly copies: readonly string[];
	readonly pdf: Buffer;
	readonly eml: Buffer;
	readonly messageId: string;
	readonly subject: string;
	readonly body: string;
	/** A mark of all that it shows, taken before it was written. */
	readonly shows: string;
}

/** Puts letters in the outbox, exactly as they will be sent. One whose account changed meanwhile stops the run. */
export const sendLetters = defineAct({
	kind: 'send-letters',
	role: 'clerk',
	input: madeHere<{
		readonly kind: Letter['kind'];
		readonly letters: readonly PreparedLetter[];
		/** The newest letter that the person knew of: one of the same kind that went to an account since stops the run. */
		readonly seen?: number;
	}>(),
	run: async (ctx, input): Promise<{ actId: number; sent: number }> => {
		const { tx } = ctx;
		const accounts = input.letters.map(({ letter: { customer, currency, returned } }) => ({
			customerId: customer.id,
			currency,
			returnedId: returned?.id ?? null
		}));
		const now = await letterVersions(tx, input.kind, accounts);
		// Who is told that a letter went already need not hear that its account changed by it.
		const sent = await sentSince(tx, input);
		if (sent.length) throw new DomainError(...sent);
		const changed: Problem[] = input.letters
			.filter((one, n) => one.shows !== now[n])
			.map((one) => ({ code: 'letter-changed', customer: one.letter.customer.name }));
		if (changed.length) throw new DomainError(...changed);
		const actId = await ctx.record({
			summary: { letter: input.kind, count: input.letters.length },
			facts: { kind: input.kind, customers: input.letters.map((one) => one.letter.customer.code) },
			customerId: input.letters.length === 1 ? input.letters[0]!.letter.customer.id : null
		});
		for (const one of input.letters) {
			const { kind, date, currency, customer, owed, returned } = one.letter;
			const { id } = await tx
				.insert(letter)
				.values({
					actId,
					kind,
					date,
					currency,
					customerId: customer.id,
					amount: owed,
					recipient: one.to,
					copies: one.copies.length > 0 ? [...one.copies] : null,
					subject: one.subject,
					body: one.body,
					data: JSON.stringify(one.letter),
					pdf: one.pdf
				})
				.returning({ id: letter.id })
				.get();
			if (returned) await tx.insert(returnedNotice).values({ returnedId: returned.id, letterId: id });
			await tx.insert(message).values({ letterId: id, eml: one.eml });
			await tx
				.insert(delivery)
				.values({ letterId: id, state: 'waiting', at: ctx.now(), messageId: one.messageId, tries: 0 });
		}
		return { actId, sent: input.letters.length };
	}
});

/** Letters of the kind that somebody else sent to the same accounts since the person looked. */
async function sentSince(
	tx: Tx,
	{
		kind,
		letters,
		seen
	}: { readonly kind: Letter['kind']; readonly letters: readonly PreparedLetter[]; readonly seen?: number }
): Promise<Problem[]> {
	if (seen === undefined) return [];
	const rows = await tx
		.select({ customerId: letter.customerId, currency: letter.currency, who: act.userName, at: act.at })
		.from(letter)
		.innerJoin(act, eq(act.id, letter.actId))
		.where(and(gt(letter.id, seen), eq(letter.kind, kind)));
	const sent = new Map(rows.map((row) => [`${row.customerId} ${row.currency}`, row]));
	return letters.flatMap(({ letter: { customer, currency } }) => {
		const before = sent.get(`${customer.id} ${currency}`);
		return before
			? [{ code: 'letter-sent' as const, customer: customer.name, who: before.who, at: before.at }]
			: [];
	});
}
