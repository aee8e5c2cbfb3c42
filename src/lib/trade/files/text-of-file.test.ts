import { expect, it } from 'vitest';
import { xlsx } from '../../tables/testing-xlsx';
import { textOfFile } from './text-of-file';

const of = async (name: string, content: string | Uint8Array) => {
	const read = await textOfFile(new File([content as Uint8Array<ArrayBuffer>], name), 'advice');
	return read.ok ? read.value : read.problems;
};

it('a file is text by its encoding, a spreadsheet its rows', async () => {
	expect(await of('a.txt', 'Beleg;Betrag\nAK-1;1,00\n')).toBe('Beleg;Betrag\nAK-1;1,00\n');
	expect(await of('a.csv', Uint8Array.from(Buffer.from('payé', 'latin1')))).toBe('payé');
	const sheet = xlsx({
		Zahlung: [
			['Beleg', 'Skonto'],
			['AK-1', 2.5]
		]
	});
	expect(await of('a.xlsx', sheet)).toBe('Beleg\tSkonto\nAK-1\t2.5');
});

it('what is no text is said so, with what it is', async () => {
	expect(await of('a.pdf', '%PDF-1.7')).toEqual([
		{ code: 'other-file', found: 'pdf', wanted: 'advice', file: 'a.pdf' }
	]);
	expect(await of('a.txt', new Uint8Array(5_000_001))).toMatchObject([{ code: 'file-too-large' }]);
});
