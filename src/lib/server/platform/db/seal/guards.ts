import { sql } from 'drizzle-orm';
import type { Reader } from '../types';
import { ROW_FORMS } from './row-form';
import { sealTriggers } from './triggers';

/** Names of triggers that should refuse changes, or note them, and do not stand as they should. */
export async function missingGuards(db: Reader): Promise<string[]> {
	const there = new Map(
		(
			await db.all<{ name: string; text: string }>(
				sql`select name, sql as text from sqlite_master where type = 'trigger'`
			)
		).map(({ name, text }) => [name, text])
	);
	const missing: string[] = [];
	for (const form of ROW_FORMS.values()) {
		for (const [name, text] of sealTriggers(form)) if (there.get(name) !== text) missing.push(name);
		if (form.posted)
			for (const event of ['UPDATE', 'DELETE'])
				if (!refuses(there.get(`${form.name}_no_${event.toLowerCase()}`), form.name, event))
					missing.push(`${form.name}_no_${event.toLowerCase()}`);
	}
	for (const [name, table, event] of OTHER_GUARDS)
		if (!refuses(there.get(name), table, event)) missing.push(name);
	for (const [name, condition] of BOUNDS)
		if (!there.get(name)?.replace(/\s+/g, ' ').includes(condition)) missing.push(name);
	return missing;
}

/** Guards beside those of posted rows. */
const OTHER_GUARDS = [
	['seal_no_update', 'seal', 'UPDATE'],
	['seal_no_delete', 'seal', 'DELETE'],
	['sealed_rows_no_update', 'sealed_rows', 'UPDATE'],
	['sealed_rows_no_delete', 'sealed_rows', 'DELETE'],
	['claim_no_delete', 'claim', 'DELETE'],
	['item_state_no_delete', 'item_state', 'DELETE'],
	['receipt_state_no_delete', 'receipt_state', 'DELETE']
] as const;

/** Triggers that refuse what is beyond its bounds, and on what condition. */
const BOUNDS = [
	[
		'item_state_bounds',
		'BEFORE UPDATE ON item_state WHEN NEW.open < 0 OR NEW.open > (SELECT total FROM item WHERE id = NEW.item_id)'
	],
	[
		'receipt_state_bounds',
		'BEFORE UPDATE ON receipt_state WHEN NEW.on_account < 0 OR NEW.on_account > ABS((SELECT amount'
	]
] as const;

/** Whether a trigger refuses every change of the kind. */
function refuses(text: string | undefined, table: string, event: string): boolean {
	const pattern = new RegExp(
		`^CREATE TRIGGER \\S+ BEFORE ${event} ON [\`"]?${table}[\`"]? BEGIN SELECT RAISE\\(ABORT, '[^']*'\\); END$`,
		'i'
	);
	return text !== undefined && pattern.test(text.replace(/\s+/g, ' '));
}
