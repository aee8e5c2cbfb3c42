import { append } from '../../../../core/append';
import { sql } from 'drizzle-orm';
import { CHART } from '../../../../core/5-journal/chart';
import type { JournalSource } from '../../../../core/model/journal';
import { namesOf } from '../../../act/kinds';
import { groupBy } from '../../../../core/group-by';
import type { Tx } from '../types';
import { withRowsOpen } from './with-rows-open';

interface Line {
	readonly id: number;
	readonly actId: number;
	readonly customerId: number;
	readonly currency: string;
	readonly amount: number;
	readonly base: number;
}

/** A line that a record must have; without a base where only the act knows it. */
interface Wanted {
	readonly customerId: number;
	readonly currency: string;
	readonly amount: number;
	readonly base: number | null;
	readonly source: JournalSource;
}

/** So many acts are read and written at once. */
const ACTS = 5_000;

/**
 * Says of each line of receivables that earlier versions posted what of the sub-ledger it stands for: the records that the same act
 * wrote tell which lines it must have. Lines of one act that are equal in everything may be told either way.
 * @returns how many lines could not be told; the proof names them
 */
export async function fillLineSources(tx: Tx): Promise<number> {
	const range = await tx.get<{ first: number | null; last: number | null }>(sql`
		select min(act_id) as first, max(act_id) as last from journal_line
		where account = ${CHART.receivables.code} and source_kind is null`);
	if (range.first === null || range.last === null) return 0;
	const { first, last } = range;
	let left = 0;
	await withRowsOpen(tx, 'journal_line', async () => {
		for (let from = first; from <= last; from += ACTS) {
			const lines = await linesOf(tx, from, from + ACTS);
			const wanted = await wantedOf(tx, from, from + ACTS);
			const told: (readonly [number, JournalSource])[] = [];
			for (const [actId, own] of lines) {
				const found = tell(actId, own, wanted.get(actId) ?? []);
				append(told, found);
				left += own.length - found.length;
			}
			const rows = JSON.stringify(
				told.map(([id, { kind, id: of, itemId, receiptId }]) => [id, kind, of, itemId, receiptId])
			);
			await tx.run(sql`update journal_line
				set source_kind = rows.value ->> 1, source_id = rows.value ->> 2, item_id = rows.value ->> 3,
					receipt_id = rows.value ->> 4
				from json_each(${rows}) as rows where journal_line.id = rows.value ->> 0`);
		}
	});
	return left;
}

/** Lines of receivables without a source, by act, in the order in which they were posted. */
async function linesOf(tx: Tx, from: number, to: number): Promise<Map<number, Line[]>> {
	const rows = await tx.all<Line>(sql`
		select id, act_id as actId, customer_id as customerId, currency, amount, base from journal_line
		where act_id >= ${from} and act_id < ${to} and account = ${CHART.receivables.code} and source_kind is null
		order by id`);
	return groupBy(rows, (row) => row.actId);
}

