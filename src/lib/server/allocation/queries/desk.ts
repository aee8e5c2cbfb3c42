import { idsOfAccount } from '../../customers/store/merged-accounts';
import { and, asc, desc, eq, inArray, max, sql } from 'drizzle-orm';
import { mayBeSplit } from '../../../core/2-receipts/may-be-split';
import { payoutOf, type Payout } from '../../../core/2-receipts/payout-of';
import type { FeePattern } from '../../../core/money/fee-pattern';
import type { Answer, Habits, KeptAdvice } from '../../../core/3-matching';
import { NO_LIMITS, type LimitsOfOne, type SumsByKind } from '../../../core/4-allocation/over-limits';
import { daysBetween } from '../../../core/day/arithmetic';
import type { Day } from '../../../core/day/day';
import type { OpenItem } from '../../../core/model/records';
import type { Minor } from '../../../core/money/minor';
import type { Db } from '../../platform/db/open';
import {
	allocation,
	bankAccount,
	bankEntry,
	customer,
	item,
	itemState,
	receipt,
	receiptState
} from '../../platform/db/schema';
import { habitsOf } from '../../matching/store/lessons';
import { keptAdvices } from '../../receipts/store/kept-advices';
import { onItsWay, type OnItsWay } from '../../receipts/store/on-its-way';
import { isOpen, signedOpen } from '../../documents/store/is-open';
import { openItemsOf } from '../../documents/store/open-items';
import { isKnownPayer } from '../../matching/store/is-known-payer';
import { feePatternOf } from '../../matching/store/seen-fees';
import { bookedBefore, limitsNow } from '../../reductions/store/over-limits-now';
import { accountsForAside, type AsideAccount } from '../../firm/store/accounts-for-aside';
import { processorNames } from '../../firm/store/processors';
import { readSetting } from '../../firm/store/settings';
import { toleranceIn } from '../../../core/4-allocation/tolerance-in';
import { baseConverter, rateUsed, type RateUsed } from '../../firm/store/to-base';
import { firstOpenDay } from '../../periods/store/check-period';
import { answeredPile } from '../../services/answers/answers';
import type { Waiting } from '../../receipts/store/waiting-receipts';
import { defineLook, type Viewer } from '../../act/define-look';
import { whoOwes, type FoundCustomer } from '../../customers/queries/find-customers';
import { refundsBack, type RefundBack } from '../../returns/queries/refunds-back';
import { whatDebitMeans, type DebitMeans } from '../../returns/queries/what-debit-means';
import { returnedPayments } from '../../returns/store/returned-payments';

import { accountsBeside, itemsLaid } from './accounts-beside';
import { creditsOf, type DeskCredit } from './desk-credits';
import { suspectsOf, type Suspect } from './suspects-of';
/** The desk without the open items, which are looked at by themselves: an account may have thousands. */
export interface DeskFrame {
	/** The new money; null where only credits are allocated. */
	readonly receipt: Waiting | null;
	readonly answer: Answer | null;
	readonly currency: string;
	readonly baseCurrency: string;
	readonly bank: { readonly name: string; readonly reference: string | null };
	readonly customer: {
		readonly id: number;
		readonly code: string;
		readonly name: string;
		readonly notes: string;
		/** What open items come to less credit notes, by currency, the money's first. */
		readonly owes: readonly { readonly amount: number; readonly currency: string }[];
	} | null;
	/** What a unit of each currency here is worth, by the day on which it would be posted. */
	readonly rates: Readonly<Record<string, RateUsed>>;
	/** What the money is worth in base currency where that is kept already: it lies among unidentified receipts. */
	readonly receiptBase: Minor | null;
	/** The accounts whose items can be laid: this one, its branches, others that were asked for; and a mark that changes with them. */
	readonly itemsOf: { readonly accounts: readonly number[]; readonly version: string };
	/** Names of the other accounts that have items here, by id. */
	readonly owners: Readonly<Record<number, string>>;
	readonly credits: readonly DeskCredit[];
	readonly suspects: readonly Suspect[];
	/** Where the money went out: payments that may have come back with it, and returns that it may be showing. */
	readonly debit: DebitMeans | null;
	/** Where it looks like what a processor pays out: many payments in one sum. */
	readonly payout: Payout | null;
	/** Refunds that were paid out and may be what came in. */
	readonly refundsBack: readonly RefundBack[];
	/** Payments of the account that came back before, newest first. */
	readonly returned: readonly { readonly method: string; readonly date: string }[];
	/** Money recorded by hand that this entry may be showing. */
	readonly bankMatches: readonly OnItsWay[];
	/** Where nobody is known yet: customers who owe just this. */
	readonly mayBe: readonly FoundCustomer[];
	/** Remittance advices of the account that wait for their payment. */
	readonly advices: readonly KeptAdvice[];
	/** True where this payer is known to pay for the customer. */
	readonly payerKnown: boolean;
	/** What was kept of this payer's money before, as a tariff. */
	readonly feePattern: FeePattern | null;
	/** The tolerance in the currency of the money, the limits in base currency. */
	readonly limits: {
		readonly tolerance: number | null;
		readonly mine: LimitsOfOne;
		/** What counts already on this account, and today. */
		readonly before: { readonly customer: SumsByKind; readonly day: SumsByKind };
	};
	/** How they pay, as far as it was learned; null where nothing is known. */
	readonly habits: Habits | null;
	/** Days after the due day of the last payments, newest first. */
	readonly habit: readonly number[];
	readonly setAside: readonly AsideAccount[];
}

