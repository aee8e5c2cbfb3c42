import type { Contact, ContactCopies } from '../model/customer-details';
import type { LetterKind } from './letter';

/** To whom a customer's letter goes. */
export interface Recipients {
	/** Null where no address is kept. */
	readonly to: string | null;
	/** Who gets a copy, each once, and nobody who gets the letter itself. */
	readonly copies: readonly string[];
}

/**
 * To whom a kind of letter to a customer goes: reminders to their own address where there is one. A notice of a returned payment goes as
 * reminders do.
 */
export function recipientsOf(
	owner: {
		readonly statementEmail: string | null;
		readonly reminderEmail: string | null;
		readonly contacts: readonly Contact[];
	},
	kind: LetterKind
): Recipients {
	const statement = kind === 'statement';
	const to = statement ? owner.statementEmail : (owner.reminderEmail ?? owner.statementEmail);
	const wanted: ContactCopies = statement ? 'statements' : 'reminders';
	const copies = owner.contacts.flatMap(({ copies: gets, email }) =>
		email && email !== to && (gets === 'all' || gets === wanted) ? [email] : []
	);
	return { to, copies: [...new Set(copies)] };
}
