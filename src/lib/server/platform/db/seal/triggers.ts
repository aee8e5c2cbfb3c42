import { MOST_AMOUNT } from '../../../../core/money/minor';
import { AMOUNT_COLUMNS, DAY_COLUMNS } from '../columns';
import type { RowForm } from './row-form';
import { formText, keyText } from './row-form';

/** So many changes of a transaction are noted with the rows themselves; later ones of posted rows are read back when it ends. */
export const NOTED_WHOLE = 500;

/** All triggers of a table that follow from its columns, by name. */
export function sealTriggers(form: RowForm): ReadonlyMap<string, string> {
	return new Map([...boundTriggers(form), ...noteTriggers(form)]);
}

/** The triggers by which a transaction notes what it writes to a table, by name. Rows with files are read back when it ends. */
function noteTriggers(form: RowForm): ReadonlyMap<string, string> {
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

/** What the database says where something is refused by its bounds. */
export const OUT_OF_BOUNDS = 'an amount or a day is out of bounds';

/** Refuse what no amount and no day can be, whoever writes it: sums stay numbers, and one row cannot stop the books. */
function boundTriggers({ name, columns, posted }: RowForm): ReadonlyMap<string, string> {
	const beyond = columns.flatMap((column) => [
		...(AMOUNT_COLUMNS.has(column) ? [`NEW."${column}" NOT BETWEEN -${MOST_AMOUNT} AND ${MOST_AMOUNT}`] : []),
		...(DAY_COLUMNS.has(column)
			? [
					`NEW."${column}" NOT GLOB '[0-9][0-9][0-9][0-9]-[01][0-9]-[0-3][0-9]'`,
					`NEW."${column}" NOT BETWEEN '1900-01-01' AND '2199-12-31'`
				]
			: [])
	]);
	if (beyond.length === 0) return new Map();
	const events = posted ? ['INSERT'] : ['INSERT', 'UPDATE'];
	return new Map(
		events.map((event) => {
			const trigger = `bound_${name}_${event.toLowerCase()}`;
			return [
				trigger,
				`CREATE TRIGGER ${trigger} BEFORE ${event} ON "${name}" WHEN ${beyond.join(' OR ')} BEGIN SELECT RAISE(ABORT, '${OUT_OF_BOUNDS}: ${name}'); END`
			];
		})
	);
}
