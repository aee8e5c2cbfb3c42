import { error } from '@sveltejs/kit';
import { readSetting } from '$lib/server/firm/store/settings';
import { contentDisposition } from '$lib/server/platform/http/content-disposition';
import { render } from '$lib/server/services/render-pdf';
import { viewInThread } from '$lib/server/services/threads/view-in-thread';
import { layOutInterest } from '$lib/words/letters';
import { readInterestQuery } from '../read-query';
import type { RequestHandler } from './$types';

/** So many accounts are one file that somebody would read. */
const MOST_ACCOUNTS = 2_000;

/** What interest would be charged, summed up and account by account, as PDF. */
export const GET: RequestHandler = async ({ locals, url }) => {
	const today = await locals.app.today();
	const { through } = readInterestQuery(url, today);
	const sheets = await viewInThread(locals, 'interest-sheets', { through });
	const firm = await readSetting(locals.app.books.db, 'firm');
	if (!firm || sheets.length === 0) error(404, 'There is no interest to charge up to that day.');
	if (sheets.length > MOST_ACCOUNTS)
		error(413, 'That is more than one file can hold. Save it as a table instead.');
	const pdf = await render({ what: 'sheet', sheet: layOutInterest(sheets, { firm, through, day: today }) });
	return new Response(new Uint8Array(pdf), {
		headers: {
			'content-type': 'application/pdf',
			'content-disposition': contentDisposition('inline', `interest-${through}.pdf`)
		}
	});
};
