import { err, ok } from '$lib/core/result';
import { performInThread } from '$lib/server/services/threads/perform-in-thread';
import { importedSentence, problemSentence } from '$lib/words';
import { BANK_FILE_BYTES } from '$lib/server/receipts/store/read-bank-file';
import { contentOf } from '$lib/server/platform/files/file-content';
import { preview } from '$lib/server/platform/http/action';

export const load = async () => ({});

/** What became of a file: each comes in whole or not at all, and one that is refused stops no other. */
interface Told {
	readonly name: string;
	readonly ok: boolean;
	/** It came in, and something of it does not fit. */
	readonly doubted?: boolean;
	readonly lines: readonly string[];
}

export const actions = {
	default: preview(
		'clerk',
		async (_, form, { locals }) => {
			const files = form.getAll('files').filter((one): one is File => one instanceof File);
			if (files.length === 0) return err({ code: 'field', field: 'files', message: 'No file was chosen.' });
			const told: Told[] = [];
			const ctx = await locals.app.context(locals.who!);
			for (const file of files) {
				const { name } = file;
				const content = await contentOf(file);
				const result = await performInThread(locals.app.books, 'import-bank-file', { name, content }, ctx);
				told.push(
					result.ok
						? {
								...{ name, ok: true, lines: [importedSentence(result.value)] },
								doubted: result.value.statements.some(({ fault }) => fault !== null)
							}
						: { name, ok: false, lines: result.problems.map(problemSentence) }
				);
			}
			return ok({ told });
		},
		BANK_FILE_BYTES + 1_000_000
	)
};
