import type { Day } from '../day/day';
import type { Minor } from '../money/minor';
import type { AdviceLine } from '../model/advice';
import type { Customer, OpenItem } from '../model/records';
import { compareItems } from './compare-items';
import { NO_HABITS, type Habits } from './habits';
import { numberDigits } from './number-digits';
import { digitsByPattern, learnNumberPatterns, type NumberPatterns } from './number-patterns';
import { fullName, spelledName } from './full-name';
import { nameKey } from '../text/name-key';
import { NearNames } from './near-names';
import { partsOfName } from './parts-of-name';
import { learnPayers, type PayerLesson, type PayerTrait, type TaughtPayer } from './payer-lessons';
import type { SetsFound } from './sets/sets-found';
import { referenceKey } from '../text/words-of-text';

/** What the matcher is told: the accounts, what they owe, and numbers that were settled before. */
export interface MatchBooks {
	readonly customers: readonly Customer[];
	readonly items: readonly OpenItem[];
	/** The firm's own currency: payments in others come less what banks on the way keep. */
	readonly baseCurrency?: string;
	/** Document numbers without anything open, for saying so. */
	readonly settledNumbers?: readonly string[];
	/** Money recorded by hand that the bank has not shown yet. */
	readonly recorded?: readonly Recorded[];
	/** Payments of a sum in the pile that were placed before. */
	readonly placedBefore?: readonly PlacedBefore[];
	/** Earlier money that lies on account. */
	readonly credits?: readonly CreditOnAccount[];
	/** Whom payments like these were placed on before. */
	readonly payerLessons?: readonly PayerLesson[];
	/** How customers pay, by id, where earlier payments show it. */
	readonly habits?: ReadonlyMap<number, Habits>;
	/** Fees that were kept of earlier payments, by who paid them, newest first. */
	readonly pastFees?: readonly PastFee[];
	/** Remittance advices kept until their payments come. */
	readonly advices?: readonly KeptAdvice[];
}

/** What is left of an earlier receipt, on its customer's account. */
export interface CreditOnAccount {
	readonly receiptId: number;
	readonly customerId: number;
	readonly currency: string;
	readonly booked: Day;
	readonly amount: Minor;
}

/** A payment that was placed before, and the numbers of what it settled. */
export interface PlacedBefore {
	readonly customerId: number;
	readonly booked: Day;
	readonly amount: Minor;
	readonly currency: string;
	readonly numbers: readonly string[];
}

/** A fee that somebody who pays for others kept of a payment; `gross` and `fee` in minor units. */
export interface PastFee {
	readonly payerName: string | null;
	readonly payerAccount: string | null;
	readonly currency: string;
	readonly gross: Minor;
	readonly fee: Minor;
}

/** A remittance advice that waits for its payment. */
export interface KeptAdvice {
	readonly id: number;
	readonly date: Day;
	readonly customerId: number;
	readonly currency: string;
	readonly total: Minor;
	readonly lines: readonly AdviceLine[];
}

/** Money recorded before: one receipt, or all of a paying-in slip. */
export interface Recorded {
	readonly label: string;
	readonly date: Day;
	readonly amount: Minor;
	readonly currency: string;
	/** Null for a slip of several customers. */
	readonly customerId: number | null;
}

/** The books with the indexes that answering needs; built once for a pile of receipts. */
export interface World {
	readonly customers: ReadonlyMap<number, Customer>;
	readonly children: ReadonlyMap<number, readonly number[]>;
	readonly byAccount: ReadonlyMap<string, readonly number[]>;
	readonly byName: ReadonlyMap<string, readonly number[]>;
	/** All names as they are compared, sorted. */
	readonly names: readonly string[];
	/** The same with their legal forms. */
	readonly byFullName: ReadonlyMap<string, readonly number[]>;
	readonly fullNames: readonly string[];
	/** The names by what they are nearly; made when first asked for. */
	readonly near: () => NearNames;
	/** Items by document number, purchase order and payment reference, as reference keys. */
	readonly byReference: ReadonlyMap<string, readonly OpenItem[]>;
	/** Items by the digits of their documents' numbers, and those digits by item. */
	readonly byDigits: ReadonlyMap<string, readonly OpenItem[]>;
	readonly digitsOf: ReadonlyMap<number, string>;
	/** The shapes of the firm's document numbers. */
	readonly patterns: NumberPatterns;
	/** A customer's items, oldest due first, then by number. */
	readonly itemsOf: ReadonlyMap<number, readonly OpenItem[]>;
	/** Numbers of ours that have nothing open, by their reference keys. */
	readonly settled: ReadonlyMap<string, string>;
	/** Sets that were looked for already, by account and sum. */
	readonly setsFound: Map<string, SetsFound>;
	/** Open items that were asked for already, by accounts and currency. */
	readonly openFound: Map<string, readonly OpenItem[]>;
	readonly baseCurrency: string | null;
	readonly recorded: readonly Recorded[];
	readonly advices: readonly KeptAdvice[];
	/** Earlier money of a customer, oldest first. */
	readonly creditsOf: ReadonlyMap<number, readonly CreditOnAccount[]>;
	/** Payments placed before of a customer, the earliest first. */
	readonly placedBefore: ReadonlyMap<number, readonly PlacedBefore[]>;
	readonly taught: (trait: PayerTrait, key: string) => TaughtPayer | null;
	readonly habitsOf: (customerId: number) => Habits;
	readonly pastFees: readonly PastFee[];
}

