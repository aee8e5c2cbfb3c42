import { z } from 'zod';
import type { Result } from '../../../core/result';
import type { TableAnswer } from '../../../tables/table-seen';
import { TABLE_ANSWER } from '../../firm/store/table-answer';
import { jsonField } from '../../platform/http/json-field';
import { shaped } from '../../platform/http/action';

const ANSWERS = z
	.array(TABLE_ANSWER, 'What was said of the columns cannot be read. Load the page again.')
	.max(20);

/** What a form's field `answers` says of how tables are to be read; nothing where it is empty. */
export function readTableAnswers(form: FormData): Result<readonly TableAnswer[]> {
	return shaped(ANSWERS, jsonField(form, 'answers', []));
}
