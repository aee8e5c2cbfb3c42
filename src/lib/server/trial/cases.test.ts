import { readCustomers, readDocuments } from '../../core/1-open-items/testing-all-rows';
import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { describe, expect, test } from 'vitest';
import { camtXml } from '../../../demo/camt-xml';
import { parseDecimal } from '../../core/money/parse-decimal';
import type { Problem } from '../../core/problems';
import type { Result } from '../../core/result';
import { parseTable } from '../../tables/parse-table';
import { readBankFile } from '../receipts/store/read-bank-file';
import { runTrial, type TrialReceipt } from './run-trial';

const FOLDER = 'fixtures/matching';
const COLUMNS = [
	'case',
	'booked',
	'amount',
	'currency',
	'name',
	'iban',
	'text',
	'band',
	'customer',
	'lines',
	'on_account'
];
const firms = readdirSync(FOLDER, { withFileTypes: true }).filter((one) => one.isDirectory());

/** The payments of a firm, with the answer that each should get. */
function paymentsOf(firm: string): Record<string, string>[] {
	const rows = known(parseTable(readFileSync(join(FOLDER, firm, 'payments.csv'), 'utf8'), COLUMNS));
	return rows.map((row) => ({ ...row.cells }));
}

/** What a trial run answers, by the name of the case. */
async function answersOf(firm: string): Promise<Map<string, TrialReceipt>> {
	const text = (name: string) => readFileSync(join(FOLDER, firm, name), 'utf8');
	const payments = paymentsOf(firm);
	const entries = payments.map((row, n) => {
		const amount = parseDecimal(row['amount']!, row['currency']!);
		if (typeof amount === 'string') throw new Error(`${firm}: ${row['amount']} is no amount`);
		return {
			amount,
			booked: row['booked']!,
			reference: `E${n}`,
			details: [{ amount, name: row['name'] || null, account: row['iban'] || null, text: row['text']! }]
		};
	});
	const statement = {
		...{ reference: firm, sequence: 1, account: 'GB00ZZAM1', currency: payments[0]!['currency']! },
		...{ opening: 0, openingOn: '2026-10-27', closingOn: '2026-10-28', entries }
	};
	const read = known(await readBankFile('bank.xml', [Buffer.from([...camtXml([statement], 'M')].join(''))]));
	const trial = known(
		runTrial({
			customers: known(readCustomers(known(parseTable(text('customers.csv'), [])))),
			documents: known(readDocuments(known(parseTable(text('invoices.csv'), [])))),
			statements: read.statements
		})
	);
	return new Map(trial.receipts.map((one) => [payments[Number(one.entryRef.slice(1))]!['case']!, one]));
}

function known<T>(result: Result<T>): T {
	if (result.ok) return result.value;
	throw new Error(JSON.stringify(result.problems satisfies readonly Problem[]));
}

/** An answer as a row of the table has it. */
function asRow(answer: TrialReceipt, wanted: Readonly<Record<string, string>>) {
	const lines = answer.allocations
		.map(({ invoice, cash, differences }) =>
			[`${invoice} ${cash}`, ...differences.map(({ kind, amount }) => `+${kind} ${amount}`)].join(' ')
		)
		.sort()
		.join('; ');
	return {
		band: answer.band,
		customer: answer.customer ?? '',
		lines: wanted['lines'] ? lines : '',
		on_account: wanted['on_account'] ? answer.onAccount : ''
	};
}

describe.each(firms.map((one) => one.name))('%s', async (firm) => {
	const answers = await answersOf(firm);
	test.each(paymentsOf(firm).map((row) => [row['case']!, row] as const))('%s', (name, row) => {
		const { band, customer, lines, on_account } = row;
		expect(asRow(answers.get(name)!, row)).toEqual({ band, customer, lines, on_account });
	});
});
