import { preview } from '$lib/server/platform/http/action';
import { tryFiles, type Tried } from '$lib/server/trial/try-files';
import type { TrialFiles } from '$lib/server/trial/read-trial-files';
import { fileName, type FormSource } from '$lib/server/platform/http/read-form-text';
import { readTableAnswers } from '$lib/server/services/threads/read-table-answers';
import { knownReadings } from '$lib/server/services/threads/with-known-readings';
import { runWorker } from '$lib/server/platform/worker-pool';
import { contentOf } from '$lib/server/platform/files/file-content';
import { err, ok, type Result } from '$lib/core/result';
import type { PageServerLoad } from './$types';

/** So many receipts are shown; all of them are counted. */
const SHOWN = 1_000;
const TRIAL_BYTES = 100_000_000;
/** Milliseconds: files of 100 MB take some minutes. */
const TRIAL_LIMIT = 600_000;

export const load: PageServerLoad = () => ({});

export const actions = {
	default: preview(
		'reader',
		async (_, form, { locals }) => {
			const given = (name: string) =>
				form.getAll(name).filter((one): one is File => one instanceof File && one.size > 0);
			const [customers] = given('customers');
			const [invoices] = given('invoices');
			const bank = given('bank');
			if (!customers || !invoices || bank.length === 0)
				return err({
					...{ code: 'field', field: 'files' },
					message: 'Choose the customers, the open invoices and a bank file.'
				});
			const bytes = [customers, invoices, ...bank, ...given('history')].reduce(
				(sum, file) => sum + file.size,
				0
			);
			if (bytes > TRIAL_BYTES) return err({ code: 'file-too-large', bytes, most: TRIAL_BYTES });
			const said = readTableAnswers(form);
			if (!said.ok) return said;
			const source = async (file: File): Promise<FormSource> => ({
				file: fileName(file.name),
				content: await contentOf(file)
			});
			const [history] = given('history');
			const files: TrialFiles = {
				customers: await source(customers),
				invoices: await source(invoices),
				bank: await Promise.all(bank.map(source)),
				history: history ? await source(history) : null,
				...(await knownReadings(locals.app.books.db, said.value))
			};
			const tried = await (runWorker<TrialFiles, Result<Tried>>('trial-worker', files, {
				limit: TRIAL_LIMIT
			}) ?? tryFiles(files));
			if (!tried.ok) return tried;
			const { answered, ...rest } = tried.value;
			return ok({
				...rest,
				answered: answered && { ...answered, receipts: answered.receipts.slice(0, SHOWN) }
			});
		},
		TRIAL_BYTES + 1_000_000
	)
};
