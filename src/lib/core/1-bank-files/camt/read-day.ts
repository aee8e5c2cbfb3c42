import { parseDay, type Day } from '../../day/day';
import type { Problem } from '../../problems';
import { at, textAt, type Node } from './node';
import type { Place } from './read-amount';

/**
 * Reads a DateAndDateTimeChoice (`Dt` or `DtTm`) under a path. The calendar day is the one written, before any zone: banks
 * book by their own day. Null without a problem where the part is absent and not required.
 */
export function readDay(
	node: Node,
	path: string,
	required: boolean,
	place: Place,
	problems: Problem[]
): Day | null {
	const holder = at(node, path);
	const text = holder && (textAt(holder, 'Dt', 'DtTm') ?? holder.text.trim());
	if (!text) {
		if (required) problems.push({ code: 'part-missing', part: path, ...place });
		return null;
	}
	const time = /^(\d{4}-\d{2}-\d{2})(T[\d:.]+)?(Z|[+-]\d{2}:\d{2})?$/.exec(text);
	const found = time ? parseDay(time[1]!) : null;
	if (!found) problems.push({ code: 'date-bad', text: text.slice(0, 40), part: path, ...place });
	return found;
}
