import { readPage } from '$lib/server/platform/http/read-page';
import { REPORT_PAGE } from '$lib/server/reports/queries/report';
import { viewInThread } from '$lib/server/services/threads/view-in-thread';
import { problemSentence } from '$lib/words';
import { readAsked } from './read-asked';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ locals, url, params }) => {
	const asked = readAsked(params.report, url);
	const page = readPage(url);
	const months =
		asked.id === 'ageing' && url.searchParams.has('months')
			? await viewInThread(locals, 'ageing-months', { params: asked.params })
			: null;
	const answer = await viewInThread(locals, 'report', { ...asked, page });
	const shown = { months, id: asked.id, page, per: REPORT_PAGE, day: await locals.app.today() };
	if (answer.ok)
		return { ...shown, report: answer.report, order: answer.order, fields: answer.report.fields, faults: {} };
	const faults = Object.fromEntries(
		answer.problems.map((problem) => [
			problem.code === 'field' ? problem.field : '',
			problemSentence(problem)
		])
	);
	return { ...shown, report: null, order: null, fields: answer.fields, faults };
};
