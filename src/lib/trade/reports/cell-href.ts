import type { Report, ReportColumn, ReportRow } from '$lib/core/model/report';

/**
 * Where a cell of a report leads: an account to its page, a document to its life, a sum to the items that it is made of. Null where there is
 * nothing more to see.
 * @param params the address of the report itself
 */
export function cellHref(
	{ id, fields }: Pick<Report, 'id' | 'fields'>,
	params: URLSearchParams,
	{ account, itemId, currency, cells }: ReportRow,
	column: ReportColumn
): string | null {
	const { key } = column;
	if (key === 'document' && account && itemId !== undefined)
		return `/customers/${encodeURIComponent(account)}?item=${itemId}`;
	if ((key === 'account' || key === 'customer') && account)
		return `/customers/${encodeURIComponent(account)}`;
	if (id !== 'ageing' || column.kind !== 'money' || key === 'open') return null;
	const by = fields.find((field) => field.name === 'by')?.value;
	const more = new URLSearchParams(params);
	for (const name of ['page', 'sort', 'by', 'show']) more.delete(name);
	more.set('show', 'detail');
	if (by === 'tag') {
		const tag = cells[0];
		if (typeof tag !== 'string' || tag === '') return null;
		more.set('tag', tag);
	} else if (account) more.set(by === 'parent' ? 'parent' : 'customer', account);
	if (!isInBase(fields)) more.set('currency', currency);
	if (key.startsWith('bucket-')) more.set('bucket', key.slice('bucket-'.length));
	return `/reports/ageing?${more}`;
}

/** Whether amounts were turned into base currency: then a row is of several. */
const isInBase = (fields: Report['fields']) =>
	fields.some((field) => field.name === 'money' && field.value === 'base');
