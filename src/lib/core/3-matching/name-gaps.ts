import { addDays } from '../day/arithmetic';
import { feeOf, feePattern, type FeePattern } from '../money/fee-pattern';
import { minor } from '../money/minor';
import { share } from '../money/share';
import type { DifferenceKind, OpenItem, ReceiptFacts } from '../model/records';
import type { Answer, AnswerLine, Band, Reason } from './answer';
import { normaliseName } from './normalise-name';
import type { World } from './world';

/** Days after the last day of a discount on which it is still taken for one: banks and weekends. */
const GRACE = 3;
/** A gap larger than this part of what is open is no fee: a fifth. */
const MOST_FEE = 5;
/** One payer must have paid for so many accounts before it is taken for one that pays for others. */
const ACCOUNTS = 2;

/** What makes a number no proof, whatever the tariff says. */
const AGAINST = new Set<Reason['code']>(['numbers-of-several', 'number-settled']);
/** So many payments by one tariff make its payer known. */
const SURE_TARIFF = 5;
/** What banks on the way usually keep of a payment from abroad, in minor units. */
const USUAL_CHARGES = new Set([
	500, 600, 750, 800, 1_000, 1_200, 1_250, 1_500, 1_750, 1_800, 2_000, 2_500, 3_000
]);

/** An answer whose items were named and come to more than came. */
interface Short {
	readonly receipt: ReceiptFacts;
	readonly answer: Answer;
	readonly items: readonly OpenItem[];
	readonly open: number;
	readonly gap: number;
}

/**
 * Names the gap of answers that fall short, where the figures say what it is to the penny: the discount of the terms; charges
 * that the bank states; or the tariff of a processor, learned from what the same payer kept from several accounts in this pile.
 */
export function nameGaps(
	receipts: readonly ReceiptFacts[],
	answers: Map<number, Answer>,
	world: World
): void {
	const byId = new Map([...world.itemsOf.values()].flat().map((item) => [item.id, item]));
	const shorts = receipts.flatMap((receipt) => shortOf(receipt, answers.get(receipt.id)!, byId) ?? []);
	const tariffs = tariffsOf(shorts);
	for (const short of shorts) {
		const named =
			byDiscount(short) ??
			byCharges(short) ??
			byTariff(short, tariffs) ??
			byUsualCharge(short, world.baseCurrency);
		if (named) answers.set(short.receipt.id, named);
	}
	for (const receipt of receipts) {
		const named = byNameAndTariff(receipt, answers.get(receipt.id)!, tariffs, world);
		if (named) answers.set(receipt.id, named);
	}
}

function shortOf(receipt: ReceiptFacts, answer: Answer, byId: ReadonlyMap<number, OpenItem>): Short | null {
	const named = answer.reasons.some(({ code }) => code === 'number-named' || code === 'reference-named');
	const plain = answer.lines.every((line) => line.differences.length === 0 && line.cash > 0);
	if (!named || !plain || answer.lines.length === 0 || answer.onAccount !== 0) return null;
	const items = answer.lines.map((line) => byId.get(line.itemId)!);
	const open = items.reduce((sum, item) => sum + item.open, 0);
	const gap = open - receipt.amount;
	return gap > 0 ? { receipt, answer, items, open, gap } : null;
}

/** The same answer with a name for its gap: so much of each item, in the order of its lines. */
function withGap(
	{ answer, items }: Short,
	kind: DifferenceKind,
	offs: readonly number[],
	reason: Reason,
	band: Band
): Answer | null {
	if (items.some((item, i) => offs[i]! >= item.open)) return null;
	const lines = items.map((item, i): AnswerLine => ({
		itemId: item.id,
		cash: minor(item.open - offs[i]!),
		differences: offs[i]! > 0 ? [{ kind, amount: minor(offs[i]!) }] : []
	}));
	return { ...answer, lines, band, reasons: [...answer.reasons, reason], otherAnswers: 0 };
}

