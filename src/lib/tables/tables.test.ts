import { readCustomers, readDocuments } from '../core/1-open-items/testing-all-rows';
import fc from 'fast-check';
import { describe, expect, it, test } from 'vitest';
import { problemSentence } from '../words';
import { parseTable } from './parse-table';

const told = (result: ReturnType<typeof parseTable> | ReturnType<typeof readDocuments>) =>
	result.ok ? [] : result.problems.map(problemSentence);

describe('a table', () => {
	test.each<[string, string]>([
		['commas', 'a,b\n1,2\n'],
		['semicolons', 'a;b\r\n1;2\r\n'],
		['tabs, as a spreadsheet copies', 'a\tb\n1\t2'],
		['a byte-order mark', '\uFEFFa,b\n1,2\n'],
		['headings in capitals and another order', 'B,A\n2,1\n'],
		['blank lines', 'a,b\n\n1,2\n\n']
	])('with %s', (_, text) => {
		const result = parseTable(text, ['a', 'b']);
		expect(result.ok && result.value.map((row) => row.cells)).toEqual([{ a: '1', b: '2' }]);
	});
	it('keeps line breaks, quotes and separators within quotes, and counts lines by the file', () => {
		const result = parseTable('a,b\n"one\ntwo","say ""x"", y"\n3,4\n', ['a']);
		expect(result.ok && result.value).toEqual([
			{ line: 2, cells: { a: 'one\ntwo', b: 'say "x", y' } },
			{ line: 4, cells: { a: '3', b: '4' } }
		]);
	});
	test.each<[string, string, RegExp]>([
		['nothing', '  \n', /^The file is empty/],
		['a wrong column', 'a,c\n1,2\n', /^Line 1: the column b is missing\. The first line names: a, c\.$/],
		['a row too short', 'a,b\n1,2\n3\n', /^Line 3: there are 1 fields here/],
		['a quote that never ends', 'a,b\n1,"2\n3,4\n', /^Line 2: the table is broken/]
	])('with %s is refused, saying where', (_, text, want) =>
		expect(told(parseTable(text, ['a', 'b']))[0]).toMatch(want)
	);
	it('reads what was written, whatever is in the cells', () =>
		fc.assert(
			fc.property(fc.array(fc.tuple(fc.string(), fc.string()), { minLength: 1 }), (pairs) => {
				const rows = pairs.map(([a, b]) => [`x${a.trim()}`, `y${b.trim()}`]);
				const quote = (text: string) => `"${text.replaceAll('"', '""')}"`;
				const text = `a,b\n${rows.map((row) => row.map(quote).join(',')).join('\n')}\n`;
				const result = parseTable(text, ['a', 'b']);
				expect(result.ok && result.value.map(({ cells }) => [cells['a'], cells['b']])).toEqual(
					rows.map((row) => row.map((cell) => cell.trim()))
				);
			})
		));
	it('of 100,000 rows is read', () => {
		const text = `a,b\n${Array.from({ length: 100_000 }, (_, i) => `${i},x`).join('\n')}\n`;
		const result = parseTable(text, ['a', 'b']);
		expect(result.ok && result.value.at(-1)).toEqual({ line: 100_001, cells: { a: '99999', b: 'x' } });
	});
});

const HEAD = 'number,kind,customer_code,issue_date,due_date,currency,total,open';
const documents = (head: string, ...lines: string[]) => {
	const rows = parseTable([head, ...lines].join('\n'), []);
	return rows.ok ? readDocuments(rows.value) : rows;
};

