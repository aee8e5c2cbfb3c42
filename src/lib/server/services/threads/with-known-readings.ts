import type { TableKind } from '../../../core/1-columns/fields';
import type { TableAnswer } from '../../../tables/table-seen';
import type { Reader } from '../../platform/db/open';
import type { FormSource } from '../../platform/http/read-form-text';
import type { TablesGiven } from '../../platform/http/read-table-form';
import { baseCurrencyOr, readSetting } from '../../firm/store/settings';

/** Tables that somebody brings, and what they say of how to read them. */
export interface TablesAsked {
	readonly sources: readonly FormSource[];
	readonly answers: readonly TableAnswer[];
}

/** The same with what was said of such tables before, and the currency of rows that do not say theirs. */
export async function withKnownReadings(
	db: Reader,
	kind: TableKind,
	{ sources, answers }: TablesAsked
): Promise<TablesGiven> {
	const kept = ((await readSetting(db, 'tableReadings')) ?? []).filter((one) => one.kind === kind);
	return { sources, answers: [...answers, ...kept], currency: await baseCurrencyOr(db, 'GBP') };
}
