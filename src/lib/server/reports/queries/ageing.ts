import { sql } from 'drizzle-orm';
import { ageBuckets } from '../../../core/6-reports/age-buckets';
import { ageingReport, type AgedGroup } from '../../../core/6-reports/ageing-report';
import { column } from '../../../core/6-reports/report-column';
import { sumRows } from '../../../core/6-reports/sum-rows';
import { daysBetween } from '../../../core/day/arithmetic';
import type { Day } from '../../../core/day/day';
import type { ReportColumn, ReportRow } from '../../../core/model/report';
import { err, ok } from '../../../core/result';
import { cutText } from '../../../core/text/cut-text';
import { itemLabel } from '../../../core/4-allocation/item-label';
import { bucketName } from '../../../words';
import type { Reader } from '../../platform/db/open';
import { agedOn, isInBucket, spansOf, standsOn, type AgedHow } from '../store/aged-on';
import { askAccount, askTag } from '../store/ask-account';
import type { AskedFields } from '../store/asked-fields';
import { baseOn } from '../store/base-on';
import { reportAccounts, type ReportAccount } from '../store/report-accounts';
import type { ReportContext, ReportMade, ReportMaker } from './define-report';

/**
 * What was owed at the end of a day by its age: summed up by customer, head office or tag, or item by item. From accounting dates alone, so that
 * a day of a locked period gives the same figures for ever.
 */
export const makeAgeing: ReportMaker = async (asked, context) => {
	const given = await readAgeing(asked, context);
	if (asked.problems.length > 0) return err(...asked.problems);
	const { customer, parent, tag } = given;
	const only = { customer: customer?.id ?? null, parent: parent?.id ?? null, tag };
	const accounts = await reportAccounts(context.db, only);
	const how = { ...given, customerId: only.customer };
	return given.show === 'summary' ? summary(how, accounts, context) : detail(how, accounts, context);
};

/** Reads what an ageing is asked. */
export async function readAgeing(asked: AskedFields, { db, today, ends }: ReportContext) {
	const asOf = asked.day('as-of', today);
	const show = asked.choice('show');
	// What has no say in what is shown is not asked.
	const by = show === 'summary' ? asked.choice('by') : 'customer';
	const since = asked.choice('since');
	const credit = asked.choice('credit');
	const money = asked.choice('money');
	const buckets = ageBuckets(asked.ends(ends));
	const customer = await askAccount(asked, db, 'customer');
	const parent = await askAccount(asked, db, 'parent');
	const tag = await askTag(asked, db);
	const currencies = await db.all<{ currency: string }>(
		sql`select distinct currency from open_span order by 1`
	);
	const currency = asked.pickedOf(
		'currency',
		currencies.map((row) => ({ value: row.currency, says: row.currency }))
	);
	const bucket =
		show === 'summary'
			? null
			: asked.pickedOf(
					'bucket',
					buckets.map((one, n) => ({ value: String(n), says: bucketName(one, since) }))
				);
	return {
		...{ asOf, show, by, since, credit, money, buckets, customer, parent, tag, currency },
		bucket: bucket === null ? null : buckets[Number(bucket)]!
	};
}

type Given = Awaited<ReturnType<typeof readAgeing>> & AgedHow;
type Accounts = ReadonlyMap<number, ReportAccount>;

async function summary(given: Given, accounts: Accounts, { db, base }: ReportContext) {
	const aged = (await agedOn(db, given)).filter((row) => accounts.has(row.customerId));
	const all = given.by === 'parent' ? await allAccounts(db, accounts) : accounts;
	const groups = aged.flatMap((row): AgedGroup[] => {
		const account = accounts.get(row.customerId)!;
		const { currency, credit, sums } = row;
		if (given.by === 'tag')
			return (account.tags.length > 0 ? account.tags : ['']).map((tag) => ({
				...{ key: tag, account: null, customerId: null, name: tag, currency, credit, sums }
			}));
		const shown = given.by === 'parent' ? (all.get(account.headId) ?? account) : account;
		const { id, code, name } = shown;
		return [{ key: String(id), account: code, customerId: id, name, currency, credit, sums }];
	});
	const inBase =
		given.money === 'base'
			? await baseOn(
					db,
					base,
					aged.map((row) => row.currency),
					given.asOf
				)
			: null;
	if (inBase && !inBase.ok) return inBase;
	const convert = inBase && { currency: base, convert: inBase.convert };
	const made = ageingReport(groups, given, convert);
	// Of several groups of an account in one currency the report makes one; who has several tags counts once.
	const once = given.by === 'tag' ? ageingReport(aged.map(asOne), given, convert).sums : made.sums;
	return ok<ReportMade>({ ...made, sums: once, order: { by: 'balance', down: true } });
}

