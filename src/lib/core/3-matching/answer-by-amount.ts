import type { OpenItem, ReceiptFacts } from '../model/records';
import type { Reason } from './answer';
import type { Draft } from './draft';
import type { Payer } from './find-payer';
import { linesFor, signedOpen } from './lines-for';
import { subsetSums } from './subset-sums';
import { weigh } from './weigh';
import type { World } from './world';

/** Up to this many open items sets of three are looked for; triples cost the square. */
const MOST_ITEMS = 500;
const OTHERS_KEPT = 8;

/** Answers a known payer's receipt by its amount alone: one open item, or one set of up to three. */
export function answerByAmount(receipt: ReceiptFacts, payer: Payer, world: World): Draft {
	const { currency, amount } = receipt;
	if (payer.customerIds.length === 0 || payer.by === 'nothing')
		return { band: 'none', customerId: null, lines: [], reasons: payer.reasons, others: [], otherAnswers: 0 };
	const customerId = payer.customerIds[0]!;
	const customer = world.customers.get(customerId)!.name;
	const items = (world.itemsOf.get(customerId) ?? []).filter((item) => item.currency === currency);
	const nothing = (...reasons: Reason[]): Draft => ({
		band: 'choose',
		customerId,
		lines: [],
		reasons: [...payer.reasons, ...reasons],
		others: [],
		otherAnswers: 0
	});
	if (items.length === 0) return nothing({ code: 'nothing-open', customer });
	if (items.length > MOST_ITEMS) return nothing({ code: 'too-many-items', items: items.length });

	const { sets, count } = subsetSums(items.map(signedOpen), amount, OTHERS_KEPT + 1);
	const first = sets[0];
	if (!first) return nothing({ code: 'no-set', amount, currency, items: items.length });
	const equal = equalItems(items, amount);
	// Equal amounts every month: whoever pays one of them pays the oldest, so the others are no rival answers.
	const rivals = first.length === 1 ? count - equal : count - 1;
	const chosen = first.map((place) => items[place]!);
	const reasons: Reason[] = [...payer.reasons];
	if (first.length === 1 && equal > 1)
		reasons.push({ code: 'oldest-of-equal', number: chosen[0]!.number, equal });
	else if (items.length === 1) reasons.push({ code: 'only-open-item', number: chosen[0]!.number, customer });
	else if (rivals === 0)
		reasons.push({ code: 'only-set', items: first.length, customer, looked: items.length });
	reasons.push({ code: 'adds-up', amount, currency, items: first.length });
	if (rivals > 0) reasons.push({ code: 'several-sets', sets: count, amount, currency });
	const band = weigh({
		payer: payer.by,
		named: false,
		owner: 'payer',
		amount: 'exact',
		others: rivals,
		items: first.length,
		onlyItem: items.length === 1
	});
	const others = sets.slice(1, OTHERS_KEPT + 1).map((set) => ({
		customerId,
		lines: linesFor(
			set.map((place) => items[place]!),
			amount
		).lines
	}));
	return {
		band: equal > 1 && band === 'certain' ? 'likely' : band,
		customerId,
		lines: linesFor(chosen, amount).lines,
		reasons,
		others,
		otherAnswers: count - 1
	};
}

function equalItems(items: readonly OpenItem[], amount: number): number {
	return items.filter((item) => signedOpen(item) === amount).length;
}
