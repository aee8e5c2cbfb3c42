import { lookAtOpenItems } from '$lib/server/documents/queries/open-items';
import { csvResponse } from '$lib/server/platform/http/csv-response';
import { view } from '$lib/server/platform/http/view';
import { plainAmount } from '$lib/words/plain-amount';
import { readOpenItemsQuery } from '../read-query';
import type { RequestHandler } from './$types';

const HEADINGS = [
	'Number',
	'Kind',
	'Part',
	'Of',
	'Text',
	'Code',
	'Customer',
	'Issued',
	'Due',
	'Days late',
	'Currency',
	'Total',
	'Open'
];

/** All open items that the list has, on any page, in its order. */
export const GET: RequestHandler = async ({ locals, url }) => {
	const { rows } = await view(locals, lookAtOpenItems, { ...readOpenItemsQuery(url), page: null });
	return csvResponse(
		'open-items',
		HEADINGS,
		rows.map((row) => [
			...[
				row.number,
				row.kind.replace('_', ' '),
				row.part,
				row.parts,
				row.text,
				row.code,
				row.customer,
				row.issued,
				row.due
			],
			...[row.late > 0 ? row.late : '', row.currency, plainAmount(row.total, row.currency)],
			plainAmount(row.kind === 'credit_note' ? -row.open : row.open, row.currency)
		])
	);
};
