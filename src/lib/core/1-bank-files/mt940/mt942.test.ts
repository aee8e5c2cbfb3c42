import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { problemSentence } from '../../../words';
import { refusalOf, statementsOf } from '../testing-read';

const CRLF = '\r\n';
/** An interim report of one credit and one debit, with its fields as given in place of the usual ones. */
function report(over: Partial<Record<string, string>> = {}): string {
	const fields: readonly (readonly [string, string])[] = [
		['20', 'ODDPENNY'],
		['25', 'GB00ZZAM00000000000001'],
		['28C', '214/2'],
		['34F', 'GBPD0,'],
		['13D', '2610281130+0000'],
		['61', '2610281028C10,00NTRFNONREF//B1'],
		['86', 'HAZEL HILL INV 1'],
		['61b', '2610281028D3,20NCHGNONREF//B2'],
		['90D', '1GBP3,20'],
		['90C', '1GBP10,00']
	];
	const lines = fields
		.map(([tag, usual]) => [tag.replace('b', ''), tag in over ? over[tag] : usual] as const)
		.flatMap(([tag, text]) => (text ? [`:${tag}:${text}`] : []));
	return [...lines, '-', ''].join(CRLF);
}

describe('an interim report', () => {
	it('is read into the model that all formats share, without balances', () => {
		const [only, ...more] = statementsOf(report());
		expect(more).toEqual([]);
		expect(only).toMatchObject({
			format: 'MT942',
			header: { account: 'GB00ZZAM00000000000001', currency: 'GBP', reference: '214/2 2610281130+0000' },
			balances: { opening: null, closing: null },
			balanceChecked: false
		});
		expect(
			only!.entries.map(({ amount, booked, entryReference, details }) => [
				...[amount, booked, entryReference],
				details[0]!.text
			])
		).toEqual([
			[1000, '2026-10-28', 'B1', 'HAZEL HILL INV 1'],
			[-320, '2026-10-28', 'B2', '']
		]);
	});
	it('is read in its envelope, beside a statement, and without sums', () => {
		const text =
			`{1:F01ZZAM}{2:I942ZZAM}{4:${CRLF}${report({ '90C': undefined, '90D': undefined }).replace(/-\r\n$/, '-}')}${CRLF}` +
			[':20:A', ':25:1', ':28C:1', ':60F:C261027GBP1,', ':62F:C261028GBP1,', '-'].join(CRLF);
		expect(statementsOf(text).map(({ format, entries }) => [format, entries.length])).toEqual([
			['MT942', 2],
			['MT940', 0]
		]);
	});
	it.each<[string, Partial<Record<string, string>>, string]>([
		[
			'a sum that differs',
			{ '90C': '1GBP11,00' },
			'record :90C: says 1100, but what is before it comes to 1000. '
		],
		['a count that differs', { '90D': '2GBP3,20' }, 'record :90D: says 2, but what is before it comes to 1'],
		['a sum of another shape', { '90D': 'one' }, '“one” is not written as field :90D: should be'],
		['no currency that there is', { '34F': 'XXQ0,' }, '“XXQ0,” is not written as field :34F: should be'],
		['no account', { '25': undefined }, 'the part :25: is missing'],
		['neither balance nor floor limit', { '34F': undefined }, 'the part :60F: is missing']
	])('is refused with %s', (_, over, want) => {
		expect(refusalOf(report(over)).map(problemSentence).join(' ').toLowerCase()).toContain(
			want.trim().toLowerCase()
		);
	});
	it('is not held against sums where a reversal may be counted on either side', () => {
		const text = report({ '61b': '2610281028RC3,20NTRFNONREF//B2' });
		expect(statementsOf(text)[0]!.entries.map(({ amount }) => amount)).toEqual([1000, -320]);
	});
	it('gives back whatever was written', () =>
		fc.assert(
			fc.property(
				fc.array(fc.integer({ min: -1e9, max: 1e9 }).filter(Boolean), { maxLength: 12 }),
				(amounts) => {
					const decimal = (n: number) => (Math.abs(n) / 100).toFixed(2).replace('.', ',');
					const of = (sign: number) => amounts.filter((one) => one * sign > 0);
					const sum = (some: readonly number[]) => decimal(some.reduce((a, b) => a + b, 0));
					const text = [
						...[':20:X', ':25:GB01', ':28C:1', ':34F:GBP0,', ':13D:2610281130+0000'],
						...amounts.map((one) => `:61:2610281028${one < 0 ? 'D' : 'C'}${decimal(one)}NTRFNONREF`),
						...[`:90D:${of(-1).length}GBP${sum(of(-1))}`, `:90C:${of(1).length}GBP${sum(of(1))}`, '-']
					].join(CRLF);
					expect(statementsOf(text)[0]!.entries.map(({ amount }) => amount)).toEqual(amounts);
				}
			)
		));
});
