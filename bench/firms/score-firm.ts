import { chance } from '../../src/demo/random';
import { type Answer, answerReceipts } from '../../src/lib/core/3-matching';
import { makeBooks } from './make-books';
import { makePayments, type Mix, type Truth } from './make-payments';

/** One payment, what it was for, and what matching said of it. */
export interface Scored {
	readonly kind: string;
	readonly right: boolean;
	readonly certain: boolean;
	readonly payerRight: boolean;
	/** Whether a gap that has a name got it, to the penny; null where there is none. */
	readonly gapRight: boolean | null;
	/** The payment, what was wanted and what was answered, in one line. */
	readonly told: () => string;
}

/** Makes the books and payments of one firm, answers them, and compares; `noise` from 0 to 1. */
export function scoreFirm(seed: number, payments: number, noise: number, mix?: Mix): Scored[] {
	const random = chance(seed * 7919);
	const firm = makeBooks(random, seed);
	const { pile, truth } = makePayments(firm, random, payments, noise, mix);
	const answers = answerReceipts(pile, { ...firm, baseCurrency: firm.home.currency });
	const itemOf = new Map(firm.items.map((item) => [item.id, item]));
	const list = (lines: Iterable<readonly [number, number]>) =>
		[...lines].map(([id, cash]) => `${itemOf.get(id)!.number}:${cash}`).join(' ');
	return answers.map((answer, place) => {
		const want = truth.get(answer.receiptId)!;
		const one = pile[place]!;
		const name = firm.customers.find(({ id }) => id === want.customerId)?.name;
		const payerRight = answer.customerId === want.customerId;
		return {
			...{ kind: want.kind, right: isRight(answer, want), certain: answer.band === 'certain', payerRight },
			gapRight: want.gap && gapOf(answer) === `${want.gap.kind} ${want.gap.amount}`,
			told: () =>
				`seed ${seed}, ${want.kind}, ${answer.band}: “${one.payerName}” (${name}) “${one.text}” ${one.structuredReference ?? ''} ` +
				`${one.amount} ${one.currency}; wants ${list(want.lines)}; got ${payerRight ? '' : 'somebody else '}` +
				`${list(answer.lines.map((line) => [line.itemId, line.cash] as const))} ${gapOf(answer) ?? ''}: ` +
				`${answer.reasons.map(({ code }) => code).join(' ')} (${answer.otherAnswers} others)`
		};
	});
}

/** The kind and sum of what closes gaps in an answer; null where nothing does. */
function gapOf(answer: Answer): string | null {
	const gaps = answer.lines.flatMap((line) => line.differences);
	return gaps.length ? `${gaps[0]!.kind} ${gaps.reduce((sum, one) => sum + one.amount, 0)}` : null;
}

/** The same lines to the penny, for the same customer; what a parent pays may lie on either account. */
function isRight(answer: Answer, want: Truth): boolean {
	if (want.customerId === null) return answer.lines.length === 0 && answer.customerId === null;
	if (answer.customerId !== want.customerId && !want.kind.startsWith('group')) return false;
	if (answer.lines.length !== want.lines.size) return false;
	const gaps = answer.lines.flatMap((line) => line.differences).reduce((sum, one) => sum + one.amount, 0);
	if (gaps !== 0 && gaps !== (want.gap?.amount ?? 0)) return false;
	return answer.lines.every((line) => want.lines.get(line.itemId) === line.cash);
}
