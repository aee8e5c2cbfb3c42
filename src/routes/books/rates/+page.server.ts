import { z } from 'zod';
import { ratesInBase } from '$lib/core/1-rates/rates-in-base';
import { readRatesTable } from '$lib/core/1-rates/read-rates-table';
import { readRatesForm } from '$lib/server/platform/http/read-rates-form';
import { mayAct, view } from '$lib/server/platform/http/view';
import { lookAtRates } from '$lib/server/firm/queries/rates';
import { readSetting } from '$lib/server/firm/store/settings';
import { action, preview, shaped } from '$lib/server/platform/http/action';
import { addRates, previewRates } from '$lib/server/firm/commands/add-rates';
import { err, ok } from '$lib/core/result';
import { FORM_TEXT_BYTES } from '$lib/server/platform/http/read-form-text';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ locals }) => {
	return {
		...(await view(locals, lookAtRates, null)),
		mayAct: mayAct(locals)
	};
};

const SHOWN = 200;
const typedRate = z.object({ date: z.string(), currency: z.string().trim(), rate: z.string().trim() });
const baseOf = async (locals: App.Locals) =>
	(await readSetting(locals.app.books.db, 'firm'))?.baseCurrency ?? 'GBP';

export const actions = {
	preview: preview(
		'clerk',
		async (_, form, { locals }) => {
			const rates = await readRatesForm(form, await baseOf(locals));
			if (!rates.ok) return rates;
			const rows = await previewRates(locals.app.books.db, rates.value);
			const of = (fate: string) => rows.filter((row) => row.fate === fate).length;
			return ok({
				...{ added: of('new'), same: of('same'), differs: of('differs') },
				rows: [...rows].sort((a, b) => Number(b.far) - Number(a.far)).slice(0, SHOWN)
			});
		},
		FORM_TEXT_BYTES
	),
	add: action(addRates, {
		prepare: async (_, form, { locals }) => readRatesForm(form, await baseOf(locals)),
		most: FORM_TEXT_BYTES
	}),
	one: action(addRates, {
		prepare: async (fields, _, { locals }) => {
			const read = shaped(typedRate, fields);
			if (!read.ok) return read;
			const base = await baseOf(locals);
			const quotes = readRatesTable([{ line: 0, cells: read.value }]);
			const rates = quotes.ok ? ratesInBase(quotes.value, { way: 'worth' }, base) : quotes;
			if (!rates.ok) return rates;
			const [row] = await previewRates(locals.app.books.db, rates.value);
			if (!row)
				return err({ code: 'field', field: 'currency', message: `${base} is what the books are kept in.` });
			if (row.fate === 'new') return rates;
			return err({
				...{ code: 'field', field: 'date' },
				message: `There is a ${row.currency} rate for that day already, and amounts may have been converted at it.`
			});
		}
	})
};