/** The lines that the records of acts must have, in the order in which an act posts them. */
async function wantedOf(tx: Tx, from: number, to: number): Promise<Map<number, Wanted[]>> {
	const wanted = new Map<number, Wanted[]>();
	const add = (actId: number, one: Wanted) => {
		const own = wanted.get(actId);
		if (own) own.push(one);
		else wanted.set(actId, [one]);
	};
	type Row = { readonly actId: number; readonly id: number; readonly customerId: number } & {
		readonly currency: string;
		readonly amount: number;
		readonly base: number;
		readonly itemId: number | null;
		readonly receiptId: number | null;
	};
	for (const { actId, receiptId, customerId, currency, amount } of await tx.all<Row>(sql`
		select a.id as actId, r.id as receiptId, coalesce(a.customer_id, f.customer_id) as customerId, r.currency,
			case when f.id is null then -r.amount else r.amount end as amount
		from act a left join act f on f.id = a.undoes_id and f.kind in ${namesOf('allocate-receipt')}
		join receipt r on r.id = a.receipt_id
		where a.id >= ${from} and a.id < ${to}
			and (a.kind in ${namesOf('allocate-receipt')} or (a.kind in ${namesOf('undo-posting')} and f.id is not null))`))
		add(actId, {
			...{ customerId, currency, amount, base: null },
			source: { kind: 'receipt', id: receiptId!, itemId: null, receiptId }
		});
	for (const row of await tx.all<Row>(sql`
		select d.act_id as actId, d.id, d.customer_id as customerId, d.currency,
			case when d.kind = 'credit_note' then -d.total else d.total end as amount,
			case when d.kind = 'credit_note' then -d.total_base else d.total_base end as base,
			(select i.id from item i where i.document_id = d.id and d.kind = 'claim') as itemId
		from document d where d.act_id >= ${from} and d.act_id < ${to} order by d.id`))
		add(row.actId, { ...row, source: { kind: 'document', id: row.id, itemId: row.itemId, receiptId: null } });
	for (const row of await tx.all<Row>(sql`
		select c.act_id as actId, c.id, c.customer_id as customerId, r.currency, -c.amount as amount, -c.base as base,
			c.receipt_id as receiptId
		from receipt_adjustment c join receipt r on r.id = c.receipt_id
		where c.act_id >= ${from} and c.act_id < ${to} order by c.id`))
		add(row.actId, {
			...row,
			source: { kind: 'receipt-adjustment', id: row.id, itemId: null, receiptId: row.receiptId }
		});
	for (const row of await tx.all<Row>(sql`
		select f.act_id as actId, f.id, d.customer_id as customerId, d.currency, f.item_id as itemId, f.receipt_id as receiptId,
			case when d.kind = 'credit_note' then f.amount else -f.amount end as amount,
			case when d.kind = 'credit_note' then f.base else -f.base end as base
		from difference f join item i on i.id = f.item_id join document d on d.id = i.document_id
		where f.act_id >= ${from} and f.act_id < ${to} order by f.id`))
		add(row.actId, {
			...row,
			source: { kind: 'deduction', id: row.id, itemId: row.itemId, receiptId: row.receiptId }
		});
	for (const row of await tx.all<
		Row & {
			readonly creditCustomerId: number;
			readonly creditCurrency: string;
			readonly creditAmount: number;
			readonly creditBase: number;
			readonly itemBase: number;
		}
	>(sql`
		select a.act_id as actId, a.id, d.customer_id as customerId, d.currency, a.item_id as itemId, a.receipt_id as receiptId,
			a.amount, a.item_base as itemBase, a.credit_customer_id as creditCustomerId, a.credit_amount as creditAmount,
			a.credit_base as creditBase, coalesce(r.currency, cd.currency) as creditCurrency
		from allocation a join item i on i.id = a.item_id join document d on d.id = i.document_id
		left join receipt r on r.id = a.receipt_id
		left join item ci on ci.id = a.credit_item_id left join document cd on cd.id = ci.document_id
		where a.act_id >= ${from} and a.act_id < ${to} order by a.id`)) {
		const { actId, customerId, currency } = row;
		const source = { kind: 'allocation' as const, id: row.id, itemId: row.itemId, receiptId: row.receiptId };
		if (row.creditCustomerId !== customerId || row.creditCurrency !== currency) {
			const { creditAmount: amount, creditBase: base } = row;
			add(actId, {
				...{ customerId: row.creditCustomerId, currency: row.creditCurrency, amount, base, source }
			});
			add(actId, { customerId, currency, amount: -row.amount, base: -row.creditBase, source });
		}
		const realised = row.creditBase - row.itemBase;
		if (realised !== 0) add(actId, { customerId, currency, amount: 0, base: realised, source });
	}
	return wanted;
}

/** Tells lines of one act by what its records want; currency differences that were posted together stand for the act. */
function tell(actId: number, lines: readonly Line[], wanted: readonly Wanted[]): [number, JournalSource][] {
	const free = new Set(wanted);
	const told: [number, JournalSource][] = [];
	const rest: Line[] = [];
	for (const line of lines) {
		const fits = [...free].find(
			(one) =>
				one.customerId === line.customerId &&
				one.currency === line.currency &&
				one.amount === line.amount &&
				(one.base === null || one.base === line.base)
		);
		if (fits) {
			free.delete(fits);
			told.push([line.id, fits.source]);
		} else rest.push(line);
	}
	for (const line of rest) {
		const parts = [...free].filter(
			(one) => one.amount === 0 && one.customerId === line.customerId && one.currency === line.currency
		);
		const sum = parts.reduce((all, one) => all + (one.base ?? 0), 0);
		if (line.amount !== 0 || parts.length === 0 || sum !== line.base) continue;
		for (const one of parts) free.delete(one);
		told.push([line.id, { kind: 'currency-difference', id: actId, itemId: null, receiptId: null }]);
	}
	return told;
}
