import type { AskedKind } from '../../../core/model/asked-kind';
import type { DocumentRow } from '../../../core/1-open-items/document-row';
import type { CustomerRow } from '../../../core/1-open-items/read-customers';
import type { HistoryRow } from '../../../core/1-open-items/read-history';
import type { PreviewRow } from '../../act/preview-rows';
import { previewCustomers } from '../../customers/commands/bring-in-customers';
import { previewDocuments } from '../../documents/commands/bring-in-documents';
import { previewHistory } from '../../matching/commands/bring-in-history';
import type { Reader } from '../../platform/db/open';
import {
	readCustomerTables,
	readDocumentTables,
	readHistoryTables,
	type TablesRead
} from '../../platform/http/read-table-form';
import { asOpening } from './opening-asked';
import { withKnownReadings, type DocumentTablesAsked, type TablesAsked } from './with-known-readings';

/** A firm's own tables of one kind: how they are read, and what would become of their rows. */
export interface OwnTables<A extends TablesAsked, T> {
	readonly kind: AskedKind;
	readonly read: (db: Reader, asked: A) => Promise<TablesRead<T>>;
	readonly look: (db: Reader, rows: readonly T[]) => Promise<PreviewRow[]>;
}

export const DOCUMENT_TABLES: OwnTables<DocumentTablesAsked, DocumentRow> = {
	kind: 'documents',
	read: async (db, asked) => {
		const read = await readDocumentTables(await withKnownReadings(db, 'documents', asked));
		return { ...read, rows: asOpening(read.rows, asked.opening) };
	},
	look: previewDocuments
};

export const CUSTOMER_TABLES: OwnTables<TablesAsked, CustomerRow> = {
	kind: 'customers',
	read: async (db, asked) => readCustomerTables(await withKnownReadings(db, 'customers', asked)),
	look: previewCustomers
};

export const HISTORY_TABLES: OwnTables<TablesAsked, HistoryRow> = {
	kind: 'history',
	read: async (db, asked) => readHistoryTables(await withKnownReadings(db, 'history', asked)),
	look: previewHistory
};
