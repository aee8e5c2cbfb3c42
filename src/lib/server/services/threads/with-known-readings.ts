import type { Opening } from '../../../core/1-open-items/document-row';
import type { AskedKind } from '../../../core/1-columns/fields';
import type { TableAnswer } from '../../../tables/table-seen';
import type { Reader } from '../../platform/db/open';
import type { FormSource } from '../../platform/http/read-form-text';
import type { TablesGiven } from '../../platform/http/read-table-form';
import { baseCurrencyOr, readSetting } from '../../firm/store/settings';

/** Tables that somebody brings, and what they say of how to read them. */
export interface TablesAsked {
	readonly sources: readonly FormSource[];
	readonly answers: readonly TableAnswer[];
	/** What stands for the rows that somebody saw cannot be taken, and agreed to leave out (`keyOfRefused`); empty where nobody did. */
	readonly leaveOut?: string;
}

/** Tables of documents, which may be opening balances. */
export interface DocumentTablesAsked extends TablesAsked {
	readonly opening: Opening | null;
}

/** Tables of customers, and whether they may change those that are there. */
export interface CustomerTablesAsked extends TablesAsked {
	readonly takeChanges: boolean;
}

/** The same with what was said of such tables before, and the currency of rows that do not say theirs. */
export async function withKnownReadings(
	db: Reader,
	kind: AskedKind,
	{ sources, answers }: Pick<TablesAsked, 'sources' | 'answers'>
): Promise<TablesGiven> {
	const kept = ((await readSetting(db, 'tableReadings')) ?? []).filter((one) => one.kind === kind);
	return { sources, answers: [...answers, ...kept], currency: await baseCurrencyOr(db, 'GBP') };
}
