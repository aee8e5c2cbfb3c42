import { and, asc, desc, eq, gt, inArray } from 'drizzle-orm';
import { CHART } from '../../core/5-journal/chart';
import { accountLedger } from '../../core/6-reports/account-ledger';
import { age } from '../../core/6-reports/age';
import type { Day } from '../../core/day/day';
import type { Minor } from '../../core/money/minor';
import {
	act,
	allocation,
	creditChange,
	customer,
	customerName,
	delivery,
	difference,
	document,
	draftReceipt,
	item,
	journalLine,
	letter,
	payerAccount,
	receipt,
	receiptState
} from '../db/schema';
import { lessonsOf } from '../../core/3-matching/habits';
import { nameKey } from '../../core/3-matching/name-key';
import { LESSON } from '../../core/3-matching/payer-lessons';
import { habitsOf } from '../repo/lessons';
import { payersLearned } from '../repo/payer-lessons';
import { openItemsOf } from '../repo/open-items';
import { returnedPayments } from '../repo/returned-payments';
import { groupBy } from '../repo/group-by';
import { overtakenLetters } from '../repo/overtaken-letters';
import { kindOf } from '../act/kinds';
import { defineLook } from './define-look';

/** What a ledger line settled, or was settled by. */
export interface Thread {
	/** A document's number; empty for a receipt, which is known by its day. */
	readonly label: string;
	readonly date: string | null;
	readonly amount: number;
	readonly itemId: number | null;
	readonly actId: number | null;
}

