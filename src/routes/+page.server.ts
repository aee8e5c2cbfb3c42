import { look } from '$lib/server/http/refuse';
import { lookAtToday } from '$lib/server/looks/today';
import { lookAtRun } from '$lib/server/looks/letters';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ locals }) => {
	const viewer = { who: locals.who!, today: await locals.app.today() };
	const db = locals.app.books.db;
	const sheet = await look(lookAtToday(db, null, viewer));
	const statements = await look(lookAtRun(db, 'statement', viewer));
	const reminders = await look(lookAtRun(db, 'reminder', viewer));
	const counts = (rows: typeof statements) => ({
		all: rows.length,
		waiting: rows.filter((row) => row.leftOut === 'money-waiting').length,
		paused: rows.filter((row) => row.leftOut === 'paused').length,
		noAddress: rows.filter((row) => row.leftOut === 'no-address').length
	});
	return { sheet, statements: counts(statements), reminders: counts(reminders) };
};
