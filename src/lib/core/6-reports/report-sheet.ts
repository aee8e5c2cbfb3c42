import type { Day } from '../day/day';

/** A report as paper: all text is ready to be read. */
export interface ReportSheet {
	/** ISO 639-1. */
	readonly language: string;
	readonly title: string;
	/** Whose books it is of. */
	readonly author: string;
	/** Its day: the same sheet gives the same bytes. */
	readonly day: Day;
	/** What it was asked, and when it was made. */
	readonly asked: readonly { readonly name: string; readonly value: string }[];
	readonly columns: readonly {
		readonly name: string;
		/** Figures stand to the right. */
		readonly figures: boolean;
		/** Takes what room the others leave. */
		readonly wide: boolean;
	}[];
	readonly rows: readonly { readonly cells: readonly string[]; readonly isSum: boolean }[];
	/** What stands there where there is no row. */
	readonly nothing: string;
	readonly footer: string;
	/** With `{page}` and `{pages}`. */
	readonly pages: string;
}
