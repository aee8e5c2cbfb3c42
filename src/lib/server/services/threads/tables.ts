import type { Db } from '../../platform/db/open';
import type { Viewer } from '../../act/define-look';
import { lookAtCustomers, type CustomersQuery } from '../../customers/queries/customers';
import { lookAtOpenItems, type OpenItemsQuery } from '../../documents/queries/open-items';
import { baseCurrencyOr } from '../../firm/store/settings';
import { csvText } from '../../platform/http/csv-response';
import { plainAmount } from '../../../words/plain-amount';

const ITEM_HEADINGS = [
	...['Number', 'Kind', 'Part', 'Of', 'Text', 'Code', 'Customer'],
	...['Issued', 'Due', 'Days overdue', 'Currency', 'Total', 'Open']
];

/** All open items that the list has, on any page, in its order, as the text of a table. */
export async function openItemsTable(db: Db, query: OpenItemsQuery, viewer: Viewer): Promise<string> {
	const { rows } = await lookAtOpenItems(db, { ...query, page: null }, viewer);
	return csvText(
		ITEM_HEADINGS,
		rows.map((row) => [
			...[row.number, row.kind.replace('_', ' '), row.part, row.parts, row.text, row.code],
			...[row.customer, row.issued, row.due, row.late > 0 ? row.late : '', row.currency],
			plainAmount(row.total, row.currency),
			plainAmount(row.kind === 'credit_note' ? -row.open : row.open, row.currency)
		])
	);
}

/** All customer accounts that the list has, on any page, in its order, as the text of a table. */
export async function customersTable(db: Db, query: CustomersQuery, viewer: Viewer): Promise<string> {
	const { rows } = await lookAtCustomers(db, { ...query, page: null }, viewer);
	const base = await baseCurrencyOr(db, 'GBP');
	return csvText(
		['Code', 'Name', 'E-mail', 'Open items', `Overdue, ${base}`, `Owed, ${base}`],
		rows.map((row) => [
			...[row.code, row.name, row.email ?? '', row.items],
			...[plainAmount(row.late, base), plainAmount(row.owed, base)]
		])
	);
}
