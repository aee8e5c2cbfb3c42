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
import { indexNames, put, type NameIndex } from './payer/name-index';
import { learnPayers, type PayerTrait, type TaughtPayer } from './payer/payer-lessons';
import type { SetsFound } from './sets/sets-found';
import { referenceKey } from '../text/words-of-text';

/** The books with the indexes that answering needs; built once for a pile of receipts. */
export interface MatchIndex extends NameIndex {
	readonly customers: ReadonlyMap<number, Customer>;
	readonly children: ReadonlyMap<number, readonly number[]>;
	readonly byAccount: ReadonlyMap<string, readonly number[]>;
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
	const children = new Map<number, number[]>();
	const customers = [...books.customers].sort((a, b) => a.id - b.id);
	for (const customer of customers) {
		for (const account of customer.payerAccounts) put(byAccount, account, customer.id);
		if (customer.parentId !== null) put(children, customer.parentId, customer.id);
	}
	const byReference = new Map<string, OpenItem[]>();
	const itemsOf = new Map<number, OpenItem[]>();
	const byDigits = new Map<string, OpenItem[]>();
	const digitsOf = new Map<number, string>();
	const patterns = books.patterns ?? learnNumberPatterns(books.items.map((item) => item.number));
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
	return {
		...(books.names ?? indexNames(namesOf(customers))),
		customers: new Map(customers.map((customer) => [customer.id, customer])),
		children,
		byAccount,
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

function namesOf(customers: readonly Customer[]): Map<number, readonly string[]> {
	return new Map(customers.map(({ id, name, otherNames }) => [id, [name, ...otherNames]]));
}
