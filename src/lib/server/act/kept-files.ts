import { z } from 'zod';
import type { Problem } from '../../core/problems';
import { cleanLine } from '../../core/text/clean-text';
import { cutText } from '../../core/text/cut-text';
import { DomainError } from './domain-error';

/** So large may be a file that is kept with something of the books, in bytes. */
export const KEPT_FILE_BYTES = 12 * 1024 * 1024;

/** Files that are kept just as they came, with names that can be shown. */
export const keptFilesField = z
	.array(
		z.object({
			name: z
				.string()
				.max(1_000)
				.transform((text) => cutText(cleanLine(text), 200)),
			type: z.string().max(200),
			content: z.instanceof(Buffer)
		})
	)
	.min(1, 'Choose a file first.')
	.max(50, 'Fifty files at most at once.');

export type KeptFiles = z.output<typeof keptFilesField>;

/** Refuses all of them where one is empty or too large, and names each that is. */
export function refuseOddFiles(files: KeptFiles): void {
	const problems = files.flatMap(({ name, content: { length: bytes } }): Problem[] =>
		bytes === 0
			? [{ code: 'file-empty', file: name }]
			: bytes > KEPT_FILE_BYTES
				? [{ code: 'file-too-large', file: name, bytes, most: KEPT_FILE_BYTES }]
				: []
	);
	if (problems.length > 0) throw new DomainError(...problems);
}
