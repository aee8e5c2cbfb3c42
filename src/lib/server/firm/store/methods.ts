import type { Reader } from '../../platform/db/open';
import { readSetting } from './settings';

/** How money comes by hand, before a firm adds its own. Cheques and cash are paid in on a slip. */
const USUAL_METHODS = ['cheque', 'cash', 'card', 'transfer'] as const;

/** The firm's ways in which money comes by hand. */
export async function methodsOf(db: Reader): Promise<readonly string[]> {
	return (await readSetting(db, 'methods')) ?? USUAL_METHODS;
}
