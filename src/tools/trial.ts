import { existsSync, statSync, writeFileSync } from 'node:fs';
import { parseArgs } from 'node:util';
import { parseDay } from '../lib/core/day/day';
import { currencyDigits } from '../lib/core/money/currency';
import type { FormSource } from '../lib/server/platform/http/read-form-text';
import type { TrialTable } from '../lib/server/trial/read-trial-files';
import { tryFiles } from '../lib/server/trial/try-files';
import { isAsking } from '../lib/tables/table-seen';
import { FIELD_WORDS, list, problemSentence } from '../lib/words';

const USAGE =
	'npm run -s trial -- --customers customers.csv --invoices invoices.csv --bank bank.xml [--bank …] [--history history.csv] [--today 2026-10-30] [--base-currency GBP] --out result.json';

function stop(...lines: string[]): never {
	for (const line of lines) console.error(line);
	process.exit(2);
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

/** A file that is there, to be read where it lies. */
function given(file: string): FormSource {
	if (!existsSync(file) || !statSync(file).isFile()) return stop(`${file}: there is no such file.`);
	return { file, content: { path: file } };
}

/** What a table asks, in a line: nobody is there to be asked. */
function asking({ seen }: TrialTable): string {
	const { fields, dayOrder, decimalSign } = seen.asks;
	const asked = [
		...(fields.length ? [`which column is ${list(fields.map((key) => FIELD_WORDS[key]))}`] : []),
		...(dayOrder ? ['whether the day stands before the month'] : []),
		...(decimalSign ? ['whether decimals stand after a point or a comma'] : [])
	];
	return `${seen.file}: it is not told ${list(asked)}.${fields.length ? ` Call them ${list(fields)}.` : ' Write 2026-10-30 and 1234.50.'}`;
}

const began = process.hrtime.bigint();
const named = args();
if (!named.customers || !named.invoices || !named.bank?.length || !named.out)
	stop('Name the customers, the invoices, a bank file and where the result goes.', USAGE);
const baseCurrency = named['base-currency'];
if (baseCurrency !== undefined && currencyDigits(baseCurrency) === undefined)
	stop(`--base-currency ${baseCurrency}: that is no currency of ISO 4217.`);
const today = named.today === undefined ? undefined : parseDay(named.today);
if (today === null) stop(`--today ${named.today}: that is not a date; write 2026-10-30.`);
const trial = await tryFiles(
	{
		customers: given(named.customers!),
		invoices: given(named.invoices!),
		bank: named.bank!.map(given),
		history: named.history ? given(named.history) : null,
		answers: { customers: [], documents: [], history: [], 'bank-table': [] },
		currency: baseCurrency ?? 'GBP'
	},
	{ today: today ?? undefined, baseCurrency }
);
if (!trial.ok) stop(...trial.problems.map(problemSentence));
const { tables, answered, problems } = trial.value;
if (!answered)
	stop(...tables.filter(({ seen }) => isAsking(seen)).map(asking), ...problems.map(problemSentence));
for (const { seen } of tables) {
	const known = new Set(Object.values(seen.columns));
	const others = seen.headings.filter((heading, at) => heading && !known.has(at));
	if (others.length > 0) console.error(`${seen.file}: not used: ${others.join(', ')}.`);
}
console.error(`${answered!.customers} customers, ${answered!.documents} open documents.`);
const seconds = Number(process.hrtime.bigint() - began) / 1e9;
const summary = { ...answered!.summary, seconds: Math.round(seconds * 1000) / 1000 };
const json = `${JSON.stringify({ receipts: answered!.receipts, summary }, null, '\t')}\n`;
if (named.out === '-') process.stdout.write(json);
else
	try {
		writeFileSync(named.out!, json);
	} catch (error) {
		stop(`${named.out}: the result can't be written there (${(error as Error).message}).`);
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
