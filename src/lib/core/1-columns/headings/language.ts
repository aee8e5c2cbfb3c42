import type { FieldKey } from '../fields';

/** What tables in one language call their fields, the surest first: small letters, without accents and signs. */
export interface HeadingWords {
	readonly fields: Readonly<Partial<Record<FieldKey, readonly string[]>>>;
	/** What stands for each kind of document. */
	readonly kinds: Readonly<Record<'invoice' | 'credit_note' | 'charge', readonly string[]>>;
}
