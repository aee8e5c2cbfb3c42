import fc from 'fast-check';
import { expect, it } from 'vitest';
import { day } from '../../core/day/day';
import { minor } from '../../core/money/minor';
import { readCallLine } from './read-call-line';

// A Friday.
const facts = {
	today: day('2026-10-30'),
	currency: 'GBP',
	owed: minor(123_456),
	numbers: ['AK-1001', 'AK-7']
};

it.each([
	['no answer', { outcome: 'no-answer', againOn: null }],
	['Left a message, again Monday', { outcome: 'no-answer', againOn: '2026-11-02' }],
	['again tomorrow', { outcome: 'again', againOn: '2026-10-31' }],
	['call again 6 Nov', { outcome: 'again', againOn: '2026-11-06' }],
	['ring back in 2 weeks', { outcome: 'again', againOn: '2026-11-13' }],
	['call back friday', { outcome: 'again', againOn: '2026-11-06' }],
	['again', { outcome: 'again', againOn: null }],
	['promises 500 on Friday', { outcome: 'promise', amount: 50_000, day: '2026-11-06', numbers: [] }],
	['pays all by 6/11', { outcome: 'promise', amount: 123_456, day: '2026-11-06', numbers: [] }],
	[
		'will pay £1,250.50 on 3rd of November',
		{ outcome: 'promise', amount: 125_050, day: '2026-11-03', numbers: [] }
	],
	['pays 6.11 on 6.11', { outcome: 'promise', amount: 611, day: '2026-11-06', numbers: [] }],
	[
		'pays AK-1001 on 2026-11-09',
		{ outcome: 'promise', amount: null, day: '2026-11-09', numbers: ['AK-1001'] }
	],
	['pays AK-70 tomorrow', { outcome: 'promise', amount: null, day: '2026-10-31', numbers: [] }],
	['paying', { outcome: 'promise', amount: null, day: null, numbers: [] }],
	[
		'disputes AK-1001 40.00, two vases broken',
		{ outcome: 'dispute', number: 'AK-1001', amount: 4_000, reason: 'damaged' }
	],
	['query ak-7: never delivered', { outcome: 'dispute', number: 'AK-7', amount: null, reason: 'missing' }],
	['disputes it', { outcome: 'dispute', number: null, amount: null, reason: 'other' }],
	['Ada is on holiday, ask for Bob', { outcome: 'said' }],
	['', { outcome: 'said' }]
])('“%s”', (line, read) => expect(readCallLine(line, facts)).toEqual(read));

it('reads any line without failing, and no amount of nought or less', () =>
	fc.assert(
		fc.property(
			fc.oneof(fc.string(), fc.stringMatching(/^(pays|again|disputes) [0-9./, a-zA-Z£-]{0,30}$/)),
			(line) => {
				const read = readCallLine(line, facts);
				if ('amount' in read && read.amount !== null) expect(read.amount).toBeGreaterThan(0);
			}
		)
	));
