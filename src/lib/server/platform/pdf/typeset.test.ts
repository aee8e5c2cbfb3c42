import { expect, test, describe } from 'vitest';
import { day } from '../../../core/day/day';
import type { Sheet, SheetRow } from '../../../core/7-letters/sheet';
import { bundle, pagesOf } from './bundle';
import { typeset } from './typeset';

const cell = (text: string) => ({ text });
const row = (n: number, carried: string): SheetRow => ({
	carried,
	cells: [
		{ text: `AK-${n}`, strong: true, after: 'clay' },
		cell('1 Oct 2026'),
		{ text: '100.00', strong: true }
	]
});
const sheet = (rows: number, over: Partial<Sheet> = {}): Sheet => ({
	language: 'en',
	title: 'Statement of account',
	author: 'Ashlock Kiln & Clay Ltd',
	day: day('2026-10-30'),
	head: {
		...{ name: 'Ashlock Kiln & Clay Ltd', address: ['Ashlock Mere'], contact: ['01632 960 417'] },
		...{ sender: 'Ashlock Kiln & Clay Ltd · Ashlock Mere', logo: null }
	},
	to: ['Hazel Hill Pottery', 'Kiln Row'],
	facts: [{ name: 'Account', value: 'H1' }],
	running: 'Statement of account · H1',
	footer: 'Ashlock Kiln & Clay Ltd',
	pages: 'Page {page} of {pages}',
	blocks: [
		{ kind: 'text', text: 'This statement shows the items open.' },
		{
			kind: 'table',
			columns: [{ name: 'Document', wide: true }, { name: 'Date' }, { name: 'Open GBP', figures: true }],
			rows: Array.from({ length: rows }, (_, n) => row(n, `sum of ${n + 1}`)),
			sums: { forward: 'Carried forward', brought: 'Brought forward', name: 'Balance due', value: '£12.00' }
		},
		{
			kind: 'pay',
			name: 'How to pay',
			says: '',
			lines: [{ name: 'Please quote', value: 'RF43 H1' }],
			link: null,
			code: { text: 'BCD\n002', says: 'Scan to pay' }
		}
	],
	...over
});

/** The text of a PDF page by page, its kinds of tags, and what it says of itself, read by a reader that is not what wrote it. */
async function readBack(pdf: Buffer) {
	const { getDocument } = await import('pdfjs-dist/legacy/build/pdf.mjs');
	const task = getDocument({ data: new Uint8Array(pdf), useSystemFonts: false, verbosity: 0 });
	const file = await task.promise;
	const pages: string[] = [];
	const tags = new Set<string>();
	const fonts = new Set<string>();
	for (let n = 1; n <= file.numPages; n++) {
		const page = await file.getPage(n);
		const content = await page.getTextContent();
		const words = content.items.map((one) => ('str' in one ? one.str : '')).join(' ');
		pages.push(words.replace(/\s+/g, ' '));
		for (const font of Object.values(content.styles)) fonts.add(font.fontFamily);
		const walk = (node: { role?: string; children?: readonly unknown[] }) => {
			if (node.role) tags.add(node.role);
			for (const child of node.children ?? []) walk(child as typeof node);
		};
		walk((await page.getStructTree()) ?? {});
	}
	const told = await file.getMetadata();
	const marked = await file.getMarkInfo();
	await task.destroy();
	return {
		pages,
		tags,
		title: (told.info as { Title?: string; Language?: string }).Title,
		info: told.info as { Language?: string },
		marked
	};
}

