import type { DoubtAnswer, EntryDoubt } from '$lib/core/model/entry-doubt';
import { doubtsOf } from '$lib/core/1-bank-files/doubts-of';
import { readDoubtAnswers } from '$lib/server/receipts/doubt-answers';
import { err, ok } from '$lib/core/result';
import type { CallContext } from '$lib/server/act/define-act';
import type { Books } from '$lib/server/platform/db/open';
import type { FileGiven } from '$lib/server/receipts/store/bank-files-within';
import { lookInThread } from '$lib/server/services/threads/look-in-thread';
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
	/** Entries of which somebody has to say whether they are in the books already. */
	readonly doubts: readonly EntryDoubt[];
}

async function bringIn(
	books: Books,
	given: FileGiven & { readonly doubtAnswers: readonly DoubtAnswer[] },
	ctx: CallContext
): Promise<Told> {
	const { name } = given;
	const result = await performInThread(books, 'import-bank-file', given, ctx);
	return result.ok
		? {
				...{ name, ok: true, lines: [importedSentence(result.value)], doubts: [] },
				doubted: result.value.statements.some(({ fault }) => fault !== null)
			}
		: {
				...{ name, ok: false, lines: result.problems.map(problemSentence) },
				doubts: doubtsOf(result.problems)
			};
}

export const actions = {
	default: preview(
		'clerk',
		async (_, form, { locals }) => {
			const files = form.getAll('files').filter((one): one is File => one instanceof File);
			if (files.length === 0) return err({ code: 'field', field: 'files', message: 'No file was chosen.' });
			const doubts = readDoubtAnswers(form);
			if (!doubts.ok) return doubts;
			const told: Told[] = [];
			const ctx = await locals.app.context(locals.who!);
			// A context has functions, which do not cross threads.
			const viewer = { who: ctx.who, today: ctx.today };
			for (const file of files) {
				const { name } = file;
				const content = await contentOf(file);
				const given = { name, content };
				const within = await lookInThread(locals.app.books.db, 'bank-files-within', given, viewer);
				if (!within.ok)
					told.push({ name, ok: false, lines: within.problems.map(problemSentence), doubts: [] });
				else
					for (const one of within.value)
						told.push(await bringIn(locals.app.books, { ...one, doubtAnswers: doubts.value }, ctx));
			}
			return ok({ told });
		},
		BANK_FILE_BYTES + 1_000_000
	)
};
