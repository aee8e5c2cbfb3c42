import type { OpenItem, ReceiptFacts } from '../../model/records';
import type { Reason } from '../answer';
import type { Draft } from './draft';
import { equalWays } from '../sets/equal-ways';
import type { Payer } from '../payer/find-payer';
import { FIRM_HABIT, paysByStatement, paysOldestFirst } from '../lessons/habits';
import { linesFor, signedOpen } from './lines-for';
import { meaningsOf } from './meanings-of';
import { tellingWords } from '../../text/telling-words';
import { findSets } from '../sets/find-sets';
import { bandOfSet, weightOfCoincidence } from './weigh-sets';
import { isRound, whenNothingFits } from './when-nothing-fits';
import { remittancePhrases } from '../../text/remittance-phrases';
import type { MatchIndex } from '../match-index';

const OTHERS_KEPT = 8;
/** Sets listed of one search; the rest are counted. */
const LISTED = 24;
/** Look-ups that one receipt may take. */
const STEPS = 300_000;

/**
 * Answers a receipt of one payer by its amount alone: one of these open items, all up to a day, or a set of them, weighed
 * against every other set that comes to the same and against coincidence; or by what `whenNothingFits` says. `items` are of one
 * currency, oldest first.
 */
export function answerAccount(
	receipt: ReceiptFacts,
	payer: Payer,
	customerId: number,
	items: readonly OpenItem[],
	index: MatchIndex
): Draft {
	const { currency, amount } = receipt;
	const customer = index.customers.get(customerId)!.name;
	const habits = index.habitsOf(customerId);
	const byStatement = paysByStatement(habits);
	const says = remittancePhrases(receipt.text);
	const number = /\d{3,}/.test(receipt.text.replace(/\b(19|20)\d{2}([-/.]?\d{2}){0,2}\b/g, ''));
	if (items.length === 0) return whenNothingFits(receipt, payer, customerId, items, index);

	const key = `${customerId} ${currency} ${amount} ${items.length}`;
	const found =
		index.setsFound.get(key) ?? findSets(items.map(signedOpen), amount, { keep: LISTED, steps: STEPS });
	index.setsFound.set(key, found);
	const asOther = (places: readonly number[]) => ({
		customerId,
		lines: linesFor(
			places.map((place) => items[place]!),
			amount
		).lines
	});
	const meanings = meaningsOf(items, amount, found.sets, says.upToDate || byStatement);
	const [best] = meanings;
	if (!best) return whenNothingFits(receipt, payer, customerId, items, index);
	// A round sum that is said to be on account is that first, whatever comes to it as well.
	if (says.onAccount && isRound(amount, currency)) {
		const others = meanings.slice(0, OTHERS_KEPT).map(({ places }) => asOther(places));
		const draft = whenNothingFits(receipt, payer, customerId, items, index);
		return { ...draft, band: 'likely', others, otherAnswers: Math.max(meanings.length, found.count) };
	}
	const largest = items.reduce((sum, item) => sum + Math.max(0, signedOpen(item)), 0);
	const listed = meanings.reduce((sum, one) => sum + one.weight, 0);
	const unlisted = Math.max(0, found.count - found.sets.length) * (meanings.at(-1)?.weight ?? 0);
	const all = listed + unlisted + weightOfCoincidence(amount, largest);
	const chosen = best.places.map((place) => items[place]!);
	const others = Math.max(meanings.length, found.count) - 1;
	// Which of equal items is meant no sum can tell: each way to choose among them is another answer.
	const { left: equal, ways, others: equalOnes } = equalWays(items, best.places, OTHERS_KEPT);
	const reasons: Reason[] = [...payer.reasons];
	if (best.reason) reasons.push(best.reason);
	if (byStatement && best.reason) reasons.push({ code: 'statement-habit', ...habits.byStatement });
	if (equal > 0 && chosen.length === 1)
		reasons.push({ code: 'oldest-of-equal', number: chosen[0]!.number, equal: equal + 1 });
	else if (equal > 0) reasons.push({ code: 'oldest-in-set', items: chosen.length, ways });
	else if (items.length === 1) reasons.push({ code: 'only-open-item', number: chosen[0]!.number, customer });
	else if (others === 0)
		reasons.push({
			...{ code: 'only-set', items: chosen.length, customer, looked: items.length, all: found.all }
		});
	reasons.push({ code: 'adds-up', amount, currency, items: chosen.length });
	if (others > 0)
		reasons.push({ code: 'sets-found', sets: others + 1, all: found.all, looked: items.length });
	// They have taken the oldest every time, so that of equal ones it is no other.
	const oldest = equal > 0 && paysOldestFirst(habits);
	if (oldest) reasons.push({ code: 'oldest-habit', times: habits.oldestFirst.times });
	const firm = oldest && chosen.length === 1 && paysOldestFirst(habits, FIRM_HABIT);
	const strange =
		isRound(amount, currency) &&
		!says.upToDate &&
		saysSomething(receipt.text, [customer, receipt.payerName ?? '']);
	const doubts = { equal: equal > 0 && !firm, words: says.notWhole || says.onAccount || number || strange };
	const band = bandOfSet(best.weight / all, chosen.length, payer.by, doubts);
	return {
		...{ band, customerId, lines: linesFor(chosen, amount).lines, reasons },
		others: [...equalOnes, ...meanings.slice(1).map((one) => one.places)].slice(0, OTHERS_KEPT).map(asOther),
		// What is certain has none as good; what else comes to the sum is far less probable.
		otherAnswers: band === 'certain' ? 0 : others + ways - 1
	};
}

/** Whether a text has words that are neither common in payments nor of these names: a round sum with such may be something else. */
function saysSomething(text: string, names: readonly string[]): boolean {
	const known = names.flatMap(tellingWords);
	return tellingWords(text).some((word) => !known.some((one) => one.startsWith(word)));
}
