import { bringInCustomers, previewCustomers } from '$lib/server/acts/bring-in-customers';
import { bringInDocuments, previewDocuments } from '$lib/server/acts/bring-in-documents';
import { perform, requireRole } from '$lib/server/acts/perform';
import { readTableForm } from '$lib/server/http/read-table-form';
import { look, refuse } from '$lib/server/http/refuse';
import type { Actions, PageServerLoad } from './$types';

export const load: PageServerLoad = ({ locals }) => ({ mayAct: locals.who!.role !== 'reader' });

const SHOWN = 300;

export const actions: Actions = {
	preview: async ({ request, locals }) => {
		await look(Promise.resolve().then(() => requireRole(locals.who!, 'clerk')));
		const read = await readTableForm(request);
		if (!read.rows.ok) return refuse(read.rows.problems);
		const db = locals.app.books.db;
		const preview =
			read.what === 'customers'
				? await previewCustomers(db, read.rows.value)
				: await previewDocuments(db, read.rows.value);
		if (preview.problems.length) return refuse(preview.problems.slice(0, 50));
		const of = (fate: string) => preview.rows.filter((row) => row.fate === fate);
		return {
			what: read.what,
			added: of('new').length,
			same: of('same').length,
			differs: of('differs').length,
			rows: [...of('differs'), ...of('new'), ...of('same')].slice(0, SHOWN)
		};
	},
	add: async ({ request, locals }) => {
		const read = await readTableForm(request);
		if (!read.rows.ok) return refuse(read.rows.problems);
		const at = await locals.app.circumstance(locals.who!, read.key);
		const books = locals.app.books;
		const result =
			read.what === 'customers'
				? await perform(books, bringInCustomers, read.rows.value, at)
				: await perform(books, bringInDocuments, read.rows.value, at);
		return result.ok ? { done: result.value, what: read.what } : refuse(result.problems);
	}
};
