import { kindOf } from '../../act/kinds';
import type { standingAllocation } from '../../platform/db/schema/standing';
import type { LedgerLine, LedgerSources } from '../store/ledger-sources';

/** What a ledger line settled, or was settled by. */
export interface Thread {
	/** A document's number; empty for a receipt, which is known by its day. */
	readonly label: string;
	readonly date: string | null;
	readonly amount: number;
	readonly itemId: number | null;
	readonly actId: number | null;
}

/** What a line is called, and what it leads to. */
interface LedgerName {
	/** A kind of document, deduction, adjustment or act, or `moved` for value from or to another account. */
	readonly kind: string;
	readonly label: string;
	readonly text: string;
	readonly receiptId: number | null;
	readonly itemId: number | null;
	/** An allocation that was undone since. */
	readonly undone: boolean;
	readonly onAccount: number;
	readonly threads: readonly Thread[];
}

const PLAIN = {
	...{ label: '', text: '', receiptId: null, itemId: null, undone: false, onAccount: 0 },
	threads: []
} as const satisfies Partial<LedgerName>;

/** Names a line by what it stands for, with threads to what it settled or was settled by. */
export function nameLedgerLine(line: LedgerLine, sources: LedgerSources): LedgerName {
	const id = line.sourceId ?? 0;
	const kind = kindOf(line.act);
	switch (line.sourceKind) {
		case 'document':
			return nameDocument(id, sources);
		case 'receipt':
			return nameReceipt(line, id, sources);
		case 'deduction': {
			const one = sources.deductions.get(id)!;
			return { ...PLAIN, kind: one.kind, threads: [toItem(one, sources)] };
		}
		case 'receipt-adjustment': {
			const one = sources.adjustments.get(id)!;
			const undone = one.kind === 'returned' && one.undoesId !== null;
			const label = sources.receipts.get(one.receiptId)?.payerName ?? '';
			return { ...PLAIN, kind: undone ? 'undo-return' : one.kind, label };
		}
		case 'allocation':
			return { ...PLAIN, kind: 'moved', threads: [toItem(sources.moves.get(id)!, sources)] };
		default:
			return { ...PLAIN, kind };
	}
}

function nameDocument(id: number, sources: LedgerSources): LedgerName {
	const { kind, number: label, text } = sources.documents.get(id)!;
	const own = (sources.itemsOf.get(id) ?? []).map((row) => row.id);
	const threads = own.flatMap((itemId) => [
		...(sources.settling.get(itemId) ?? []).map((part) => fromCredit(part, sources)),
		...(sources.byCredit.get(itemId) ?? []).map((part) => toItem(part, sources))
	]);
	return { ...PLAIN, kind, label, text, itemId: own[0] ?? null, threads };
}

function nameReceipt(line: LedgerLine, id: number, sources: LedgerSources): LedgerName {
	const one = sources.receipts.get(id);
	const kind = kindOf(line.act);
	const stands = one?.state.actId === line.actId;
	return {
		...{ ...PLAIN, kind, label: one?.payerName ?? 'Receipt', receiptId: id },
		undone: kind === 'allocate-receipt' && !stands,
		onAccount: stands ? (one?.state.onAccount ?? 0) : 0,
		threads: (sources.paidBy.get(line.actId) ?? []).map((part) => toItem(part, sources))
	};
}

function toItem({ itemId, amount }: { itemId: number; amount: number }, { numbers }: LedgerSources): Thread {
	return { label: numbers.get(itemId) ?? '', date: null, amount, itemId, actId: null };
}

function fromCredit(part: typeof standingAllocation.$inferSelect, sources: LedgerSources): Thread {
	const { amount, receiptId, creditItemId, actId, date } = part;
	if (receiptId === null) return toItem({ itemId: creditItemId!, amount }, sources);
	return { label: '', date: sources.receipts.get(receiptId)?.booked ?? date, amount, itemId: null, actId };
}
