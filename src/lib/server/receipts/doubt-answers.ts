import { z } from 'zod';
import { err, ok, type Result } from '../../core/result';
import type { DoubtAnswer } from '../../core/model/entry-doubt';
import { idField } from '../act/fields';

const ANSWERS = z.array(z.object({ key: z.string().max(300), entryId: idField.nullable() })).max(10_000);

/** What a form says of entries that may be in the books already, in its field `doubtAnswers`; none where it says nothing. */
export function readDoubtAnswers(form: FormData): Result<readonly DoubtAnswer[]> {
	const given = form.get('doubtAnswers');
	if (typeof given !== 'string' || given === '') return ok([]);
	const read = ANSWERS.safeParse(jsonOf(given));
	return read.success
		? ok(read.data)
		: err({ code: 'field', field: 'doubtAnswers', message: 'Say of each entry whether it is the same.' });
}

function jsonOf(text: string): unknown {
	try {
		return JSON.parse(text);
	} catch {
		return null;
	}
}
