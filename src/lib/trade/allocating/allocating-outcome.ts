import { itemLabel } from '../../core/4-allocation/item-label';
import { overLimits } from '../../core/4-allocation/over-limits';
import { reductionsOf } from '../../core/4-allocation/reductions-of';
import { acrossRates, ONE } from '../../core/1-rates/across-rates';
import { allocate } from '../../core/4-allocation/allocate';
import type { AllocateOrder } from '../../core/4-allocation/allocate-order';
import type { FeeKind, Posting, SurplusKind } from '../../core/model/posting';
import type { DifferenceKind, OpenItem } from '../../core/model/records';
import { minor, type Minor } from '../../core/money/minor';
import type { UsualLine } from '../../core/3-matching';
import type { Desk } from '../../server/allocation/queries/desk';
import {
	count,
	DIFFERENCE_NAMES,
	type ExchangeDifference,
	money,
	overLimitSentence,
	type PostingFacts,
	postingSentence,
	problemSentence
} from '../../words';

export interface Outcome {
	readonly ok: boolean;
	readonly text: string;
	/** Posting is beyond the person's limit: it asks a supervisor instead. */
	readonly asks: boolean;
}

/** What lies on the strip, as far as its outcome depends on it. */
export interface Laid {
	readonly desk: Desk;
	readonly currency: string;
	readonly rows: readonly {
		readonly item: OpenItem;
		readonly text: string;
		readonly cash: Minor | null;
		readonly other: boolean;
		readonly settles: Minor | null;
		readonly settlesText: string;
		readonly gaps: readonly {
			readonly kind: DifferenceKind;
			readonly text: string | null;
			readonly amount: Minor | null;
		}[];
		readonly remains: Minor;
	}[];
	readonly credits: readonly {
		readonly receiptId: number;
		readonly onAccount: Minor;
		readonly onAccountBase: Minor;
		readonly text: string;
		readonly use: Minor | null;
	}[];
	readonly left: Minor;
	readonly surplus: SurplusKind | null;
	readonly depositFor: string;
	readonly order: {
		readonly fees: readonly { readonly kind: FeeKind; readonly amount: number }[];
		readonly surplus: readonly { readonly kind: SurplusKind; readonly amount: number }[];
	};
}

const no = (text: string): Outcome => ({ ok: false, text, asks: false });

/** The line that says what posting will do, or what stands in its way. */
export function outcomeOf(allocating: Laid): Outcome {
	const { receipt, customer } = allocating.desk;
	const usual = usualOf(allocating);
	if (usual && receipt) {
		const sum = money(Math.abs(receipt.amount), receipt.currency);
		return {
			ok: true,
			asks: false,
			text: `Posts ${sum} to ${usual.name}, as the last ${count(usual.times, 'time')}.`
		};
	}
	if (receipt && receipt.amount < 0) return no(wentOut(allocating.desk));
	if (!customer)
		return no(
			allocating.desk.payout
				? 'A payout: split it into its payments.'
				: 'Choose the customer whose money this is.'
		);
	const deposit = !receipt && allocating.rows.length > 0 && onlyDeposits(allocating);
	if (deposit)
		return no(
			`What is on account is a deposit for order ${deposit}. Use it from the list where it pays this.`
		);
	const unreadable = unreadableOf(allocating);
	if (unreadable) return no(unreadable);
	const result = allocate(orderOf(allocating));
	if (!result.ok) return no(problemSentence(result.problems[0]!));
	const { mine, before } = allocating.desk.limits;
	// Limits are in base currency; for other currencies the books say so when it is posted.
	const over =
		allocating.currency === allocating.desk.baseCurrency
			? overLimits(mine, reductionsOf(result.value), {
					day: before.day,
					customer: new Map([[customer.id, before.customer]])
				})
			: [];
	const text = postingSentence(factsOf(allocating, result.value));
	if (over.length === 0) return { ok: true, text, asks: false };
	return {
		ok: true,
		text: `${overLimitSentence(over[0]!, allocating.desk.baseCurrency)} ${text}`,
		asks: true
	};
}

/** Where entries like it go, while nobody says whose money it is. */
export function usualOf({ desk }: Pick<Laid, 'desk'>): UsualLine | null {
	return desk.customer ? null : (desk.answer?.usual ?? null);
}

/** What can be done with money that went out: the same that its notes propose. */
function wentOut({ debit }: Desk): string {
	if (debit?.shows.length) return 'This may be booked already: match it to the return above.';
	if (debit?.payments.length)
		return 'A payment came back: choose which one above. Else post it to a ledger account.';
	return 'Money that went out: post it to a ledger account.';
}

