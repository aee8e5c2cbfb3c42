import { cleanLine } from '../../text/clean-text';
import { cutText } from '../../text/cut-text';
import type { Information } from './information';
import { joinWrapped } from './join-wrapped';
import { readKeywords } from './read-keywords';
import { readNumbered } from './read-numbered';
import { readSlashed } from './read-slashed';

/** Width of a line of field 86 (SWIFT Standards MT: `6*65x`). */
const LINE_WIDTH = 65;
const TAG = ':86:';
const LONGEST_NAME = 400;
const LONGEST_TEXT = 10_000;

/** Information to the account owner (field 86), in whichever of its ways it is written. @param lines as they stand */
export function readInformation(lines: readonly string[]): Information {
	const whole = cleanLine(joinWrapped(unnumbered(lines), LINE_WIDTH, TAG.length));
	const text = whole.slice(0, LONGEST_TEXT * 2);
	const read = readNumbered(text) ?? readSlashed(text) ?? readKeywords(text);
	return {
		...read,
		name: read.name && cutText(read.name, LONGEST_NAME),
		text: cutText(read.text, LONGEST_TEXT)
	};
}

/** Where each line begins with a part's number, it was not broken at a width: nothing is missing at its end. */
function unnumbered(lines: readonly string[]): readonly string[] {
	const sign = /^\d{3}([?<>@^~!|+$&#])\d\d/.exec(lines[0] ?? '')?.[1];
	if (!sign) return lines;
	const joined: string[] = [];
	for (const line of lines) {
		if (joined.length > 0 && line.startsWith(sign)) joined.push(joined.pop()! + line);
		else joined.push(line);
	}
	return joined;
}
