import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { joinWrapped } from './join-wrapped';

describe('text broken at a width', () => {
	it.each([
		['words of their own lines', ['INVOICE AK-40081', 'LESS DISCOUNT'], 65, 'INVOICE AK-40081 LESS DISCOUNT'],
		['a word broken where the line was full', ['AK-400', '81 AK-40', '099'], 8, 'AK-400 81 AK-40099'],
		['a blank lost at the end of a line', ['PAYS FOR', 'ALL'], 9, 'PAYS FOR ALL'],
		['lines wider than they should be', ['x'.repeat(70), 'y'], 65, `${'x'.repeat(70)}y`],
		['nothing', [], 65, '']
	])('%s', (_, lines, width, want) => expect(joinWrapped(lines, width)).toBe(want));

	it('is as it was, wherever it was broken, the blanks at the ends of lines lost', () =>
		fc.assert(
			fc.property(
				fc.stringMatching(/^[A-Z]+(?: [A-Z]+)*$/),
				fc.integer({ min: 5, max: 40 }),
				(text, width) => {
					const lines: string[] = [];
					for (let at = 0; at < text.length; at += width) lines.push(text.slice(at, at + width).trimEnd());
					// A blank that begins a line would be one too many: banks put it at the end of the line before.
					fc.pre(!lines.some((line) => line.startsWith(' ')));
					expect(joinWrapped(lines, width)).toBe(text);
				}
			)
		));
});