/** The order of the deposit on account, where nothing else lies there and nothing of it is used. */
function onlyDeposits({ desk, credits, rows }: Laid): string | null {
	if (credits.length > 0 || rows.some(({ item }) => item.kind === 'credit_note')) return null;
	return desk.credits.every((one) => one.depositFor) ? (desk.credits[0]?.depositFor ?? null) : null;
}

function unreadableOf(allocating: Laid): string | null {
	for (const row of allocating.rows) {
		if (row.cash === null) return `“${row.text}” for ${row.item.number} is not an amount.`;
		if (row.other && row.settles === null)
			return `“${row.settlesText}” is not an amount in ${row.item.currency} for ${row.item.number}.`;
		const gap = row.gaps.find((one) => one.amount === null);
		if (gap) return `“${gap.text}” as ${DIFFERENCE_NAMES[gap.kind].toLowerCase()} is not an amount.`;
	}
	for (const credit of allocating.credits)
		if (credit.use === null) return `“${credit.text}” of the earlier money is not an amount.`;
	return null;
}

function orderOf(allocating: Laid): AllocateOrder {
	const { receipt, customer, limits, baseCurrency } = allocating.desk;
	const { order } = allocating;
	// In base currency as posting turns it; where there is no rate, posting says so.
	const used = allocating.desk.rates[allocating.currency];
	const base = { currency: baseCurrency, millionths: ONE };
	const inBase = (amount: Minor) => (used ? acrossRates(amount, used, base) : amount);
	return {
		currency: allocating.currency,
		tolerance: limits.tolerance === null ? null : minor(limits.tolerance),
		receipt: receipt && {
			id: receipt.id,
			customerId: customer!.id,
			amount: receipt.amount,
			base: allocating.desk.receiptBase ?? inBase(receipt.amount),
			fees: order.fees.map(({ kind, amount }) => ({
				kind,
				amount: minor(amount),
				base: inBase(minor(amount))
			})),
			surplus: order.surplus.map(({ kind, amount }) => ({ kind, amount: minor(amount) }))
		},
		credits: allocating.credits
			.filter(({ use }) => use !== 0)
			.map((credit) => ({
				receiptId: credit.receiptId,
				customerId: customer!.id,
				currency: allocating.currency,
				onAccount: credit.onAccount,
				onAccountBase: credit.onAccountBase,
				use: credit.use!
			})),
		lines: allocating.rows.map((row) => ({
			item: row.item,
			cash: row.cash!,
			...(row.settles === null ? {} : { settles: row.settles }),
			differences: row.gaps.flatMap(({ kind, amount }) => (amount ? [{ kind, amount }] : []))
		}))
	};
}

/** All that posting does, as facts. @param posting what the core makes of it */
function factsOf(allocating: Laid, posting: Posting): PostingFacts {
	const { rows, currency, credits, left, surplus, depositFor } = allocating;
	const plain = rows.filter((row) => row.item.kind !== 'credit_note');
	return {
		...{ currency, left, surplus, depositFor },
		settles: plain.filter((row) => row.remains === 0).map((row) => itemLabel(row.item)),
		leaves: plain.flatMap(({ item, remains }) =>
			remains > 0 ? [{ label: itemLabel(item), amount: remains, currency: item.currency }] : []
		),
		uses: rows.filter((row) => row.item.kind === 'credit_note').map((row) => itemLabel(row.item)),
		earlier: credits.reduce((sum, one) => sum + (one.use ?? 0), 0),
		gaps: rows.flatMap(({ item, gaps }) =>
			gaps.flatMap(({ kind, amount }) => (amount ? [{ kind, amount, currency: item.currency }] : []))
		),
		fees: allocating.order.fees,
		exchange: exchangeOf(allocating, posting)
	};
}

/** What is won or lost on exchange; null where all of it is in base currency, or a rate is not there. */
function exchangeOf({ desk, currency }: Laid, posting: Posting): ExchangeDifference | null {
	const { baseCurrency, rates } = desk;
	const used = [...new Set([currency, ...posting.allocations.map((one) => one.itemCurrency)])];
	if (used.every((one) => one === baseCurrency) || posting.allocations.length === 0) return null;
	if (!rates[currency]) return null;
	return {
		amount: posting.allocations.reduce((sum, one) => sum + one.creditBase - one.itemBase, 0),
		baseCurrency,
		rates: used.flatMap((one) => (rates[one]?.day ? rates[one] : []))
	};
}
