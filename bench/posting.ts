import { createReadStream, mkdtempSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { sql } from 'drizzle-orm';
import { allocateReceipt } from '../src/lib/server/allocation/commands/allocate-receipt';
import { proveBooks } from '../src/lib/server/ledger/queries/proof';
import { itemsById } from '../src/lib/server/documents/store/open-items';
import { document, item } from '../src/lib/server/platform/db/schema';
import { importBankFile } from '../src/lib/server/receipts/commands/import-bank-file';
import { readBankFile } from '../src/lib/server/receipts/store/read-bank-file';
import { answeredPile } from '../src/lib/server/services/answers/answers';
import { bookOf, must } from './books';
import { writeStatement } from './write-statement';

/** Milliseconds that answers may take: a page would go on without them, and here is no page. */
const LONGEST = 300_000;

const seconds = (from: bigint) => Number(process.hrtime.bigint() - from) / 1e9;

/** A thousand receipts against ten thousand open items: answered, posted one by one, proved. */
export async function posting(say: (what: string, figure: string) => void): Promise<void> {
	const { books } = await bookOf(2_000, 10_000);
	const open = await books.db
		.select({ number: document.number, customerId: document.customerId, total: item.total })
		.from(item)
		.innerJoin(document, sql`${document.id} = ${item.documentId}`)
		.limit(1000);
	const small = join(mkdtempSync(join(tmpdir(), 'odd-penny-bench-')), 'small.xml');
	await writeStatement(small, 1000, (i) => ({
		text: i % 4 ? `INV ${open[i]!.number}` : 'PAYMENT',
		account: `ACC${open[i]!.customerId}`,
		amount: open[i]!.total
	}));
	const read = await readBankFile('small.xml', createReadStream(small));
	if (!read.ok) throw new Error('the bench file was refused');
	await must(books, importBankFile, read.value);
	const from = process.hrtime.bigint();
	const pile = await answeredPile(books.db, LONGEST);
	if (!pile.fresh) throw new Error('the receipts were not answered in time: nothing would be measured');
	say('answering 1,000 receipts against 10,000 open items, books read: s', seconds(from).toFixed(3));
	const answers = [...pile.answers.values()];
	const items = await itemsById(
		books.db,
		answers.flatMap((one) => one.lines.map((line) => line.itemId))
	);
	say('  of these certain', String(answers.filter((one) => one.band === 'certain').length));
	const versions = new Map(items.map((one) => [one.id, one.version]));
	const post = process.hrtime.bigint();
	let posted = 0;
	for (const answer of answers) {
		if (answer.customerId === null) continue;
		const order = answer.lines.map((line) => ({
			itemId: line.itemId,
			version: versions.get(line.itemId)!,
			cash: line.cash,
			differences: []
		}));
		for (const line of answer.lines) versions.set(line.itemId, versions.get(line.itemId)! + 1);
		await must(books, allocateReceipt, {
			receiptId: answer.receiptId,
			receiptVersion: 1,
			customerId: answer.customerId,
			lines: order
		});
		posted++;
	}
	const time = seconds(post);
	say(`posting ${posted} receipts, each a transaction: receipts/s`, (posted / time).toFixed(0));
	const proof = process.hrtime.bigint();
	const { breaches } = await proveBooks(books.db);
	say(`proving these books: s (${breaches.length} breaches)`, seconds(proof).toFixed(2));
	await books.close();
}
