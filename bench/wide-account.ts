import { createReadStream, mkdtempSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { importBankFile } from '../src/lib/server/receipts/commands/import-bank-file';
import { allocateReceipt } from '../src/lib/server/allocation/commands/allocate-receipt';
import { readBankFile } from '../src/lib/server/receipts/store/read-bank-file';
import { lookAtDesk } from '../src/lib/server/allocation/queries/desk';
import { openItemsOf } from '../src/lib/server/documents/store/open-items';
import { at, bookOf, must } from './books';
import { writeStatement } from './write-statement';

type Say = (what: string, figure: string) => void;
const seconds = (from: bigint) => Number(process.hrtime.bigint() - from) / 1e9;

/** One account with 5,000 open items and 2,000 payments that name none of them. */
export async function wideAccount(say: Say): Promise<void> {
	const { books } = await bookOf(1, 5_000);
	const small = join(mkdtempSync(join(tmpdir(), 'odd-penny-bench-')), 'wide.xml');
	await writeStatement(small, 2_000, () => ({ text: 'PAYMENT', account: 'ACC1', amount: 90_000_000 }));
	const read = await readBankFile('wide.xml', createReadStream(small));
	if (!read.ok) throw new Error('the bench file was refused');
	await must(books, importBankFile, read.value);
	const items = await openItemsOf(books.db, [1]);
	const times: number[] = [];
	for (let n = 0; n < 9; n++) {
		const lines = items
			.slice(n * 200, (n + 1) * 200)
			.map((item) => ({ itemId: item.id, version: item.version, cash: item.open, differences: [] }));
		const post = process.hrtime.bigint();
		await must(books, allocateReceipt, { receiptId: n + 1, receiptVersion: 1, customerId: 1, lines });
		times.push(seconds(post) * 1000);
	}
	say('posting one receipt across 200 items, median of 9: ms', times.sort((a, b) => a - b)[4]!.toFixed(0));
	const viewer = { who: at.who, today: at.today };
	const cold = process.hrtime.bigint();
	await lookAtDesk(books.db, { receiptId: 10, customerId: 1, also: [] }, viewer);
	say('the desk, 2,000 in the pile, 3,200 open items, answered anew: ms', (seconds(cold) * 1000).toFixed(0));
	const warm = process.hrtime.bigint();
	await lookAtDesk(books.db, { receiptId: 11, customerId: 1, also: [] }, viewer);
	say('the same, the next receipt: ms', (seconds(warm) * 1000).toFixed(0));
	await books.close();
}
