import { readDocuments } from '../core/1-open-items/testing-all-rows';
import fc from 'fast-check';
import { strToU8, zipSync } from 'fflate';
import { describe, expect, test } from 'vitest';
import { parseGrid } from './parse-grid';
import { readOwnTable } from './read-own-table';
import { sheetText } from './sheet-text';
import { SheetDay, xlsx, type Cell } from './testing-xlsx';
import { unpack } from './unpack';

const textOf = async (rows: readonly (readonly Cell[])[]) => {
	const read = await sheetText(xlsx({ Items: rows }));
	if (!read.ok) throw new Error(JSON.stringify(read.problems));
	return read.value.text;
};
const codes = (result: { ok: boolean; problems?: readonly { code: string }[] }) =>
	result.ok ? [] : result.problems!.map((one) => one.code);

describe('a spreadsheet file', () => {
	test('is the table of its first sheet that has anything', async () => {
		const bytes = xlsx({ Notes: [], 'Open & late': [['A'], ['1']], Other: [['B']] });
		expect(await sheetText(bytes)).toEqual({ ok: true, value: { sheet: 'Open & late', text: 'A\n1' } });
	});
	test.each<[Cell, string]>([
		[1200, '1200'],
		[1044.6, '1044.6'],
		[0.1 + 0.2, '0.3'],
		[-45.4, '-45.4'],
		// Three decimals could be thousands.
		[1.234, '1.2340'],
		[123456789012345, '123456789012345'],
		[new SheetDay('2026-10-31'), '2026-10-31'],
		[new SheetDay('1999-02-28'), '1999-02-28'],
		['0042', '0042'],
		['Kiln Row\nMere', 'Kiln Row, Mere'],
		['a "b" & <c>', '"a ""b"" & <c>"'],
		['', ''],
		[null, '']
	])('has %s as %s', async (cell, want) => {
		expect(
			(
				await textOf([
					['head', 'other'],
					[cell, 'x']
				])
			).split('\n')[1]
		).toBe(`${want}\tx`);
	});
	test('keeps its rows as lines, empty ones too', async () => {
		const grid = parseGrid(await textOf([['Open items'], [], ['Number', 'Open'], [null, null], ['AK-1', 5]]));
		expect(grid.ok && grid.value.map(({ line, cells }) => [line, cells[0]])).toEqual([
			[1, 'Open items'],
			[3, 'Number'],
			[5, 'AK-1']
		]);
	});
	test('is read like any table of open items, days and amounts without a question', async () => {
		const text = await textOf([
			['Kunde', 'Rg.-Nr.', 'Rechnungsdatum', 'Fällig am', 'Offen'],
			['K7', 'LW-1', new SheetDay('2026-10-01'), new SheetDay('2026-10-31'), 1200],
			['K8', 'LW-2', new SheetDay('2026-10-02'), null, 79.5],
			['K8', 'LW-3', new SheetDay('2026-10-03'), null, -45.4]
		]);
		const table = readOwnTable('documents', { text, file: 'list.xlsx' }, [], 'GBP');
		const rows = table.ok ? readDocuments(table.value.rows) : table;
		expect(
			rows.ok && rows.value.map(({ number, kind, issued, open }) => [number, kind, issued, open])
		).toEqual([
			['LW-1', 'invoice', '2026-10-01', 120_000],
			['LW-2', 'invoice', '2026-10-02', 7_950],
			['LW-3', 'credit_note', '2026-10-03', 4_540]
		]);
	});
	test('gives any amounts and texts back as they were', async () => {
		// Two lines in a cell are one, and tabs are blanks: what is left is the same.
		const word = fc
			.string({ unit: 'grapheme', minLength: 1, maxLength: 12 })
			.filter((text) => /^[\p{L}\p{N}"';,&<>.\- ]+$/u.test(text) && text.trim() === text);
		const pennies = fc.integer({ min: -1e12, max: 1e12 });
		const rows = fc.array(fc.tuple(word, pennies), { minLength: 1, maxLength: 8 });
		await fc.assert(
			fc.asyncProperty(rows, async (given) => {
				const grid = parseGrid(
					await textOf([['Name', 'Open'], ...given.map(([name, amount]) => [name, amount / 100] as const)])
				);
				expect(
					grid.ok && grid.value.slice(1).map(({ cells }) => [cells[0], Math.round(Number(cells[1]) * 100)])
				).toEqual(given);
			}),
			{ numRuns: 60 }
		);
	});
	test('that is none, or holds nothing, is refused', async () => {
		expect(codes(await sheetText(strToU8('PK no archive')))).toEqual(['archive-broken']);
		expect(codes(await sheetText(zipSync({ 'a.txt': strToU8('a') })))).toEqual(['sheet-unreadable']);
		expect(codes(await sheetText(xlsx({ Items: [] })))).toEqual(['sheet-unreadable']);
		const whole = xlsx({ Items: [['A'], ['1']] });
		expect(codes(await sheetText(whole.slice(0, whole.length - 40)))).toEqual(['archive-broken']);
	});
});

describe('an archive', () => {
	const LIMITS = { files: 3, bytes: 10_000_000, ratio: 100 };
	const zeros = (n: number) => new Uint8Array(n);
	test('is unpacked within its limits', () => {
		const read = unpack(zipSync({ 'a/b.txt': strToU8('one'), 'c.txt': zeros(500_000) }), LIMITS);
		expect(read.ok && Object.entries(read.value).map(([name, bytes]) => [name, bytes.length])).toEqual([
			['a/b.txt', 3],
			['c.txt', 500_000]
		]);
	});
	test.each<[string, Record<string, Uint8Array>]>([
		['more files', { a: zeros(1), b: zeros(1), c: zeros(1), d: zeros(1) }],
		[
			'more bytes',
			Object.fromEntries(
				['a', 'b', 'c'].map((name) => [
					name,
					Uint8Array.from({ length: 3_400_000 }, (_, i) => (i * i * 31) % 251)
				])
			)
		],
		['one packed a thousand times', { a: zeros(2_000_000) }]
	])('with %s is refused before it is unpacked', (_, files) => {
		expect(codes(unpack(zipSync(files), LIMITS))).toEqual(['archive-too-large']);
	});
	test('whose directory says a file is smaller than it is takes no more memory than it says', () => {
		const packed = zipSync({ a: zeros(900_000) });
		// The size in the central directory (APPNOTE 4.3.12, at 24) and in the local header (4.3.7, at 22).
		const view = new DataView(packed.buffer);
		for (let at = 0; at < packed.length - 4; at++) {
			if (view.getUint32(at, true) === 0x02014b50) view.setUint32(at + 24, 10, true);
			if (view.getUint32(at, true) === 0x04034b50) view.setUint32(at + 22, 10, true);
		}
		const read = unpack(packed, LIMITS);
		expect(read.ok ? read.value['a']!.length : 0).toBeLessThanOrEqual(10);
	});
});
