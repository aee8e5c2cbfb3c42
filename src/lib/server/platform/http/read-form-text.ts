import type { FileKind } from '../../../core/model/file-kind';
import { err, ok, type Result } from '../../../core/result';
import { cleanLine, cleanText } from '../../../core/text/clean-text';
import { cutText } from '../../../core/text/cut-text';
import { HEAD_BYTES, recogniseFile } from '../../../tables/recognise-file';
import { sheetText } from '../../../tables/sheet-text';
import { contentOf, readContent, type FileContent } from '../files/file-content';
import { decodeText } from '../../../tables/decode-text';

/** Larger files are refused: 100,000 open documents are a tenth of it. */
export const FORM_TEXT_BYTES = 100_000_000;

/** A text that a form brings, with the name of its file; none for what was pasted. */
export interface FormText {
	readonly file: string | null;
	readonly text: string;
	/** What it is, by its first bytes. */
	readonly kind: FileKind;
}

/** What a form brings as it came: a file that nobody has read yet, or what was pasted. It crosses threads. */
export interface FormSource {
	readonly file: string | null;
	readonly content: FileContent | string;
}

/** Makes text of what came: by its encoding, and clean; of a spreadsheet file the rows of its first sheet that has any. */
export async function textOfSource({ file, content }: FormSource): Promise<Result<FormText>> {
	if (typeof content === 'string')
		return ok({
			...{ file, text: cleanText(content) },
			kind: kindOfText(content)
		});
	const bytes = await readContent(content);
	const kind = recogniseFile(bytes.subarray(0, HEAD_BYTES));
	if (kind !== 'spreadsheet') return ok({ file, text: cleanText(decodeText(bytes)), kind });
	const read = await sheetText(bytes);
	if (!read.ok) return inFile(read, file);
	const text = cleanText(read.value.text);
	return ok({ file, text, kind: kindOfText(text) });
}

function kindOfText(text: string): FileKind {
	return recogniseFile(new TextEncoder().encode(text.slice(0, HEAD_BYTES)));
}

/** The texts of the files in a form's field `file`, or of its field `pasted` where no file was chosen. */
export async function readFormTexts(form: FormData): Promise<Result<FormText[]>> {
	const sources = await readFormSources(form);
	if (!sources.ok) return sources;
	const texts: FormText[] = [];
	for (const source of sources.value) {
		const text = await textOfSource(source);
		if (!text.ok) return text;
		texts.push(text.value);
	}
	return ok(texts);
}

/** The same, unread: where reading takes long it is for another thread. */
export async function readFormSources(form: FormData): Promise<Result<FormSource[]>> {
	const files = form.getAll('file').filter((one) => one instanceof File && one.size > 0) as File[];
	const bytes = files.reduce((sum, file) => sum + file.size, 0);
	if (bytes > FORM_TEXT_BYTES) return err({ code: 'file-too-large', bytes, most: FORM_TEXT_BYTES });
	const pasted = form.get('pasted');
	if (files.length === 0) return ok([{ file: null, content: typeof pasted === 'string' ? pasted : '' }]);
	const sources: FormSource[] = [];
	for (const file of files) sources.push({ file: fileName(file.name), content: await contentOf(file) });
	return ok(sources);
}

/** A file's name as it is kept and shown. */
export function fileName(given: string): string {
	return cutText(cleanLine(given).trim() || 'file', 200);
}

/** Kinds that are never rows or documents; of tables with other columns their reader says more. */
const ELSEWHERE: ReadonlySet<FileKind> = new Set([
	...(['bank-file', 'other-bank-file', 'bank-table', 'documents', 'customers', 'rates', 'history'] as const),
	...(['picture', 'pdf', 'spreadsheet', 'old-spreadsheet', 'archive', 'web-page'] as const)
]);

/** What was read; or, where that failed because the file is something else, what it is. */
export function asKind<T>(wanted: FileKind, { kind }: FormText, result: Result<T>): Result<T> {
	if (result.ok || kind === wanted || !ELSEWHERE.has(kind)) return result;
	return err({ code: 'other-file', found: kind, wanted });
}

/** Puts the file's name to what is wrong in it. */
export function inFile<T>(result: Result<T>, file: string | null): Result<T> {
	if (result.ok || file === null) return result;
	return err(...result.problems.map((one) => ({ ...one, file })));
}