/** Indexes the books. The order of customers and items given makes no difference to any answer. */
export function indexWorld(books: MatchBooks): World {
	const byAccount = new Map<string, number[]>();
	const byName = new Map<string, number[]>();
	const byFullName = new Map<string, number[]>();
	const children = new Map<number, number[]>();
	const customers = [...books.customers].sort((a, b) => a.id - b.id);
	for (const customer of customers) {
		for (const account of customer.payerAccounts) put(byAccount, account, customer.id);
		for (const name of [customer.name, ...customer.otherNames].flatMap(partsOfName)) {
			put(byName, nameKey(name), customer.id);
			put(byFullName, fullName(name), customer.id);
			put(byFullName, spelledName(name), customer.id);
		}
		if (customer.parentId !== null) put(children, customer.parentId, customer.id);
	}
	const byReference = new Map<string, OpenItem[]>();
	const itemsOf = new Map<number, OpenItem[]>();
	const byDigits = new Map<string, OpenItem[]>();
	const digitsOf = new Map<number, string>();
	const patterns = learnNumberPatterns(books.items.map((item) => item.number));
	for (const item of [...books.items].sort(compareItems)) {
		put(itemsOf, item.customerId, item);
		const digits = digitsByPattern(item.number, patterns);
		if (digits) {
			put(byDigits, digits, item);
			const whole = numberDigits(item.number);
			if (whole?.endsWith(digits) && whole.length > digits.length) put(byDigits, whole, item);
			digitsOf.set(item.id, digits);
		}
		const keys = [item.number, item.purchaseOrder, item.paymentReference].flatMap((text) =>
			text ? referenceKey(text) : []
		);
		for (const key of new Set(keys)) if (key) put(byReference, key, item);
	}
	const creditsOf = new Map<number, CreditOnAccount[]>();
	const older = (a: CreditOnAccount, b: CreditOnAccount) =>
		a.booked < b.booked ? -1 : a.booked > b.booked ? 1 : a.receiptId - b.receiptId;
	for (const credit of [...(books.credits ?? [])].sort(older))
		if (credit.amount > 0) put(creditsOf, credit.customerId, credit);
	const placedBefore = new Map<number, PlacedBefore[]>();
	for (const one of [...(books.placedBefore ?? [])].sort((a, b) => (a.booked < b.booked ? -1 : 1)))
		put(placedBefore, one.customerId, one);
	const known = new Set(customers.map((customer) => customer.id));
	const names = [...byName.keys()].sort();
	let near: NearNames | null = null;
	return {
		customers: new Map(customers.map((customer) => [customer.id, customer])),
		children,
		byAccount,
		byName,
		names,
		near: () => (near ??= new NearNames(names)),
		byFullName,
		fullNames: [...byFullName.keys()].sort(),
		byReference,
		byDigits,
		digitsOf,
		patterns,
		itemsOf,
		setsFound: new Map(),
		openFound: new Map(),
		baseCurrency: books.baseCurrency ?? null,
		recorded: books.recorded ?? [],
		advices: (books.advices ?? []).filter((one) => known.has(one.customerId)),
		creditsOf,
		placedBefore,
		taught: learnPayers(books.payerLessons ?? []),
		habitsOf: (id) => books.habits?.get(id) ?? NO_HABITS,
		pastFees: books.pastFees ?? [],
		settled: new Map((books.settledNumbers ?? []).map((number) => [referenceKey(number), number]))
	};
}

function put<K, V>(map: Map<K, V[]>, key: K, value: V): void {
	const list = map.get(key);
	if (!list) map.set(key, [value]);
	else if (!list.includes(value)) list.push(value);
}
