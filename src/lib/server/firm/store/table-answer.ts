import { z } from 'zod';
import { currencyField, idField } from '../../act/fields';
import { ASKED_KINDS } from '../../../core/model/asked-kind';
import { TABLE_FIELDS, type FieldKey } from '../../../core/1-columns/fields';

export const TABLE_KIND = z.enum(ASKED_KINDS);

const KEYS = [...new Set(Object.values(TABLE_FIELDS).flatMap((fields) => fields.map(({ key }) => key)))];

/** What a known table is called. */
export const TABLE_NAME = z.string().trim().max(200);

/** What a person says of a table. A column holds one field at most. */
export const TABLE_ANSWER = z.object({
	headings: z.string().max(20_000, 'The table has too many columns for this to be remembered.'),
	columns: z
		.partialRecord(z.enum(KEYS as [FieldKey, ...FieldKey[]]), z.number().int().min(0).max(1_000))
		.refine((columns) => new Set(Object.values(columns)).size === Object.keys(columns).length, {
			message: 'A column can be one thing only.'
		}),
	dayOrder: z.enum(['day-first', 'month-first']).nullable(),
	decimalSign: z.enum(['.', ',']).nullable(),
	currency: currencyField.nullable(),
	/** The firm's own account that a bank's table is of. */
	bankAccountId: idField.optional(),
	/** As a person calls it, or as its file was called. */
	name: TABLE_NAME.optional()
});

/** What was said of tables of one kind, as it is kept. */
export const KEPT_TABLE = TABLE_ANSWER.extend({ kind: TABLE_KIND });
export type KeptTable = z.infer<typeof KEPT_TABLE>;

/** Which of the tables that are known: of a kind, by its headings and, of a bank's, the account. */
export const WHICH_TABLE = TABLE_ANSWER.pick({ headings: true, bankAccountId: true }).extend({
	kind: TABLE_KIND
});

/** Whether two stand for the same table. */
export function isSameTable(one: z.infer<typeof WHICH_TABLE>, other: z.infer<typeof WHICH_TABLE>): boolean {
	return (
		one.kind === other.kind && one.headings === other.headings && one.bankAccountId === other.bankAccountId
	);
}
