import { expect, it } from 'vitest';
import { readAdviceText } from '../../2-receipts/advice/read-advice-text';
import { sampleItem } from '../../model/sample-item';
import { matchAdvice } from './match-advice';

const items = [
	sampleItem(1, 10_000),
	sampleItem(2, 5_000),
	sampleItem(3, 2_000, { kind: 'credit_note', number: 'AC-7001' }),
	sampleItem(4, 900, { number: 'BK-40001' })
];
const match = (text: string) =>
	matchAdvice(readAdviceText(text, 'GBP'), items).map(({ item, wrong }) => [item?.number ?? null, wrong]);

it.each([
	['ak 40001 100.00', ['AK-40001', '']],
	['40002 50.00', ['AK-40002', '']],
	['40001 50.00', [null, 'nothing open has that number']],
	['AK-40009 50.00', [null, 'nothing open has that number']],
	['AK-40002 50.01', ['AK-40002', 'that is more than is open']],
	['AK-40002 60.00 15.00 45.00 damaged', ['AK-40002', 'that is more than is open']],
	['AK-40002', ['AK-40002', 'the line names no amount: all that is open is taken']],
	['AC-7001 20.00', ['AC-7001', 'a credit note is taken off']],
	['AC-7001 -20.00', ['AC-7001', '']],
	['AK-40002 -20.00', ['AK-40002', 'the amount is negative']]
])('%s', (text, want) => expect(match(text)).toEqual([want]));

it('says when a document is on the advice twice', () =>
	expect(match('AK-40002 10.00\nAK-40002 20.00')[1]).toEqual(['AK-40002', 'it is on the advice twice']));