describe('open documents', () => {
	it('are read with what the columns give', () => {
		const result = documents(
			`${HEAD},purchase_order,payment_reference,description,instalments`,
			'AK-1,invoice,C1,2026-09-01,2026-10-01,GBP,90.00,45.00,PO-1,RF18,clay,2026-10-01 45.00|2026-11-01 45.00'
		);
		expect(result.ok && result.value).toEqual([
			{
				line: 2,
				number: 'AK-1',
				kind: 'invoice',
				customerCode: 'C1',
				issued: '2026-09-01',
				due: '2026-10-01',
				currency: 'GBP',
				total: 9000,
				open: 4500,
				purchaseOrder: 'PO-1',
				paymentReference: 'RF18',
				orderReference: null,
				text: 'clay',
				lines: [],
				instalments: [
					{ due: '2026-10-01', amount: 4500 },
					{ due: '2026-11-01', amount: 4500 }
				]
			}
		]);
	});
	it('lines are net amounts with the rate of their tax, and come to the total', () => {
		const result = documents(
			`${HEAD},lines`,
			'AK-1,invoice,C1,2026-09-01,2026-10-01,GBP,129.00,129.00,clay 25 bags 100.00 20%|carriage 9.00'
		);
		expect(result.ok && result.value[0]!.lines).toEqual([
			{ text: 'clay 25 bags', net: 10_000, taxBasisPoints: 2000, tax: 2000 },
			{ text: 'carriage', net: 900, taxBasisPoints: 0, tax: 0 }
		]);
	});
	test.each([
		['clay', /“clay” is no text and net amount/],
		['clay 1.005', /is no text and net amount/],
		['clay 100.00 120%', /is no text and net amount/],
		['clay 100.00', /they come to 100\.00, not to the total/]
	])('lines %s are refused', (text, why) => {
		const row = `A,invoice,C1,2026-09-01,2026-10-01,GBP,90.00,90.00,${text}`;
		expect(told(documents(`${HEAD},lines`, row))[0]).toMatch(why);
	});
	test.each<[string, string, RegExp]>([
		[
			'nonsense for an amount',
			'A,invoice,C1,2026-09-01,2026-10-01,GBP,ten,1.00',
			/“ten” in total with tax cannot be taken: it is not an amount/
		],
		['a minus sign', 'A,invoice,C1,2026-09-01,2026-10-01,GBP,-5.00,1.00', /“-5\.00” in total/],
		[
			'too many decimals',
			'A,invoice,C1,2026-09-01,2026-10-01,GBP,5.005,1.00',
			/more decimals than the currency/
		],
		[
			'decimals where there are none',
			'A,invoice,C1,2026-09-01,2026-10-01,JPY,5.5,1',
			/more decimals than the currency/
		],
		[
			'more open than there is',
			'A,invoice,C1,2026-09-01,2026-10-01,GBP,5.00,6.00',
			/“6\.00” in amount still open cannot be taken: it is more than the total/
		],
		[
			'nothing open',
			'A,invoice,C1,2026-09-01,2026-10-01,GBP,5.00,0',
			/in amount still open cannot be taken: it is not above zero/
		],
		[
			'a day that is none',
			'A,invoice,C1,2026-02-30,2026-10-01,GBP,5.00,5.00',
			/“2026-02-30” in issue date cannot be taken: it is not a date/
		],
		['an unknown kind', 'A,bill,C1,2026-09-01,2026-10-01,GBP,5.00,5.00', /“bill” in kind cannot be taken/],
		[
			'an unknown currency',
			'A,invoice,C1,2026-09-01,2026-10-01,XXQ,5.00,5.00',
			/its currency is not one of ISO 4217/
		],
		[
			'no number',
			',invoice,C1,2026-09-01,2026-10-01,GBP,5.00,5.00',
			/in document number cannot be taken: it is empty/
		]
	])('with %s are refused, saying where and why', (_, line, want) => {
		const [first] = told(documents(HEAD, 'B,invoice,C1,2026-09-01,2026-10-01,GBP,5.00,5.00', line));
		expect(first).toMatch(/^Line 3: /);
		expect(first).toMatch(want);
	});
	it('may not come twice', () => {
		const line = 'A,invoice,C1,2026-09-01,2026-10-01,GBP,5.00,5.00';
		expect(told(documents(HEAD, line, line))).toEqual([
			'Line 3: “A” in document number cannot be taken: it is on line 2 already.'
		]);
	});
	it.each([
		['2026-10-01 45.00', 'they do not come to the total'],
		['soon 90.00', '“soon 90.00” is not a date and an amount']
	])('with instalments %s are refused', (text, why) =>
		expect(
			told(documents(`${HEAD},instalments`, `A,invoice,C1,2026-09-01,2026-10-01,GBP,90.00,90.00,${text}`))[0]
		).toContain(why)
	);
});

describe('customers', () => {
	const customers = (...lines: string[]) => {
		const head =
			'code,name,also_known_as,payer_accounts,parent_code,currency,terms_days,discount_percent,discount_days,email';
		const rows = parseTable([head, ...lines].join('\n'), []);
		return rows.ok ? readCustomers(rows.value) : rows;
	};
	it('are read with names, accounts and terms', () => {
		const result = customers('C1,Hazel,HZL | Hazel T/A,gb00 1|GB002,,GBP,14,2.5,7,a@hazel.example');
		expect(result.ok && result.value[0]).toMatchObject({
			otherNames: ['HZL', 'Hazel T/A'],
			payerAccounts: ['GB001', 'GB002'],
			termsDays: 14,
			discountBasisPoints: 250,
			discountDays: 7
		});
	});
	test.each<[string, string, RegExp]>(
		[
			[
				'C1,Hazel,,,,GBP,soon,,,',
				'terms',
				/“soon” in payment terms, days cannot be taken: it is no whole number/
			],
			['C1,Hazel,,,,GBP,30,2.555,7,', 'discount', /“2\.555” in settlement discount, percent cannot be taken/],
			['C1,Hazel,,,,GBP,30,101,7,', 'more than all', /“101” in settlement discount, percent cannot be taken/],
			['C1,,,,,GBP,30,,,', 'name', /in name cannot be taken: it is empty/]
		].map(([line, what, want]) => [what, line, want] as [string, string, RegExp])
	)('with a bad %s are refused', (_, line, want) => {
		const result = customers(line);
		expect(result.ok ? '' : problemSentence(result.problems[0]!)).toMatch(want);
	});
});
