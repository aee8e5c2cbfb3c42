import { RULES } from '../lib/core/5-journal/proof/prove';
import { parseArgs } from 'node:util';
import { openOwnBooks, ownAnchors } from '../lib/server/app';
import { readAnchorFile } from '../lib/server/platform/anchors/anchor-files';
import { breachSentence } from '../lib/words';
import { config } from '../lib/server/platform/config';
import { openForReading } from '../lib/server/platform/db/open-for-reading';
import { checkedConfig } from './checked-config';
import { proveBooks } from '../lib/server/ledger/queries/proof';

checkedConfig();
const { values } = parseArgs({ options: { anchor: { type: 'string', multiple: true } } });
const own = ownAnchors();
const anchors = { ...own, files: [...own.files, ...(values.anchor ?? []).map(readAnchorFile)] };
// Brought up to date first; then read as they are at one moment, for the application may be writing meanwhile.
await (await openOwnBooks()).close();
const { database } = config();
const db = openForReading(database.url, database.token);
const { breaches, counts } = await db.transaction((tx) => proveBooks(tx, anchors));
db.$client.close();
console.log(
	`Read ${counts.acts} acts, ${counts.journalLines} journal lines, ${counts.items} items, ${counts.receipts} receipts, ${counts.seals} seals, ${counts.anchors} anchors.`
);
if (counts.acknowledged)
	console.log(`${counts.acknowledged} findings were acknowledged with a reason: it is in the record.`);
for (const [rule, text] of Object.entries(RULES)) {
	const broken = breaches.filter((breach) => breach.rule === Number(rule));
	console.log(`${broken.length ? 'BROKEN' : 'holds '} ${rule}. ${text}`);
	for (const breach of broken.slice(0, 20)) console.log(`         ${breachSentence(breach)}`);
	if (broken.length > 20) console.log(`         and ${broken.length - 20} more`);
}
console.log(breaches.length ? `The books do not prove: ${breaches.length} breaches.` : 'The books prove.');
process.exitCode = breaches.length ? 1 : 0;