describe('a letter as PDF', () => {
	test('is real text, tagged, with its title and language', async () => {
		const pdf = typeset(sheet(3));
		const { pages, tags, title, info, marked } = await readBack(pdf);
		expect(pages).toHaveLength(1);
		for (const words of ['Hazel Hill Pottery', 'AK-2', 'Balance due', '£12.00', 'Page 1 of 1', 'RF43 H1'])
			expect(pages[0]).toContain(words);
		expect([...tags]).toEqual(
			expect.arrayContaining(['H1', 'H2', 'P', 'Table', 'THead', 'TBody', 'TR', 'TH', 'TD', 'Figure'])
		);
		expect([title, info.Language, marked?.Marked]).toEqual(['Statement of account', 'en', true]);
		const text = pdf.toString('latin1');
		expect(text).toContain('pdfuaid:part');
		// Every font is a subset that is in the file.
		const fonts = [...text.matchAll(/\/BaseFont\s*\/(\S+)/g)].map((found) => found[1]!);
		expect(fonts.length).toBeGreaterThan(2);
		for (const font of fonts) expect(font).toMatch(/^[A-Z]{6}\+/);
		expect(text.match(/\/FontFile2/g)!.length).toBeGreaterThan(2);
	});

	test('is the same byte for byte when it is set again, and in another order', () => {
		const [one, other] = [typeset(sheet(3)), typeset(sheet(5))];
		expect(typeset(sheet(5)).equals(other)).toBe(true);
		expect(typeset(sheet(3)).equals(one)).toBe(true);
	});

	test('of many pages repeats its heads and carries its sums from page to page', async () => {
		const { pages } = await readBack(typeset(sheet(150)));
		expect(pages.length).toBeGreaterThan(2);
		const last = pages.length - 1;
		for (const [n, page] of pages.entries()) {
			const rows = [...page.matchAll(/AK-(\d+)/g)].map((found) => Number(found[1]));
			if (rows.length === 0) continue;
			expect(page).toContain('Open GBP');
			expect(page).toContain(`Page ${n + 1} of ${pages.length}`);
			if (n > 0) expect(page).toContain(`Brought forward sum of ${rows[0]}`);
			if (Math.max(...rows) < 149) expect(page).toContain(`Carried forward sum of ${rows.at(-1)! + 1}`);
			else expect(page).toContain('Balance due');
		}
		expect(pages[0]).not.toContain('Brought forward');
		expect(pages[last]).not.toContain('Carried forward');
	});

	test.each([
		['Arabic', 'شركة النور'],
		['Hebrew', 'בית הקדרות'],
		['Greek and Cyrillic', 'Κεραμική Гончарня'],
		['Devanagari', 'मिट्टी के बर्तन'],
		['Thai', 'เครื่องปั้นดินเผา'],
		['Japanese', '山田陶器'],
		['Korean', '한국도자기'],
		['Georgian and Amharic', 'თიხა ሸክላ'],
		['emoji', 'Kiln 🎉🏺'],
		['a sign of no font', 'Kiln \uE123']
	])('shows a name in %s', async (_, name) => {
		const pdf = typeset(sheet(1, { to: [name] }));
		const { pages } = await readBack(pdf);
		const plain = (text: string) => [...text.normalize('NFKC').replace(/\s/g, '')].sort().join('');
		for (const sign of new Set(plain(name)))
			if (!/\p{M}/u.test(sign) && sign !== '\uE123') expect(plain(pages[0]!)).toContain(sign);
		expect(pagesOf(pdf)).toBe(1);
	});

	test.each([
		['a name of 200 characters', { to: ['W'.repeat(200)] }],
		['an address of thirty lines', { to: Array.from({ length: 30 }, (_, n) => `Line ${n}`) }],
		['words that would be orders to the setter', { to: ['#panic("no") $x$ *b* _i_ `raw` <l> @ref = head'] }]
	])('takes %s', async (_, over) => {
		const { pages } = await readBack(typeset(sheet(2, over)));
		const [first] = over.to as string[];
		expect(pages[0]!.replace(/\s/g, '')).toContain(first!.replace(/\s/g, '').slice(0, 40));
	});
});

test('papers for the printer are one file, each sheet with its mark', async () => {
	const pdf = bundle([typeset(sheet(3)), typeset(sheet(60)), typeset(sheet(1))]);
	const { pages } = await readBack(pdf);
	expect(pages).toHaveLength(pagesOf(pdf));
	expect(pages.length).toBe(pagesOf(typeset(sheet(60))) + 2);
	expect(pages[0]).toContain('1 / 3');
	expect(pages.at(-1)).toContain('3 / 3');
	expect(pages[1]).toContain('2 / 3 · 1/');
});
