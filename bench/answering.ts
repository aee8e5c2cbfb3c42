import { createReadStream } from 'node:fs';
import { join } from 'node:path';
import { sql } from 'drizzle-orm';
import { allocateReceipt } from '../src/lib/server/allocation/commands/allocate-receipt';
import { document, item } from '../src/lib/server/platform/db/schema';
import { importBankFile } from '../src/lib/server/receipts/commands/import-bank-file';
import { itemsById } from '../src/lib/server/documents/store/open-items';
import { readBankFile } from '../src/lib/server/receipts/store/read-bank-file';
import { type AnsweredReceipts, patched, PileMaker } from '../src/lib/server/services/answers/pile-maker';
import { bookOf, must } from './books';
import { writeStatement } from './write-statement';

const RECEIPTS = 2_000;
const ITEMS = 100_000;
const CUSTOMERS = 10_000;
const POSTS = 5;

/** Answering a long pile in large books: the first time, and after each of some posts. */
export async function answering(say: (what: string, figure: string) => void): Promise<void> {
	const { books, folder } = await bookOf(CUSTOMERS, ITEMS);
	const open = await books.db
		.select({ number: document.number, customerId: document.customerId, total: item.total })
		.from(item)
		.innerJoin(document, sql`${document.id} = ${item.documentId}`)
		.limit(RECEIPTS * 7);
	const file = join(folder, 'pile.xml');
	await writeStatement(file, RECEIPTS, (i) => {
		const one = open[i * 7]!;
		return {
			text: i % 4 ? `INV ${one.number}` : 'PAYMENT',
			account: `ACC${one.customerId}`,
			amount: i % 5 ? one.total : one.total + open[i * 7 + 1]!.total
		};
	});
	const read = await readBankFile('pile.xml', createReadStream(file));
	if (!read.ok) throw new Error('the bench file was refused');
	await must(books, importBankFile, read.value);
	const since = (from: number) => (performance.now() - from).toFixed(0);
	const maker = new PileMaker();
	let pile: AnsweredReceipts | null = null;
	const make = async (what: string) => {
		const from = performance.now();
		const patch = await maker.make(books.db, pile?.actId ?? null);
		say(`${what}, ms`, since(from));
		const then = performance.now();
		pile = patched(pile, structuredClone(patch));
		say('  taken over by another thread, ms', since(then));
		return pile;
	};
	let made = await make(`answering ${RECEIPTS} receipts in books of ${ITEMS} documents`);
	for (let n = 0; n < POSTS; n++) {
		const answer = [...made.answers.values()].find((one) => one.band === 'certain')!;
		const items = await itemsById(
			books.db,
			answer.lines.map((line) => line.itemId)
		);
		const versions = new Map(items.map((one) => [one.id, one.version]));
		await must(books, allocateReceipt, {
			...{ receiptId: answer.receiptId, receiptVersion: 1, customerId: answer.customerId! },
			lines: answer.lines.map(({ itemId, cash }) => ({
				...{ itemId, cash, version: versions.get(itemId)!, differences: [] }
			}))
		});
		made = await make(`the same after post ${n + 1}`);
	}
	books.close();
}
