import { z } from 'zod';
import { currencyField, idField } from '../../act/fields';
import { TABLE_FIELDS, type FieldKey, type TableKind } from '../../../core/1-columns/fields';

export const TABLE_KIND = z.enum([
	'documents',
	'customers',
	'history',
	'bank-table'
] satisfies readonly TableKind[]);

const KEYS = [...new Set(Object.values(TABLE_FIELDS).flatMap((fields) => fields.map(({ key }) => key)))];

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
	bankAccountId: idField.optional()
});
