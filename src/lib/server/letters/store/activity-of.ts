import { and, asc, eq, lt, lte, gte, ne, sql } from 'drizzle-orm';
import { CHART } from '../../../core/5-journal/chart';
import { movementsOf, type PostedLine } from '../../../core/7-letters/movements-of';
import type { Activity, MovementKind } from '../../../core/7-letters/letter';
import type { Day } from '../../../core/day/day';
import { sumOf } from '../../../core/money/add';
import { minor } from '../../../core/money/minor';
import { ledgerSources, type LedgerLine, type LedgerSources } from '../../customers/store/ledger-sources';
import { idsOfAccount } from '../../customers/store/merged-accounts';
import { inList } from '../../platform/db/in-list';
import type { Reader } from '../../platform/db/open';
import { act, journalLine } from '../../platform/db/schema';

/** All that happened on an account in a currency from one day to another, with the balances before and after. */
export async function activityOf(
	db: Reader,
	{ customerId, currency }: { readonly customerId: number; readonly currency: string },
	from: Day,
	to: Day
): Promise<Activity> {
	const own = and(
		inList(journalLine.customerId, await idsOfAccount(db, customerId)),
		eq(journalLine.account, CHART.receivables.code),
		eq(journalLine.currency, currency),
		ne(journalLine.amount, minor(0))
	);
	const before = await db
		.select({ sum: sql<number>`coalesce(sum(${journalLine.amount}), 0)` })
		.from(journalLine)
		.where(and(own, lt(journalLine.date, from)))
		.all();
	const found = await db
		.select({ line: journalLine, act })
		.from(journalLine)
		.innerJoin(act, eq(act.id, journalLine.actId))
		.where(and(own, gte(journalLine.date, from), lte(journalLine.date, to)))
		.orderBy(asc(journalLine.date), asc(journalLine.id))
		.all();
	const lines = found.map((row): LedgerLine => ({ ...row.line, act: row.act }));
	const sources = await ledgerSources(db, lines);
	const opening = minor(before[0]?.sum ?? 0);
	const movements = movementsOf(lines.map((line) => postedLine(line, sources)));
	const closing = minor(opening + sumOf(movements, (one) => one.amount));
	return { opening, movements, closing };
}

const ADJUSTMENTS: Readonly<Record<string, MovementKind>> = { refund: 'refund', returned: 'returned' };

function postedLine(line: LedgerLine, sources: LedgerSources): PostedLine {
	const id = line.sourceId ?? 0;
	const plain = {
		...{ id: line.id, date: line.date, amount: line.amount, reference: '', text: '' },
		...{ settles: [], isMoveToClaim: false, source: `${line.sourceKind} ${id}` }
	};
	const numberOf = (itemId: number) => sources.numbers.get(itemId) ?? '';
	switch (line.sourceKind) {
		case 'document': {
			const one = sources.documents.get(id)!;
			return {
				...plain,
				...{ kind: one.kind, reference: one.number, text: one.text, isMoveToClaim: one.kind === 'claim' }
			};
		}
		case 'receipt': {
			const paid = sources.paidBy.get(line.actId) ?? [];
			const settles = paid.map(({ itemId, amount }) => ({ number: numberOf(itemId), amount }));
			return { ...plain, kind: 'payment', settles };
		}
		case 'deduction': {
			const one = sources.deductions.get(id)!;
			return {
				...plain,
				...{ kind: 'allowance', reference: numberOf(one.itemId), isMoveToClaim: one.kind === 'claim' },
				source: `deduction ${one.undoesId ?? id}`
			};
		}
		case 'receipt-adjustment': {
			const one = sources.adjustments.get(id)!;
			const kind = ADJUSTMENTS[one.kind] ?? 'allowance';
			return { ...plain, kind, source: `receipt-adjustment ${one.undoesId ?? id}` };
		}
		case 'allocation': {
			const one = sources.moves.get(id)!;
			const source = `allocation ${one.undoesId ?? id}`;
			return { ...plain, kind: 'between-accounts', reference: numberOf(one.itemId), source };
		}
		default:
			return { ...plain, kind: 'correction', source: `line ${line.id}` };
	}
}
