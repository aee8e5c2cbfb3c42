import { numberDigits } from './number-digits';

/** Fewer numbers of one shape teach nothing about it. */
const LEAST_NUMBERS = 4;

/** What a shape of document numbers has learned: which of its runs of digits counts on. */
interface Pattern {
	/** The place of the run that tells the documents apart, from nought. */
	readonly run: number;
	/** Whether that run begins with the year in all of them: "202600123". */
	readonly year: boolean;
}

/** The firm's own number patterns, by shape: digits runs as #, letters as they are. */
export type NumberPatterns = ReadonlyMap<string, Pattern>;

/**
 * Learns from document numbers which of their digits count on, shape by shape: the run with the most different values, of equal
 * ones the longer, then the later. "K.1921-26" and its like count by 1921, whatever year that looks like.
 */
export function learnNumberPatterns(numbers: Iterable<string>): NumberPatterns {
	const shapes = new Map<string, Set<string>[]>();
	for (const number of numbers) {
		const runs = number.match(/\d+/g);
		if (!runs) continue;
		const shape = shapeOf(number);
		const seen = shapes.get(shape) ?? runs.map(() => new Set<string>());
		shapes.set(shape, seen);
		for (const [i, run] of runs.entries()) seen[i]!.add(run);
	}
	const patterns = new Map<string, Pattern>();
	for (const [shape, seen] of shapes) {
		const most = Math.max(...seen.map((values) => values.size));
		if (most < LEAST_NUMBERS) continue;
		const length = (values: Set<string>) => Math.max(...[...values].map((value) => value.length));
		let run = -1;
		for (const [i, values] of seen.entries())
			if (values.size === most && (run < 0 || length(values) >= length(seen[run]!))) run = i;
		const year = [...seen[run]!].every((value) => /^(19|20)\d\d\d{3,}$/.test(value));
		patterns.set(shape, { run, year });
	}
	return patterns;
}

/** The digits that tell a document number from others of its series, without leading zeros, by what its shape has taught. */
export function digitsByPattern(number: string, patterns: NumberPatterns): string | null {
	const pattern = patterns.get(shapeOf(number));
	if (!pattern) return numberDigits(number);
	const run = number.match(/\d+/g)![pattern.run]!;
	return (pattern.year ? run.slice(4) : run).replace(/^0+/, '') || null;
}

/** The letters and signs of a number around its digits; the letters of a series may change, its signs do not. */
export function shapeOf(number: string): string {
	return number.replace(/\d+/g, '#').replace(/\p{L}+/gu, (letters) => letters.toUpperCase());
}
