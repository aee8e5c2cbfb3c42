import { sql } from 'drizzle-orm';
import { blob, index, integer, sqliteTable, text, uniqueIndex } from 'drizzle-orm/sqlite-core';
import { CREDIT_NOTE_KINDS, DOCUMENT_INCOMES } from '../../../../core/model/records';
import { amountColumn, dayColumn } from '../columns';
import { act } from './acts';
import { customer } from './firm';

export const document = sqliteTable(
	'document',
	{
		id: integer('id').primaryKey(),
		actId: integer('act_id')
			.notNull()
			.references(() => act.id),
		kind: text('kind', { enum: ['invoice', 'credit_note', 'charge', 'claim'] }).notNull(),
		/** What a credit note is given for; null for other kinds, and in books of earlier versions. */
		creditNoteKind: text('credit_note_kind', { enum: CREDIT_NOTE_KINDS }),
		/** What it is income of, where that is not what its kind says. */
		income: text('income', { enum: DOCUMENT_INCOMES }),
		number: text('number').notNull(),
		numberKey: text('number_key').notNull(),
		customerId: integer('customer_id')
			.notNull()
			.references(() => customer.id),
		issued: dayColumn('issued').notNull(),
		currency: text('currency').notNull(),
		total: amountColumn('total').notNull(),
		totalBase: amountColumn('total_base').notNull(),
		purchaseOrder: text('purchase_order'),
		purchaseOrderKey: text('purchase_order_key'),
		orderReference: text('order_reference'),
		paymentReference: text('payment_reference'),
		paymentReferenceKey: text('payment_reference_key'),
		text: text('text').notNull(),
		discountBasisPoints: integer('discount_basis_points'),
		discountUntil: dayColumn('discount_until'),
		/** The day that it is an opening balance of; null for what these books issued themselves. */
		openingOn: dayColumn('opening_on')
	},
	(t) => [
		uniqueIndex('document_kind_number').on(t.kind, t.number),
		index('document_customer').on(t.customerId),
		index('document_number_key').on(t.numberKey),
		index('document_purchase_order_key').on(t.purchaseOrderKey),
		index('document_payment_reference_key').on(t.paymentReferenceKey)
	]
);

export const documentLine = sqliteTable(
	'document_line',
	{
		id: integer('id').primaryKey(),
		documentId: integer('document_id')
			.notNull()
			.references(() => document.id),
		text: text('text').notNull(),
		net: amountColumn('net').notNull(),
		taxBasisPoints: integer('tax_basis_points').notNull(),
		tax: amountColumn('tax').notNull()
	},
	(t) => [index('document_line_document').on(t.documentId)]
);

/** The paper of a document as the firm sent it elsewhere, a PDF exactly as it came. The newest that nobody took off holds. */
export const documentPaper = sqliteTable(
	'document_paper',
	{
		id: integer('id').primaryKey(),
		actId: integer('act_id')
			.notNull()
			.references(() => act.id),
		documentId: integer('document_id')
			.notNull()
			.references(() => document.id),
		name: text('name').notNull(),
		bytes: integer('bytes').notNull(),
		content: blob('content', { mode: 'buffer' }).notNull()
	},
	(t) => [index('document_paper_document').on(t.documentId), index('document_paper_act').on(t.actId)]
);

/** What can be settled: an instalment of a document; most documents have one. */
export const item = sqliteTable(
	'item',
	{
		id: integer('id').primaryKey(),
		documentId: integer('document_id')
			.notNull()
			.references(() => document.id),
		customerId: integer('customer_id')
			.notNull()
			.references(() => customer.id),
		part: integer('part').notNull(),
		parts: integer('parts').notNull(),
		due: dayColumn('due').notNull(),
		total: amountColumn('total').notNull(),
		totalBase: amountColumn('total_base').notNull()
	},
	(t) => [index('item_document').on(t.documentId), index('item_customer').on(t.customerId)]
);

/** How an item stands: follows from allocations and differences, kept beside them in the same transaction. */
export const itemState = sqliteTable(
	'item_state',
	{
		itemId: integer('item_id')
			.primaryKey()
			.references(() => item.id),
		customerId: integer('customer_id').notNull(),
		due: dayColumn('due').notNull(),
		/** Kind and currency of the document, so that runs and sums over all open items read one index and nothing else. */
		kind: text('kind', { enum: ['invoice', 'credit_note', 'charge', 'claim'] }).notNull(),
		currency: text('currency').notNull(),
		open: amountColumn('open').notNull(),
		openBase: amountColumn('open_base').notNull(),
		version: integer('version').notNull(),
		lastActId: integer('last_act_id').notNull()
	},
	(t) => [
		index('item_state_customer_open').on(t.customerId, t.open),
		index('item_state_due')
			.on(t.due, t.itemId, t.customerId, t.kind, t.currency, t.open, t.openBase)
			.where(sql`"open" > 0`),
		index('item_state_sums')
			.on(t.customerId, t.currency, t.kind, t.due, t.open, t.openBase)
			.where(sql`"open" > 0`)
	]
);
