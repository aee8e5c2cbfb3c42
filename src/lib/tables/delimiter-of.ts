/** Longer beginnings tell nothing more. */
const HEAD = 100_000;

/**
 * The sign that one of the first lines uses most among comma, semicolon and tab, outside quotes.
 * @param lines so many are looked at
 */
export function delimiterOf(text: string, lines: number): string {
	const first = text
		.slice(0, HEAD)
		.split(/\r\n|\r|\n/, lines)
		.map((line) => line.replace(/"[^"]*"/g, ''));
	const most = (sign: string) => Math.max(...first.map((line) => line.split(sign).length));
	return [',', ';', '\t'].reduce((best, sign) => (most(sign) > most(best) ? sign : best));
}
