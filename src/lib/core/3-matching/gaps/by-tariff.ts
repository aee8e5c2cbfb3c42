import { feeOf, feePattern, type FeePattern, type SeenFee } from '../../money/fee-pattern';
import { minor } from '../../money/minor';
import type { ReceiptFacts } from '../../model/records';
import type { Answer, Reason } from '../answer';
import { tariffPayer } from './tariff-payer';
import { namesInWords } from '../payer/names-in-words';
import type { PastFee } from '../match-books';
import type { MatchIndex } from '../match-index';
import { MOST_FEE, onLast, withGap, type Short } from './short';

/** One payer must have paid for so many accounts before it is taken for one that pays for others. */
const ACCOUNTS = 2;
/** So many payments by one tariff make its payer known. */
const SURE_TARIFF = 5;
/** What makes a number no proof, whatever the tariff says. */
const AGAINST = new Set<Reason['code']>(['numbers-of-several', 'number-settled']);

/** What somebody who pays for others keeps, by who it is and the currency. */
export type Tariffs = ReadonlyMap<string, FeePattern>;

/** The gap is what the tariff of a processor makes of the items. */
export function byTariff(short: Short, tariffs: Tariffs): Answer | null {
	const { receipt, open, gap } = short;
	const tariff = tariffOf(receipt, tariffs);
	if (!tariff || feeOf(tariff, minor(open)) !== gap) return null;
	const reason: Reason = {
		code: 'tariff-kept',
		payer: receipt.payerName ?? receipt.payerAccount ?? '',
		basisPoints: tariff.basisPoints,
		fixed: tariff.fixed,
		explains: tariff.explains,
		amount: minor(gap),
		currency: receipt.currency
	};
	// Several of its payments follow one tariff to the penny: who pays is known by that, and the number says for whom.
	const against = short.answer.reasons.some(({ code }) => AGAINST.has(code));
	const sure = tariff.explains >= SURE_TARIFF && !against;
	return withGap(short, 'processor_fee', onLast(short), [reason], sure ? 'certain' : 'likely');
}

/**
 * A processor's payment whose words name a customer, or several of one name: the one item of theirs that its tariff leaves just
 * this sum of.
 */
export function byNameAndTariff(
	receipt: ReceiptFacts,
	answer: Answer,
	tariffs: Tariffs,
	index: MatchIndex
): Answer | null {
	const tariff = tariffOf(receipt, tariffs);
	if (!tariff || answer.lines.length > 0) return null;
	const said = namesInWords(receipt.text, index);
	if (said.length === 0) return null;
	const fitting = said
		.flatMap(({ customerId }) => index.itemsOf.get(customerId) ?? [])
		.filter(
			(item) =>
				item.kind !== 'credit_note' &&
				item.currency === receipt.currency &&
				item.open - feeOf(tariff, item.open) === receipt.amount
		);
	const [item] = fitting;
	if (!item) return null;
	const short = { receipt, answer, items: [item], open: item.open, gap: item.open - receipt.amount };
	const named = byTariff(short, tariffs);
	if (!named) return null;
	const customer = index.customers.get(item.customerId)!.name;
	const { words } = said.find(({ customerId }) => customerId === item.customerId)!;
	const reasons = named.reasons.filter(({ code }) => code !== 'no-set' && code !== 'name-in-words');
	const only = fitting.length === 1 && said.length === 1;
	return {
		...named,
		customerId: item.customerId,
		reasons: [...reasons, { code: 'name-in-words', words, customer }],
		// The tariff says who pays, the words for whom, and only one item leaves just this: nothing else is as good.
		band: fitting.some((one) => one.open !== item.open || one.customerId !== item.customerId)
			? 'choose'
			: only && tariff.explains >= SURE_TARIFF
				? 'certain'
				: 'likely',
		onAccount: minor(0)
	};
}

function tariffOf(receipt: ReceiptFacts, tariffs: Tariffs): FeePattern | undefined {
	const key = tariffPayer(receipt);
	return key === null ? undefined : tariffs.get(key);
}

/**
 * What each payer of several accounts keeps, where its gaps follow a tariff: those of this pile first, then the fees that were
 * posted of its payments before.
 */
export function tariffsOf(shorts: readonly Short[], past: readonly PastFee[]): Tariffs {
	const groups = new Map<string, { accounts: Set<number | null>; now: SeenFee[]; before: SeenFee[] }>();
	const groupOf = (key: string) => {
		const group = groups.get(key) ?? { accounts: new Set(), now: [], before: [] };
		groups.set(key, group);
		return group;
	};
	for (const { receipt, answer, open, gap } of shorts) {
		if (gap * MOST_FEE > open) continue;
		const key = tariffPayer(receipt);
		if (key === null) continue;
		const group = groupOf(key);
		group.accounts.add(answer.customerId);
		group.now.push({ gross: minor(open), fee: minor(gap) });
	}
	for (const one of past) {
		const key = tariffPayer(one);
		if (key !== null) groupOf(key).before.push({ gross: one.gross, fee: one.fee });
	}
	const tariffs = new Map<string, FeePattern>();
	for (const [key, { accounts, now, before }] of groups) {
		if (accounts.size < ACCOUNTS && before.length === 0) continue;
		// In an order of their own, so that the order of the file changes nothing.
		now.sort((a, b) => a.gross - b.gross || a.fee - b.fee);
		const tariff = feePattern([...now, ...before]);
		if (tariff) tariffs.set(key, tariff);
	}
	return tariffs;
}
