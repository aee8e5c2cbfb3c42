import type { SurplusKind } from '../model/posting';
import type { DifferenceKind } from '../model/records';
import { minor, type Minor } from '../money/minor';

export type LimitedKind = DifferenceKind | SurplusKind;

/** Up to how much, in base currency, a role may book by itself in one act; a kind that is left out has no limit. */
export type LimitsOfOne = { readonly [K in LimitedKind]?: number };

export interface Limits {
	/** The most that may be called a small difference, by anybody; null for no such bound. */
	readonly tolerance: number | null;
	readonly byRole: { readonly clerk: LimitsOfOne; readonly supervisor: LimitsOfOne };
	/** Own limits of single people, by their id: they go before those of the role. */
	readonly byPerson: Readonly<Record<string, LimitsOfOne>>;
}

export const NO_LIMITS: Limits = { tolerance: null, byRole: { clerk: {}, supervisor: {} }, byPerson: {} };

export interface OverLimit {
	readonly kind: LimitedKind;
	readonly amount: Minor;
	readonly most: Minor;
}

/** The limit of a person for a kind, in base currency; null for none. */
export function limitOf(
	limits: Limits,
	who: { readonly id: string; readonly role: 'reader' | 'clerk' | 'supervisor' },
	kind: LimitedKind
): Minor | null {
	const ofRole = who.role === 'reader' ? {} : limits.byRole[who.role];
	const most = limits.byPerson[who.id]?.[kind] ?? ofRole[kind];
	return most === undefined ? null : minor(most);
}

/** The kinds whose sum in one act goes beyond what a person may book alone. Amounts are base values, always positive. */
export function overLimits(
	limits: Limits,
	who: { readonly id: string; readonly role: 'reader' | 'clerk' | 'supervisor' },
	booked: readonly { readonly kind: LimitedKind; readonly base: number }[]
): OverLimit[] {
	const sums = new Map<LimitedKind, number>();
	for (const { kind, base } of booked) sums.set(kind, (sums.get(kind) ?? 0) + Math.abs(base));
	const over: OverLimit[] = [];
	for (const [kind, sum] of sums) {
		const most = limitOf(limits, who, kind);
		if (most !== null && sum > most) over.push({ kind, amount: minor(sum), most });
	}
	return over;
}
