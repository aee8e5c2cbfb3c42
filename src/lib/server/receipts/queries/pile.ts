import { and, asc, eq, max, notInArray, sql } from 'drizzle-orm';
import { mayBeSplit } from '../../../core/2-receipts/may-be-split';
import { payoutOf } from '../../../core/2-receipts/payout-of';
import { type Band, saysReturned } from '../../../core/3-matching';
import type { Day } from '../../../core/day/day';
import type { Db } from '../../platform/db/open';
import {
	act,
	bankAccount,
	bankFile,
	bankStatement,
	receipt,
	receiptState,
	statementEntry
} from '../../platform/db/schema';
import { answeredPile, type Pile } from '../../services/answers/answers';
import {
	orderPile,
	besideInPile,
	PILE_GROUPS,
	type OrderedPile,
	type PileFilter,
	type PileGroup
} from '../../services/answers/order-pile';
import type { Waiting } from '../store/waiting-receipts';
import type { Shown } from '../../matching/store/kept-answers';
import { activePeople } from '../../people/store/active-people';
import { processorNames } from '../../firm/store/processors';
import { defineLook } from '../../act/define-look';

export interface PileRow {
	readonly id: number;
	readonly version: number;
	readonly band: Band;
	readonly held: string | null;
	/** Whether it is booked as unidentified meanwhile. */
	readonly unidentified: boolean;
	/** Who looks into it. */
	readonly heldFor: string | null;
	readonly booked: Day;
	/** The customer's name where known, else the payer's as the bank prints it. */
	readonly who: string;
	readonly amount: number;
	readonly currency: string;
	/** Numbers of the items that the answer takes. */
	readonly numbers: readonly string[];
	/** Amount allocated by the answer, minus the open total of its items when short. */
	readonly gap: number;
	readonly otherAnswers: number;
	readonly text: string;
	/** Whether a debit entry says that a payment came back. */
	readonly cameBack: boolean;
	/** The ledger account that entries like it go to, or null. */
	readonly aside: string | null;
	/** Whether it looks like what a processor pays out. */
	readonly payout: boolean;
}

/** An account with credit that something owed could be paid from. */
export interface CreditRow {
	readonly customerId: number;
	readonly name: string;
	readonly currency: string;
	readonly amount: number;
	/** The document that a deposit of it was paid for, where that is open now. */
	readonly deposit: string | null;
}

/** A group of the pile: how many it has, and the first of them. */
export interface PileGroupRows {
	readonly name: PileGroup;
	readonly count: number;
	readonly rows: readonly PileRow[];
}

/** The pile on Money in: what waits, by how sure the answer is; of each group only the first rows. */
export const lookAtPile = defineLook(
	'reader',
	async (db, { most, filter }: { readonly most: number; readonly filter: PileFilter }) => {
		const pile = await answeredPile(db);
		const { groups, sums, count } = orderPile(pile, filter);
		const known = await knownBeside(db);
		const shown = PILE_GROUPS.map((name): PileGroupRows => ({
			...{ name, count: groups[name].length },
			rows: groups[name].slice(0, most).map((row) => rowOf(row, pile, known))
		}));
		return {
			...{ groups: shown, sums, count, all: orderPile(pile).count, fresh: pile.fresh, filter },
			...{ day: await dayOfNewest(db), credits: await creditsToPlace(db), ways: await waysToLook(db, pile) }
		};
	}
);

/** What the pile can be filtered by beside words. */
async function waysToLook(db: Db, pile: Pile) {
	return {
		banks: await db
			.select({ id: bankAccount.id, name: bankAccount.name })
			.from(bankAccount)
			.orderBy(asc(bankAccount.id)),
		people: await activePeople(db),
		heldFor: [...new Set(pile.receipts.flatMap((row) => row.heldFor ?? []))].sort()
	};
}

/** Of all that came in on the day of the newest bank file: how much, and how much of it is dealt with. */
async function dayOfNewest(db: Db) {
	const newest = db
		.select({ date: max(act.date) })
		.from(act)
		.where(eq(act.kind, 'import-bank-file'));
	const row = await db
		.select({
			all: sql<number>`count(distinct ${receipt.id})`,
			done: sql<number>`count(distinct case when ${receiptState.state} not in ('waiting', 'held', 'in_approval')
				or ${receiptState.unidentifiedActId} is not null then ${receipt.id} end)`
		})
		.from(bankFile)
		.innerJoin(act, eq(act.id, bankFile.actId))
		.innerJoin(bankStatement, eq(bankStatement.fileId, bankFile.id))
		.innerJoin(statementEntry, eq(statementEntry.statementId, bankStatement.id))
		.innerJoin(receipt, eq(receipt.bankEntryId, statementEntry.entryId))
		.innerJoin(receiptState, eq(receiptState.receiptId, receipt.id))
		.where(and(eq(act.date, newest), notInArray(receiptState.state, ['split', 'withdrawn'])))
		.get();
	return { all: row?.all ?? 0, done: row?.done ?? 0 };
}

