import { parseArgs } from 'node:util';
import { perform } from '../lib/server/act/perform';
import { APPLICATION } from '../lib/server/act/person';
import { bookDay, clock, openOwnBooks } from '../lib/server/app';
import { acknowledgeFindings } from '../lib/server/ledger/commands/acknowledge-findings';
import { problemSentence } from '../lib/words';
import { checkedConfig } from './checked-config';

/**
 * Puts down what the proof holds against books that an earlier version, or something else, wrote to; with a reason that stands in the
 * record. Look at `npm run prove` before.
 */
const { values } = parseArgs({ options: { reason: { type: 'string' } } });
if (!values.reason?.trim()) {
	console.error('Say why, after looking at what npm run prove says: npm run acknowledge -- --reason "…"');
	process.exit(2);
}
checkedConfig();
const books = await openOwnBooks();
const at = { who: APPLICATION, today: await bookDay(books), now: clock };
let count = 0;
// What is sealed as it is now is found once more by that: it is put down in the run after.
for (let run = 0; run < 3; run++) {
	const done = await perform(books, acknowledgeFindings, { reason: values.reason }, at);
	if (!done.ok) {
		console.error(done.problems.map(problemSentence).join('\n'));
		process.exitCode = 1;
		break;
	}
	const { records, foreign } = done.value;
	for (const id of records) console.log(`record ${id}: its text is not as it was hashed`);
	for (const row of foreign)
		console.log(`${row.replaceAll('_', ' ')}: was changed by something else than Odd Penny`);
	if (records.length + foreign.length === 0) break;
	count += records.length + foreign.length;
}
await books.close();
console.log(
	count ? `${count} findings are put down. It stands in the record.` : 'There is nothing to put down.'
);
