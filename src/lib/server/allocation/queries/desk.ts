import { and, asc, desc, eq, gt, inArray, max, or, sql } from 'drizzle-orm';
import type { FeePattern } from '../../../core/money/fee-pattern';
import type { Answer, Habits, KeptAdvice } from '../../../core/3-matching';
import { limitOf, NO_LIMITS, type Limits, type LimitsOfOne } from '../../../core/4-allocation/over-limits';
import { addDays, daysBetween } from '../../../core/day/arithmetic';
import { DIFFERENCE_KINDS, type OpenItem } from '../../../core/model/records';
import { type Minor, ZERO } from '../../../core/money/minor';
import type { Person } from '../../act/person';
import type { Db } from '../../platform/db/open';
import {
	act,
	allocation,
	bankAccount,
	bankEntry,
	customer,
	document,
	item,
	itemState,
	ledgerAccount,
	receipt,
	receiptState
} from '../../platform/db/schema';
import { habitsOf } from '../../matching/store/lessons';
import { keptAdvices } from '../../receipts/store/kept-advices';
import { onItsWay, type OnItsWay } from '../../receipts/store/on-its-way';
import { isOpen, signedOpen } from '../../documents/store/is-open';
import { itemsById, openItemsOf } from '../../documents/store/open-items';
import { asideRuleFor } from '../../receipts/store/aside-rules';
import { isKnownPayer } from '../../matching/store/is-known-payer';
import { feePatternOf } from '../../matching/store/seen-fees';
import { readSetting } from '../../firm/store/settings';
import { toleranceIn } from '../../../core/4-allocation/tolerance-in';
import { baseConverter } from '../../firm/store/to-base';
import { answeredPile } from '../../services/answers/answers';
import type { Waiting } from '../../receipts/store/waiting-receipts';
import { defineLook, type Viewer } from '../../act/define-look';
import { whoOwes, type FoundCustomer } from '../../customers/queries/find-customers';
import { refundsBack, whatDebitMeans, type DebitMeans, type RefundBack } from '../../returns/queries/returns';
import { returnedPayments } from '../../returns/store/returned-payments';

/** Earlier money that lies on account and can be allocated with, or without, new money. */
export interface DeskCredit {
	readonly receiptId: number;
	readonly version: number;
	readonly booked: string;
	readonly payerName: string | null;
	readonly onAccount: Minor;
	/** The order that it was paid for, where it is a deposit. */
	readonly depositFor: string | null;
}

/** An earlier payment that looks like the same again. */
export interface Suspect {
	readonly receiptId: number;
	readonly booked: string;
	readonly amount: number;
	readonly payerName: string | null;
	readonly text: string;
	readonly numbers: readonly string[];
	readonly by: string;
}

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
		readonly owes: number;
	} | null;
	/** The accounts whose items can be laid: this one, its branches, others that were asked for; and a mark that changes with them. */
	readonly itemsOf: { readonly accounts: readonly number[]; readonly version: string };
	/** Names of the other accounts that have items here, by id. */
	readonly owners: Readonly<Record<number, string>>;
	readonly credits: readonly DeskCredit[];
	readonly suspects: readonly Suspect[];
	/** Where the money went out: payments that may have come back with it, and returns that it may be showing. */
	readonly debit: DebitMeans | null;
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
	/** Where money of this payer was set aside before, to be done again. */
	readonly asideRule: string | null;
	/** What was kept of this payer's money before, as a tariff. */
	readonly feePattern: FeePattern | null;
	/** The tolerance in the currency of the money, the limits in base currency. */
	readonly limits: { readonly tolerance: number | null; readonly mine: LimitsOfOne };
	/** How they pay, as far as it was learned; null where nothing is known. */
	readonly habits: Habits | null;
	/** Days after the due day of the last payments, newest first. */
	readonly habit: readonly number[];
	readonly setAside: readonly { readonly code: string; readonly name: string }[];
}

/** The desk with all that is open on its accounts. */
export interface Desk extends DeskFrame {
	readonly items: readonly OpenItem[];
}