/** One customer account: where it stands, and its ledger with running balance and threads both ways. */
export const lookAtAccount = defineLook('reader', async (db, code: string, { today }) => {
	const owner = await db.select().from(customer).where(eq(customer.code, code)).get();
	if (!owner) return null;
	const postings = await db
		.select({
			id: journalLine.id,
			date: journalLine.date,
			amount: journalLine.amount,
			currency: journalLine.currency,
			act
		})
		.from(journalLine)
		.innerJoin(act, eq(act.id, journalLine.actId))
		.where(and(eq(journalLine.customerId, owner.id), eq(journalLine.account, CHART.receivables.code)))
		.orderBy(asc(journalLine.id));
	const documents = await db.select().from(document).where(eq(document.customerId, owner.id));
	// A claim is split off by the act that places the money: its lines are told apart by their amounts.
	const documentOf = new Map(documents.filter((row) => row.kind !== 'claim').map((row) => [row.actId, row]));
	const claimsByAct = groupBy(
		documents.filter((row) => row.kind === 'claim'),
		(row) => row.actId
	);
	const items = await db.select().from(item).where(eq(item.customerId, owner.id));
	const itemById = new Map(items.map((row) => [row.id, row]));
	const documentById = new Map(documents.map((row) => [row.id, row]));
	const itemsOfDocument = groupBy(items, (row) => row.documentId);
	const parts = await db
		.select({ part: allocation })
		.from(allocation)
		.innerJoin(item, eq(item.id, allocation.itemId))
		.where(eq(item.customerId, owner.id));
	const undone = new Set(parts.flatMap(({ part }) => part.undoesId ?? []));
	const standing = parts
		.map(({ part }) => part)
		.filter((part) => part.undoesId === null && !undone.has(part.id));
	const byItem = groupBy(standing, (part) => part.itemId);
	const byCreditItem = groupBy(standing, (part) => part.creditItemId);
	const byAct = groupBy(standing, (part) => part.actId);
	const gaps = await db
		.select({ gap: difference })
		.from(difference)
		.innerJoin(item, eq(item.id, difference.itemId))
		.where(eq(item.customerId, owner.id));
	const gapsByAct = groupBy(
		gaps.map(({ gap }) => gap),
		(gap) => gap.actId
	);
	const changes = await db.select().from(creditChange).where(eq(creditChange.customerId, owner.id));
	const changesByAct = groupBy(changes, (row) => row.actId);
	const states = await db.select().from(receiptState).where(eq(receiptState.customerId, owner.id));
	const stateByAct = new Map(states.map((row) => [row.actId, row]));
	const receipts = states.length
		? await receiptsById(states.map((row) => row.receiptId))
		: new Map<number, typeof receipt.$inferSelect>();
	const receiptByAct = new Map(
		postings.flatMap(({ act: done }) => (done.receiptId !== null ? [[done.id, done.receiptId]] : []))
	);
	const numberOf = (itemId: number) => {
		const it = itemById.get(itemId)!;
		const number = documentById.get(it.documentId)!.number;
		return it.parts > 1 ? `${number} (${it.part} of ${it.parts})` : number;
	};
	const threadToItem = (part: { itemId: number; amount: number }): Thread => ({
		label: numberOf(part.itemId),
		date: null,
		amount: part.amount,
		itemId: part.itemId,
		actId: null
	});
	const seenReceiptLine = new Set<number>();
	const rows = accountLedger(
		postings
			.filter((row) => row.amount !== 0)
			.map((row) => {
				const split = claimsByAct.get(row.act.id)?.find((one) => one.total === row.amount);
				const doc = split ?? documentOf.get(row.act.id);
				const first = !split && !seenReceiptLine.has(row.act.id);
				if (!split) seenReceiptLine.add(row.act.id);
				const change =
					!doc && !first
						? changesByAct.get(row.act.id)?.find((one) => one.amount === -row.amount)
						: undefined;
				const moved = !doc && !first && !change && row.amount > 0 && kindOf(row.act) === 'allocate-receipt';
				const gap =
					!doc && !first ? gapsByAct.get(row.act.id)?.find((one) => one.amount === -row.amount) : undefined;
				const threads: Thread[] = doc
					? (itemsOfDocument.get(doc.id) ?? []).flatMap((it) => [
							...(byItem.get(it.id) ?? []).map((part) => settledBy(part)),
							...(byCreditItem.get(it.id) ?? []).map(threadToItem)
						])
					: first
						? (byAct.get(row.act.id) ?? []).filter((part) => part.receiptId !== null).map(threadToItem)
						: gap
							? [threadToItem(gap)]
							: [];
				return {
					id: row.id,
					date: row.date as Day,
					amount: row.amount as Minor,
					currency: row.currency,
					actId: row.act.id,
					kind: doc ? doc.kind : gap ? gap.kind : change ? change.kind : moved ? 'moved' : kindOf(row.act),
					label: doc ? doc.number : first ? receiptLabel(row.act) : '',
					text: doc ? doc.text : '',
					receiptId: first ? row.act.receiptId : null,
					itemId: doc ? (itemsOfDocument.get(doc.id)?.[0]?.id ?? null) : null,
					undone: kindOf(row.act) === 'allocate-receipt' && !stateByAct.has(row.act.id),
					onAccount: first ? (stateByAct.get(row.act.id)?.onAccount ?? 0) : 0,
					by: row.act.userName,
					at: row.act.at,
					threads
				};
			})
	);
	function settledBy(part: typeof allocation.$inferSelect): Thread {
		if (part.receiptId === null)
			return {
				label: numberOf(part.creditItemId!),
				date: null,
				amount: part.amount,
				itemId: part.creditItemId,
				actId: null
			};
		return {
			label: '',
			date: receipts.get(part.receiptId)?.booked ?? part.date,
			amount: part.amount,
			itemId: null,
			actId: part.actId
		};
	}
	function receiptLabel(done: typeof act.$inferSelect): string {
		const id = receiptByAct.get(done.id);
		return (id !== undefined && receipts.get(id)?.payerName) || 'Receipt';
	}
	async function receiptsById(ids: readonly number[]) {
		const found = await db
			.select()
			.from(receipt)
			.where(inArray(receipt.id, ids.slice(0, 30_000)));
		return new Map(found.map((row) => [row.id, row]));
	}
	const open = await openItemsOf(db, [owner.id]);
	const currencies = [...new Set([owner.currency, ...open.map((row) => row.currency)])];
	const standingByCurrency = currencies.map((currency) => {
		const own = open
			.filter((row) => row.currency === currency)
			.map((row) => ({ due: row.due, open: (row.kind === 'credit_note' ? -row.open : row.open) as Minor }));
		const credit = states
			.filter((row) => row.onAccount > 0 && receipts.get(row.receiptId)?.currency === currency)
			.reduce((sum, row) => sum + row.onAccount, 0);
		const aged = age(own, today);
		return {
			currency,
			open: own.reduce((sum, row) => sum + row.open, 0),
			late: own.filter((row) => row.open > 0 && row.due < today).reduce((sum, row) => sum + row.open, 0),
			credit,
			aged
		};
	});
	const names = await db.select().from(customerName).where(eq(customerName.customerId, owner.id));
	const accounts = await db.select().from(payerAccount).where(eq(payerAccount.customerId, owner.id));
	const letters = await db
		.select({
			id: letter.id,
			kind: letter.kind,
			date: letter.date,
			amount: letter.amount,
			currency: letter.currency,
			state: delivery.state
		})
		.from(letter)
		.innerJoin(delivery, eq(delivery.letterId, letter.id))
		.where(and(eq(letter.customerId, owner.id), gt(letter.id, 0)))
		.orderBy(desc(letter.id))
		.limit(20);
	const typed = await db
		.select()
		.from(draftReceipt)
		.where(eq(draftReceipt.customerId, owner.id))
		.orderBy(asc(draftReceipt.date), asc(draftReceipt.id));
	const habits = (await habitsOf(db, [owner.id])).get(owner.id) ?? null;
	const otherNames = names.map((row) => row.name).filter((name) => name !== owner.name);
	const given = new Set([...accounts.map((row) => row.account), ...[owner.name, ...otherNames].map(nameKey)]);
	const learned = (await payersLearned(db, owner.id)).filter(({ key }) => !given.has(key));
	return {
		customer: owner,
		/** Payments typed by hand that are not posted: dated for later, or waiting for somebody to post them. */
		notCounted: typed.map(({ id, date, method, reference, amount, currency }) => ({
			...{ id, date, method, reference, amount, currency },
			dated: date > today
		})),
		/** Payments that came back, newest first. */
		returned: (await returnedPayments(db, { customerId: owner.id })).map(({ method, date, receiptId }) => ({
			...{ method, date, receiptId }
		})),
		standing: standingByCurrency,
		rows,
		letters,
		overtaken: await overtakenLetters(db, owner.id),
		habits,
		lessons: habits ? lessonsOf(habits) : [],
		otherNames,
		/** Who pays for them and what payments say, as far as placings have taught; words only once they are a lesson. */
		learned: learned.filter(({ trait, times }) => trait !== 'words' || times >= LESSON).slice(0, 12),
		payerAccounts: accounts.map((row) => row.account)
	};
});
