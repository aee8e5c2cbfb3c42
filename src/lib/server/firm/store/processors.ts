import type { Reader, Tx } from '../../platform/db/open';
import { readSetting, writeSetting, type Setting } from './settings';

type Columns = Setting<'processors'>[string];

const NONE: Columns = { name: '', text: '', gross: '', fee: '' };

/** Names of the processors whose payouts were split before. */
export async function processorNames(db: Reader): Promise<string[]> {
	return Object.keys((await readSetting(db, 'processors')) ?? {});
}

/** Remembers a processor, and which column of its report is which where that is known. */
export async function rememberProcessor(tx: Tx, name: string, columns: Columns | null): Promise<void> {
	const before = (await readSetting(tx, 'processors')) ?? {};
	if (!columns && before[name]) return;
	await writeSetting(tx, 'processors', { ...before, [name]: columns ?? NONE });
}
