import { strToU8, zipSync } from 'fflate';
import { expect, test } from 'vitest';
import { bankXml, credit } from '../../testing';
import { bankFilesWithin } from './bank-files-within';

const xml = strToU8(bankXml([credit(1000, 'AK-1')]));
const within = async (content: Uint8Array, name = 'october.zip') => {
	const found = await bankFilesWithin({ name, content });
	return found.ok ? found.value.map((one) => one.name) : found.problems.map((one) => one.code);
};

test.each<[string, Uint8Array, string[]]>([
	['a bank file is itself', xml, ['october.zip']],
	['a spreadsheet file too', zipSync({ 'xl/workbook.xml': xml }), ['october.zip']],
	[
		'an archive is what is in it, in order',
		zipSync({ 'b.xml': xml, 'a.xml': xml, 'more/c.sta': strToU8(':20:X') }),
		['october.zip: a.xml', 'october.zip: b.xml', 'october.zip: more/c.sta']
	],
	[
		'without what a computer adds',
		zipSync({ 'a.xml': xml, '__MACOSX/._a.xml': xml, '.DS_Store': xml }),
		['october.zip: a.xml']
	],
	['an archive of nothing', zipSync({ '.DS_Store': xml }), ['file-empty']],
	['one that is cut off', zipSync({ 'a.xml': xml }).slice(0, 200), ['archive-broken']],
	[
		'one of too many files',
		zipSync(Object.fromEntries(Array.from({ length: 1_001 }, (_, i) => [`${i}.xml`, xml]))),
		['archive-too-large']
	],
	['one that is packed too well', zipSync({ 'a.xml': new Uint8Array(40_000_000) }), ['archive-too-large']]
])('%s', async (_, content, want) => expect(await within(content)).toEqual(want));
