import { append } from '../lib/core/append';
import { createReadStream, existsSync, readFileSync, statSync, writeFileSync } from 'node:fs';
import { basename } from 'node:path';
import { parseArgs } from 'node:util';
import type { ReadStatement } from '../lib/core/1-bank-files/read-statement';
import { CUSTOMER_COLUMNS, readCustomers } from '../lib/core/1-open-items/read-customers';
import { parseDay } from '../lib/core/day/day';
import { currencyDigits } from '../lib/core/money/currency';
import { HISTORY_COLUMNS, readHistory } from '../lib/core/1-open-items/read-history';
import { DOCUMENT_COLUMNS, readDocuments } from '../lib/core/1-open-items/read-documents';
import type { TableRow } from '../lib/core/model/table-row';
import type { Problem } from '../lib/core/problems';
import type { Result } from '../lib/core/result';
import { decodeText } from '../lib/server/platform/files/decode-text';
import { readBankFile } from '../lib/server/receipts/store/read-bank-file';
import { runTrial } from '../lib/server/trial/run-trial';
import { parseTable } from '../lib/tables/parse-table';
import { problemSentence } from '../lib/words';

const USAGE =
	'npm run -s trial -- --customers customers.csv --invoices invoices.csv --bank bank.xml [--bank …] [--history history.csv] [--today 2026-10-30] [--base-currency GBP] --out result.json';

function stop(...lines: string[]): never {
	for (const line of lines) console.error(line);
	process.exit(2);
}

function fail(file: string, problems: readonly Problem[]): never {
	return stop(...problems.map((problem) => `${file}: ${problemSentence(problem)}`));
}

function args() {
	try {
		return parseArgs({
			options: {
				customers: { type: 'string' },
				invoices: { type: 'string' },
				bank: { type: 'string', multiple: true },
				history: { type: 'string' },
				today: { type: 'string' },
				'base-currency': { type: 'string' },
				out: { type: 'string' }
			}
		}).values;
	} catch (error) {
		return stop(String((error as Error).message), USAGE);
	}
}

function readOrStop(file: string): Buffer {
	try {
		return readFileSync(file);
	} catch (error) {
		return stop(`${file}: it can't be read (${(error as Error).message}).`);
	}
}

function table<T>(
	file: string,
	columns: readonly string[],
	read: (rows: readonly TableRow[]) => Result<T>
): T {
	if (!existsSync(file)) stop(`${file}: there is no such file.`);
	const rows = parseTable(decodeText(readOrStop(file)), columns);
	const result = rows.ok ? read(rows.value) : rows;
	return result.ok ? result.value : fail(file, result.problems);
}

const began = process.hrtime.bigint();
const given = args();
if (!given.customers || !given.invoices || !given.bank?.length || !given.out)
	stop('Name the customers, the invoices, a bank file and where the result goes.', USAGE);
const customers = table(given.customers!, CUSTOMER_COLUMNS, readCustomers);
const documents = table(given.invoices!, DOCUMENT_COLUMNS, readDocuments);
console.error(`${customers.length} customers, ${documents.length} open documents.`);
const statements: ReadStatement[] = [];
for (const file of given.bank!) {
	if (!existsSync(file) || !statSync(file).isFile()) stop(`${file}: there is no such file.`);
	const read = await readBankFile(basename(file), createReadStream(file));
	if (!read.ok) fail(file, read.problems);
	append(statements, read.value.statements);
}
const history = given.history ? table(given.history, HISTORY_COLUMNS, readHistory) : [];
const baseCurrency = given['base-currency'];
if (baseCurrency !== undefined && currencyDigits(baseCurrency) === undefined)
	stop(`--base-currency ${baseCurrency}: that is no currency of ISO 4217.`);
const today = given.today === undefined ? null : parseDay(given.today);
if (given.today !== undefined && today === null)
	stop(`--today ${given.today}: that is not a date; write 2026-10-30.`);
// What happened after the day of the trial can teach nothing to somebody who stands on it.
const known = today === null ? history : history.filter((one) => one.date <= today);
const trial = runTrial({ customers, documents, statements, history: known, baseCurrency });
if (!trial.ok) fail(`${given.customers} and ${given.invoices}`, trial.problems);
const seconds = Number(process.hrtime.bigint() - began) / 1e9;
const summary = { ...trial.value.summary, seconds: Math.round(seconds * 1000) / 1000 };
const json = `${JSON.stringify({ receipts: trial.value.receipts, summary }, null, '\t')}\n`;
if (given.out === '-') process.stdout.write(json);
else
	try {
		writeFileSync(given.out!, json);
	} catch (error) {
		stop(`${given.out}: the result can't be written there (${(error as Error).message}).`);
	}
const share = (n: number) => (summary.receipts ? ` (${((100 * n) / summary.receipts).toFixed(0)} %)` : '');
console.error(
	[
		`${summary.receipts} receipts in ${summary.seconds.toFixed(1)} s. Nothing was kept.`,
		`  certain       ${summary.certain}${share(summary.certain)}: could be posted together, as certain`,
		`  likely        ${summary.likely}${share(summary.likely)}: one good answer, to be accepted`,
		`  choose        ${summary.choose}${share(summary.choose)}: several answers`,
		`  nothing yet   ${summary.none}${share(summary.none)}`
	].join('\n')
);
