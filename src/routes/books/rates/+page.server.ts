import { z } from 'zod';
import { ratesInBase } from '$lib/core/1-rates/rates-in-base';
import { readRatesTable } from '$lib/core/1-rates/read-rates-table';
import { addRates, previewRates } from '$lib/server/acts/add-rates';
import { perform, requireRole } from '$lib/server/acts/perform';
import { readForm } from '$lib/server/http/read-form';
import { readRatesForm } from '$lib/server/http/read-rates-form';
import { look, refuse } from '$lib/server/http/refuse';
import { lookAtRates } from '$lib/server/looks/rates';
import { readSetting } from '$lib/server/repo/settings';
import type { Actions, PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ locals }) => {
	const viewer = { who: locals.who!, today: await locals.app.today() };
	return {
		...(await look(lookAtRates(locals.app.books.db, null, viewer))),
		mayAct: locals.who!.role !== 'reader'
	};
};

const SHOWN = 200;
const typedRate = z.object({ date: z.string(), currency: z.string().trim(), rate: z.string().trim() });
const baseOf = async (locals: App.Locals) =>
	(await readSetting(locals.app.books.db, 'firm'))?.baseCurrency ?? 'GBP';

export const actions: Actions = {
	preview: async ({ request, locals }) => {
		await look(Promise.resolve().then(() => requireRole(locals.who!, 'clerk')));
		const { rates } = await readRatesForm(request, await baseOf(locals));
		if (!rates.ok) return refuse(rates.problems);
		const rows = await previewRates(locals.app.books.db, rates.value);
		const of = (fate: string) => rows.filter((row) => row.fate === fate).length;
		return {
			...{ added: of('new'), same: of('same'), differs: of('differs') },
			rows: [...rows].sort((a, b) => Number(b.far) - Number(a.far)).slice(0, SHOWN)
		};
	},
	add: async ({ request, locals }) => {
		const { rates, key } = await readRatesForm(request, await baseOf(locals));
		if (!rates.ok) return refuse(rates.problems);
		const at = await locals.app.circumstance(locals.who!, key);
		const result = await perform(locals.app.books, addRates, rates.value, at);
		return result.ok ? { done: result.value.added } : refuse(result.problems);
	},
	one: async ({ request, locals }) => {
		const read = await readForm(request, typedRate);
		if (!read.ok) return refuse(read.problems);
		const base = await baseOf(locals);
		const quotes = readRatesTable([{ line: 0, cells: read.value }]);
		const rates = quotes.ok ? ratesInBase(quotes.value, { way: 'worth' }, base) : quotes;
		if (!rates.ok) return refuse(rates.problems);
		if (rates.value.length === 0)
			return refuse([
				{ code: 'field', field: 'currency', message: `${base} is what the books are kept in.` }
			]);
		const db = locals.app.books.db;
		const [row] = await previewRates(db, rates.value);
		if (row!.fate !== 'new')
			return refuse([
				{
					...{ code: 'field', field: 'date' },
					message: `There is a ${row!.currency} rate for that day already, and amounts may have been turned by it.`
				}
			]);
		const at = await locals.app.circumstance(locals.who!, read.key);
		const result = await perform(locals.app.books, addRates, rates.value, at);
		return result.ok ? { done: result.value.added } : refuse(result.problems);
	}
};
