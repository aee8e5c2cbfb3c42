import { mayAct } from '$lib/server/platform/http/view';
import { action, preview } from '$lib/server/platform/http/action';
import { bringInCustomers, previewCustomers } from '$lib/server/customers/commands/bring-in-customers';
import { bringInDocuments, previewDocuments } from '$lib/server/documents/commands/bring-in-documents';
import { err, ok } from '$lib/core/result';
import { FORM_TEXT_BYTES } from '$lib/server/platform/http/read-form-text';
import { readCustomerTables, readDocumentTables } from '$lib/server/platform/http/read-table-form';
import type { Result } from '$lib/core/result';
import type { Preview } from '$lib/server/customers/commands/bring-in-customers';
import type { Db } from '$lib/server/platform/db/open';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = ({ locals }) => ({ mayAct: mayAct(locals) });

const SHOWN = 300;

async function customersIn(db: Db, form: FormData): Promise<Result<Preview>> {
	const rows = await readCustomerTables(form);
	return rows.ok ? ok(await previewCustomers(db, rows.value)) : rows;
}

async function documentsIn(db: Db, form: FormData): Promise<Result<Preview>> {
	const rows = await readDocumentTables(form);
	return rows.ok ? ok(await previewDocuments(db, rows.value)) : rows;
}

export const actions = {
	preview: preview(
		'clerk',
		async (_, form, { locals }) => {
			const what = form.get('what') === 'customers' ? 'customers' : 'documents';
			const { db } = locals.app.books;
			const found = what === 'customers' ? await customersIn(db, form) : await documentsIn(db, form);
			if (!found.ok) return found;
			const { problems, rows } = found.value;
			if (problems.length) return err(...problems.slice(0, 50));
			const of = (fate: string) => rows.filter((row) => row.fate === fate);
			return ok({
				what,
				added: of('new').length,
				same: of('same').length,
				differs: of('differs').length,
				rows: [...of('differs'), ...of('new'), ...of('same')].slice(0, SHOWN)
			});
		},
		FORM_TEXT_BYTES
	),
	customers: action(bringInCustomers, {
		prepare: (_, form) => readCustomerTables(form),
		most: FORM_TEXT_BYTES
	}),
	documents: action(bringInDocuments, {
		prepare: (_, form) => readDocumentTables(form),
		most: FORM_TEXT_BYTES
	})
};
