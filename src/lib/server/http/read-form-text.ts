import { bad, good, type Result } from '../../core/result';
import { decodeText } from '../files/decode-text';

/** Larger files are refused: 100,000 open documents are a tenth of it. */
const MOST_BYTES = 100_000_000;

/** The text of a form's field `file`, or of its field `pasted` where no file was chosen. */
export async function readFormText(form: FormData): Promise<Result<string>> {
	const file = form.get('file');
	const pasted = form.get('pasted');
	if (!(file instanceof File) || file.size === 0) return good(typeof pasted === 'string' ? pasted : '');
	if (file.size > MOST_BYTES) return bad({ code: 'file-too-large', bytes: file.size, most: MOST_BYTES });
	return good(decodeText(new Uint8Array(await file.arrayBuffer())));
}
