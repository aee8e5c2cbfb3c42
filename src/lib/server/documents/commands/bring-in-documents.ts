import { accountsNow } from '../../customers/store/merged-accounts';
import { eq, inArray } from 'drizzle-orm';
import type { OverLimit, Reduction } from '../../../core/4-allocation/over-limits';
import { groupBy } from '../../../core/group-by';
import type { DocumentRow, Opening } from '../../../core/1-open-items/document-row';
import { nameKey } from '../../../core/text/name-key';
import { addDays } from '../../../core/day/arithmetic';

import { sumOf } from '../../../core/money/add';
import { minor, ZERO, type Minor } from '../../../core/money/minor';
import { money, shortDay } from '../../../words';
import type { Problem } from '../../../core/problems';
import { chunks } from '../../platform/db/chunks';
import type { Reader, Tx } from '../../platform/db/open';
import { customer, customerName } from '../../platform/db/schema';
import { DomainError } from '../../act/domain-error';
import { differsProblem, refusalsOf, type BroughtIn, type PreviewRow } from '../../act/preview-rows';
import { issue, type NewDocument } from './issue-documents';
import { documentName, documentsByNumber } from '../store/documents-by-number';
import { openingSums } from '../queries/opening-balances';
import { hasAnotherSupervisor } from '../../approvals/store/takes-two';
import { instalmentsOfRow } from '../../../core/1-open-items/instalments-of-row';
import { askApproval, overLimitProblems } from '../../approvals/store/ask-approval';
import { baseCurrencyOr } from '../../firm/store/settings';
import { converter } from '../../receipts/commands/accounting-day';
import { overLimitsNow } from '../../reductions/store/over-limits-now';
import { writeReductions } from '../../reductions/store/write-reductions';
import { defineAct, madeHere, type ActContext } from '../../act/define-act';

type Owner = Pick<
	typeof customer.$inferSelect,
	'id' | 'code' | 'discountBasisPoints' | 'discountDays' | 'termsDays' | 'termsFrom' | 'termsParts'
>;

/** What would become of each document of a table: added, skipped because it is there already, or refused because it differs. */
export async function previewDocuments(db: Reader, rows: readonly DocumentRow[]): Promise<PreviewRow[]> {
	const owners = await ownersOf(db, rows);
	const known = await documentsByNumber(db, rows);
	return rows.map((row): PreviewRow => {
		const owner = owners(row);
		const before = known.get(documentName(row));
		const differs = !before
			? ''
			: before.total !== row.total
				? `the books have it with ${money(before.total, row.currency)}`
				: owner && before.customerId !== owner.id
					? 'the books have it for another customer'
					: '';
		const due = owner ? instalmentsOfRow(row, owner)[0]!.due : row.due;
		const called = row.kind === 'invoice' ? '' : `${row.kind.replace('_', ' ')}, `;
		return {
			...{ file: row.file, line: row.line, label: row.number, fate: before ? 'same' : 'new', why: '' },
			text: `${owner?.code ?? ''}, ${called}${money(row.open, row.currency)} open${due ? `, due ${shortDay(due)}` : ''}`,
			refused: differs
				? differsProblem('document', row.number, differs, row.line)
				: faultOf(row, owner !== undefined)
		};
	});
}

/** Why a document cannot be anybody's, or no opening balance; nothing where it can be taken. */
function faultOf(row: DocumentRow, hasOwner: boolean): Problem | undefined {
	const { opening, issued, number, file, line } = row;
	const where = file ? { file } : { line };
	if (opening && issued > opening.on)
		return { code: 'opening-later', number, date: issued, on: opening.on, ...where };
	if (hasOwner) return undefined;
	return {
		code: 'code-unknown',
		what: 'customer',
		text: row.customerCode || row.customerName || '',
		...where
	};
}

/** Credit notes that wait for a supervisor, at most: more are brought in by one. */
const MOST_WAITING = 2_000;

export interface DocumentsBroughtIn extends BroughtIn {
	/** Credit notes among them that wait for a supervisor, and what they are beyond. */
	readonly waiting: number;
	readonly waits: readonly OverLimit[];
}

/**
 * Adds the documents of a table that are not in the books yet; one that differs, or has no customer, stops all of it. What was
 * settled before they came here is booked against opening balances; so is all of it where they are opening balances, which have to come
 * to what the control account of the books of before shows, or as near to it as somebody agreed to. Credit notes count against the person's limits: beyond
 * them all credit notes of the table wait for a supervisor, and the rest comes in.
 */
export const bringInDocuments = defineAct({
	kind: 'bring-in-documents',
	role: 'clerk',
	input: madeHere<readonly DocumentRow[]>(),
	run: async (ctx, rows): Promise<DocumentsBroughtIn> => {
		const { tx } = ctx;
		const shown = await previewDocuments(tx, rows);
		const refusals = refusalsOf(shown);
		if (refusals.length > 0) throw new DomainError(...refusals);
		const owners = await ownersOf(tx, rows);
		const fresh = rows.filter((_, i) => shown[i]!.fate === 'new');
		const skipped = rows.length - fresh.length;
		const credits = fresh.filter((row) => row.kind === 'credit_note');
		const booked = await reductionsOfRows(tx, credits, (row) => owners(row)!.id);
		const opening = fresh.find((row) => row.opening)?.opening ?? null;
		if (opening) await compareWithControl(tx, opening, fresh);
		// Credits that the books of before held are nobody's to grant, where nobody else could be asked.
		const alone =
			opening !== null && ctx.who.role === 'supervisor' && !(await hasAnotherSupervisor(tx, ctx.who));
		const waits = alone ? [] : await overLimitsNow(ctx, booked);
		const now = waits.length > 0 ? fresh.filter((row) => row.kind !== 'credit_note') : fresh;
		const waiting = fresh.length - now.length;
		const brought = { added: now.length, skipped, waiting, waits };
		if (fresh.length === 0) return ctx.unchanged(brought);
		if (now.length > 0) {
			const actId = await ctx.record({
				summary: { added: now.length, skipped, ...(opening ? { opening: opening.on } : {}) },
				...(opening ? { facts: { opening } } : {})
			});
			await issue(
				ctx,
				now.map((row) => asNew(row, owners(row)!))
			);
			if (waiting === 0) await writeReductions(ctx, actId, booked);
		}
		if (waiting > 0)
			await askForCredits(
				now.length > 0 ? ctx.part('ask-approval') : ctx,
				credits.map(withoutControl),
				waits
			);
		return brought;
	}
});

