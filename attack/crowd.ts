import { randomUUID } from 'node:crypto';
import type { Client as Db } from '@libsql/client';
import { setTimeout as pause } from 'node:timers/promises';
import { chance } from '../src/demo/random';
import type { Client, Told } from './client';
import { keysNotOnce, overAllocated } from './look-into';

export interface CrowdReport {
	/** What was done, and how often it was let through. */
	readonly done: Readonly<Record<string, { readonly tried: number; readonly through: number }>>;
	readonly wrong: readonly string[];
}

type Deed = readonly [what: string, path: string, fields: object];
const PAGES = [
	'/',
	'/money-in',
	'/customers',
	'/open-items',
	'/books',
	'/books/journal',
	'/odd-pennies',
	'/letters'
];

/**
 * Many people at once on the same receipts, items, letters and numbers, as fast as they can: what was acknowledged is in the record
 * once, nothing is allocated twice, and nobody meets a failure. Every fifth form is sent twice at once with the same key.
 */
export async function letCrowdLoose(
	db: Db,
	people: readonly Client[],
	seconds: number,
	seed = 7
): Promise<CrowdReport> {
	const until = Date.now() + seconds * 1_000;
	const done: Record<string, { tried: number; through: number }> = {};
	const wrong: string[] = [];
	const acknowledged = new Set<string>();
	const one = async (client: Client, n: number) => {
		const random = chance(seed * 1_000 + n);
		while (Date.now() < until) {
			if (random.int(0, 3) === 0) {
				const path = PAGES[random.int(0, PAGES.length - 1)]!;
				const { status } = await client.get(path);
				if (status !== 200) wrong.push(`${path} was answered with ${status}`);
				continue;
			}
			const deed = await choose(db, random);
			if (!deed) {
				await pause(5);
				continue;
			}
			const [what, path, fields] = deed;
			const key = randomUUID();
			const send = () => client.act(path, JSON.stringify(fields), key);
			const told = random.int(0, 4) === 0 ? await Promise.all([send(), send()]) : [await send()];
			const count = (done[what] ??= { tried: 0, through: 0 });
			count.tried++;
			if (told.some(isThrough)) {
				count.through++;
				acknowledged.add(key);
			}
			for (const { status, text } of told)
				if (status >= 500) wrong.push(`${what} was answered with ${status}: ${text.slice(0, 200)}`);
			if (told.length === 2 && isThrough(told[0]!) && isThrough(told[1]!) && told[0]!.text !== told[1]!.text)
				wrong.push(
					`${what}, sent twice with one key, was answered with ${told[0]!.text} and ${told[1]!.text}`
				);
		}
	};
	await Promise.all(people.map(one));
	return { done, wrong: [...wrong, ...(await keysNotOnce(db, acknowledged)), ...(await overAllocated(db))] };
}

function isThrough({ type }: Told): boolean {
	return type === 'success' || type === 'redirect';
}

/** Something to do with what is there now; others see the same, and try the same. */
async function choose(db: Db, random: ReturnType<typeof chance>): Promise<Deed | null> {
	const rows = async (sql: string) => (await db.execute(sql)).rows;
	const some = <T>(list: readonly T[]): T | undefined => list[random.int(0, Math.max(0, list.length - 1))];
	const what = random.int(0, 9);
	if (what <= 3) {
		const money = some(
			await rows(`select s.receipt_id as id, s.version, r.amount, r.currency from receipt_state s
				join receipt r on r.id = s.receipt_id where s.state = 'waiting' and r.amount > 0 limit 12`)
		);
		if (!money) return null;
		const item = some(
			await rows(`select i.id, s.version, s.open, i.customer_id as customer from item_state s join item i on i.id = s.item_id
				join document d on d.id = i.document_id where s.open > 0 and d.kind = 'invoice'
				and d.currency = '${String(money['currency'])}' limit 12`)
		);
		if (!item) return null;
		const cash = Math.min(Number(item['open']), Number(money['amount']));
		return [
			...(['post', '/money-in?/post'] as const),
			{
				...{
					receiptId: money['id'],
					receiptVersion: money['version'],
					customerId: item['customer'],
					date: null
				},
				lines: [{ itemId: item['id'], version: item['version'], cash, differences: [] }]
			}
		];
	}
	if (what <= 6) {
		const act = some(
			await rows(`select a.id from act a where a.kind in ('allocate-receipt', 'undo-posting') and a.parent_id is null
				and not exists (select 1 from act u where u.undoes_id = a.id) order by a.id desc limit 8`)
		);
		return act ? ['undo', '/money-in?/undo', { actIds: [act['id']] }] : null;
	}
	if (what === 7) {
		const money = some(
			await rows(
				`select receipt_id as id, version from receipt_state where state in ('waiting', 'held') limit 12`
			)
		);
		const because = random.int(0, 1) ? 'ask the payer' : '';
		return money
			? ['hold', '/money-in?/hold', { receiptId: money['id'], receiptVersion: money['version'], because }]
			: null;
	}
	if (what === 8) {
		const customer = some(await rows(`select id from customer limit 6`));
		const number = `RACE-${random.int(1, 400)}`;
		return [
			...(['invoice', '/open-items/new'] as const),
			{
				...{ kind: 'invoice', customerId: customer!['id'], number, issued: '2026-10-30', discount: null },
				lines: [{ text: 'Glaze, 5 kg', net: random.int(100, 90_000), taxBasisPoints: 2_000 }],
				shares: [{ basisPoints: 10_000, days: 30 }],
				...{ purchaseOrder: null, orderReference: null, paymentReference: null }
			}
		];
	}
	const account = some(
		await rows(`select distinct i.customer_id as customer, d.currency from item_state s join item i on i.id = s.item_id
			join document d on d.id = i.document_id where s.open > 0 limit 6`)
	);
	const newest = async (table: string) =>
		Number((await rows(`select coalesce(max(id), 0) as id from ${table}`))[0]!['id']);
	const seen = { letter: await newest('letter'), run: await newest('letter_run') };
	const chosen = [
		{
			...{ customerId: account!['customer'], currency: account!['currency'], amount: 1 },
			overruled: 'money-waiting'
		}
	];
	const form = { kind: 'statement', statement: null, note: '', copyToMe: false, chosen, seen };
	return ['letters', '/letters?/send', form];
}
