import { delimiterOf } from './delimiter-of';

/** The names of a table's columns as its first line gives them, small; one name where it is no table. */
export function headingsOf(text: string): string[] {
	const source = text.replace(/^\uFEFF/, '');
	const first = /^[^\r\n]*/.exec(source)?.[0] ?? '';
	return first
		.split(delimiterOf(source, 1))
		.map((name) => name.trim().replace(/^"|"$/g, '').trim().toLowerCase());
}