/** Refuses where opening balances come to another sum than the control account, and nobody agreed to just that. */
async function compareWithControl(tx: Tx, opening: Opening, fresh: readonly DocumentRow[]): Promise<void> {
	const sums = await openingSums(tx, opening, fresh);
	if (!sums.ok) throw new DomainError(...sums.problems);
	const { before, added, control, apart, currency } = sums.value;
	if (control !== null && apart !== opening.apart)
		throw new DomainError({ code: 'opening-apart', balance: minor(before + added), control, currency });
}

async function askForCredits(
	ctx: ActContext,
	credits: readonly DocumentRow[],
	over: readonly OverLimit[]
): Promise<void> {
	if (credits.length > MOST_WAITING)
		throw new DomainError(...overLimitProblems(over, await baseCurrencyOr(ctx.tx, credits[0]!.currency)), {
			code: 'too-many-to-ask',
			count: credits.length,
			most: MOST_WAITING
		});
	const sums = [...groupBy(credits, (row) => row.currency)].map(([currency, rows]) => ({
		...{ currency, amount: sumOf(rows, (row) => row.open) }
	}));
	await askApproval(ctx, {
		...{ kind: 'bring-in-documents', input: credits, over, customerId: null },
		about: { code: 'bring-in-credits', count: credits.length, sums },
		run: (rehearsal) => bringInDocuments.run(rehearsal.as('bring-in-documents'), credits)
	});
}

/** The same row by itself: the control account was compared with all that came together. */
function withoutControl(row: DocumentRow): DocumentRow {
	return row.opening ? { ...row, opening: { ...row.opening, control: null, apart: ZERO } } : row;
}

/** What credit notes take off accounts: what is left of them. */
async function reductionsOfRows(
	tx: Tx,
	credits: readonly DocumentRow[],
	ownerOf: (row: DocumentRow) => number
): Promise<Reduction[]> {
	const converters = new Map<string, (amount: Minor) => Minor>();
	const booked: Reduction[] = [];
	for (const row of credits) {
		const date = row.opening?.on ?? row.issued;
		const key = `${row.currency} ${date}`;
		const toBase = converters.get(key) ?? (await converter(tx, row.currency, date));
		converters.set(key, toBase);
		booked.push({ kind: 'credit_other', base: toBase(row.open), customerId: ownerOf(row) });
	}
	return booked;
}

/** Finds the customer of a document: by its code, else by a name that only one customer has. */
async function ownersOf(
	db: Reader,
	rows: readonly DocumentRow[]
): Promise<(row: DocumentRow) => Owner | undefined> {
	const byCode = new Map<string, Owner>();
	const columns = {
		id: customer.id,
		code: customer.code,
		discountBasisPoints: customer.discountBasisPoints,
		discountDays: customer.discountDays,
		termsDays: customer.termsDays,
		termsFrom: customer.termsFrom,
		termsParts: customer.termsParts
	};
	for (const part of chunks([...new Set(rows.map((row) => row.customerCode))])) {
		const found = await db.select(columns).from(customer).where(inArray(customer.code, part));
		// The firm's own list may go on with the code of an account that is seen as another.
		const now = await accountsNow(
			db,
			found.map(({ id }) => id)
		);
		for (const { id, code } of found) byCode.set(code, now.get(id)!);
	}
	const names = rows.filter((row) => !byCode.has(row.customerCode) && row.customerName);
	const keys = [...new Set(names.map((row) => nameKey(row.customerName!)))];
	const byName = new Map<string, Owner | null>();
	for (const part of chunks(keys))
		for (const { key, ...owner } of await db
			.select({ ...columns, key: customerName.key })
			.from(customerName)
			.innerJoin(customer, eq(customer.id, customerName.customerId))
			.where(inArray(customerName.key, part))) {
			const known = byName.get(key);
			byName.set(key, known === undefined || known?.id === owner.id ? owner : null);
		}
	return (row) =>
		byCode.get(row.customerCode) ??
		(row.customerName ? (byName.get(nameKey(row.customerName)) ?? undefined) : undefined);
}

function asNew(row: DocumentRow, owner: Owner): NewDocument {
	const { kind, number, issued, currency, purchaseOrder, paymentReference, text, total } = row;
	const usual = kind === 'invoice' && owner.discountBasisPoints && owner.discountDays !== null;
	const discount =
		row.discount ??
		(usual ? { basisPoints: owner.discountBasisPoints!, until: addDays(issued, owner.discountDays!) } : null);
	return {
		...{ kind, number, issued, currency, purchaseOrder, paymentReference, text },
		customerId: owner.id,
		lines: row.lines.length
			? row.lines
			: [{ text: text || number, net: total, taxBasisPoints: 0, tax: ZERO }],
		instalments: instalmentsOfRow(row, owner),
		orderReference: row.orderReference ?? null,
		discountBasisPoints: discount?.basisPoints ?? null,
		discountUntil: discount?.until ?? null,
		settledBefore: minor(total - row.open),
		opening: row.opening ?? null
	};
}
