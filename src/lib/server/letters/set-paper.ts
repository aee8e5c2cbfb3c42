import type { Letter } from '../../core/7-letters/letter';
import type { Sheet } from '../../core/7-letters/sheet';
import type { Paper } from '../../core/7-letters/paper';
import { layOutLetter, layOutPaper } from '../../words/letters';
import { typeset } from '../platform/pdf/typeset';

/** What can be set as paper. */
export type ToSet =
	| { readonly what: 'letter'; readonly letter: Letter }
	| { readonly what: 'paper'; readonly paper: Paper }
	| { readonly what: 'sheet'; readonly sheet: Sheet };

/** A letter or document laid out and set as PDF, in this thread. */
export function setPaper(input: ToSet): Buffer {
	switch (input.what) {
		case 'letter':
			return typeset(layOutLetter(input.letter));
		case 'paper':
			return typeset(layOutPaper(input.paper));
		default:
			return typeset(input.sheet);
	}
}
