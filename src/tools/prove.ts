import { RULES } from '../lib/core/5-journal/proof/prove';
import { openOwnBooks } from '../lib/server/app';
import { checkedConfig } from './checked-config';
import { proveBooks } from '../lib/server/ledger/queries/proof';

checkedConfig();
const books = await openOwnBooks();
const { breaches, counts } = await proveBooks(books.db);
await books.close();
console.log(
	`Read ${counts.acts} acts, ${counts.journalLines} journal lines, ${counts.items} items, ${counts.receipts} receipts.`
);
for (const [rule, text] of Object.entries(RULES)) {
	const broken = breaches.filter((breach) => breach.rule === Number(rule));
	console.log(`${broken.length ? 'BROKEN' : 'holds '} ${rule}. ${text}`);
	for (const { about, want, found, currency } of broken.slice(0, 20))
		console.log(`         ${about}: ${found} instead of ${want} ${currency}`);
	if (broken.length > 20) console.log(`         and ${broken.length - 20} more`);
}
console.log(breaches.length ? `The books do not prove: ${breaches.length} breaches.` : 'The books prove.');
process.exitCode = breaches.length ? 1 : 0;
