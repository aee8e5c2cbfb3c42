import type { LetterKind } from '../../../core/7-letters/letter';
import { recipientsOf, type Recipients } from '../../../core/7-letters/recipients-of';
import { wayOf } from '../../../core/7-letters/why-held';
import type { LetterWay } from '../../../core/model/customer-details';
import type { LetterOwner } from './letter-standings';

/** How a customer is reached by a kind of letter. */
export interface Reach extends Recipients {
	readonly way: LetterWay;
	readonly isReached: boolean;
}

/** By which way a letter of a kind goes to a customer, and whether there is an address for it. */
export function reachOf(
	owner: Pick<
		LetterOwner,
		'statementWay' | 'statementEmail' | 'reminderEmail' | 'contacts' | 'statementAddress' | 'address'
	>,
	kind: LetterKind
): Reach {
	const { to, copies } = recipientsOf(owner, kind);
	const hasAddress = (owner.statementAddress ?? owner.address).length > 0;
	const way = wayOf(kind, { way: owner.statementWay, hasEmail: to !== null, hasAddress });
	return { to, copies, way, isReached: way === 'paper' ? hasAddress : to !== null };
}