/** The desk with all that is open on its accounts. */
export interface Desk extends DeskFrame {
	readonly items: readonly OpenItem[];
}

const HABIT = 12;

/** Money on the desk, with its answer and the account it may be allocated to (the answer's, or another one chosen). */
export const lookAtDesk = defineLook(
	'reader',
	async (
		db,
		input: { receiptId: number | null; customerId: number | null; also: readonly number[] },
		{ who, today }
	): Promise<DeskFrame | null> => {
		const pile = await answeredPile(db);
		const row = pile.receipts.find((one) => one.id === input.receiptId) ?? null;
		if (input.receiptId !== null && !row) return null;
		return frameOf(db, row, row && pile.answers.get(row.id)!, input, { who, today });
	}
);

/** The desk for money and its answer; null where there is neither money nor an account. */
export async function frameOf(
	db: Db,
	row: Waiting | null,
	answer: Answer | null,
	input: { customerId: number | null; also: readonly number[] },
	{ who, today }: Viewer
): Promise<DeskFrame | null> {
	const held = row?.heldOrder ?? null;
	const customerId = input.customerId ?? held?.customerId ?? answer?.customerId ?? null;
	const owner = customerId
		? await db.select().from(customer).where(eq(customer.id, customerId)).get()
		: undefined;
	if (!row && !owner) return null;
	const accounts = owner
		? await accountsBeside(
				db,
				owner.id,
				input.also,
				itemsLaid(held, owner.id === answer?.customerId ? answer : null)
			)
		: [];
	const ids = owner ? [owner.id, ...accounts.map((one) => one.id)] : [];
	const bank = row?.bankEntryId
		? await db
				.select({ name: bankAccount.name, reference: bankEntry.bankReference })
				.from(bankEntry)
				.innerJoin(bankAccount, eq(bankAccount.id, bankEntry.bankAccountId))
				.where(eq(bankEntry.id, row.bankEntryId))
				.get()
		: undefined;
	const currency = row?.currency ?? owner!.currency;
	const owes = owner ? await owedBy(db, owner.id, currency) : [];
	const limits = (await readSetting(db, 'limits')) ?? NO_LIMITS;
	const mine = await limitsNow(db, who);
	const before = await bookedBefore(db, mine, { who, today, customers: owner ? [owner.id] : [] });
	const firm = await readSetting(db, 'firm');
	const baseCurrency = firm?.baseCurrency ?? currency;
	const state = row && (await unidentifiedBase(db, row));
	const date = await postingDay(db, row && state === null ? row.booked : today);
	const convert = await baseConverter(db, currency, baseCurrency, date);
	return {
		receipt: row,
		answer,
		currency,
		baseCurrency,
		rates: await ratesOf(db, ids, { currency, baseCurrency, date }),
		receiptBase: state,
		bank: bank ?? { name: row ? 'recorded by hand' : 'on account', reference: null },
		customer: owner ? { id: owner.id, code: owner.code, name: owner.name, notes: owner.notes, owes } : null,
		itemsOf: { accounts: ids, version: await versionOf(db, ids) },
		owners: Object.fromEntries(accounts.map((one) => [one.id, one.name])),
		credits: owner ? await creditsOf(db, owner.id, currency) : [],
		mayBe: !owner && row && row.amount > 0 ? await whoOwes(db, row.amount, row.currency) : [],
		advices: owner && row ? await keptAdvices(db, owner.id) : [],
		payerKnown: !row || !owner || (await isKnownPayer(db, owner.id, row)),
		feePattern: owner ? await feePatternOf(db, { customerId: owner.id }, currency) : null,
		bankMatches: row?.bankEntryId
			? (await onItsWay(db)).filter((one) => one.amount === row.amount && one.currency === row.currency)
			: [],
		payout: row && answer && mayBeSplit(row) ? payoutOf(row, await processorNames(db)) : null,
		refundsBack: row && row.amount > 0 ? await refundsBack(db, row) : [],
		debit: row && row.amount < 0 ? await whatDebitMeans(db, row) : null,
		returned: owner
			? (await returnedPayments(db, { customerIds: await idsOfAccount(db, owner.id) })).map(
					({ method, date }) => ({ method, date })
				)
			: [],
		suspects: row && owner ? await suspectsOf(db, row, owner.id) : [],
		limits: {
			tolerance: typeof convert === 'function' ? toleranceIn(limits.tolerance, convert) : null,
			mine,
			before: { customer: (owner && before.customer.get(owner.id)) ?? {}, day: before.day }
		},
		habits: owner ? ((await habitsOf(db, [owner.id])).get(owner.id) ?? null) : null,
		habit: owner ? await habitOf(owner.id) : [],
		setAside: await accountsForAside(db)
	};

	async function habitOf(id: number): Promise<number[]> {
		const paid = await db
			.select({ booked: receipt.booked, due: item.due })
			.from(receiptState)
			.innerJoin(receipt, eq(receipt.id, receiptState.receiptId))
			.innerJoin(allocation, eq(allocation.actId, receiptState.actId))
			.innerJoin(item, eq(item.id, allocation.itemId))
			.where(and(eq(receiptState.customerId, id), eq(receiptState.state, 'allocated')))
			.orderBy(desc(receipt.booked), desc(receipt.id))
			.limit(HABIT);
		return paid.map((one) => daysBetween(one.due, one.booked));
	}
}

