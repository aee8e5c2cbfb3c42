import { z } from 'zod';
import { type DocumentRow, type Opening } from '../../../core/1-open-items/document-row';
import { day } from '../../../core/day/day';
import { minor } from '../../../core/money/minor';
import { ok, type Result } from '../../../core/result';
import { amountField, dayField } from '../../act/fields';
import { jsonField } from '../../platform/http/json-field';
import { shaped } from '../../platform/http/action';

const OPENING = z.object({
	on: dayField,
	taxHere: z.boolean(),
	/** In base currency; null where it was left empty. */
	control: amountField.nullable(),
	/** What somebody agreed to that the items are above it. */
	apart: amountField
});

/** What a form's field `opening` says: that documents are opening balances, and of what day; null where they are not. */
export function readOpening(form: FormData): Result<Opening | null> {
	if (!form.get('opening')) return ok(null);
	const read = shaped(OPENING, jsonField(form, 'opening', null));
	if (!read.ok) return read;
	const { on, taxHere, control, apart } = read.value;
	return ok({
		...{ on: day(on), taxHere },
		control: control === null ? null : minor(control),
		apart: minor(apart)
	});
}

/** The same documents as opening balances. */
export function asOpening(rows: readonly DocumentRow[], opening: Opening | null): readonly DocumentRow[] {
	return opening ? rows.map((row) => ({ ...row, opening })) : rows;
}
