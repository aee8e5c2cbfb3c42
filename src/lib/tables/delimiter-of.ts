/** Longer beginnings tell nothing more. */
const HEAD = 100_000;

/** What is less often found within words stands first, and is taken if two could be meant. */
const SIGNS = ['\t', ';', ','] as const;

/**
 * The sign between the cells of a table, among tab, semicolon and comma outside quotes: the one by which most lines fall into the same
 * number of cells. A title with many commas, or amounts with decimal commas, do not outweigh it.
 * @param lines so many are looked at
 */
export function delimiterOf(text: string, lines: number): string {
	const first = text
		.slice(0, HEAD)
		.split(/\r\n|\r|\n/, lines)
		.map((line) => line.replace(/"[^"]*"/g, ''));
	const weights = SIGNS.map((sign) => weightOf(first.map((line) => line.split(sign).length)));
	const heaviest = Math.max(...weights);
	// Of a text without any, commas are the standard's (RFC 4180).
	return heaviest === 0 ? ',' : SIGNS[weights.indexOf(heaviest)]!;
}

/** The cells of all lines that have the number of cells by which this becomes most; lines of one cell tell nothing. */
function weightOf(cells: readonly number[]): number {
	const together = new Map<number, number>();
	for (const count of cells) if (count > 1) together.set(count, (together.get(count) ?? 0) + count);
	return Math.max(0, ...together.values());
}
