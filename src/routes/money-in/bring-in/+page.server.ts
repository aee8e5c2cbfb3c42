import { fail } from '@sveltejs/kit';
import { importBankFile } from '$lib/server/acts/import-bank-file';
import { perform, requireRole } from '$lib/server/acts/perform';
import { importedSentence } from '$lib/server/files/imported-sentence';
import { MOST_BYTES, readBankFile } from '$lib/server/files/read-bank-file';
import { look, refuse } from '$lib/server/http/refuse';
import { problemSentence } from '$lib/words/problem-sentence';
import type { Actions } from './$types';

export const actions: Actions = {
	default: async ({ request, locals }) => {
		await look(Promise.resolve().then(() => requireRole(locals.who!, 'clerk')));
		if (Number(request.headers.get('content-length') ?? 0) > MOST_BYTES + 1_000_000)
			return refuse([{ code: 'file-too-large', bytes: 0, most: MOST_BYTES }]);
		const form = await request.formData();
		const files = form.getAll('files').filter((one): one is File => one instanceof File);
		if (files.length === 0)
			return fail(400, { told: [{ name: 'Nothing', ok: false, lines: ['No file was chosen.'] }] });
		const told: { name: string; ok: boolean; lines: string[] }[] = [];
		const at = await locals.app.circumstance(locals.who!);
		for (const file of files) {
			const read = await readBankFile(file.name, file.stream() as unknown as AsyncIterable<Uint8Array>);
			const result = read.ok ? await perform(locals.app.books, importBankFile, read.value, at) : read;
			told.push(
				result.ok
					? { name: file.name, ok: true, lines: [importedSentence(result.value)] }
					: { name: file.name, ok: false, lines: result.problems.map(problemSentence) }
			);
		}
		return told.every((one) => one.ok) ? { told } : fail(400, { told });
	}
};

export const load = async () => ({});
