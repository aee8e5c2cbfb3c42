import fc from 'fast-check';
import { expect, it } from 'vitest';
import { problemSentence } from '../words';
import { parseGrid } from './parse-grid';

const read = (text: string) => {
	const grid = parseGrid(text);
	if (!grid.ok) throw new Error(grid.problems.map(problemSentence).join(' '));
	return grid.value;
};

it('keeps cells by their place, with the line on which their row begins; what is blank is left out', () => {
	expect(read('\uFEFFTitle\r\n\r\n;;\r\na;"b\r\nc";\r\n 1 ;2;3;4\r\n')).toEqual([
		{ line: 1, cells: ['Title'] },
		{ line: 4, cells: ['a', 'b\r\nc', ''] },
		{ line: 6, cells: ['1', '2', '3', '4'] }
	]);
});
it.each([
	[' \n', 'The file is empty. Export it, or fetch it, again.'],
	['a;b\n"1;2\n', /^Line 2: the table is broken here/]
])('%j is refused', (text, says) => {
	const grid = parseGrid(text);
	expect(grid.ok ? '' : problemSentence(grid.problems[0]!)).toMatch(says);
});
it('reads what was written, whatever is in the cells', () =>
	fc.assert(
		fc.property(
			fc.array(fc.array(fc.string(), { minLength: 2, maxLength: 5 }), { minLength: 1 }),
			fc.constantFrom(',', ';', '\t'),
			(rows, sign) => {
				const cells = rows.map((row) => row.map((cell) => `x${cell.trim()}`));
				const quote = (text: string) => `"${text.replaceAll('"', '""')}"`;
				const text = cells.map((row) => row.map(quote).join(sign)).join('\n');
				expect(read(text).map((row) => row.cells)).toEqual(cells);
			}
		)
	));
