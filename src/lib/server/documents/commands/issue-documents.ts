import { seenAsAnother } from '../../customers/store/merged-accounts';
import { append } from '../../../core/append';
import { inArray } from 'drizzle-orm';
import { referenceKey } from '../../../core/text/words-of-text';
import { CHART } from '../../../core/5-journal/chart';
import type { Opening } from '../../../core/1-open-items/document-row';
import { settledParts } from '../../../core/1-open-items/settled-parts';
import { journalOfDocument } from '../../../core/5-journal/journal-of-document';
import type { Day } from '../../../core/day/day';
import type { JournalLine } from '../../../core/model/journal';
import type { CreditNoteKind, DocumentIncome, DocumentKind } from '../../../core/model/records';
import { sumOf } from '../../../core/money/add';
import { minor, type Minor } from '../../../core/money/minor';
import { apportion } from '../../../core/money/apportion';
import type { Problem } from '../../../core/problems';
import { documentName, documentsByNumber } from '../store/documents-by-number';
import { chunks } from '../../platform/db/chunks';
import { takeId, takeIds } from '../../platform/db/take-ids';
import { willWrite } from '../../platform/db/meter';
import { insertRows } from '../../platform/db/insert-rows';
import type { Tx } from '../../platform/db/open';
import { customer, difference, document, documentLine, item, itemState } from '../../platform/db/schema';
import { firstOpenDay } from '../../periods/store/check-period';
import { changeItems } from '../store/change-items';
import { groupBy } from '../../../core/group-by';
import { postJournal, postJournals, type Journal } from '../../ledger/store/post-journal';
import { readSetting } from '../../firm/store/settings';
import { baseConverter } from '../../firm/store/to-base';
import { DomainError } from '../../act/domain-error';
import { defineAct, madeHere, type ActContext } from '../../act/define-act';

export interface NewDocument {
	readonly kind: DocumentKind;
	/** What a credit note is given for. */
	readonly creditNoteKind?: CreditNoteKind | null;
	/** What it is income of, where that is not what its kind says. */
	readonly income?: DocumentIncome | null;
	readonly number: string;
	readonly customerId: number;
	readonly issued: Day;
	readonly currency: string;
	readonly lines: readonly {
		readonly text: string;
		readonly net: Minor;
		readonly taxBasisPoints: number;
		readonly tax: Minor;
	}[];
	/** Amounts add up to the lines' net and tax. */
	readonly instalments: readonly { readonly due: Day; readonly amount: Minor }[];
	readonly purchaseOrder: string | null;
	readonly orderReference: string | null;
	readonly paymentReference: string | null;
	readonly text: string;
	readonly discountBasisPoints: number | null;
	readonly discountUntil: Day | null;
	/** What of it was settled before it came into these books, earliest instalment first. */
	readonly settledBefore?: Minor;
	/** Set where it is an opening balance: it is posted on that day, at that day's rate, against opening balances. */
	readonly opening?: Opening | null;
}

/** The day on which a document is posted: its own, or the one that it is an opening balance of. */
function postedOn({ issued, opening }: Pick<NewDocument, 'issued' | 'opening'>): Day {
	return opening?.on ?? issued;
}

/** Puts invoices, credit notes and charges on customers' accounts; all or none. */
export const issueDocuments = defineAct({
	kind: 'bring-in-documents',
	role: 'clerk',
	input: madeHere<readonly NewDocument[]>(),
	run: async (ctx, input): Promise<{ documentIds: number[] }> => {
		if (input.length === 0) return ctx.unchanged({ documentIds: [] });
		await ctx.record({ summary: { added: input.length, skipped: 0 } });
		return issue(ctx, input);
	}
});

