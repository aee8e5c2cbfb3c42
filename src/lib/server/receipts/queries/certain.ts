import { acrossRates, ONE } from '../../../core/1-rates/across-rates';
import { allocate } from '../../../core/4-allocation/allocate';
import { postingFacts } from '../../../core/4-allocation/posting-facts';
import type { Answer, Reason } from '../../../core/3-matching';
import type { Day } from '../../../core/day/day';
import type { OpenItem } from '../../../core/model/records';
import { minor } from '../../../core/money/minor';
import type { PostingFacts } from '../../../core/model/posting-facts';
import { defineLook } from '../../act/define-look';
import { itemsById } from '../../documents/store/open-items';
import { baseCurrencyOr } from '../../firm/store/settings';
import { rateUsed, type RateUsed } from '../../firm/store/to-base';
import type { Db } from '../../platform/db/open';
import { answeredPile } from '../../services/answers/answers';
import { orderPile, type PileFilter } from '../../services/answers/order-pile';
import type { Waiting } from '../store/waiting-receipts';

/** A certain receipt, with all that posting it does and why. */
export interface CertainRow {
	readonly id: number;
	readonly version: number;
	readonly booked: Day;
	readonly customer: string;
	readonly payer: string | null;
	/** The bank's own words. */
	readonly text: string;
	readonly amount: number;
	readonly currency: string;
	/** Null for a usual line, and for what cannot be posted as it is. */
	readonly does: PostingFacts | null;
	/** The ledger account that a usual line is posted to. */
	readonly to: string | null;
	readonly reasons: readonly Reason[];
}

/** What is certain, to be read through: from one place of its group on. */
export const lookAtCertain = defineLook(
	'reader',
	async (
		db,
		{ from, most, filter }: { readonly from: number; readonly most: number; readonly filter: PileFilter }
	): Promise<CertainRow[]> => {
		const pile = await answeredPile(db);
		const rows = orderPile(pile, filter).groups.certain.slice(from, from + most);
		const answers = rows.map((row) => pile.answers.get(row.id)!);
		const ids = new Set(answers.flatMap((answer) => answer.lines.map((line) => line.itemId)));
		const items = new Map((await itemsById(db, [...ids])).map((item) => [item.id, item]));
		const base = await baseCurrencyOr(db, 'GBP');
		const rates = new Rates(db, base);
		const found: CertainRow[] = [];
		for (const [i, row] of rows.entries()) {
			const answer = answers[i]!;
			const rate = await rates.of(row.currency, row.booked);
			found.push({
				...{ id: row.id, version: row.version, booked: row.booked, text: row.text },
				...{ amount: row.amount, currency: row.currency, payer: row.payerName },
				customer: pile.shown.get(row.id)?.customer ?? row.payerName ?? '',
				does: answer.usual ? null : doesOf(row, answer, { items, base, rate }),
				to: answer.usual?.name ?? null,
				reasons: answer.reasons
			});
		}
		return found;
	}
);

/** Rates by currency and day, each read once. */
class Rates {
	readonly #known = new Map<string, RateUsed | null>();
	constructor(
		readonly db: Db,
		readonly base: string
	) {}
	async of(currency: string, day: Day): Promise<RateUsed | null> {
		const key = `${currency} ${day}`;
		const known = this.#known.get(key);
		if (known !== undefined) return known;
		const found = await rateUsed(this.db, currency, this.base, day);
		this.#known.set(key, found);
		return found;
	}
}

/** All that posting an answer as it is does, by the rules that posting follows. */
function doesOf(
	row: Waiting,
	answer: Answer,
	{
		items,
		base,
		rate
	}: {
		readonly items: ReadonlyMap<number, OpenItem>;
		readonly base: string;
		readonly rate: RateUsed | null;
	}
): PostingFacts | null {
	const lines = answer.lines.flatMap((line) => {
		const item = items.get(line.itemId);
		return item ? [{ ...line, item }] : [];
	});
	const fees = row.fee > 0 ? [{ kind: 'processor_fee' as const, amount: row.fee }] : [];
	const inBase = (amount: number) =>
		rate ? acrossRates(minor(amount), rate, { currency: base, millionths: ONE }) : minor(amount);
	const posting = allocate({
		...{ currency: row.currency, tolerance: null, credits: [], lines },
		receipt: {
			...{ id: row.id, customerId: answer.customerId ?? 0, amount: row.amount, base: inBase(row.amount) },
			fees: fees.map((fee) => ({ ...fee, base: inBase(fee.amount) })),
			surplus: []
		}
	});
	// Posting would say what is wrong with it; there is nothing to read then.
	if (!posting.ok) return null;
	const facts = {
		...{ currency: row.currency, earlier: 0, fees, surplus: null, depositFor: '' },
		left: row.amount + row.fee - lines.reduce((sum, line) => sum + line.cash, 0),
		lines: lines.map(({ item, cash, differences }) => ({
			...{ item, gaps: differences },
			remains: item.open - cash - differences.reduce((sum, one) => sum + one.amount, 0)
		}))
	};
	return postingFacts(facts, posting.value, base, rate ? { [row.currency]: rate } : {});
}
