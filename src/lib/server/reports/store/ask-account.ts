import type { Reader } from '../../platform/db/open';
import type { AskedFields } from './asked-fields';
import { accountCalled, tagsInUse } from './report-accounts';

/** Reads the account that a report is narrowed down to, by its code; null where none is asked for. */
export const askAccount = (asked: AskedFields, db: Reader, name: 'customer' | 'parent') =>
	asked.picked(
		name,
		(code) => accountCalled(db, code),
		(code) => `There is no account “${code}”.`
	);

/** Reads the tag that a report is narrowed down to; null where none is asked for. */
export async function askTag(asked: AskedFields, db: Reader): Promise<string | null> {
	const tags = await tagsInUse(db);
	return asked.pickedOf(
		'tag',
		tags.map((value) => ({ value, says: value }))
	);
}
