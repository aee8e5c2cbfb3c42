import type { RowForm } from './row-form';
import { formText, keyText } from './row-form';

/** So many changes of a transaction are noted with the rows themselves; later ones of posted rows are read back when it ends. */
export const NOTED_WHOLE = 500;

/** The triggers by which a transaction notes what it writes to a table, by name. Rows with files are read back when it ends. */
export function sealTriggers(form: RowForm): ReadonlyMap<string, string> {
	const { name } = form;
	const note = (row: string, before: string, after: string) =>
		`INSERT INTO unsealed_change (table_name, row_key, before, after) VALUES ('${name}', ${keyText(form, row)}, ${before}, ${after});`;
	const after = form.files.length > 0 ? 'NULL' : formText(form, 'NEW');
	const before = formText(form, 'OLD');
	const trigger = (event: string, body: string) =>
		[
			`note_${name}_${event.toLowerCase()}`,
			`CREATE TRIGGER note_${name}_${event.toLowerCase()} AFTER ${event} ON "${name}" BEGIN ${body} END`
		] as const;
	if (form.posted) {
		const few = `CASE WHEN coalesce((SELECT max(id) FROM unsealed_change), 0) < ${NOTED_WHOLE} THEN ${after} END`;
		return new Map([trigger('INSERT', note('NEW', 'NULL', few))]);
	}
	const moved = `INSERT INTO unsealed_change (table_name, row_key, before, after)
		SELECT '${name}', ${keyText(form, 'OLD')}, ${before}, NULL WHERE ${keyText(form, 'OLD')} IS NOT ${keyText(form, 'NEW')};`;
	return new Map([
		trigger('INSERT', note('NEW', 'NULL', after)),
		trigger(
			'UPDATE',
			`${moved} ${note('NEW', `CASE WHEN ${keyText(form, 'OLD')} IS ${keyText(form, 'NEW')} THEN ${before} END`, after)}`
		),
		trigger('DELETE', note('OLD', before, 'NULL'))
	]);
}
