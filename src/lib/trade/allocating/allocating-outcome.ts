import { type OverLimit, overLimits, type Reduction } from '../../core/4-allocation/over-limits';
import { reductionsOf } from '../../core/4-allocation/reductions-of';
import { acrossRates, ONE } from '../../core/1-rates/across-rates';
import { allocate } from '../../core/4-allocation/allocate';
import type { AllocateOrder } from '../../core/4-allocation/allocate-order';
import { postingFacts } from '../../core/4-allocation/posting-facts';
import type { PostingFacts } from '../../core/model/posting-facts';
import type { FeeKind, Posting, SurplusKind } from '../../core/model/posting';
import type { DifferenceKind, OpenItem } from '../../core/model/records';
import { minor, type Minor } from '../../core/money/minor';
import type { UsualLine } from '../../core/3-matching';
import type { Desk } from '../../server/allocation/queries/desk';
import {
	count,
	DIFFERENCE_NAMES,
	money,
	overLimitSentence,
	postingSentence,
	problemSentence,
	vatSentence
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
	if (usual && receipt) return usualOutcome(allocating.desk, receipt, usual);
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
	const over = overMine(allocating.desk, reductionsOf(result.value));
	const text = postingSentence(factsOf(allocating, result.value));
	return withLimits(over, text, allocating.desk);
}

/** What is beyond the person's limits; for other currencies than the base the books say so when it is posted. */
function overMine(desk: Desk, reductions: readonly Reduction[]): readonly OverLimit[] {
	if (desk.currency !== desk.baseCurrency) return [];
	const { mine, before } = desk.limits;
	return overLimits(mine, reductions, {
		day: before.day,
		customer: desk.customer ? new Map([[desk.customer.id, before.customer]]) : new Map()
	});
}

function withLimits(over: readonly OverLimit[], text: string, { baseCurrency }: Desk): Outcome {
	if (over.length === 0) return { ok: true, text, asks: false };
	return { ok: true, text: `${overLimitSentence(over[0]!, baseCurrency)} ${text}`, asks: true };
}

/** What posting an entry to the account that entries like it go to does. */
function usualOutcome(
	desk: Desk,
	{ amount, currency }: NonNullable<Desk['receipt']>,
	usual: UsualLine
): Outcome {
	const sum = money(Math.abs(amount), currency);
	const as = usual.times > 1 ? `as the last ${count(usual.times, 'time')}` : 'as the rule says';
	const aside: Reduction[] = amount > 0 ? [{ kind: 'set_aside', base: amount, customerId: null }] : [];
	const rate = desk.setAside.find((one) => one.code === usual.account)?.vatBasisPoints ?? null;
	const vat = rate === null ? '' : ` ${vatSentence({ amount, currency }, rate)}`;
	return withLimits(overMine(desk, aside), `Posts ${sum} to ${usual.name}, ${as}.${vat}`, desk);
}

/** Where entries like it go, while nobody says whose money it is. */
export function usualOf({ desk }: Pick<Laid, 'desk'>): UsualLine | null {
	return desk.customer ? null : (desk.answer?.usual ?? null);
}

/** What can be done with money that went out: the same that its notes propose. */
function wentOut({ debit }: Desk): string {
	if (debit?.shows.length) return 'This may be booked already: match it to the return above.';
	if (debit?.payments.length)
		return 'A returned payment: choose which one above. Else post it to a ledger account.';
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
	const { rows, currency, credits, left, surplus, depositFor, desk, order } = allocating;
	const earlier = credits.reduce((sum, one) => sum + (one.use ?? 0), 0);
	const facts = { currency, left, surplus, depositFor, earlier, fees: order.fees, lines: rows };
	return postingFacts(facts, posting, desk.baseCurrency, desk.rates);
}
