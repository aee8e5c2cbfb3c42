import type { Opening } from '../../../core/1-open-items/document-row';
import type { AskedKind } from '../../../core/model/asked-kind';
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

/** What is said of tables, and after it what was said of such ones before, by kind; and the currency of rows that do not say theirs. */
export async function knownReadings(
	db: Reader,
	said: readonly TableAnswer[]
): Promise<{
	readonly answers: Readonly<Record<AskedKind, readonly TableAnswer[]>>;
	readonly currency: string;
}> {
	const kept = (await readSetting(db, 'tableReadings')) ?? [];
	const of = (kind: AskedKind) => [...said, ...kept.filter((one) => one.kind === kind)];
	return {
		answers: {
			documents: of('documents'),
			customers: of('customers'),
			history: of('history'),
			'bank-table': of('bank-table')
		},
		currency: await baseCurrencyOr(db, 'GBP')
	};
}

/** The same with what was said of such tables before, and the currency of rows that do not say theirs. */
export async function withKnownReadings(
	db: Reader,
	kind: AskedKind,
	{ sources, answers }: Pick<TablesAsked, 'sources' | 'answers'>
): Promise<TablesGiven> {
	const known = await knownReadings(db, answers);
	return { sources, answers: known.answers[kind], currency: known.currency };
}
