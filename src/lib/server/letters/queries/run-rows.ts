import { and, eq, inArray, notInArray, sql } from 'drizzle-orm';
import { compareText } from '../../../core/compare-text';
import type { LetterKind, StatementAsked } from '../../../core/7-letters/letter';
import type { LetterDetails } from '../../../core/7-letters/letter-details';
import { recipientsOf } from '../../../core/7-letters/recipients-of';
import { itemsAskedFor } from '../../../core/7-letters/chasing/chase-account';
import { wayOf, whyHeld, type HeldReason } from '../../../core/7-letters/why-held';
import type { Day } from '../../../core/day/day';
import type { LetterWay } from '../../../core/model/customer-details';
import { sumOf } from '../../../core/money/add';
import { minor, type Minor } from '../../../core/money/minor';
import { inList } from '../../platform/db/in-list';
import { readSetting } from '../../firm/store/settings';
import type { Reader } from '../../platform/db/open';
import { delivery, letter, letterRun, runLetter } from '../../platform/db/schema';
import { CAME_TO_NOTHING, chaseAccounts, type AccountChase } from '../store/chases';
import { thanksRows } from './thanks-rows';
import { chaseStanding, runStep, type RunStep } from '../store/run-step';
import { letterOwners, letterStandings, type LetterOwner } from '../store/letter-standings';
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
	/** Reminders: also accounts that are overdue and reach no step today. */
	readonly everyone?: boolean;
}

/** What a run is asked for. */
export interface RunAsked {
	readonly kind: LetterKind;
	readonly statement?: StatementAsked | null;
	/** The customers whose money waits: they are held. */
	readonly waiting: readonly number[];
	readonly filter?: RunFilter;
	/** These customers alone. */
	readonly only?: readonly number[];
	/** Where accounts stand on their ladders, where that was reckoned before. */
	readonly chases?: ReadonlyMap<string, AccountChase>;
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
	/** Money on account and in credit notes. */
	readonly credit: Minor;
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
	/** The step of chasing that it is; null for other letters. */
	readonly step: RunStep | null;
	/** The next step of an account that reaches none today. */
	readonly nextStep: { readonly name: string; readonly day: Day } | null;
	/** It is being written or waits to be sent, in a run before this one. */
	readonly isUnderWay: boolean;
}

/** An account that somebody chose, as they saw it. */
export interface ChosenAccount {
	readonly customerId: number;
	readonly currency: string;
	readonly amount: number;
	/** The reason against it that they overruled. */
	readonly overruled?: HeldReason | undefined;
	/** What they added to this letter. */
	readonly note?: string | undefined;
	/** What they asked of this letter beside: its words, its items. */
	readonly details?: LetterDetails | undefined;
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
	if (kind === 'thanks')
		return thanksRows(db, today, { only: asked.only, underWay: await accountsUnderWay(db, kind) });
	const statement = kind === 'statement' ? (asked.statement ?? null) : null;
	const standings = await letterStandings(db, today, statement, asked.only);
	const owners = new Map(
		(await letterOwners(db, [...new Set(standings.map((one) => one.customerId))])).map((row) => [row.id, row])
	);
	const parent = filter.parent
		? [...owners.values()].find((owner) => owner.code === filter.parent)?.id
		: undefined;
	const inCredit = (await readSetting(db, 'letters'))?.inCredit ?? 'send';
	const lastSent = await lastSentDays(db, kind, asked.only);
	const underWay = await accountsUnderWay(db, kind);
	const corrects = new Map(told.map((one) => [keyOf(one), one.date]));
	const waiting = new Set(asked.waiting);
	const chases =
		kind === 'reminder'
			? (asked.chases ?? (await chaseAccounts(db, today, asked.only)))
			: new Map<string, AccountChase>();
	const rows: RunRow[] = [];
	for (const one of standings) {
		const owner = owners.get(one.customerId);
		if (!owner) continue;
		const key = keyOf(one);
		const chase = chases.get(key) ?? null;
		if (kind === 'reminder' && one.late <= 0 && !chase?.step) continue;
		const wanted = chase ? itemsAskedFor(chase, chase.items, today) : null;
		const toAsk = wanted ? sumOf(wanted, (item) => minor(item.open)) : one.late;
		const { to: email, copies } = recipientsOf(owner, kind);
		const wrong = kind === 'statement' ? (corrects.get(key) ?? null) : null;
		const standing = {
			...one,
			...{ moneyWaits: waiting.has(owner.id), paused: isPaused(owner, today), way: owner.statementWay },
			...{ hasEmail: email !== null, hasAddress: (owner.statementAddress ?? owner.address).length > 0 },
			...{ sentToday: lastSent.get(key) === today, corrects: wrong !== null, asked: toAsk },
			chase: chase && chaseStanding(chase, wanted!)
		};
		const held = whyHeld(kind, standing, inCredit);
		if (kind === 'reminder' && !filter.everyone && (held === 'no-step' || held === 'to-call')) continue;
		const way = standing.chase?.way ?? wayOf(kind, standing);
		const amount =
			kind === 'reminder' ? minor(Math.max(0, toAsk - one.credit)) : minor(one.owed - one.onAccount);
		if (!matches(filter, { owner, way, amount, late: one.late, currency: one.currency, parent })) continue;
		rows.push({
			...{ customerId: owner.id, code: owner.code, name: owner.name, currency: one.currency },
			...{ amount, owed: one.owed, late: one.late, way, email, copies, held },
			because: held === 'paused' ? owner.chasingPaused : null,
			lastSent: lastSent.get(key) ?? null,
			...{ corrects: wrong, credit: one.credit },
			...{ step: chase && runStep(chase, today), nextStep: chase?.step ? null : (chase?.next ?? null) },
			isUnderWay: underWay.has(key)
		});
	}
	return rows.sort(
		(a, b) => b.amount - a.amount || compareText(a.code, b.code) || compareText(a.currency, b.currency)
	);
}

function isPaused(owner: LetterOwner, today: Day): boolean {
	return owner.chasingPaused !== null && (owner.pausedUntil === null || owner.pausedUntil >= today);
}

function matches(
	filter: RunFilter,
	one: {
		readonly owner: LetterOwner;
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
async function lastSentDays(
	db: Reader,
	kind: LetterKind,
	only: readonly number[] | undefined
): Promise<ReadonlyMap<string, string>> {
	const sent = await db
		.select({
			customerId: letter.customerId,
			currency: letter.currency,
			date: sql<string>`max(${letter.date})`
		})
		.from(letter)
		.innerJoin(delivery, eq(delivery.letterId, letter.id))
		.where(
			and(
				eq(letter.kind, kind),
				only ? inList(letter.customerId, only) : undefined,
				notInArray(delivery.state, [...CAME_TO_NOTHING])
			)
		)
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
