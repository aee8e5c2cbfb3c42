import type { Customer, OpenItem } from '../model/records';
import type {
	CreditOnAccount,
	KeptAdvice,
	MatchBooks,
	PastFee,
	AllocatedBefore,
	Recorded
} from './match-books';
import { compareItems } from './sets/compare-items';
import { NO_HABITS, type Habits } from './lessons/habits';
import { numberDigits } from './named/number-digits';
import { digitsByPattern, learnNumberPatterns, type NumberPatterns } from './named/number-patterns';
import { fullName, spelledName } from './payer/full-name';
import { nameKey } from '../text/name-key';
import { NearNames } from './payer/near-names';
import { partsOfName } from './payer/parts-of-name';
import { learnPayers, type PayerTrait, type TaughtPayer } from './payer/payer-lessons';
import type { SetsFound } from './sets/sets-found';
import { referenceKey } from '../text/words-of-text';

/** The books with the indexes that answering needs; built once for a pile of receipts. */
export interface MatchIndex {
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
	/** Payments allocated before of a customer, the earliest first. */
	readonly allocatedBefore: ReadonlyMap<number, readonly AllocatedBefore[]>;
	readonly taught: (trait: PayerTrait, key: string) => TaughtPayer | null;
	readonly habitsOf: (customerId: number) => Habits;
	readonly pastFees: readonly PastFee[];
}

/** Indexes the books. The order of customers and items given makes no difference to any answer. */
export function indexBooks(books: MatchBooks): MatchIndex {
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
	const allocatedBefore = new Map<number, AllocatedBefore[]>();
	for (const one of [...(books.allocatedBefore ?? [])].sort((a, b) => (a.booked < b.booked ? -1 : 1)))
		put(allocatedBefore, one.customerId, one);
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
		allocatedBefore,
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
