import { RULES } from '../lib/core/5-journal/proof/prove';
import { parseArgs } from 'node:util';
import { openOwnBooks, ownAnchors } from '../lib/server/app';
import { readAnchorFile } from '../lib/server/platform/anchors/anchor-files';
import { breachSentence } from '../lib/words';
import { checkedConfig } from './checked-config';
import { proveBooks } from '../lib/server/ledger/queries/proof';

checkedConfig();
const { values } = parseArgs({ options: { anchor: { type: 'string', multiple: true } } });
const own = ownAnchors();
const anchors = { ...own, files: [...own.files, ...(values.anchor ?? []).map(readAnchorFile)] };
const books = await openOwnBooks();
const { breaches, counts } = await proveBooks(books.db, anchors);
await books.close();
console.log(
	`Read ${counts.acts} acts, ${counts.journalLines} journal lines, ${counts.items} items, ${counts.receipts} receipts, ${counts.seals} seals, ${counts.anchors} anchors.`
);
if (counts.acknowledged)
	console.log(`${counts.acknowledged} findings were put down with a reason: it stands in the record.`);
for (const [rule, text] of Object.entries(RULES)) {
	const broken = breaches.filter((breach) => breach.rule === Number(rule));
	console.log(`${broken.length ? 'BROKEN' : 'holds '} ${rule}. ${text}`);
	for (const breach of broken.slice(0, 20)) console.log(`         ${breachSentence(breach)}`);
	if (broken.length > 20) console.log(`         and ${broken.length - 20} more`);
}
console.log(breaches.length ? `The books do not prove: ${breaches.length} breaches.` : 'The books prove.');
process.exitCode = breaches.length ? 1 : 0;
