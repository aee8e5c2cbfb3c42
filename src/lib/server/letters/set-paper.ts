import type { Letter } from '../../core/7-letters/letter';
import type { ReportSheet } from '../../core/6-reports/report-sheet';
import type { Sheet } from '../../core/7-letters/sheet';
import type { Paper } from '../../core/7-letters/paper';
import { layOutLetter, layOutPaper } from '../../words/letters';
import { typeset, typesetReport } from '../platform/pdf/typeset';

/** What can be set as paper. */
export type ToSet =
	| { readonly what: 'letter'; readonly letter: Letter }
	| { readonly what: 'paper'; readonly paper: Paper }
	| { readonly what: 'sheet'; readonly sheet: Sheet }
	| { readonly what: 'report'; readonly report: ReportSheet };

/** A letter or document laid out and set as PDF, in this thread. */
export function setPaper(input: ToSet): Buffer {
	switch (input.what) {
		case 'letter':
			return typeset(layOutLetter(input.letter));
		case 'paper':
			return typeset(layOutPaper(input.paper));
		case 'sheet':
			return typeset(input.sheet);
		case 'report':
			return typesetReport(input.report);
	}
}