/** Open items of accounts, as the core knows them. */
export const lookAtDeskItems = defineLook('reader', (db, accounts: readonly number[]) =>
	openItemsOf(db, accounts)
);

/** What is owed in each currency, the money's first. */
async function owedBy(db: Db, customerId: number, currency: string) {
	const rows = await db
		.select({ amount: sql<number>`sum(${signedOpen})`, currency: itemState.currency })
		.from(itemState)
		.where(and(isOpen, eq(itemState.customerId, customerId)))
		.groupBy(itemState.currency)
		.orderBy(asc(itemState.currency));
	const own = rows.find((row) => row.currency === currency) ?? { amount: 0, currency };
	const others = rows.filter((row) => row !== own && row.amount !== 0);
	return own.amount === 0 && others.length > 0 ? others : [own, ...others];
}

/** The day on which something of a day is posted: itself, or the first that is open. */
async function postingDay(db: Db, day: Day): Promise<Day> {
	const first = await firstOpenDay(db);
	return first && day < first ? first : day;
}

async function unidentifiedBase(db: Db, row: Waiting): Promise<Minor | null> {
	if (row.unidentifiedActId === null) return null;
	const state = await db
		.select({ base: receiptState.unidentifiedBase })
		.from(receiptState)
		.where(eq(receiptState.receiptId, row.id))
		.get();
	return state?.base ?? null;
}

/** The rates of the money's currency and of all that is open on accounts; one that is not there is left out. */
async function ratesOf(
	db: Db,
	accounts: readonly number[],
	{ currency, baseCurrency, date }: { currency: string; baseCurrency: string; date: Day }
): Promise<Record<string, RateUsed>> {
	const others = await db
		.selectDistinct({ currency: itemState.currency })
		.from(itemState)
		.where(and(isOpen, inArray(itemState.customerId, [...accounts])));
	const used: Record<string, RateUsed> = {};
	for (const one of new Set([currency, ...others.map((row) => row.currency)])) {
		const found = await rateUsed(db, one, baseCurrency, date);
		if (found) used[one] = found;
	}
	return used;
}

/** Changes whenever an item of these accounts is added or changed. */
async function versionOf(db: Db, accounts: readonly number[]): Promise<string> {
	const row = await db
		.select({ last: max(itemState.lastActId), count: sql<number>`count(*)` })
		.from(itemState)
		.where(and(inArray(itemState.customerId, [...accounts])))
		.get();
	return `${row?.last ?? 0}-${row?.count ?? 0}`;
}
