import { preview } from '$lib/server/platform/http/action';
import { tryFiles, type GivenFile, type Tried, type TrialFiles } from '$lib/server/trial/try-files';
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
		async (_, form) => {
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
			const bytes = [customers, invoices, ...bank].reduce((sum, file) => sum + file.size, 0);
			if (bytes > TRIAL_BYTES) return err({ code: 'file-too-large', bytes, most: TRIAL_BYTES });
			const read = async (file: File): Promise<GivenFile> => ({
				name: file.name,
				content: await contentOf(file)
			});
			const [history] = given('history');
			const files: TrialFiles = {
				customers: await read(customers),
				invoices: await read(invoices),
				bank: await Promise.all(bank.map(read)),
				history: history ? await read(history) : null
			};
			const tried = await (runWorker<TrialFiles, Result<Tried>>('trial-worker', files, {
				limit: TRIAL_LIMIT
			}) ?? tryFiles(files));
			if (!tried.ok) return tried;
			const { receipts, ...rest } = tried.value;
			return ok({ ...rest, receipts: receipts.slice(0, SHOWN) });
		},
		TRIAL_BYTES + 1_000_000
	)
};
