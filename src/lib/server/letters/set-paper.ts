import type { Letter } from '../../core/7-letters/letter';
import type { Paper } from '../../core/7-letters/paper';
import { layOutLetter, layOutPaper } from '../../words/letters';
import { typeset } from '../platform/pdf/typeset';

/** What can be set as paper. */
export type ToSet =
	{ readonly what: 'letter'; readonly letter: Letter } | { readonly what: 'paper'; readonly paper: Paper };

/** A letter or document laid out and set as PDF, in this thread. */
export function setPaper(input: ToSet): Buffer {
	return typeset(input.what === 'letter' ? layOutLetter(input.letter) : layOutPaper(input.paper));
}
