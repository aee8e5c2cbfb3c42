import { layOutLetter, layOutPaper } from '../../words/letters';
import { typeset } from '../platform/pdf/typeset';
import type { ToRender } from './render-pdf';

/** A letter or document laid out and set, in this thread. */
export function setPaper(input: ToRender): Buffer {
	return typeset(input.what === 'letter' ? layOutLetter(input.letter) : layOutPaper(input.paper));
}