/** Puts documents on customers' accounts as parts of the act that issues them, each recorded with its journal. */
export async function issue(
	ctx: ActContext,
	input: readonly NewDocument[]
): Promise<{ documentIds: number[] }> {
	const { tx } = ctx;
	const names = await check(tx, input);
	const convert = await converters(tx, input);
	const sums = input.map((one) => {
		const net = sumOf(one.lines, (line) => line.net);
		const tax = sumOf(one.lines, (line) => line.tax);
		const total = minor(net + tax);
		const toBase = convert.get(`${one.currency} ${postedOn(one)}`)!;
		return { net, tax, total, totalBase: toBase(total), taxBase: toBase(tax) };
	});
	// Of each its act, itself, its lines, its items and their states, and two or three lines of journal.
	willWrite(
		input.reduce(
			(rows, one, i) =>
				rows + 2 + one.lines.length + 2 * one.instalments.length + (sums[i]!.tax === 0 ? 2 : 3),
			0
		)
	);
	const actIds = await ctx.recordParts(
		'issue-document',
		input.map((one, i) => ({
			date: postedOn(one),
			summary: { number: one.number, customer: names.get(one.customerId)! },
			facts: {
				kind: one.kind,
				total: sums[i]!.total,
				currency: one.currency,
				...(one.opening ? { opening: { on: one.opening.on, taxHere: one.opening.taxHere } } : {})
			},
			customerId: one.customerId
		}))
	);
	const first = await takeIds(tx, document, input.length);
	let itemId = await takeIds(
		tx,
		item,
		input.reduce((sum, one) => sum + one.instalments.length, 0)
	);
	const documents = input.map(
		({ lines: _lines, instalments: _instalments, settledBefore: _settled, opening, ...head }, i) => ({
			...head,
			openingOn: opening?.on ?? null,
			income: head.income ?? null,
			creditNoteKind: head.kind === 'credit_note' ? (head.creditNoteKind ?? 'other') : null,
			id: first + i,
			actId: actIds[i]!,
			numberKey: referenceKey(head.number),
			purchaseOrderKey: head.purchaseOrder && referenceKey(head.purchaseOrder),
			paymentReferenceKey: head.paymentReference && referenceKey(head.paymentReference),
			total: sums[i]!.total,
			totalBase: sums[i]!.totalBase
		})
	);
	const items = input.flatMap((one, i) => {
		// The parts keep the whole's value in base currency, too.
		const bases = apportion(
			sums[i]!.totalBase,
			one.instalments.map((part) => part.amount)
		);
		return one.instalments.map(({ due, amount }, index) => ({
			id: itemId++,
			documentId: first + i,
			customerId: one.customerId,
			part: index + 1,
			parts: one.instalments.length,
			due,
			total: amount,
			totalBase: bases[index]!
		}));
	});
	const states = items.map((row) => ({
		itemId: row.id,
		customerId: row.customerId,
		due: row.due,
		kind: input[row.documentId - first]!.kind,
		currency: input[row.documentId - first]!.currency,
		open: row.total,
		openBase: row.totalBase,
		version: 1,
		lastActId: actIds[row.documentId - first]!
	}));
	await insertRows(tx, document, documents);
	await insertRows(
		tx,
		documentLine,
		input.flatMap((one, i) => one.lines.map((line) => ({ ...line, documentId: first + i })))
	);
	await insertRows(tx, item, items);
	await insertRows(tx, itemState, states);
	const journals = input.map((one, i): Journal => {
		const { net, tax, totalBase, taxBase } = sums[i]!;
		const lines = journalOfDocument({
			...one,
			id: first + i,
			net,
			tax,
			taxBase,
			netBase: minor(totalBase - taxBase)
		});
		return { actId: actIds[i]!, date: postedOn(one), lines };
	});
	await postJournals(tx, journals);
	await settleBefore(tx, input, actIds, items, first);
	return { documentIds: documents.map((row) => row.id) };
}