/** More rows of a group of the pile. */
export const lookAtPileGroup = defineLook(
	'reader',
	async (
		db,
		{
			group,
			from,
			most,
			filter
		}: {
			readonly group: PileGroup;
			readonly from: number;
			readonly most: number;
			readonly filter: PileFilter;
		}
	) => {
		const pile = await answeredPile(db);
		const known = await knownBeside(db);
		return orderPile(pile, filter)
			.groups[group].slice(from, from + most)
			.map((row) => rowOf(row, pile, known));
	}
);

/**
 * Where a receipt stands in the pile, with those beside it. For `first` that is the one to begin with: the first that is not certain, else
 * the first of all; for null, that none is looked at. One that the filter leaves out stands nowhere, and the first comes after it.
 */
export const lookAtPlace = defineLook(
	'reader',
	async (db, { asked, filter }: { readonly asked: number | 'first' | null; readonly filter: PileFilter }) => {
		const pile = orderPile(await answeredPile(db), filter);
		const receiptId = asked === 'first' ? firstOf(pile) : asked;
		return {
			receiptId,
			place: (receiptId !== null && pile.placeOf.get(receiptId)) || null,
			beside: besideInPile(pile, receiptId)
		};
	}
);

function firstOf({ groups }: OrderedPile): number | null {
	const [, ...others] = PILE_GROUPS;
	const [first] = [...others.flatMap((group) => groups[group][0] ?? []), ...groups.certain];
	return first?.id ?? null;
}

/** What is shown of a receipt that has no answer yet. */
const NOTHING: Shown = { customer: null, numbers: [], open: 0 };

/** What is known of payers beside the answers. */
interface KnownBeside {
	readonly processors: readonly string[];
}

async function knownBeside(db: Db): Promise<KnownBeside> {
	return { processors: await processorNames(db) };
}

function rowOf(row: Waiting, { answers, shown }: Pile, known: KnownBeside): PileRow {
	const answer = answers.get(row.id)!;
	const { customer, numbers, open } = shown.get(row.id) ?? NOTHING;
	return {
		...{
			id: row.id,
			version: row.version,
			band: answer.band,
			held: row.heldBecause,
			...{ heldFor: row.heldFor, booked: row.booked },
			unidentified: row.unidentifiedActId !== null,
			numbers,
			text: row.text
		},
		who: customer ?? (row.payerName || 'Unnamed payer'),
		...{ amount: row.amount, currency: row.currency },
		gap: numbers.length ? row.amount - open : 0,
		otherAnswers: answer.otherAnswers,
		cameBack: row.amount < 0 && saysReturned(row),
		aside: answer.usual?.name ?? null,
		payout: mayBeSplit(row) && payoutOf(row, known.processors) !== null
	};
}

/** Accounts where credit on account, or a credit note, could meet something that is owed. */
async function creditsToPlace(db: Db): Promise<CreditRow[]> {
	return db.all<CreditRow>(sql`
		with credit as (
			select s.customer_id, r.currency, sum(s.on_account) as amount
			from receipt_state s join receipt r on r.id = s.receipt_id
			where s.on_account > 0 group by 1, 2
			union all
			select customer_id, currency, sum(open) from item_state
			where open > 0 and kind = 'credit_note' group by 1, 2
		)
		select c.id as customerId, c.name as name, credit.currency as currency, sum(credit.amount) as amount,
			(select min(d.number) from receipt_state s join item i on i.customer_id = s.customer_id
				join item_state o on o.item_id = i.id join document d on d.id = i.document_id
				where s.customer_id = c.id and s.on_account > 0 and s.deposit_for is not null and o.open > 0
				and s.deposit_for in (d.order_reference, d.purchase_order)) as deposit
		from credit join customer c on c.id = credit.customer_id
		where exists (
			select 1 from item_state o where o.customer_id = credit.customer_id
			and o.currency = credit.currency and o.open > 0 and o.kind <> 'credit_note'
		)
		group by c.id, credit.currency
		order by deposit is null, c.name, credit.currency`);
}
