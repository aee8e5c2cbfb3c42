import { error } from '@sveltejs/kit';
import { reportCalled, type ReportAsked } from '$lib/server/reports/queries/report';

/** Parameters of an address that say how a report is shown, not what it is asked. */
const HOW = new Set(['page', 'sort', 'format', 'months']);
/** Fields that a report has are few. */
const MOST_FIELDS = 40;
const SORT = /^(-?)([a-z0-9-]{1,40})$/;

/** What an address asks of a report; there is none of another name. */
export function readAsked(name: string, url: URL): Omit<ReportAsked, 'page'> {
	const id = reportCalled(name);
	if (!id) error(404, 'There is no such report.');
	const params = [...url.searchParams].filter(([key]) => !HOW.has(key)).slice(0, MOST_FIELDS);
	const sort = SORT.exec(url.searchParams.get('sort') ?? '');
	return {
		...{ id, params: Object.fromEntries(params) },
		order: sort ? { by: sort[2]!, down: sort[1] === '-' } : null
	};
}
