/**
 * The end of a text that is made of certain signs alone; empty where its last is none. Looked at from the end, sign by sign: a regular
 * expression for it begins anew at each of a long run in the middle.
 * @param sign what one UTF-16 unit has to fit
 */
export function endingOf(text: string, sign: RegExp): string {
	let from = text.length;
	while (from > 0 && sign.test(text[from - 1]!)) from--;
	return text.slice(from);
}
