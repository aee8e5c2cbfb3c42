import { ZERO } from '../../../core/money/minor';
import { sql, and, asc, desc, eq, gt, inArray, isNull } from 'drizzle-orm';
import { age } from '../../../core/6-reports/age';
import { ageEnds } from '../../firm/store/age-ends';
import type { Minor } from '../../../core/money/minor';
import type { Reader } from '../../platform/db/open';
import {
	customer,
	customerName,
	delivery,
	manualReceipt,
	letter,
	payerAccount,
	receipt,
	receiptState
} from '../../platform/db/schema';
import { TIMES_TO_LEARN, lessonsOf } from '../../../core/3-matching';
import { nameKey } from '../../../core/text/name-key';
import { habitsOf } from '../../matching/store/lessons';
import { payersLearned } from '../../matching/store/payer-lessons';
import { openItemsOf } from '../../documents/store/open-items';
import { returnedPayments } from '../../returns/store/returned-payments';
import { overtakenLetters } from '../../letters/store/overtaken-letters';
import { filesOfCustomer } from './customer-files';
import { promisesOf } from '../store/promises-of';
import { recentNotes } from './timeline';
import { idsOfAccount, mergesStanding } from '../store/merged-accounts';
import { customerByCode } from '../store/customer-by-code';
import { defineLook } from '../../act/define-look';

const NOTES_SHOWN = 3;
const FILES_SHOWN = 10;

/** An account by its code and name. */
async function named(db: Reader, id: number) {
	const found = await db
		.select({ code: customer.code, name: customer.name })
		.from(customer)
		.where(eq(customer.id, id))
		.all();
	return found[0] ?? null;
}

/** Accounts that are branches of another, by name; the first hundred. */
const branchesOf = (db: Reader, id: number) =>
	db
		.select({ code: customer.code, name: customer.name })
		.from(customer)
		.where(and(eq(customer.parentId, id), isNull(customer.mergedIntoId)))
		.orderBy(asc(customer.name))
		.limit(100)
		.all();

/** One customer account: where it stands, and what is known of it; its ledger is read by the page (`looks/account-ledger`). */
export const lookAtAccount = defineLook('reader', async (db, code: string, { today }) => {
	const owner = await customerByCode(db, code);
	if (!owner) return null;
	const ids = await idsOfAccount(db, owner.id);
	const credits = await db
		.select({ currency: receipt.currency, onAccount: sql<number>`sum(${receiptState.onAccount})` })
		.from(receiptState)
		.innerJoin(receipt, eq(receipt.id, receiptState.receiptId))
		.where(and(eq(receiptState.customerId, owner.id), gt(receiptState.onAccount, ZERO)))
		.groupBy(receipt.currency);
	const open = await openItemsOf(db, [owner.id]);
	const ends = await ageEnds(db);
	const currencies = [...new Set([owner.currency, ...open.map((row) => row.currency)])];
	const standingByCurrency = currencies.map((currency) => {
		const own = open
			.filter((row) => row.currency === currency)
			.map((row) => ({ due: row.due, open: (row.kind === 'credit_note' ? -row.open : row.open) as Minor }));
		const credit = credits.find((row) => row.currency === currency)?.onAccount ?? 0;
		const aged = age(own, today, ends);
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
		.where(and(inArray(letter.customerId, [...ids]), gt(letter.id, 0)))
		.orderBy(desc(letter.id))
		.limit(20);
	const typed = await db
		.select()
		.from(manualReceipt)
		.where(eq(manualReceipt.customerId, owner.id))
		.orderBy(asc(manualReceipt.date), asc(manualReceipt.id));
	const habits = (await habitsOf(db, [owner.id])).get(owner.id) ?? null;
	const otherNames = names.map((row) => row.name).filter((name) => name !== owner.name);
	const given = new Set([...accounts.map((row) => row.account), ...[owner.name, ...otherNames].map(nameKey)]);
	const learned = (await payersLearned(db, owner.id)).filter(({ key }) => !given.has(key));
	return {
		customer: owner,
		parent: owner.parentId === null ? null : await named(db, owner.parentId),
		branches: await branchesOf(db, owner.id),
		/** Accounts that are seen as this one. */
		merged: await mergesStanding(db, owner.id),
		/** Payments typed by hand that are not posted: dated for later, or waiting for somebody to post them. */
		notCounted: typed.map(({ id, date, method, reference, amount, currency }) => ({
			...{ id, date, method, reference, amount, currency },
			dated: date > today
		})),
		/** Returned payments, newest first. */
		returned: (await returnedPayments(db, { customerIds: ids })).map(({ method, date, receiptId }) => ({
			...{ method, date, receiptId }
		})),
		standing: standingByCurrency,
		/** What they owe, by its numbers. */
		owing: open.flatMap(({ id, number, kind }) =>
			kind === 'invoice' || kind === 'charge' ? [{ id, number }] : []
		),
		letters,
		notes: await recentNotes(db, ids, NOTES_SHOWN),
		promises: await promisesOf(db, owner.id, ids, today),
		files: await filesOfCustomer(db, ids, FILES_SHOWN),
		overtaken: await overtakenLetters(db, owner.id),
		habits,
		lessons: habits ? lessonsOf(habits) : [],
		otherNames,
		/** Who pays for them and what payments say, as far as allocations have taught; words only once they are a lesson. */
		learned: learned.filter(({ trait, times }) => trait !== 'words' || times >= TIMES_TO_LEARN).slice(0, 12),
		payerAccounts: accounts.map((row) => row.account)
	};
});
