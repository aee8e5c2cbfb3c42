import { error } from '@sveltejs/kit';
import { TABLE_FIELDS, type TableKind } from '$lib/core/1-columns/fields';
import { csvFile, csvText } from '$lib/server/platform/http/csv-response';
import { FIELD_NAMES } from '$lib/words';
import type { RequestHandler } from './$types';

/** An empty table with all headings, to be filled in. */
export const GET: RequestHandler = ({ params }) => {
	const kind = Object.keys(TABLE_FIELDS).find((one) => one === params.kind) as TableKind | undefined;
	if (!kind) error(404, 'There is no such template.');
	const headings = TABLE_FIELDS[kind].map(({ key }) => FIELD_NAMES[key]);
	return csvFile(`${kind}-template`, csvText(headings, []));
};