/** All of the gap is the discount that the terms of all items, or of just one, allow. */
function byDiscount(short: Short): Answer | null {
	const { receipt, items, gap, answer } = short;
	const allowed = items.map((item) =>
		item.discountBasisPoints && item.discountUntil && receipt.booked <= addDays(item.discountUntil, GRACE)
			? share(item.open, item.discountBasisPoints, 10_000)
			: 0
	);
	const offs =
		allowed.reduce<number>((sum, off) => sum + off, 0) === gap
			? allowed
			: allowed.map((off, i) => (off === gap && allowed.indexOf(off) === i ? off : 0));
	if (offs.reduce<number>((sum, off) => sum + off, 0) !== gap) return null;
	const taken = items.filter((_, i) => offs[i]! > 0);
	const inTime = taken.every((item) => receipt.booked <= item.discountUntil!);
	const [first] = taken;
	const reason: Reason = {
		code: 'discount-taken',
		basisPoints: first!.discountBasisPoints!,
		until: first!.discountUntil!,
		amount: minor(gap),
		currency: receipt.currency
	};
	const sure = inTime && answer.band === 'likely' && isPayer(answer);
	return withGap(short, 'settlement_discount', offs, reason, sure ? 'certain' : answer.band);
}

/** True where the payer is known for the account, so that only the gap stood in the way. */
function isPayer(answer: Answer): boolean {
	const codes = new Set(answer.reasons.map(({ code }) => code));
	return (codes.has('account-known') || codes.has('name-known')) && !codes.has('payer-differs');
}

function byCharges(short: Short): Answer | null {
	const { receipt, gap, answer } = short;
	if (!receipt.charges || receipt.charges !== gap) return null;
	const reason: Reason = { code: 'charges-stated', amount: minor(gap), currency: receipt.currency };
	return withGap(
		short,
		'bank_charge',
		onLast(short),
		reason,
		answer.band === 'choose' ? 'likely' : answer.band
	);
}

function byTariff(short: Short, tariffs: ReadonlyMap<string, FeePattern>): Answer | null {
	const { receipt, open, gap } = short;
	const tariff = tariffs.get(payerKey(receipt));
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
	return withGap(short, 'processor_fee', onLast(short), reason, sure ? 'certain' : 'likely');
}

/** A payment in another currency than the firm's own, short by a sum that banks on the way usually keep. */
function byUsualCharge(short: Short, baseCurrency: string | null): Answer | null {
	const { receipt, gap, open, answer } = short;
	if (baseCurrency === null || receipt.currency === baseCurrency) return null;
	if (!USUAL_CHARGES.has(gap) || gap * MOST_FEE > open) return null;
	const reason: Reason = { code: 'charge-usual', amount: minor(gap), currency: receipt.currency };
	return withGap(
		short,
		'bank_charge',
		onLast(short),
		reason,
		answer.band === 'certain' ? 'likely' : answer.band
	);
}

/** A processor's payment whose words name a customer: the one item of theirs that its tariff leaves just this sum of. */
function byNameAndTariff(
	receipt: ReceiptFacts,
	answer: Answer,
	tariffs: ReadonlyMap<string, FeePattern>,
	world: World
): Answer | null {
	const tariff = tariffs.get(payerKey(receipt));
	if (!tariff || answer.lines.length > 0 || answer.customerId === null) return null;
	if (!answer.reasons.some(({ code }) => code === 'name-in-words')) return null;
	const fitting = (world.itemsOf.get(answer.customerId) ?? []).filter(
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
	const reasons = named.reasons.filter(({ code }) => code !== 'no-set');
	return {
		...named,
		reasons,
		band: fitting.some((one) => one.open !== item.open) ? 'choose' : 'likely',
		onAccount: minor(0)
	};
}

/** All of it on the last item, as a fee of the whole payment is. */
function onLast({ items, gap }: Short): number[] {
	return items.map((_, i) => (i === items.length - 1 ? gap : 0));
}

function payerKey({ payerName, payerAccount, currency }: ReceiptFacts): string {
	return `${payerName ? normaliseName(payerName) : payerAccount} ${currency}`;
}

/** What each payer of several accounts keeps, where its gaps follow a tariff. */
function tariffsOf(shorts: readonly Short[]): ReadonlyMap<string, FeePattern> {
	const groups = new Map<string, Short[]>();
	for (const short of shorts) {
		if (short.gap * MOST_FEE > short.open) continue;
		const key = payerKey(short.receipt);
		groups.set(key, [...(groups.get(key) ?? []), short]);
	}
	const tariffs = new Map<string, FeePattern>();
	for (const [key, group] of groups) {
		const accounts = new Set(group.map(({ answer }) => answer.customerId));
		if (accounts.size < ACCOUNTS) continue;
		// In an order of their own, so that the order of the file changes nothing.
		const seen = group
			.map(({ open, gap }) => ({ gross: minor(open), fee: minor(gap) }))
			.sort((a, b) => a.gross - b.gross || a.fee - b.fee);
		const tariff = feePattern(seen);
		if (tariff) tariffs.set(key, tariff);
	}
	return tariffs;
}