const HABIT = 12;
/** Two payments of the same sum within so many days may be the same one twice; a month apart they are a habit. */
const SUSPECT_DAYS = 24;

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
	const owes = owner ? await owedBy(db, owner.id, currency) : 0;
	const limits = (await readSetting(db, 'limits')) ?? NO_LIMITS;
	const firm = await readSetting(db, 'firm');
	const convert = await baseConverter(db, currency, firm?.baseCurrency ?? currency, row?.booked ?? today);
	return {
		receipt: row,
		answer,
		currency,
		baseCurrency: firm?.baseCurrency ?? currency,
		bank: bank ?? { name: row ? 'recorded by hand' : 'on account', reference: null },
		customer: owner ? { id: owner.id, code: owner.code, name: owner.name, notes: owner.notes, owes } : null,
		itemsOf: { accounts: ids, version: await versionOf(db, ids) },
		owners: Object.fromEntries(accounts.map((one) => [one.id, one.name])),
		credits: owner ? await creditsOf(db, owner.id, currency) : [],
		mayBe: !owner && row && row.amount > 0 ? await whoOwes(db, row.amount, row.currency) : [],
		advices: owner && row ? await keptAdvices(db, owner.id) : [],
		payerKnown: !row || !owner || (await isKnownPayer(db, owner.id, row)),
		asideRule: row?.payerName ? await asideRuleFor(db, row.payerName) : null,
		feePattern: owner ? await feePatternOf(db, { customerId: owner.id }, currency) : null,
		bankMatches: row?.bankEntryId
			? (await onItsWay(db)).filter((one) => one.amount === row.amount && one.currency === row.currency)
			: [],
		refundsBack: row && row.amount > 0 ? await refundsBack(db, row) : [],
		debit: row && row.amount < 0 ? await whatDebitMeans(db, row) : null,
		returned: owner
			? (await returnedPayments(db, { customerId: owner.id })).map(({ method, date }) => ({ method, date }))
			: [],
		suspects: row && owner ? await suspectsOf(db, row, owner.id) : [],
		limits: {
			tolerance: typeof convert === 'function' ? toleranceIn(limits.tolerance, convert) : null,
			mine: limitsOf(limits, who)
		},
		habits: owner ? ((await habitsOf(db, [owner.id])).get(owner.id) ?? null) : null,
		habit: owner ? await habitOf(owner.id) : [],
		setAside: await db
			.select({ code: ledgerAccount.code, name: ledgerAccount.name })
			.from(ledgerAccount)
			.where(eq(ledgerAccount.forSettingAside, true))
			.orderBy(asc(ledgerAccount.name))
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

async function owedBy(db: Db, customerId: number, currency: string): Promise<number> {
	const row = await db
		.select({ sum: sql<number>`coalesce(sum(${signedOpen}), 0)` })
		.from(itemState)
		.where(and(isOpen, eq(itemState.customerId, customerId), eq(itemState.currency, currency)))
		.get();
	return row?.sum ?? 0;
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

/** Items that were laid when it was held, or that its answers take. */
function itemsLaid(held: Waiting['heldOrder'], answer: Answer | null): number[] {
	const lines = held?.lines ?? [
		...(answer?.lines ?? []),
		...(answer?.others ?? []).flatMap((one) => one.lines)
	];
	return [...new Set(lines.map((line) => line.itemId))];
}

/** Branches that the account may pay for, and accounts that were asked for or laid before. */
async function accountsBeside(
	db: Db,
	ownerId: number,
	also: readonly number[],
	laidIds: readonly number[]
): Promise<{ id: number; name: string }[]> {
	const laid = laidIds.length > 0 ? await itemsById(db, laidIds) : [];
	const wanted = [...also, ...laid.map((item) => item.customerId)].filter((id) => id !== ownerId);
	return db
		.select({ id: customer.id, name: customer.name })
		.from(customer)
		.where(or(eq(customer.parentId, ownerId), inArray(customer.id, wanted)))
		.orderBy(asc(customer.id));
}

const CREDIT = {
	receiptId: receipt.id,
	version: receiptState.version,
	booked: receipt.booked,
	payerName: receipt.payerName,
	onAccount: receiptState.onAccount,
	depositFor: receiptState.depositFor
};

/** Earlier money by its receipts, whatever of it is left. */
export async function creditsById(db: Db, receiptIds: readonly number[]): Promise<DeskCredit[]> {
	const rows = await db
		.select(CREDIT)
		.from(receiptState)
		.innerJoin(receipt, eq(receipt.id, receiptState.receiptId))
		.where(inArray(receipt.id, [...receiptIds]));
	return rows.map((row) => ({ ...row, onAccount: row.onAccount }));
}

async function creditsOf(db: Db, customerId: number, currency: string): Promise<DeskCredit[]> {
	const rows = await db
		.select(CREDIT)
		.from(receiptState)
		.innerJoin(receipt, eq(receipt.id, receiptState.receiptId))
		.where(
			and(
				eq(receiptState.customerId, customerId),
				gt(receiptState.onAccount, ZERO),
				eq(receipt.currency, currency)
			)
		)
		.orderBy(asc(receipt.booked), asc(receipt.id));
	return rows.map((row) => ({ ...row, onAccount: row.onAccount }));
}

async function suspectsOf(db: Db, row: Waiting, customerId: number): Promise<Suspect[]> {
	const rows = await db
		.select({
			receiptId: receipt.id,
			booked: receipt.booked,
			amount: receipt.amount,
			payerName: receipt.payerName,
			text: receipt.text,
			actId: receiptState.actId,
			by: act.userName
		})
		.from(receiptState)
		.innerJoin(receipt, eq(receipt.id, receiptState.receiptId))
		.innerJoin(act, eq(act.id, receiptState.actId))
		.where(
			and(
				eq(receiptState.customerId, customerId),
				eq(receiptState.state, 'allocated'),
				eq(receipt.amount, row.amount),
				eq(receipt.currency, row.currency),
				gt(receipt.booked, addDays(row.booked, -SUSPECT_DAYS))
			)
		)
		.orderBy(desc(receipt.booked))
		.limit(3);
	const found: Suspect[] = [];
	for (const { actId, ...one } of rows) {
		const settled = await db
			.select({ number: document.number })
			.from(allocation)
			.innerJoin(item, eq(item.id, allocation.itemId))
			.innerJoin(document, eq(document.id, item.documentId))
			.where(eq(allocation.actId, actId!));
		found.push({ ...one, numbers: [...new Set(settled.map((each) => each.number))] });
	}
	return found;
}

function limitsOf(limits: Limits, who: Person): LimitsOfOne {
	const mine: Record<string, number> = {};
	for (const kind of [...DIFFERENCE_KINDS, 'refund'] as const) {
		const most = limitOf(limits, who, kind);
		if (most !== null) mine[kind] = most;
	}
	return mine;
}
