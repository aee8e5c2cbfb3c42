import type { Sum } from '../../core/model/act-facts';
import { list, money } from './format';

/** Who paid, where they are named. */
export function named(payer: string | null): string {
	return payer ?? 'an unnamed payer';
}

/** A note behind what it is about; nothing for none. */
export function inBrackets(note: string): string {
	return note ? ` (${note})` : '';
}

/** Sums, one after another. */
export function sums(of: readonly Sum[]): string {
	return list(of.map((sum) => money(sum.amount, sum.currency))) || 'nothing';
}

/** Roles as a list of whom they are. */
export function whom(roles: readonly string[]): string {
	return roles.length === 0 ? 'nobody' : list(roles.map((role) => `${role}s`));
}
