import { describe, expect, it } from 'vitest';
import { NO_INFORMATION, type Information } from './information';
import { readInformation } from './read-information';

type Case = readonly [string, readonly string[], Partial<Information>];

describe('information to the account owner', () => {
	it.each<Case>([
		['free words', ['HAZEL HILL POTTERY', 'INV AK-40081'], { text: 'HAZEL HILL POTTERY INV AK-40081' }],
		[
			'numbered parts',
			[
				'166?00GUTSCHRIFT?100599?20RECHNUNG AK-40081 VOM 12.10.?212026 ABZGL SKONTO?3020',
				'050550?311234567890?32TOEPFEREI LINDENHOF GESELLS?33CHAFT MBH?34000'
			],
			{
				businessCode: '166',
				name: 'TOEPFEREI LINDENHOF GESELLSCHAFT MBH',
				account: '20050550/1234567890',
				text: 'RECHNUNG AK-40081 VOM 12.10.2026 ABZGL SKONTO'
			}
		],
		[
			'keywords within numbered parts, broken within a keyword',
			[
				'166?00SEPA-GUTSCHRIFT?20EREF+4711-20261028?21KREF+0001?22SVWZ+RE AK-40081 UND AK-400?2399 ABWA+KERAMIK MUEHLE AG?30',
				'ZZAMDEFFXXX?31DE02200505501234567890?32LINDENHOF'
			],
			{
				businessCode: '166',
				name: 'LINDENHOF',
				account: 'DE02200505501234567890',
				endToEndId: '4711-20261028',
				text: 'RE AK-40081 UND AK-40099'
			}
		],
		[
			'a keyword cut in two by the parts',
			['166?20EREF+4711KREF+12345678901SV?21WZ+AK-40081?32LINDENHOF'],
			{
				businessCode: '166',
				name: 'LINDENHOF',
				endToEndId: '4711',
				text: 'AK-40081'
			}
		],
		[
			'another sign before the numbers, each part a line of its own',
			['051<00UEBERWEISUNG', '<20AK-40081', '<21AK-40082', '<32LINDENHOF'],
			{ businessCode: '051', name: 'LINDENHOF', text: 'AK-40081 AK-40082' }
		],
		['a kind of entry alone', ['805?00ABSCHLUSS'], { businessCode: '805', text: 'ABSCHLUSS' }],
		[
			'keywords without parts',
			['EREF+4711 SVWZ+AK-40081', 'AK-40082 IBAN+DE02 2005 0550 BIC+ZZAMDEFF'],
			{ endToEndId: '4711', account: 'DE0220050550', text: 'AK-40081 AK-40082' }
		],
		[
			'an amount that was ordered, and charges',
			['SVWZ+AK-40081 OAMT+USD1200,00 COAM+EUR7,50'],
			{ text: 'AK-40081', ordered: 'USD1200,00', charges: 'EUR7,50' }
		],
		[
			'code words between slashes',
			[
				'/TRTP/CREDIT TRANSFER/IBAN/NL02ZZAM0123456789/BIC/ZZAMNL2A/NAME/KLEIHUIS BV',
				'/REMI/AK-40081 AK-40082/EREF/NOTPROVIDED'
			],
			{ name: 'KLEIHUIS BV', account: 'NL02ZZAM0123456789', text: 'AK-40081 AK-40082' }
		],
		[
			'code words, one within another',
			['/EREF/4711//ORDP//NAME/KLEIHUIS BV//REMI/USTD//AK-40081/'],
			{ endToEndId: '4711', name: 'KLEIHUIS BV', text: 'AK-40081' }
		],
		[
			'a structured reference',
			['/CNTP/NL02ZZAM0123456789/ZZAMNL2A/KLEIHUIS BV///REMI/STRD/CUR/RF18539007547034/'],
			{ account: 'NL02ZZAM0123456789', name: 'KLEIHUIS BV', structuredReference: 'RF18539007547034' }
		],
		[
			'why it came back',
			['/RTRN/AC04/EREF/4711/REMI/AK-40081'],
			{ returnReason: 'AC04', endToEndId: '4711', text: 'AK-40081' }
		],
		['a slash among words', ['INVOICE 12/2026 A/C 7'], { text: 'INVOICE 12/2026 A/C 7' }],
		['one code word among words', ['SEE /NAME/ ON THE PLATE'], { text: 'SEE /NAME/ ON THE PLATE' }]
	])('%s', (_, lines, want) => expect(readInformation(lines)).toEqual({ ...NO_INFORMATION, ...want }));
});
