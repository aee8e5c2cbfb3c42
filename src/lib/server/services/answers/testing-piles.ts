import { newDocument, testBooks } from '../../testing';
import type { AnsweredReceipts } from './pile-maker';

/** Books with documents of two customers, for piles to be answered by. */
export const someDocuments = () =>
	testBooks(
		newDocument('AK-401', 1, 10_000),
		newDocument('AK-402', 1, 4_800),
		newDocument('AK-403', 1, 620, { purchaseOrder: 'PO-7' }),
		newDocument('AC-401', 1, 1_250, { kind: 'credit_note' }),
		newDocument('AK-404', 2, 7_046),
		newDocument('AK-405', 2, 620),
		newDocument('AC-402', 2, 300, { kind: 'credit_note' })
	);

/** A pile as plain values, so that two can be compared. */
export function plain({ receipts, answers, shown, failures }: AnsweredReceipts) {
	return {
		failures,
		rows: receipts.map((row) => ({ row, answer: answers.get(row.id), shown: shown.get(row.id) })),
		size: [answers.size, shown.size]
	};
}