/** What was settled before the documents came here: off their earliest instalments, against opening balances. */
async function settleBefore(
	tx: Tx,
	input: readonly NewDocument[],
	actIds: readonly number[],
	items: readonly { id: number; documentId: number; total: number; totalBase: number }[],
	firstId: number
): Promise<void> {
	const byDocument = groupBy(items, (row) => row.documentId);
	for (const [i, one] of input.entries()) {
		if (!one.settledBefore) continue;
		const [actId, date] = [actIds[i]!, postedOn(one)];
		const changes: { itemId: number; open: Minor; openBase: Minor }[] = [];
		const lines: JournalLine[] = [];
		const parts = byDocument.get(firstId + i) ?? [];
		const settled = settledParts(parts, one.settledBefore);
		for (const [at, row] of parts.entries()) {
			const { amount, base } = settled[at]!;
			if (amount === 0) break;
			const kind = 'settled_before' as const;
			const id = await takeId(tx, difference);
			await tx
				.insert(difference)
				.values({ id, actId, date, receiptId: null, itemId: row.id, kind, amount, base });
			changes.push({
				itemId: row.id,
				open: minor(row.total - amount),
				openBase: minor(row.totalBase - base)
			});
			const sign = one.kind === 'credit_note' ? -1 : 1;
			const line = (account: string, factor: 1 | -1, customerId: number | null): JournalLine => ({
				account,
				customerId,
				currency: one.currency,
				amount: minor(factor * sign * amount),
				base: minor(factor * sign * base),
				bankEntryId: null,
				source: customerId === null ? null : { kind: 'deduction', id, itemId: row.id, receiptId: null }
			});
			lines.push(line(CHART.openingBalances.code, 1, null), line(CHART.receivables.code, -1, one.customerId));
		}
		await changeItems(tx, actId, changes);
		await postJournal(tx, actId, date, lines);
	}
}

/** Refuses with all that stands against any of the documents; returns the customers' names. */
async function check(tx: Tx, input: readonly NewDocument[]): Promise<ReadonlyMap<number, string>> {
	const problems: Problem[] = [];
	const firstOpen = await firstOpenDay(tx);
	const names = new Map<number, string>();
	const closed = new Set<number>();
	const merged: { readonly id: number; readonly code: string }[] = [];
	for (const part of chunks([...new Set(input.map((one) => one.customerId))]))
		for (const row of await tx
			.select({
				...{ id: customer.id, code: customer.code, name: customer.name },
				...{ closedOn: customer.closedOn, mergedIntoId: customer.mergedIntoId }
			})
			.from(customer)
			.where(inArray(customer.id, part))) {
			names.set(row.id, row.name);
			if (row.closedOn !== null) closed.add(row.id);
			if (row.mergedIntoId !== null) merged.push(row);
		}
	for (const one of merged) append(problems, (await seenAsAnother(tx, one)).problems);
	const taken = new Set((await documentsByNumber(tx, input)).keys());
	for (const one of input) {
		const total = sumOf(one.lines, (line) => minor(line.net + line.tax));
		if (!names.has(one.customerId)) problems.push({ code: 'not-found', what: 'customer' });
		// Credit notes and charges for what was dealt with before may still be needed; a sale is not.
		if (closed.has(one.customerId) && one.kind === 'invoice')
			problems.push({ code: 'account-closed', customer: names.get(one.customerId)! });
		if (firstOpen && postedOn(one) < firstOpen)
			problems.push({ code: 'period-locked', date: postedOn(one), firstOpen });
		if (one.opening && one.issued > one.opening.on)
			problems.push({ code: 'opening-later', number: one.number, date: one.issued, on: one.opening.on });
		if (taken.has(documentName(one))) problems.push({ code: 'number-taken', number: one.number });
		taken.add(documentName(one));
		const parts = sumOf(one.instalments, (part) => part.amount);
		const before = one.settledBefore ?? 0;
		if (
			parts !== total ||
			total <= 0 ||
			before < 0 ||
			before > total ||
			one.instalments.some((part) => part.amount <= 0)
		)
			problems.push({ code: 'total-mismatch', number: one.number });
	}
	if (problems.length > 0) throw new DomainError(...problems.slice(0, 50));
	return names;
}

/** To base currency, for each currency and day among the documents. */
async function converters(
	tx: Tx,
	input: readonly NewDocument[]
): Promise<ReadonlyMap<string, (amount: Minor) => Minor>> {
	const found = new Map<string, (amount: Minor) => Minor>();
	const firm = await readSetting(tx, 'firm');
	for (const one of input) {
		const { currency } = one;
		const date = postedOn(one);
		const key = `${currency} ${date}`;
		if (found.has(key)) continue;
		const convert = await baseConverter(tx, currency, firm?.baseCurrency ?? currency, date);
		if (typeof convert !== 'function') throw new DomainError(convert);
		found.set(key, convert);
	}
	return found;
}
