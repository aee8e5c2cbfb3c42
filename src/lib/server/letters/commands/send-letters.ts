import { and, eq, gt, inArray } from 'drizzle-orm';
import type { LetterKind } from '../../../core/7-letters/letter';
import type { Day } from '../../../core/day/day';
import type { Problem } from '../../../core/problems';
import type { ActContext } from '../../act/define-act';
import { insertRows } from '../../platform/db/insert-rows';
import type { Tx } from '../../platform/db/open';
import {
	act,
	chasingStep,
	delivery,
	letter,
	message,
	returnedNotice,
	runLetter
} from '../../platform/db/schema';
import { itemsById } from '../../documents/store/open-items';
import { takenSteps } from '../store/chases';
import { letterVersions } from '../store/letter-versions';
import { DomainError } from '../../act/domain-error';
import { defineAct, madeHere } from '../../act/define-act';
import type { WrittenLetter } from '../write-letters';

/** Letters to be put in line. */
export interface SendLetters {
	readonly kind: LetterKind;
	readonly letters: readonly WrittenLetter[];
	/** The newest letter that the person knew of: one of the same kind that went to an account since stops them. */
	readonly seen?: number;
	/** Of a run: which of its letters each is, in order. */
	readonly ofRun?: readonly number[];
}

/** Puts letters in the outbox, exactly as they will be sent. One whose account changed meanwhile stops them all. */
export const sendLetters = defineAct({
	kind: 'send-letters',
	role: 'clerk',
	input: madeHere<SendLetters>(),
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
		if (input.ofRun) await stillWanted(tx, input.ofRun);
		await noStepTwice(tx, input.letters);
		if (input.kind === 'thanks') await stillPaid(tx, input.letters);
		const actId = await ctx.record({
			summary: { letter: input.kind, count: input.letters.length },
			facts: { kind: input.kind, customers: input.letters.map((one) => one.letter.customer.code) },
			customerId: input.letters.length === 1 ? input.letters[0]!.letter.customer.id : null
		});
		for (const [n, one] of input.letters.entries()) {
			const id = await putInLine(ctx, actId, one);
			const ofRun = input.ofRun?.[n];
			if (ofRun !== undefined)
				await tx.update(runLetter).set({ state: 'written', letterId: id }).where(eq(runLetter.id, ofRun));
		}
		return { actId, sent: input.letters.length };
	}
});

async function putInLine(
	{ tx, now }: ActContext<'send-letters'>,
	actId: number,
	one: WrittenLetter
): Promise<number> {
	const { kind, date, currency, customer, owed, returned } = one.letter;
	const { id } = await tx
		.insert(letter)
		.values({
			...{ actId, kind, date, currency, customerId: customer.id, amount: owed },
			recipient: one.to,
			copies: one.copies.length > 0 ? [...one.copies] : null,
			...{ subject: one.subject, body: one.body, data: JSON.stringify(one.letter) },
			...{ pdf: Buffer.alloc(0), paperHash: one.paper.hash }
		})
		.returning({ id: letter.id })
		.get();
	if (one.step) await takeSteps(tx, { actId, letterId: id, day: date }, one);
	if (returned) await tx.insert(returnedNotice).values({ returnedId: returned.id, letterId: id });
	if (one.message)
		await tx.insert(message).values({ letterId: id, eml: Buffer.alloc(0), packed: Buffer.from(one.message) });
	await tx.insert(delivery).values({
		...{ letterId: id, at: now(), messageId: one.messageId, tries: 0 },
		state: one.message ? 'waiting' : 'paper',
		printing: one.way === 'mail' ? null : 'waiting'
	});
	return id;
}

/** Puts down which step each item took with a letter. */
async function takeSteps(
	tx: Tx,
	{ actId, letterId, day }: { readonly actId: number; readonly letterId: number; readonly day: Day },
	{ step, way, letter: { kind } }: WrittenLetter
): Promise<void> {
	// What was paid meanwhile is not in a reminder, and what came back not in thanks: neither takes a step.
	const isAbout = (open: number) => (kind === 'thanks' ? open === 0 : open > 0);
	const shown = new Set(
		(
			await itemsById(
				tx,
				step!.items.map((one) => one.id)
			)
		).flatMap((one) => (isAbout(one.open) ? [one.id] : []))
	);
	await insertRows(
		tx,
		chasingStep,
		step!.items
			.filter((one) => shown.has(one.id))
			.map(({ id: itemId, step: own, name, effect }) => ({
				...{ actId, itemId, step: own, name, effect, day, way, letterId }
			}))
	);
}

/** Each step of an item is taken once: a letter whose step another took meanwhile stops them all. */
async function noStepTwice(tx: Tx, letters: readonly WrittenLetter[]): Promise<void> {
	const ids = letters.flatMap((one) => one.step?.items.map((item) => item.id) ?? []);
	if (ids.length === 0) return;
	const taken = await takenSteps(tx, ids);
	const twice = letters.flatMap(({ letter: { customer }, step }): Problem[] => {
		const item = step?.items.find((one) => taken.get(one.id)?.some((before) => before.step === one.step));
		return item ? [{ code: 'step-taken', customer: customer.name, step: item.name }] : [];
	});
	if (twice.length > 0) throw new DomainError(...twice);
}

/** What a letter thanks for and came back meanwhile stops them all. */
async function stillPaid(tx: Tx, letters: readonly WrittenLetter[]): Promise<void> {
	for (const {
		step,
		letter: { customer }
	} of letters) {
		const items = await itemsById(tx, step?.items.map((one) => one.id) ?? []);
		if (items.some((one) => one.open !== 0))
			throw new DomainError({ code: 'letter-changed', customer: customer.name });
	}
}

/** Letters of a run that were withdrawn or written meanwhile stop the rest: who writes them looks again. */
async function stillWanted(tx: Tx, ids: readonly number[]): Promise<void> {
	const rows = await tx
		.select({ id: runLetter.id })
		.from(runLetter)
		.where(and(inArray(runLetter.id, [...ids]), eq(runLetter.state, 'to-write')))
		.all();
	if (rows.length < ids.length) throw new DomainError({ code: 'run-changed' });
}

/** Letters of the kind that somebody else sent to the same accounts since the person looked. */
async function sentSince(tx: Tx, { kind, letters, seen }: SendLetters): Promise<Problem[]> {
	if (seen === undefined) return [];
	const rows = await tx
		.select({ customerId: letter.customerId, currency: letter.currency, who: act.userName, at: act.at })
		.from(letter)
		.innerJoin(act, eq(act.id, letter.actId))
		.where(and(gt(letter.id, seen), eq(letter.kind, kind)))
		.all();
	const sent = new Map(rows.map((row) => [`${row.customerId} ${row.currency}`, row]));
	return letters.flatMap(({ letter: { customer, currency } }) => {
		const before = sent.get(`${customer.id} ${currency}`);
		return before
			? [{ code: 'letter-sent' as const, customer: customer.name, who: before.who, at: before.at }]
			: [];
	});
}
