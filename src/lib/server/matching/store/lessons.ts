import { sql } from 'drizzle-orm';
import {
	type Habits,
	type ItemLeft,
	learnHabits,
	type Lesson,
	lessonOf,
	lessonOfPast,
	type Taught,
	without
} from '../../../core/3-matching';
import type { Day } from '../../../core/day/day';
import type { AllocateLine } from '../../../core/4-allocation/allocate-order';
import type { Minor } from '../../../core/money/minor';
import { idsOfAccounts, mergedAccounts } from '../../customers/store/merged-accounts';
import type { Reader, Tx } from '../../platform/db/open';
import { allocationLesson } from '../../platform/db/schema';
import type { DifferenceKind } from '../../../core/model/records';
import { STANDING_PAST } from './standing-past';

/** Newest payments of a customer that teach; ways of paying change. */
const NEWEST = 24;

interface Placed {
	readonly receiptId: number;
	readonly customerId: number;
	readonly currency: string;
	readonly booked: Day;
	readonly lines: readonly AllocateLine[];
}

/** What else is open on the account beside the items of an allocation, read before it is written. */
export async function openBeside(tx: Tx, placed: Omit<Placed, 'booked'>): Promise<ItemLeft[]> {
	const taken = placed.lines.map((line) => line.item.id);
	return tx.all<{ kind: ItemLeft['kind']; due: Day; open: Minor }>(sql`
		select kind, due, open from item_state
		where customer_id = ${placed.customerId} and currency = ${placed.currency} and open > 0
			and item_id not in (select value from json_each(${JSON.stringify(taken)}))`);
}

/** Keeps what an allocation teaches about its customer's habits, where it teaches anything. */
export async function keepLesson(
	tx: Tx,
	actId: number,
	{ receiptId, customerId, currency, booked, lines }: Placed,
	others: readonly ItemLeft[]
): Promise<void> {
	// A branch's items that a parent pays say nothing about what was due of the parent.
	const own = lines.filter(({ item }) => item.customerId === customerId && item.currency === currency);
	const lesson = lessonOf({ booked, lines: own, others });
	if (lesson) await tx.insert(allocationLesson).values({ actId, receiptId, customerId, currency, ...lesson });
}

type Row = [
	customerId: number,
	actId: number,
	currency: string,
	choice: Taught['choice'],
	wholeUpTo: number,
	filled: number,
	discountDaysLate: number | null,
	bankCharge: Minor | null,
	taxBasisPoints: number | null
];

/**
 * How customers pay, by what their newest allocations that still stand have taught since it was last forgotten. Customers of whom
 * nothing is known are left out.
 */
export async function habitsOf(db: Reader, customerIds: readonly number[]): Promise<Map<number, Habits>> {
	const merged = await mergedAccounts(db);
	const ids = JSON.stringify(await idsOfAccounts(db, customerIds));
	const now = (id: number) => merged.get(id) ?? id;
	const row = await db.get<{ list: string }>(sql`
		select json_group_array(json_array(customer_id, act_id, currency, choice, whole_up_to, filled,
			discount_days_late, bank_charge, tax_basis_points)) as list
		from (
			select l.*, row_number() over (partition by l.customer_id order by l.act_id desc) as place
			from allocation_lesson l join receipt_state s on s.receipt_id = l.receipt_id and s.act_id = l.act_id
			where l.customer_id in (select value from json_each(${ids}))
		) where place <= ${NEWEST}`);
	const gone = await db.all<{ customerId: number; lesson: Lesson; actId: number }>(sql`
		select customer_id as customerId, lesson, max(act_id) as actId from forgotten_lesson
		where customer_id in (select value from json_each(${ids})) group by 1, 2`);
	const taught = new Map<number, Taught[]>();
	const newest = newestOfEach(
		(JSON.parse(row?.list ?? '[]') as Row[]).map(([id, ...rest]): Row => [now(id), ...rest])
	);
	for (const one of [...newest, ...(await pastOf(db, ids, newest, now))]) {
		const [customerId, actId, currency, choice, wholeUpTo, filled, discountDaysLate, bankCharge, tax] = one;
		const whole: Taught = {
			...{ currency, choice, wholeUpTo: wholeUpTo === 1, filled: filled === 1 },
			...{ discountDaysLate, bankCharge, taxBasisPoints: tax }
		};
		const left = gone
			.filter((each) => now(each.customerId) === customerId && each.actId > actId)
			.reduce((rest, each) => without(rest, each.lesson), whole);
		const list = taught.get(customerId);
		if (list) list.push(left);
		else taught.set(customerId, [left]);
	}
	return new Map([...taught].map(([id, list]) => [id, learnHabits(list)]));
}

/** Of accounts that are one the newest together, as of any account. */
function newestOfEach(rows: readonly Row[]): Row[] {
	const counts = new Map<number, number>();
	return [...rows]
		.sort(([, a], [, b]) => b - a)
		.filter(([id]) => {
			const before = counts.get(id) ?? 0;
			counts.set(id, before + 1);
			return before < NEWEST;
		});
}

interface Past {
	readonly customerId: number;
	readonly actId: number;
	readonly currency: string;
	readonly amount: Minor;
	readonly kind: DifferenceKind | null;
	readonly difference: Minor | null;
}

/** What payments of the books of before teach, as far as these books have fewer of a customer than count. */
async function pastOf(
	db: Reader,
	ids: string,
	newest: readonly Row[],
	now: (id: number) => number
): Promise<Row[]> {
	const counts = new Map<number, number>();
	for (const [id] of newest) counts.set(id, (counts.get(id) ?? 0) + 1);
	const past = await db.all<Past>(sql`
		select customer_id as customerId, act_id as actId, currency, amount, difference_kind as kind, difference_amount as difference
		from (
			select p.*, row_number() over (partition by p.customer_id order by p.paid_on desc, p.id desc) as place
			from past_payment p
			where p.customer_id in (select value from json_each(${ids})) and ${STANDING_PAST}
		) where place <= ${NEWEST} order by place`);
	return past.flatMap(({ customerId: before, actId, currency, amount, kind, difference }): Row[] => {
		const customerId = now(before);
		const known = counts.get(customerId) ?? 0;
		counts.set(customerId, known + 1);
		if (known >= NEWEST) return [];
		const lesson = lessonOfPast({
			amount,
			difference: kind === null || difference === null ? null : { kind, amount: difference }
		});
		const { choice, discountDaysLate, bankCharge, taxBasisPoints } = lesson;
		return [[customerId, actId, currency, choice, 0, 0, discountDaysLate, bankCharge, taxBasisPoints]];
	});
}
