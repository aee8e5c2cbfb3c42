import { addDays } from '../day/arithmetic';
import type { OpenItem, ReceiptFacts } from '../model/records';
import { minor } from '../money/minor';
import { share } from '../money/share';
import type { AnswerLine, Reason } from './answer';
import type { Draft } from './draft';
import type { Payer } from './find-payer';
import { linesFor, signedOpen } from './lines-for';
import { findSets } from './sets/find-sets';
import { setsUpTo } from './sets-up-to';
import { bandOfSet, weightOf, weightOfCoincidence, type SetKind } from './weigh-sets';
import { wordsSay } from './words-say';
import type { World } from './world';

const OTHERS_KEPT = 8;
/** Sets listed of one search; the rest are counted. */
const LISTED = 24;
/** Look-ups that one receipt may take. */
const STEPS = 300_000;
/** Accounts of a shared name that are looked through. */
const MOST_ACCOUNTS = 6;
/** Days after the last day of a discount on which it is still taken for one. */
const GRACE = 3;

/** Something that the payer may have meant. */
interface Meaning {
	readonly places: readonly number[];
	readonly kind: SetKind;
	readonly weight: number;
	readonly reason: Reason | null;
}

/**
 * Answers a receipt whose words name no item: by its amount alone, one open item, all up to a day, or a set of them, weighed
 * against every other set that comes to the same and against coincidence; or on account where the words say so.
 */
export function answerByAmount(receipt: ReceiptFacts, payer: Payer, world: World): Draft {
	if (payer.by !== 'nothing' && payer.customerIds.length > 0)
		return answerFor(receipt, payer, payer.customerIds[0]!, world);
	const nobody: Draft = {
		band: 'none',
		customerId: null,
		lines: [],
		reasons: payer.reasons,
		others: [],
		otherAnswers: 0
	};
	if (payer.customerIds.length === 0 || payer.customerIds.length > MOST_ACCOUNTS) return nobody;
	// A shared name: where only one of the accounts has anything that fits, it is that one, for a look.
	const drafts = payer.customerIds.map((id) => answerFor(receipt, payer, id, world));
	const fitting = drafts.filter((draft) => draft.lines.length > 0);
	const [only] = fitting;
	if (!only || fitting.length > 1) return nobody;
	return { ...only, band: only.band === 'choose' ? 'choose' : 'likely' };
}

function answerFor(receipt: ReceiptFacts, payer: Payer, customerId: number, world: World): Draft {
	const { currency, amount } = receipt;
	const customer = world.customers.get(customerId)!.name;
	const items = (world.itemsOf.get(customerId) ?? []).filter((item) => item.currency === currency);
	const says = wordsSay(receipt.text);
	const number = /\d{3,}/.test(receipt.text.replace(/\b(19|20)\d{2}([-/.]?\d{2}){0,2}\b/g, ''));
	const nothing = (...reasons: Reason[]): Draft => ({
		...{ band: 'choose', customerId, lines: [], reasons: [...payer.reasons, ...reasons] },
		...{ others: [], otherAnswers: 0 }
	});
	const onAccount = (): Draft => ({
		...nothing({ code: 'says-on-account' }),
		band: (payer.by === 'account' || payer.by === 'name') && !/\d/.test(receipt.text) ? 'certain' : 'likely'
	});
	if (items.length === 0) return says.onAccount ? onAccount() : nothing({ code: 'nothing-open', customer });

	const found = findSets(items.map(signedOpen), amount, { keep: LISTED, steps: STEPS });
	const meanings = meaningsOf(items, amount, found.sets, says.upToDate);
	const [best] = meanings;
	if (!best) {
		const discounted = withDiscount(receipt, items);
		if (discounted) return { ...nothing(discounted.reason), band: 'likely', lines: [discounted.line] };
		return says.onAccount ? onAccount() : nothing({ code: 'no-set', amount, currency, items: items.length });
	}
	const largest = items.reduce((sum, item) => sum + Math.max(0, signedOpen(item)), 0);
	const listed = meanings.reduce((sum, one) => sum + one.weight, 0);
	const unlisted = Math.max(0, found.count - found.sets.length) * (meanings.at(-1)?.weight ?? 0);
	const all = listed + unlisted + weightOfCoincidence(amount, largest);
	const chosen = best.places.map((place) => items[place]!);
	const equal = equalLeft(items, best.places);
	const others = Math.max(meanings.length, found.count) - 1;
	// Which of equal items is meant no sum can tell: each of the others is another answer.
	const equalOnes =
		chosen.length === 1
			? items.flatMap((item, place) =>
					signedOpen(item) === amount && place !== best.places[0] ? [[place]] : []
				)
			: [];
	const reasons: Reason[] = [...payer.reasons];
	if (best.reason) reasons.push(best.reason);
	if (equal > 0 && chosen.length === 1)
		reasons.push({ code: 'oldest-of-equal', number: chosen[0]!.number, equal: equal + 1 });
	else if (items.length === 1) reasons.push({ code: 'only-open-item', number: chosen[0]!.number, customer });
	else if (others === 0)
		reasons.push({
			...{ code: 'only-set', items: chosen.length, customer, looked: items.length, all: found.all }
		});
	reasons.push({ code: 'adds-up', amount, currency, items: chosen.length });
	if (others > 0)
		reasons.push({ code: 'sets-found', sets: others + 1, all: found.all, looked: items.length });
	const doubts = { equal: equal > 0, words: says.notWhole || says.onAccount || number };
	const band = bandOfSet(best.weight / all, chosen.length, payer.by, doubts);
	return {
		...{ band, customerId, lines: linesFor(chosen, amount).lines, reasons },
		others: [...equalOnes, ...meanings.slice(1).map((one) => one.places)]
			.slice(0, OTHERS_KEPT)
			.map((places) => ({
				customerId,
				lines: linesFor(
					places.map((place) => items[place]!),
					amount
				).lines
			})),
		otherAnswers: others + equalOnes.length
	};
}

