/**
 * Text that was broken at a width, put together again. A line as wide as the widest was broken where it was full, within a word or after
 * it; a shorter one ended by itself, or lost the blanks at its end: a blank stands there.
 * @param width at which it is known to be broken at the least; the widest line where that is wider
 * @param tag how many signs stood before the first line, which some count among its own
 */
export function joinWrapped(lines: readonly string[], width: number, tag = 0): string {
	const full = Math.max(width, ...lines.map((line) => line.length));
	const isFull = (line: string, at: number) =>
		line.length === full || (at === 0 && line.length === full - tag);
	return lines
		.map((line, at) => (at < lines.length - 1 && !isFull(line, at) ? `${line.trimEnd()} ` : line))
		.join('')
		.trim();
}
