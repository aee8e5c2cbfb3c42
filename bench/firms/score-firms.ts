import { chance } from '../../src/demo/random';
import type { Answer } from '../../src/lib/core/3-matching/answer';
import { answerReceipts } from '../../src/lib/core/3-matching/answer-receipts';
import { makeBooks } from './make-books';
import { makePayments, type Truth } from './make-payments';

type Say = (what: string, figure: string) => void;

/** Payments of the books of each firm. */
const PAYMENTS = 500;

/**
 * Scores matching on books of made-up firms of seven lands, with number series of their own, mixed as a firm's payments are;
 * every wrong one that was called certain is printed. `SEEDS=from-to` chooses which, `NOISE=0.6` how noisy, `MISSED=kind` prints
 * what was not answered right, `UNSURE=kind` what was not certain.
 */
export function firms(say: Say): void {
	const [from, to] = (process.env['SEEDS'] ?? '1-14').split('-').map(Number) as [number, number];
	const noise = Number(process.env['NOISE'] ?? 0.4);
	const total = {
		receipts: 0,
		right: 0,
		certain: 0,
		gaps: 0,
		gapsRight: 0,
		claims: 0,
		claimsRight: 0,
		payer: 0
	};
	const kinds = new Map<string, { n: number; right: number; certain: number }>();
	const wrong: string[] = [];
	const print = (kind: string, variable: string) => [kind, 'all'].includes(process.env[variable] ?? '');
	for (let seed = from; seed <= to; seed++) {
		const random = chance(seed * 7919);
		const firm = makeBooks(random, seed);
		const { pile, truth } = makePayments(firm, random, PAYMENTS, noise);
		const answers = answerReceipts(pile, { ...firm, baseCurrency: firm.home.currency });
		const itemOf = new Map(firm.items.map((item) => [item.id, item]));
		for (const [place, answer] of answers.entries()) {
			const want = truth.get(answer.receiptId)!;
			const right = isRight(answer, want);
			const kind = kinds.get(want.kind) ?? { n: 0, right: 0, certain: 0 };
			kinds.set(want.kind, kind);
			const sure = answer.band === 'certain';
			kind.n++;
			total.receipts++;
			if (right) [total.right, kind.right] = [total.right + 1, kind.right + 1];
			if (sure) [total.certain, kind.certain] = [total.certain + 1, kind.certain + 1];
			if (answer.customerId === want.customerId) total.payer++;
			if (want.gap) {
				const [all, found] =
					want.gap.kind === 'claim' ? (['claims', 'claimsRight'] as const) : (['gaps', 'gapsRight'] as const);
				total[all]++;
				if (gapOf(answer) === `${want.gap.kind} ${want.gap.amount}`) total[found]++;
			}
			const one = pile[place]!;
			const name = firm.customers.find(({ id }) => id === want.customerId)?.name;
			const list = (lines: Iterable<readonly [number, number]>) =>
				[...lines].map(([id, cash]) => `${itemOf.get(id)!.number}:${cash}`).join(' ');
			const told = () =>
				`seed ${seed}, ${want.kind}, ${answer.band}: “${one.payerName}” (${name}) “${one.text}” ${one.structuredReference ?? ''} ${one.amount} ${one.currency}; wants ${list(want.lines)}; got ${answer.customerId === want.customerId ? '' : 'somebody else '}${list(answer.lines.map((line) => [line.itemId, line.cash] as const))} ${gapOf(answer) ?? ''}: ${answer.reasons.map(({ code }) => code).join(' ')} (${answer.otherAnswers} others)`;
			if (sure && !right) wrong.push(told());
			if ((!right && print(want.kind, 'MISSED')) || (!sure && print(want.kind, 'UNSURE')))
				console.log(told());
		}
	}
	const percent = (n: number, of = total.receipts) => (of ? `${((100 * n) / of).toFixed(1)} %` : '-');
	say(`books of ${to - from + 1} firms, ${total.receipts} payments: right`, percent(total.right));
	say('called certain', percent(total.certain));
	say('whose it is right', percent(total.payer));
	say('the kind and sum of a difference right', `${percent(total.gapsRight, total.gaps)} of ${total.gaps}`);
	say(
		'a deduction with a word for it taken for a claim',
		`${percent(total.claimsRight, total.claims)} of ${total.claims}`
	);
	say('wrong though certain', String(wrong.length));
	for (const [kind, one] of [...kinds].sort((a, b) => b[1].n - a[1].n))
		say(`  ${kind}, ${one.n}`, `right ${percent(one.right, one.n)}, certain ${percent(one.certain, one.n)}`);
	for (const one of wrong.slice(0, 60)) console.log(one);
}

/** The kind and sum of what closes gaps in an answer; null where nothing does. */
function gapOf(answer: Answer): string | null {
	const gaps = answer.lines.flatMap((line) => line.differences);
	return gaps.length ? `${gaps[0]!.kind} ${gaps.reduce((sum, one) => sum + one.amount, 0)}` : null;
}

/** The same lines to the penny, for the same customer; what a parent pays may lie on either account. */
function isRight(answer: Answer, want: Truth): boolean {
	if (want.customerId === null) return answer.lines.length === 0 && answer.customerId === null;
	if (answer.customerId !== want.customerId && want.kind !== 'group') return false;
	if (answer.lines.length !== want.lines.size) return false;
	const gaps = answer.lines.flatMap((line) => line.differences).reduce((sum, one) => sum + one.amount, 0);
	if (gaps !== 0 && gaps !== (want.gap?.amount ?? 0)) return false;
	return answer.lines.every((line) => want.lines.get(line.itemId) === line.cash);
}
