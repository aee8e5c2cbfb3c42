const MARK = ' […]';

/** Text of no more than so many UTF-16 units: what is longer is cut, with a mark, and not within a character. */
export function cutText(text: string, most: number): string {
	if (text.length <= most) return text;
	const end = most - MARK.length;
	// The first half of a pair goes with its second.
	const last = text.charCodeAt(end - 1);
	return text.slice(0, last >= 0xd800 && last <= 0xdbff ? end - 1 : end) + MARK;
}
