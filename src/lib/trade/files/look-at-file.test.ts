import { describe, expect, test } from 'vitest';
import { SheetDay, xlsx, type Cell } from '../../tables/testing-xlsx';
import { lookAtFile } from './look-at-file';

const file = (name: string, content: BlobPart) => new File([content], name);
const sheet = (...rows: Cell[][]) => file('list.xlsx', xlsx({ Notes: [], 'Sheet two': rows }));

describe('a file that somebody brings', () => {
	test('is what it says, whatever its name', async () => {
		const { kind, file: same } = await lookAtFile(file('x.pdf', 'number,customer_code,open\nAK-1,H1,1.00\n'));
		expect([kind, same.name]).toEqual(['documents', 'x.pdf']);
	});
	test.each<[string, Cell[][]]>([
		[
			'documents',
			[
				['Kunde', 'Rg.-Nr.', 'Rechnungsdatum', 'Offen'],
				['K7', 'LW-1', new SheetDay('2026-10-01'), 12]
			]
		],
		[
			'customers',
			[
				['code', 'name'],
				['H1', 'Hazel Hill']
			]
		],
		[
			'bank-table',
			[
				['Date', 'Details', 'Paid out', 'Paid in', 'Balance'],
				[new SheetDay('2026-10-28'), 'HAZEL', null, 10, 10]
			]
		]
	])('is, as a spreadsheet, %s by its rows, and goes on as it is', async (want, rows) => {
		const given = sheet(...rows);
		const seen = await lookAtFile(given);
		expect([seen.kind, seen.file]).toEqual([want, given]);
	});
	test('goes on as text where only text is read of its kind', async () => {
		const { kind, file: text } = await lookAtFile(sheet(['invoice', 'amount paid'], ['AK-40426', 12.5]));
		expect([kind, text.name]).toEqual(['advice', 'list.xlsx, Sheet two.csv']);
		expect(await text.text()).toBe('invoice\tamount paid\nAK-40426\t12.5');
	});
	test('stays a spreadsheet file where nothing can be read in it', async () => {
		const whole = xlsx({ Items: [['code', 'name']] });
		expect((await lookAtFile(file('a.xlsx', whole.slice(0, whole.length - 30)))).kind).toBe('spreadsheet');
		expect((await lookAtFile(file('b.xlsx', xlsx({ Items: [] })))).kind).toBe('spreadsheet');
	});
});
