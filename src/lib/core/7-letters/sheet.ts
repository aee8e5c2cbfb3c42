import type { Day } from '../day/day';
import type { RichBlock } from './wording/rich-text';

/**
 * A printed page as one description, from which its PDF and the HTML of its mail are made: same words, same order. All text is ready to
 * be read; what stands for amounts is aligned by the columns.
 */
export interface Sheet {
	/** ISO 639-1. */
	readonly language: string;
	readonly title: string;
	/** Who sends it. */
	readonly author: string;
	/** Its day: the same sheet gives the same bytes. */
	readonly day: Day;
	readonly head: SheetHead;
	/** Name and address as they show in the window of an envelope. */
	readonly to: readonly string[];
	readonly facts: readonly SheetFact[];
	/** At the head of every page but the first. */
	readonly running: string;
	readonly footer: string;
	/** With `{page}` and `{pages}`. */
	readonly pages: string;
	readonly blocks: readonly SheetBlock[];
}

export interface SheetHead {
	readonly name: string;
	readonly address: readonly string[];
	readonly contact: readonly string[];
	/** In small print above the address, so that both show in the window. */
	readonly sender: string;
	/** A data URL of a PNG or JPEG. */
	readonly logo: string | null;
}

export interface SheetFact {
	readonly name: string;
	readonly value: string;
}

export type SheetBlock =
	| {
			readonly kind: 'text';
			readonly text: string;
			readonly soft?: boolean;
			/** On one page. */ readonly whole?: boolean;
	  }
	| { readonly kind: 'rich'; readonly block: RichBlock }
	| SheetTable
	| { readonly kind: 'figures'; readonly name: string; readonly cells: readonly SheetFact[] }
	| SheetPay;

export interface SheetTable {
	readonly kind: 'table';
	readonly columns: readonly SheetColumn[];
	readonly rows: readonly SheetRow[];
	/** What the last column comes to, on each page so far and in all. */
	readonly sums: SheetSums | null;
}

export interface SheetColumn {
	readonly name: string;
	readonly figures?: boolean;
	/** Takes what room the others leave. */
	readonly wide?: boolean;
}

export interface SheetRow {
	readonly cells: readonly SheetCell[];
	/** Belongs to the row above. */
	readonly detail?: boolean;
	/** What the rows so far come to. */
	readonly carried: string;
}

export interface SheetCell {
	readonly text: string;
	readonly strong?: boolean;
	readonly soft?: boolean;
	/** Said behind it in soft print. */
	readonly after?: string;
	/** Said behind it as what is overdue. */
	readonly late?: string;
}

export interface SheetSums {
	readonly forward: string;
	readonly brought: string;
	readonly name: string;
	readonly value: string;
}

export interface SheetPay {
	readonly kind: 'pay';
	readonly name: string;
	readonly says: string;
	readonly lines: readonly SheetFact[];
	readonly link: { readonly url: string; readonly text: string } | null;
	readonly code: { readonly text: string; readonly says: string } | null;
}