/** Everything that comes to the sum, with its weight, the weightiest first; then the smaller, then the older. */
function meaningsOf(
	items: readonly OpenItem[],
	amount: number,
	sets: readonly (readonly number[])[],
	upToDate: boolean
): Meaning[] {
	const found = new Map<string, Meaning>();
	const add = (places: readonly number[], kind: SetKind, reason: Reason | null) => {
		const key = places.join();
		const weight = weightOf(kind, places.length, items.length, upToDate);
		const known = found.get(key);
		if (!known || known.weight < weight) found.set(key, { places, kind, weight, reason });
	};
	for (const places of sets) add(places, places.length === 1 ? 'one' : 'set', null);
	for (const { places, day, by, but } of setsUpTo(items, amount))
		add(places, but === null ? 'until' : 'until-but-one', {
			...{ code: 'all-until', day, by, items: places.length },
			but: but === null ? null : items[but]!.number
		});
	if (items.length > 2 && items.reduce((sum, item) => sum + signedOpen(item), 0) === amount)
		add(
			items.map((_, place) => place),
			'all',
			{ code: 'all-open', items: items.length }
		);
	return [...found.values()].sort((a, b) => b.weight - a.weight || a.places.length - b.places.length);
}

/** How many items of the account are open at the same amount as one of those chosen, and are not chosen. */
function equalLeft(items: readonly OpenItem[], places: readonly number[]): number {
	const chosen = new Set(places);
	const amounts = new Set(places.map((place) => signedOpen(items[place]!)));
	return items.filter((item, place) => !chosen.has(place) && amounts.has(signedOpen(item))).length;
}

/** The one item that comes to the sum less the discount of its terms; null where there is none, or more than one. */
function withDiscount(
	{ amount, booked, currency }: ReceiptFacts,
	items: readonly OpenItem[]
): { line: AnswerLine; reason: Reason } | null {
	const fitting = items.flatMap((item) => {
		if (!item.discountBasisPoints || !item.discountUntil || item.kind === 'credit_note') return [];
		if (booked > addDays(item.discountUntil, GRACE)) return [];
		const off = share(item.open, item.discountBasisPoints, 10_000);
		return item.open - off === amount ? [{ item, off }] : [];
	});
	const [only] = fitting;
	if (!only || fitting.length > 1) return null;
	const { item, off } = only;
	return {
		line: {
			...{ itemId: item.id, cash: minor(item.open - off) },
			differences: [{ kind: 'settlement_discount', amount: off }]
		},
		reason: {
			...{ code: 'discount-taken', basisPoints: item.discountBasisPoints!, until: item.discountUntil! },
			...{ amount: off, currency }
		}
	};
}
