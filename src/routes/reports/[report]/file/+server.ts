import { error } from '@sveltejs/kit';
import { noteEvent } from '$lib/server/people/note-event';
import { contentDisposition } from '$lib/server/platform/http/content-disposition';
import { csvFile } from '$lib/server/platform/http/csv-response';
import { REPORT_FORMATS } from '$lib/server/services/report-file';
import { render } from '$lib/server/services/render-pdf';
import { viewInThread } from '$lib/server/services/threads/view-in-thread';
import { problemSentence } from '$lib/words';
import { readAsked } from '../read-asked';
import type { RequestHandler } from './$types';

const XLSX = 'application/vnd.openxmlformats-officedocument.spreadsheetml.sheet';

/** All rows of a report as a file, as it was asked and sorted on its page. */
export const GET: RequestHandler = async ({ locals, url, params, getClientAddress }) => {
	const asked = readAsked(params.report, url);
	const format = REPORT_FORMATS.find((one) => one === url.searchParams.get('format'));
	if (!format) error(400, 'Ask for it as csv, xlsx or pdf.');
	const at = new Date().toISOString();
	const file = await viewInThread(locals, 'report-file', { ...asked, format, at });
	if (file.what === 'problems') error(400, file.problems.map(problemSentence).join(' '));
	noteEvent(locals.app.books, {
		...{ kind: 'exported', personId: locals.who!.id, origin: getClientAddress() },
		about: `report ${asked.id}, ${format}`
	});
	if (file.what === 'csv') return csvFile(file.name, file.text);
	const bytes = file.what === 'xlsx' ? file.bytes : await render({ what: 'report', report: file.sheet });
	return new Response(new Uint8Array(bytes), {
		headers: {
			'content-type': file.what === 'xlsx' ? XLSX : 'application/pdf',
			'content-disposition': contentDisposition(
				file.what === 'xlsx' ? 'attachment' : 'inline',
				`${file.name}.${file.what}`
			)
		}
	});
};
