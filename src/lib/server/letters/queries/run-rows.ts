import { and, eq, inArray, notInArray, sql } from 'drizzle-orm';
import { compareText } from '../../../core/compare-text';
import type { LetterKind, StatementAsked } from '../../../core/7-letters/letter';
import { recipientsOf } from '../../../core/7-letters/recipients-of';
import { wayOfStep } from '../../../core/7-letters/chasing/policy';
import type { LetterDetails } from '../../../core/7-letters/letter-details';
import { wayOf, whyHeld, type ChaseStanding, type HeldReason } from '../../../core/7-letters/why-held';
import { addDays } from '../../../core/day/arithmetic';
import type { Day } from '../../../core/day/day';
import type { LetterWay } from '../../../core/model/customer-details';
import { minor, type Minor } from '../../../core/money/minor';
import { readSetting } from '../../firm/store/settings';
import type { Reader } from '../../platform/db/open';
import { delivery, letter, letterRun, runLetter, type customer } from '../../platform/db/schema';
import { chaseAccounts, type AccountChase } from '../store/chases';
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
	/** The step of chasing that it is; null for other letters. */
	readonly step: RunStep | null;
	/** The next step of an account that reaches none today. */
	readonly nextStep: { readonly name: string; readonly day: Day } | null;
	/** It is being written or waits to be sent, in a run before this one. */
	readonly isUnderWay: boolean;
}

/** A step that an account reaches, and what its letter is asked for. */
export interface RunStep {
	readonly name: string;
	/** Items that reach a step. */
	readonly items: number;
	readonly details: LetterDetails;
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
	const all = await letterStandings(db, today, statement);
	const standings = asked.only ? all.filter((one) => asked.only!.includes(one.customerId)) : all;
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
	const chases =
		kind === 'reminder' ? await chaseAccounts(db, today, asked.only) : new Map<string, AccountChase>();
	const rows: RunRow[] = [];
	for (const one of standings) {
		const owner = owners.get(one.customerId);
		if (!owner) continue;
		const key = keyOf(one);
		const chase = chases.get(key) ?? null;
		if (kind === 'reminder' && one.late <= 0 && !chase?.step) continue;
		const toAsk = askedFor(one, chase, today);
		const { to: email, copies } = recipientsOf(owner, kind);
		const wrong = kind === 'statement' ? (corrects.get(key) ?? null) : null;
		const standing = {
			...one,
			...{ moneyWaits: waiting.has(owner.id), paused: isPaused(owner, today), way: owner.statementWay },
			...{ hasEmail: email !== null, hasAddress: (owner.statementAddress ?? owner.address).length > 0 },
			...{ sentToday: lastSent.get(key) === today, corrects: wrong !== null, asked: toAsk },
			chase: chase && chaseStanding(chase)
		};
		const held = whyHeld(kind, standing, inCredit);
		if (kind === 'reminder' && !filter.everyone && (held === 'no-step' || held === 'to-call')) continue;
		const way = (chase?.step && wayOfStep(chase.step.step)) ?? wayOf(kind, standing);
		const amount =
			kind === 'reminder' ? minor(Math.max(0, toAsk - one.credit)) : minor(one.owed - one.onAccount);
		if (!matches(filter, { owner, way, amount, late: one.late, currency: one.currency, parent })) continue;
		rows.push({
			...{ customerId: owner.id, code: owner.code, name: owner.name, currency: one.currency },
			...{ amount, owed: one.owed, late: one.late, way, email, copies, held },
			because: held === 'paused' ? owner.chasingPaused : null,
			lastSent: lastSent.get(key) ?? null,
			corrects: wrong,
			...{ step: chase && runStep(chase, today), nextStep: chase?.step ? null : (chase?.next ?? null) },
			isUnderWay: underWay.has(key)
		});
	}
	return rows.sort(
		(a, b) => b.amount - a.amount || compareText(a.code, b.code) || compareText(a.currency, b.currency)
	);
}

/** What a reminder asks for before credits: what is late, promised or not; of an account with nothing late, what reaches a step. */
function askedFor({ late }: AccountStanding, chase: AccountChase | null, today: Day): Minor {
	if (!chase) return late;
	const wanted = new Set(itemsAskedFor(chase, today));
	return minor(chase.items.reduce((sum, item) => sum + (wanted.has(item.id) ? item.open : 0), 0));
}

/** What a reminder is about: all that is late and neither promised nor in dispute, and what reaches a step before it is late. */
function itemsAskedFor(chase: AccountChase, today: Day): number[] {
	const reached = new Set(chase.letters.map((one) => one.id));
	const promised = new Set(chase.promised);
	return chase.items
		.filter((item) => reached.has(item.id) || (item.due < today && !promised.has(item.id)))
		.map((item) => item.id);
}

function chaseStanding(chase: AccountChase): ChaseStanding {
	return {
		...{ reaches: chase.step !== null, isMissed: chase.isMissed, isToBeCalled: chase.calls.length > 0 },
		...{ isPromised: chase.promised.length > 0, isCovered: chase.covered.length > 0 },
		isSmall: chase.step !== null && chase.lateBase < chase.step.step.least
	};
}

/** What the letter of a step is asked for. */
function runStep(chase: AccountChase, today: Day): RunStep | null {
	if (!chase.step) return null;
	const { step, index } = chase.step;
	const { steps } = chase.policy;
	const after = steps[index + 1];
	const next = after && {
		name: after.name,
		day: addDays(today, after.after === 'step' ? after.days : Math.max(1, after.days - step.days))
	};
	const about = itemsAskedFor(chase, today);
	const isUsual = about.length === chase.items.filter((item) => item.due < today).length && step.days >= 0;
	return {
		...{ name: step.name, items: chase.letters.length },
		details: {
			wording: step.wording,
			...(isUsual ? {} : { about }),
			...(step.attach ? { attach: true } : {}),
			...(step.copies.length > 0 ? { copies: step.copies } : {}),
			step: {
				...{ name: step.name, next: next ?? null },
				items: chase.letters.map((one) => ({
					...{ id: one.id, step: one.step.id, name: one.step.name, effect: one.step.effect }
				}))
			}
		}
	};
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
