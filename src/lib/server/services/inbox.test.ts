import { mkdtempSync, readdirSync, readFileSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { strToU8, zipSync } from 'fflate';
import { describe, expect, it, test } from 'vitest';
import { bankEntry } from '../platform/db/schema';
import { as, bankXml, CLERK, credit, proves, testBooks } from '../testing';
import { runAct } from './threads/perform-in-thread';
import { encodingOf } from '../platform/files/encoding-of';
import { watchInbox } from './inbox';
import { readBankFile } from '../receipts/store/read-bank-file';

const xml = bankXml([credit(1000, 'für Töne & Ton')]);

describe('encodings', () => {
	const bytes: [string, Buffer][] = [
		['UTF-8', Buffer.from(xml)],
		['UTF-8 with a byte-order mark', Buffer.from(`\ufeff${xml}`)],
		['UTF-16', Buffer.from(`\ufeff${xml.replace('UTF-8', 'UTF-16')}`, 'utf16le')],
		['Windows-1252', Buffer.from(xml.replace('UTF-8', 'windows-1252'), 'latin1')],
		['ISO-8859-1', Buffer.from(xml.replace('UTF-8', 'ISO-8859-1'), 'latin1')]
	];
	test.each(bytes)('%s, byte by byte too', async (_, file) => {
		for (const size of [file.length, 7]) {
			// The declaration must be in the first piece, as it is in any real reading.
			const pieces = [
				file.subarray(0, 200),
				...Array.from({ length: Math.ceil((file.length - 200) / size) }, (_, i) =>
					file.subarray(200 + i * size, 200 + (i + 1) * size)
				)
			];
			const read = await readBankFile('x', pieces);
			expect(read.ok && read.value.statements[0]!.entries[0]!.details[0]!.text).toBe('für Töne & Ton');
		}
	});
	it('that nobody knows are said', async () => {
		const read = await readBankFile('x', [Buffer.from(xml.replace('UTF-8', 'KLINGON'))]);
		expect(read.ok ? [] : read.problems).toEqual([{ code: 'file-encoding-unknown', encoding: 'klingon' }]);
	});
	it('follow the declaration', () =>
		expect(encodingOf(Buffer.from('<?xml version="1.0" encoding=\'latin1\'?>'))).toBe('latin1'));
});

it('a file of 200 MB is refused without reading it to its end', async () => {
	let given = 0;
	async function* endless() {
		yield Buffer.from(xml.slice(0, xml.indexOf('<Ntry>')));
		for (; given < 200; given++) yield Buffer.from(`<!--${'x'.repeat(1_000_000)}-->`);
	}
	const read = await readBankFile('x', endless());
	expect(read.ok ? [] : read.problems.map((problem) => problem.code)).toEqual(['file-too-large']);
	expect(given).toBeLessThan(160);
});

it('the inbox takes each file of an archive by itself', async () => {
	const books = await testBooks();
	const folder = mkdtempSync(join(tmpdir(), 'odd-penny-inbox-'));
	const second = bankXml([credit(500, 'AK-2')], { reference: 'S2', opening: 1000 });
	const files = { 'a.xml': strToU8(xml), 'b.xml': strToU8(xml.slice(0, 600)), 'c.xml': strToU8(second) };
	writeFileSync(join(folder, 'october.zip'), zipSync(files));
	const inbox = await watchInbox(books, folder, async () => as(CLERK));
	await inbox.look();
	await inbox.look();
	await inbox.close();
	expect(await books.db.$count(bankEntry)).toBe(2);
	const note = readdirSync(join(folder, 'refused')).find((name) => name.endsWith('.txt'))!;
	const told = readFileSync(join(folder, 'refused', note), 'utf8').split('\n');
	expect(told[0]).toContain('october.zip: a.xml: 1 new entry.');
	expect(told[1]).toMatch(/^october.zip: b.xml: .*the file ends in the middle/);
	expect(told[2]).toContain('october.zip: c.xml: 1 new entry.');
});

it('the inbox takes a bank’s own table once somebody brought one like it in', async () => {
	const books = await testBooks();
	const folder = mkdtempSync(join(tmpdir(), 'odd-penny-inbox-'));
	const table = (day: string, opening: number) =>
		`Date,Details,Paid out,Paid in,Balance\n2026-10-${day},HAZEL HILL,,10.00,${opening + 10}.00\n2026-10-${day},CHARGES,2.00,,${opening + 8}.00\n`;
	const look = async (name: string, text: string) => {
		writeFileSync(join(folder, name), text);
		const inbox = await watchInbox(books, folder, async () => as(CLERK));
		for (const _ of [1, 2]) await inbox.look();
		await inbox.close();
		const notes = ['done', 'refused'].flatMap((sub) =>
			readdirSync(join(folder, sub)).map((each) => ({ sub, each }))
		);
		const { sub, each } = notes.find((one) => one.each.endsWith(`${name}.txt`))!;
		return `${sub}: ${readFileSync(join(folder, sub, each), 'utf8')}`;
	};
	expect(await look('first.csv', table('26', 0))).toMatch(/^refused: .*Bring it in once on Money in/);
	const asked = {
		source: { file: 'first.csv', content: new TextEncoder().encode(table('26', 0)) },
		...{ answers: [], bankAccountId: 1 }
	};
	expect((await runAct(books, 'import-bank-file', asked, as(CLERK))).ok).toBe(true);
	expect(await look('second.csv', table('27', 8))).toMatch(/^done: .*2 new entries/);
	// Another account of the same bank, or another layout, is nobody’s to guess.
	expect(await look('third.csv', table('28', 500))).toMatch(/^refused: .*Bring it in once/);
	expect(await look('fourth.csv', table('28', 16).replace('Details', 'Narrative'))).toMatch(
		/^refused: .*Bring it in once/
	);
	expect(await look('fifth.csv', 'colour,size\nred,4\n')).toMatch(/^refused: /);
	expect(await books.db.$count(bankEntry)).toBe(4);
	await proves(books);
});

it('the inbox takes what is whole and refuses what is not, each with a note', async () => {
	const books = await testBooks();
	const folder = mkdtempSync(join(tmpdir(), 'odd-penny-inbox-'));
	writeFileSync(join(folder, 'good.xml'), xml);
	writeFileSync(join(folder, 'bad.xml'), xml.slice(0, 600));
	const inbox = await watchInbox(books, folder, async () => as(CLERK));
	await inbox.look();
	// Only a file whose size stood still is taken: it may still be being written.
	expect(readdirSync(folder)).toContain('good.xml');
	writeFileSync(join(folder, 'late.xml'), 'x');
	await inbox.look();
	await inbox.close();
	expect(readdirSync(folder).sort()).toEqual(['done', 'late.xml', 'refused']);
	const note = (sub: string) =>
		readFileSync(
			join(
				folder,
				sub,
				readdirSync(join(folder, sub)).find((name) => name.endsWith('.txt'))!
			),
			'utf8'
		);
	expect(note('done')).toContain('1 new entry. The balance agrees.');
	expect(note('refused')).toContain('ends in the middle');
	expect(await books.db.$count(bankEntry)).toBe(1);
});
