import type { AskedKind } from '../../core/model/asked-kind';

/** What rows of a table are, in words that follow "tables of". */
export const TABLES_OF: Readonly<Record<AskedKind, string>> = {
	...{ documents: 'documents', customers: 'customers' },
	...{ history: 'past payments', 'bank-table': 'bank entries' }
};
