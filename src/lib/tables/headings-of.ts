/** The sign that a line uses most among comma, semicolon and tab, outside quotes. */
export function delimiterOf(text: string): string {
	const first = (/^[^\r\n]*/.exec(text)?.[0] ?? '').replace(/"[^"]*"/g, '');
	const count = (sign: string) => first.split(sign).length - 1;
	return [',', ';', '\t'].reduce((best, sign) => (count(sign) > count(best) ? sign : best));
}

/** The names of a table's columns as its first line gives them, small; one name where it is no table. */
export function headingsOf(text: string): string[] {
	const source = text.replace(/^\uFEFF/, '');
	const first = /^[^\r\n]*/.exec(source)?.[0] ?? '';
	return first
		.split(delimiterOf(source))
		.map((name) => name.trim().replace(/^"|"$/g, '').trim().toLowerCase());
}
