import { existsSync, writeFileSync } from 'node:fs';
import { extname } from 'node:path';
import { REPORT_IDS } from '../lib/core/model/report';
import { APPLICATION } from '../lib/server/act/person';
import { bookDay, followConventions, openOwnBooks } from '../lib/server/app';
import { REPORT_FORMATS, lookAtReportFile } from '../lib/server/services/report-file';
import { reportCalled } from '../lib/server/reports/queries/report';
import { render } from '../lib/server/services/render-pdf';
import { problemSentence } from '../lib/words';
import { checkedConfig } from './checked-config';

/** Makes a report as a file: `npm run report -- ageing --as-of 2026-09-30 --by parent --out ageing.xlsx`. The books are only read. */
const USAGE = `npm run -s report -- REPORT --out FILE.csv|.xlsx|.pdf [--FIELD VALUE …] [--sort COLUMN|-COLUMN]
Reports: ${REPORT_IDS.join(', ')}. Fields are those of the report's address, such as --as-of 2026-09-30.`;

function stop(...lines: string[]): never {
	for (const line of lines) console.error(line);
	process.exit(2);
}

const [name = '', ...given] = process.argv.slice(2);
const id = reportCalled(name) ?? stop(name ? `There is no report “${name}”.` : 'Name the report.', USAGE);
const params: Record<string, string> = {};
for (let n = 0; n < given.length; n += 2) {
	const [flag, value] = [given[n]!, given[n + 1]];
	if (!flag.startsWith('--') || value === undefined)
		stop(`${flag}: a field is given as --field value.`, USAGE);
	params[flag.slice(2)] = value;
}
const { out, sort, ...fields } = params;
if (!out) stop('Say where it goes: --out ageing.csv.', USAGE);
const format =
	REPORT_FORMATS.find((one) => `.${one}` === extname(out).toLowerCase()) ??
	stop(`${out}: end the name with .csv, .xlsx or .pdf.`);
if (existsSync(out)) stop(`${out} is there already. Choose another name, or move it away first.`);
checkedConfig();
const books = await openOwnBooks();
await followConventions(books);
const viewer = { who: APPLICATION, today: await bookDay(books) };
const order = sort ? { by: sort.replace(/^-/, ''), down: sort.startsWith('-') } : null;
const asked = { id, params: fields, order, format, at: new Date().toISOString() };
const file = await lookAtReportFile(books.db, asked, viewer);
await books.close();
if (file.what === 'problems')
	stop(
		...file.problems.map((one) =>
			one.code === 'field' ? `--${one.field}: ${one.message}` : problemSentence(one)
		)
	);
if (file.what === 'csv') writeFileSync(out, `\ufeff${file.text}\r\n`, { flag: 'wx' });
else
	writeFileSync(
		out,
		file.what === 'xlsx' ? file.bytes : await render({ what: 'report', report: file.sheet }),
		{
			flag: 'wx'
		}
	);
console.log(`Wrote ${out}.`);
process.exit(0);
