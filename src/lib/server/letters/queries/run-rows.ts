import { and, eq, inArray, notInArray, sql } from 'drizzle-orm';
import { compareText } from '../../../core/compare-text';
import type { LetterKind, StatementAsked } from '../../../core/7-letters/letter';
import { recipientsOf } from '../../../core/7-letters/recipients-of';
import { wayOf, whyHeld, type HeldReason } from '../../../core/7-letters/why-held';
import type { Day } from '../../../core/day/day';
import type { LetterWay } from '../../../core/model/customer-details';
import { minor, type Minor } from '../../../core/money/minor';
import { readSetting } from '../../firm/store/settings';
import type { Reader } from '../../platform/db/open';
import { delivery, letter, letterRun, runLetter, type customer } from '../../platform/db/schema';
import { letterOwners, letterStandings, type AccountStanding } from '../store/letter-standings';
import type { OvertakenLetter } from '../store/overtaken-letters';

/** Which accounts of a run are looked at. */
export interface RunFilter {
	/** A word by which the firm sorts its customers. */
	readonly tag?: string;
	readonly currency?: string;
	/** Branches of the account with this code, and itself. */
	readonly parent?: string;
	readonly way?: LetterWay;
	/** At least so much, in minor units of its currency. */
	readonly least?: number;
	readonly overdueOnly?: boolean;
}

/** What a run is asked for. */
export interface RunAsked {
	readonly kind: LetterKind;
	readonly statement?: StatementAsked | null;
	/** The customers whose money waits: they are held. */
	readonly waiting: readonly number[];
	readonly filter?: RunFilter;
}

export interface RunRow {
	readonly customerId: number;
	readonly code: string;
	readonly name: string;
	readonly currency: string;
	/** What the letter comes to: the balance of a statement, what a reminder asks for. */
	readonly amount: Minor;
	readonly owed: Minor;
	readonly late: Minor;
	readonly way: LetterWay;
	readonly email: string | null;
	/** Who gets a copy. */
	readonly copies: readonly string[];
	/** Why it had better not go now, or null. */
	readonly held: HeldReason | null;
	readonly because: string | null;
	readonly lastSent: string | null;
	/** The day of a letter that is out of date, because a payment that it showed was moved since. */
	readonly corrects: string | null;
	/** It is being written or waits to be sent, in a run before this one. */
	readonly isUnderWay: boolean;
}

const keyOf = (row: { readonly customerId: number; readonly currency: string }) =>
	`${row.customerId} ${row.currency}`;

/** Every account that a run could be for, the greatest sums first, each with what stands against it. */
export async function runRows(
	db: Reader,
	asked: RunAsked,
	today: Day,
	told: readonly OvertakenLetter[]
): Promise<RunRow[]> {
	const { kind, filter = {} } = asked;
	const statement = kind === 'statement' ? (asked.statement ?? null) : null;
	const standings = await letterStandings(db, today, statement);
	const owners = new Map(
		(await letterOwners(db, [...new Set(standings.map((one) => one.customerId))])).map((row) => [row.id, row])
	);
	const parent = filter.parent
		? [...owners.values()].find((owner) => owner.code === filter.parent)?.id
		: undefined;
	const inCredit = (await readSetting(db, 'letters'))?.inCredit ?? 'send';
	const lastSent = await lastSentDays(db, kind);
	const underWay = await accountsUnderWay(db, kind);
	const corrects = new Map(told.map((one) => [keyOf(one), one.date]));
	const waiting = new Set(asked.waiting);
	const rows: RunRow[] = [];
	for (const one of standings) {
		const owner = owners.get(one.customerId);
		if (!owner || (kind === 'reminder' && one.late <= 0)) continue;
		const key = keyOf(one);
		const { to: email, copies } = recipientsOf(owner, kind);
		const wrong = kind === 'statement' ? (corrects.get(key) ?? null) : null;
		const standing = {
			...one,
			...{ moneyWaits: waiting.has(owner.id), paused: isPaused(owner, today), way: owner.statementWay },
			...{ hasEmail: email !== null, hasAddress: (owner.statementAddress ?? owner.address).length > 0 },
			...{ sentToday: lastSent.get(key) === today, corrects: wrong !== null }
		};
		const held = whyHeld(kind, standing, inCredit);
		const way = wayOf(kind, standing);
		const amount = amountOf(kind, one);
		if (!matches(filter, { owner, way, amount, late: one.late, currency: one.currency, parent })) continue;
		rows.push({
			...{ customerId: owner.id, code: owner.code, name: owner.name, currency: one.currency },
			...{ amount, owed: one.owed, late: one.late, way, email, copies, held },
			because: held === 'paused' ? owner.chasingPaused : null,
			lastSent: lastSent.get(key) ?? null,
			corrects: wrong,
			isUnderWay: underWay.has(key)
		});
	}
	return rows.sort(
		(a, b) => b.amount - a.amount || compareText(a.code, b.code) || compareText(a.currency, b.currency)
	);
}

/** What a letter comes to: a statement's balance, or what is late less what stands to the customer's credit. */
function amountOf(kind: LetterKind, { owed, late, onAccount, credit }: AccountStanding): Minor {
	return minor(kind === 'reminder' ? Math.max(0, late - credit) : owed - onAccount);
}

function isPaused(owner: typeof customer.$inferSelect, today: Day): boolean {
	return owner.chasingPaused !== null && (owner.pausedUntil === null || owner.pausedUntil >= today);
}

function matches(
	filter: RunFilter,
	one: {
		readonly owner: typeof customer.$inferSelect;
		readonly way: LetterWay;
		readonly amount: Minor;
		readonly late: Minor;
		readonly currency: string;
		readonly parent: number | undefined;
	}
): boolean {
	const { owner, way, amount, late, currency, parent } = one;
	return (
		(filter.tag === undefined || owner.tags.includes(filter.tag)) &&
		(filter.currency === undefined || currency === filter.currency) &&
		(filter.parent === undefined ||
			(parent !== undefined && (owner.id === parent || owner.parentId === parent))) &&
		(filter.way === undefined || way === filter.way) &&
		(filter.least === undefined || amount >= filter.least) &&
		(!filter.overdueOnly || late > 0)
	);
}

/** The last day on which each account was sent a letter of a kind, by account and currency. */
async function lastSentDays(db: Reader, kind: LetterKind): Promise<ReadonlyMap<string, string>> {
	const sent = await db
		.select({
			customerId: letter.customerId,
			currency: letter.currency,
			date: sql<string>`max(${letter.date})`
		})
		.from(letter)
		.innerJoin(delivery, eq(delivery.letterId, letter.id))
		.where(and(eq(letter.kind, kind), notInArray(delivery.state, ['refused', 'failed', 'withdrawn'])))
		.groupBy(letter.customerId, letter.currency)
		.all();
	return new Map(sent.map((row) => [keyOf(row), row.date]));
}

/** Accounts for which a letter of a kind was asked for and is not written yet. */
async function accountsUnderWay(db: Reader, kind: LetterKind): Promise<ReadonlySet<string>> {
	const rows = await db
		.select({ customerId: runLetter.customerId, currency: runLetter.currency })
		.from(runLetter)
		.innerJoin(letterRun, eq(letterRun.id, runLetter.runId))
		.where(and(eq(letterRun.kind, kind), inArray(runLetter.state, ['to-write'])))
		.all();
	return new Set(rows.map(keyOf));
}