/** Each account by itself, whatever it is sorted under. */
function asOne({
	customerId,
	currency,
	credit,
	sums
}: Awaited<ReturnType<typeof agedOn>>[number]): AgedGroup {
	return { key: String(customerId), account: null, customerId: null, name: '', currency, credit, sums };
}

/** Heads of groups may be left out by what was asked: they are named all the same. */
async function allAccounts(db: Reader, accounts: Accounts): Promise<Accounts> {
	return [...accounts.values()].every((one) => accounts.has(one.headId))
		? accounts
		: reportAccounts(db, { customer: null, parent: null, tag: null });
}

/** So much of what the bank says tells which money it is. */
const REFERENCE_SHOWN = 60;

const DETAIL: readonly ReportColumn[] = [
	...[column('account'), column('customer'), column('document'), column('what'), column('order')],
	...[column('issued', 'day'), column('due', 'day'), column('days', 'whole')],
	...[column('currency'), column('open', 'money')]
];

interface OpenOn {
	readonly id: number;
	readonly customerId: number;
	readonly itemId: number | null;
	readonly currency: string;
	readonly kind: string;
	readonly issued: Day;
	readonly due: Day;
	readonly open: number;
	readonly number: string | null;
	readonly part: number | null;
	readonly parts: number | null;
	readonly purchaseOrder: string | null;
	readonly reference: string | null;
}

async function detail(given: Given, accounts: Accounts, { db, base }: ReportContext) {
	const { bucket } = given;
	// A bucket shows what the summary has in it: where credits stand apart, none of them.
	const within = bucket
		? sql`and ${isInBucket(bucket, given)} ${given.credit === 'apart' ? sql`and s.open > 0` : sql``}`
		: sql``;
	const rows = (
		await db.all<OpenOn>(sql`
		select s.id, s.customer_id as "customerId", s.item_id as "itemId", s.currency, s.kind, s.issued, s.due, s.open,
			d.number, i.part, i.parts, d.purchase_order as "purchaseOrder", r.text as reference
		from ${spansOf(given.customerId)} left join item i on i.id = s.item_id left join document d on d.id = i.document_id
		left join receipt r on r.id = s.receipt_id
		where ${standsOn(given)} ${within}`)
	).filter((row) => accounts.has(row.customerId));
	const inBase =
		given.money === 'base'
			? await baseOn(
					db,
					base,
					rows.map((row) => row.currency),
					given.asOf
				)
			: null;
	if (inBase && !inBase.ok) return inBase;
	const all = rows.map((row): ReportRow => {
		const account = accounts.get(row.customerId)!;
		const currency = inBase ? base : row.currency;
		const open = inBase ? inBase.convert(row.open, row.currency) : row.open;
		return {
			...{ id: String(row.id), currency, account: account.code, customerId: account.id },
			...(row.itemId === null ? {} : { itemId: row.itemId }),
			cells: [
				...[account.code, account.name, labelOf(row), row.kind, row.purchaseOrder],
				...[row.issued, row.due, daysBetween(given.since === 'due' ? row.due : row.issued, given.asOf)],
				...[currency, open]
			]
		};
	});
	return ok<ReportMade>({
		columns: DETAIL,
		rows: all,
		sums: sumRows(DETAIL, all),
		order: { by: 'customer', down: false }
	});
}

/** A document by its number and instalment; money by what the bank says of it. */
function labelOf({ number, part, parts, reference }: OpenOn): string {
	return number === null
		? cutText(reference ?? '', REFERENCE_SHOWN)
		: itemLabel({ number, part: part!, parts: parts! });
}
