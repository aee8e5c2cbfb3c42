import { append } from '../../../core/append';
import { sql, type SQL } from 'drizzle-orm';
import { nameKey } from '../../../core/text/name-key';
import { learnPayers, type PayerLesson, type PayerTrait } from '../../../core/3-matching';
import { wordsKey } from '../../../core/text/words-key';
import { accountNow, idsOfAccount } from '../../customers/store/merged-accounts';
import type { Reader, Tx } from '../../platform/db/open';
import { payerLesson } from '../../platform/db/schema';
import { STANDING_PAST } from './standing-past';

/** What of a receipt payers are known by. */
interface Traits {
	readonly payerName: string | null;
	readonly payerAccount: string | null;
	readonly text: string;
}

const TRAITS = ['account', 'name', 'words'] as const satisfies readonly PayerTrait[];

/** What a payer may be known by, as it is compared; null where a receipt does not have it. */
function payerKeys({ payerName, payerAccount, text }: Traits): Record<PayerTrait, string | null> {
	return {
		account: payerAccount || null,
		name: (payerName && nameKey(payerName)) || null,
		words: wordsKey(text)
	};
}

/** The same as texts to be looked for, each with its trait: `account ACC1`. */
export function payerMarks(traits: Traits): string[] {
	return Object.entries(payerKeys(traits)).flatMap(([trait, key]) =>
		key ? [payerMark(trait as PayerTrait, key)] : []
	);
}

export function payerMark(trait: PayerTrait, key: string): string {
	return `${trait} ${key}`;
}

/** Keeps what an allocation teaches about who pays for its customer, where it teaches anything. */
export async function keepPayerLesson(
	tx: Tx,
	actId: number,
	placed: { readonly receiptId: number; readonly customerId: number; readonly told: boolean },
	receipt: Traits
): Promise<void> {
	const keys = payerKeys(receipt);
	if (TRAITS.every((trait) => keys[trait] === null)) return;
	await tx.insert(payerLesson).values({ actId, ...placed, ...keys });
}

/** Newest allocations that are looked at for one key: what pays for many teaches nothing after a few. */
const NEWEST = 200;

/**
 * Whom payments like these were allocated to, as far as those allocations stand and were not forgotten: all customers of each key, so
 * that what pays for several is seen to.
 */
export async function payerLessonsFor(db: Reader, receipts: readonly Traits[]): Promise<PayerLesson[]> {
	const wanted: Record<PayerTrait, Set<string>> = { account: new Set(), name: new Set(), words: new Set() };
	for (const receipt of receipts) {
		const keys = payerKeys(receipt);
		for (const trait of TRAITS) if (keys[trait] !== null) wanted[trait].add(keys[trait]);
	}
	const lessons: PayerLesson[] = [];
	for (const trait of TRAITS)
		if (wanted[trait].size > 0) append(lessons, await lessonsByKey(db, trait, [...wanted[trait]]));
	return lessons;
}

async function lessonsByKey(db: Reader, trait: PayerTrait, keys: readonly string[]): Promise<PayerLesson[]> {
	const column = sql.identifier(trait);
	const list = JSON.stringify(keys);
	const forgotten = (customerId: SQL, actId: SQL) => sql`not exists (
		select 1 from forgotten_payer f
		where f.customer_id in (${customerId}, ${accountNow(customerId)}) and f.trait = ${trait} and f.key = k.value and f.act_id > ${actId})`;
	// What payments said is not told of those of the books of before.
	const before =
		trait === 'words'
			? sql``
			: sql`union all
		select k.value, ${accountNow(sql`p.customer_id`)}, count(*), 0
		from json_each(${list}) k
		join past_payment p on p.id in (
			select n.id from past_payment n where n.${column} = k.value order by n.id desc limit ${NEWEST})
		where ${STANDING_PAST} and ${forgotten(sql`p.customer_id`, sql`p.act_id`)}
		group by 1, 2`;
	const rows = await db.all<{ key: string; customerId: number; times: number; told: number }>(sql`
		select key, customerId, sum(times) as times, max(told) as told from (select k.value as key, ${accountNow(sql`l.customer_id`)} as customerId, count(*) as times, max(l.told) as told
		from json_each(${list}) k
		join payer_lesson l on l.act_id in (
			select n.act_id from payer_lesson n where n.${column} = k.value order by n.act_id desc limit ${NEWEST})
		join receipt_state s on s.receipt_id = l.receipt_id and s.act_id = l.act_id
		where ${forgotten(sql`l.customer_id`, sql`l.act_id`)}
		group by 1, 2 ${before}) group by 1, 2`);
	return rows.map((row) => ({ ...row, trait, told: row.told === 1 }));
}

/** What was learned of one customer's payers and is used: not what pays for others as well. The most frequent first. */
export async function payersLearned(db: Reader, customerId: number): Promise<PayerLesson[]> {
	const ids = sql`(select value from json_each(${JSON.stringify(await idsOfAccount(db, customerId))}))`;
	const rows = await db.all<Record<PayerTrait, string | null>>(sql`
		select distinct account, name, words from (
			select act_id, account, name, words from payer_lesson where customer_id in ${ids}
			union all
			select p.act_id, p.account, p.name, null from past_payment p where p.customer_id in ${ids} and ${STANDING_PAST}
			order by act_id desc limit ${NEWEST})`);
	const lessons: PayerLesson[] = [];
	for (const trait of TRAITS) {
		const keys = [...new Set(rows.flatMap((row) => row[trait] ?? []))];
		if (keys.length > 0) append(lessons, await lessonsByKey(db, trait, keys));
	}
	const taught = learnPayers(lessons);
	return lessons
		.filter((one) => one.customerId === customerId && taught(one.trait, one.key)?.customerId === customerId)
		.sort((a, b) => b.times - a.times || (a.key < b.key ? -1 : 1));
}
