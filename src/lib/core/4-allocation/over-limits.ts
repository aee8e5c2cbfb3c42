import type { CreditNoteKind } from '../model/records';
import { DIFFERENCE_KINDS } from '../model/records';

/**
 * What may be limited: deductions of each kind, money to be paid back, credit notes of each kind (`credit_other` where a file
 * that brought one in does not say), claims that are allowed, and money that is set aside as nobody's.
 */
export const LIMITED_KINDS = [
	...DIFFERENCE_KINDS,
	'refund',
	'credit_goods',
	'credit_price',
	'credit_goodwill',
	'credit_other',
	'claim_allowed',
	'set_aside'
] as const;
export type LimitedKind = (typeof LIMITED_KINDS)[number];

/** Which limit a credit note counts against. */
export const LIMIT_OF_CREDIT_NOTE: Readonly<Record<CreditNoteKind, LimitedKind>> = {
	goods: 'credit_goods',
	price: 'credit_price',
	goodwill: 'credit_goodwill',
	other: 'credit_other'
};

/**
 * Kinds that do not count among all together: a claim is still owed, and a settlement discount was offered by the firm's own
 * terms. Both have limits of their own.
 */
const APART: ReadonlySet<LimitedKind> = new Set(['claim', 'settlement_discount']);

/** Sums in base currency by kind, and of all kinds together. As limits, a kind that is left out has none. */
export type SumsByKind = { readonly [K in LimitedKind | 'all']?: number };

/**
 * Over what a limit reaches: one act; what people of the same role took off one customer's account within 30 days; what the
 * person took off all accounts on one day. What a supervisor agreed to counts as the supervisor's.
 */
export const LIMIT_SCOPES = ['act', 'customer', 'day'] as const;
export type LimitScope = (typeof LIMIT_SCOPES)[number];

/** So many days count for one customer, the day itself among them. */
export const CUSTOMER_DAYS = 30;

/** Up to how much, in base currency, somebody may book alone. */
export type LimitsOfOne = { readonly [S in LimitScope]: SumsByKind };

export const NO_LIMITS_OF_ONE: LimitsOfOne = { act: {}, customer: {}, day: {} };

export interface Limits {
	/** The most that may be called a small difference, by anybody; null for no such bound. */
	readonly tolerance: number | null;
	readonly byRole: { readonly clerk: LimitsOfOne; readonly supervisor: LimitsOfOne };
	/** Own limits of single people, by their id: they go before those of the role. */
	readonly byPerson: Readonly<Record<string, LimitsOfOne>>;
}

export const NO_LIMITS: Limits = {
	tolerance: null,
	byRole: { clerk: NO_LIMITS_OF_ONE, supervisor: NO_LIMITS_OF_ONE },
	byPerson: {}
};

/** Something that lowers what a customer owes without money, pays out, or takes money away. */
export interface Reduction {
	readonly kind: LimitedKind;
	/** In base currency; its sign does not matter. */
	readonly base: number;
	/** Whose account; null where it is nobody's. */
	readonly customerId: number | null;
}

/** What was booked before within the two wider scopes. */
export interface BookedBefore {
	readonly customer: ReadonlyMap<number, SumsByKind>;
	readonly day: SumsByKind;
}

export const NOTHING_BEFORE: BookedBefore = { customer: new Map(), day: {} };

export interface OverLimit {
	readonly scope: LimitScope;
	readonly kind: LimitedKind | 'all';
	/** With what was booked before, in the wider scopes. */
	readonly amount: number;
	readonly most: number;
}

/** The limits of a person: their own, kind by kind, before those of the role. */
export function limitsOfPerson(
	limits: Limits,
	who: { readonly id: string; readonly role: 'reader' | 'clerk' | 'supervisor' }
): LimitsOfOne {
	const ofRole = who.role === 'reader' ? NO_LIMITS_OF_ONE : limits.byRole[who.role];
	const own = limits.byPerson[who.id] ?? NO_LIMITS_OF_ONE;
	return {
		act: { ...ofRole.act, ...own.act },
		customer: { ...ofRole.customer, ...own.customer },
		day: { ...ofRole.day, ...own.day }
	};
}

/** Sums by kind, and of all together. */
export function sumsByKind(booked: readonly Pick<Reduction, 'kind' | 'base'>[]): SumsByKind {
	const sums: { [K in LimitedKind | 'all']?: number } = {};
	for (const { kind, base } of booked) {
		sums[kind] = (sums[kind] ?? 0) + Math.abs(base);
		if (!APART.has(kind)) sums.all = (sums.all ?? 0) + Math.abs(base);
	}
	return sums;
}

/**
 * Where one act, with what was booked before it, goes beyond what a person may book alone. Only kinds that the act itself books
 * can be beyond: what lies over a limit already stops nothing else.
 */
export function overLimits(
	limits: LimitsOfOne,
	booked: readonly Reduction[],
	before: BookedBefore = NOTHING_BEFORE
): OverLimit[] {
	const own = sumsByKind(booked);
	const customers = [...new Set(booked.flatMap(({ customerId }) => customerId ?? []))];
	const ofCustomer = (id: number) => sumsByKind(booked.filter(({ customerId }) => customerId === id));
	return [
		...beyond('act', limits.act, own, {}),
		...customers.flatMap((id) =>
			beyond('customer', limits.customer, ofCustomer(id), before.customer.get(id) ?? {})
		),
		...beyond('day', limits.day, own, before.day)
	];
}

function beyond(scope: LimitScope, limits: SumsByKind, own: SumsByKind, before: SumsByKind): OverLimit[] {
	return (Object.keys(own) as (LimitedKind | 'all')[]).flatMap((kind) => {
		const most = limits[kind];
		const amount = own[kind]! + Math.max(0, before[kind] ?? 0);
		return most === undefined || own[kind] === 0 || amount <= most ? [] : [{ scope, kind, amount, most }];
	});
}
