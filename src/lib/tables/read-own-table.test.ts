import { describe, expect, it } from 'vitest';
import { readOwnTable } from './read-own-table';
import type { TableAnswer } from './table-seen';

const read = (text: string, answers: readonly TableAnswer[] = []) => {
	const found = readOwnTable('documents', { text, file: 'items.csv' }, answers, 'GBP');
	if (!found.ok) throw new Error(JSON.stringify(found.problems));
	return found.value;
};
const OPEN = 'Kunde;Rg.-Nr.;Datum;Offen\n';
const KEY = 'kunde|rg nr|datum|offen';
const answer = (over: Partial<TableAnswer> = {}): TableAnswer => ({
	...{ headings: KEY, columns: { customer_code: 0, number: 1, issue_date: 2, open: 3 } },
	...{ dayOrder: null, decimalSign: null, currency: null, ...over }
});

describe('a table of a firm’s own', () => {
	it('is read by what it says itself', () => {
		const { seen, rows } = read(`${OPEN}H1;4711;31.10.2026;1.200,00\n`);
		expect(seen).toMatchObject({
			...{ key: KEY, dayOrder: 'day-first', decimalSign: ',', answer: null, currency: 'GBP' },
			asks: { fields: [], dayOrder: false, decimalSign: false }
		});
		expect(rows[0]!.cells).toMatchObject({
			number: '4711',
			issue_date: '2026-10-31',
			open: '1200.00',
			currency: 'GBP'
		});
	});
	it('asks where it could be two things, and reads nothing before', () => {
		const text = `${OPEN}H1;4711;01/02/2026;1.200\n`;
		const { seen, rows } = read(text);
		expect([seen.asks, rows]).toEqual([{ fields: [], dayOrder: true, decimalSign: true }, []]);
		const said = read(text, [answer({ dayOrder: 'month-first', decimalSign: '.' })]);
		expect(said.seen.answer).not.toBeNull();
		expect(said.rows[0]!.cells).toMatchObject({ issue_date: '2026-01-02', open: '1.200' });
	});
	it('what was said never goes against what the table says', () => {
		const { rows } = read(`${OPEN}H1;4711;31/10/2026;1.200,00\n`, [
			answer({ dayOrder: 'month-first', decimalSign: '.' })
		]);
		expect(rows[0]!.cells).toMatchObject({ issue_date: '2026-10-31', open: '1200.00' });
	});
	it('that contradicts itself is asked about', () => {
		const { seen } = read(`${OPEN}H1;4711;31/10/2026;1,50\nH1;4712;10/31/2026;1.50\n`);
		expect(seen.asks).toEqual({ fields: [], dayOrder: true, decimalSign: true });
	});
	it('asks for the columns that nothing tells, and takes what is said of other headings for nothing', () => {
		const text = 'A;B;C;D\nH1;4711;31.10.2026;12,50\n';
		expect(read(text, [answer()]).seen.asks.fields).toEqual([
			'number',
			'customer_code',
			'issue_date',
			'open'
		]);
		const { rows } = read(text, [answer({ headings: 'a|b|c|d', currency: 'EUR' })]);
		expect(rows[0]!.cells).toMatchObject({ customer_code: 'H1', currency: 'EUR', open: '12.50' });
	});
	it('an answer with columns that are not there asks again', () => {
		const columns = { customer_code: 0, number: 1, issue_date: 2, open: 9 };
		expect(read(`${OPEN}H1;4711;31.10.2026;1,00\n`, [answer({ columns })]).seen.asks.fields).toEqual([
			'open'
		]);
	});
	it.each([
		[
			'a row wider than its headings',
			`${OPEN}H1;4711;31.10.2026;1,00;what?\n`,
			{ code: 'csv-width', line: 2 }
		],
		['no headings', 'one\ntwo\n', { code: 'csv-no-headings' }],
		['nothing', ' \n', { code: 'file-empty' }],
		['a quote that never ends', `${OPEN}"H1;4711\n`, { code: 'csv-broken', line: 2 }]
	])('is refused with %s', (_, text, problem) => {
		const found = readOwnTable('documents', { text, file: null }, [], 'GBP');
		expect(found.ok ? null : found.problems[0]).toMatchObject(problem);
	});
	it('with titles above has its lines counted from the top of the file', () => {
		const { seen, rows } = read(
			`Offene Posten\n\n"Stand: 31.10.2026;\nalle"\n${OPEN}H1;4711;31.10.2026;1,00\nSumme;;;1,00\n`
		);
		expect([seen.line, rows.map((row) => row.line), seen.leftOut]).toEqual([5, [6], [7]]);
	});
});
