import { append } from '../../core/append';
import type { CustomerRow } from '../../core/1-open-items/read-customers';
import type { DocumentRow } from '../../core/1-open-items/document-row';
import { instalmentsOfRow } from '../../core/1-open-items/instalments-of-row';
import type { ReadStatement } from '../../core/1-bank-files/read-statement';
import { receiptsOfEntry } from '../../core/2-receipts/receipts-of-entry';
import {
	answerPile,
	type Band,
	type Habits,
	learnHabits,
	lessonOfPast,
	lessonsOfHistory,
	type Taught
} from '../../core/3-matching';
import type { PastPayment } from '../../core/model/past-payment';
import type { Customer, OpenItem, ReceiptFacts } from '../../core/model/records';
import { minor, type Minor } from '../../core/money/minor';
import { proportion } from '../../core/money/proportion';
import { apportion } from '../../core/money/apportion';
import { toDecimal } from '../../core/money/to-decimal';
import { addDays } from '../../core/day/arithmetic';
import type { Problem } from '../../core/problems';
import { err, ok, type Result } from '../../core/result';
import { reasonSentence } from '../../words';

export interface TrialReceipt {
	readonly entryRef: string;
	readonly bookingDate: string;
	readonly amount: string;
	readonly currency: string;
	readonly band: Band;
	readonly customer: string | null;
	readonly allocations: readonly {
		readonly invoice: string;
		readonly cash: string;
		readonly differences: readonly { readonly kind: string; readonly amount: string }[];
	}[];
	readonly onAccount: string;
	readonly reasons: readonly string[];
	readonly otherAnswers: number;
}

export interface Trial {
	readonly receipts: readonly TrialReceipt[];
	readonly summary: Readonly<Record<Band, number>> & { readonly receipts: number; readonly seconds: number };
}

/**
 * What the matcher would do with the money of some statements, without any books: the same code and order as on Money in,
 * entries by booking day, then by their place in the file. Money that went out is left out.
 */
export function runTrial(input: {
	readonly customers: readonly CustomerRow[];
	readonly documents: readonly DocumentRow[];
	readonly statements: readonly ReadStatement[];
	/** What was settled before: it teaches who pays for whom, and which numbers are settled. */
	readonly history?: readonly PastPayment[];
	readonly baseCurrency?: string;
	/** The files of customers and documents, to name them with what is wrong there. */
	readonly named?: { readonly customers?: string; readonly documents?: string };
}): Result<Omit<Trial, 'summary'> & { summary: Omit<Trial['summary'], 'seconds'> }> {
	const problems: Problem[] = [];
	const unknown = (text: string, line: number, file: string | undefined) =>
		problems.push({ code: 'code-unknown', what: 'customer', text, line, ...(file ? { file } : {}) });
	const ids = new Map(input.customers.map((row, i) => [row.code, i + 1]));
	const customers = input.customers.map((row, i): Customer => {
		const parentId = row.parentCode === null ? null : (ids.get(row.parentCode) ?? null);
		if (row.parentCode !== null && parentId === null)
			unknown(row.parentCode, row.line, input.named?.customers);
		return {
			id: i + 1,
			code: row.code,
			name: row.name,
			otherNames: row.otherNames,
			payerAccounts: row.payerAccounts,
			parentId,
			currency: row.currency
		};
	});
	const items: OpenItem[] = [];
	for (const [i, row] of input.documents.entries()) {
		const customerId = ids.get(row.customerCode);
		if (customerId === undefined) unknown(row.customerCode, row.line, input.named?.documents);
		else append(items, itemsOf(row, i + 1, customerId, input.customers[customerId - 1]!, items.length));
	}
	if (problems.length > 0) return err(...problems.slice(0, 50));

	const references = new Map<number, string>();
	const facts: ReceiptFacts[] = [];
	const entries = input.statements.flatMap((statement) => statement.entries);
	const inOrder = entries
		.map((entry, place) => ({ entry, place }))
		.sort((a, b) =>
			a.entry.booked < b.entry.booked ? -1 : a.entry.booked > b.entry.booked ? 1 : a.place - b.place
		);
	for (const { entry, place } of inOrder)
		for (const draft of receiptsOfEntry(entry)) {
			if (draft.amount <= 0) continue;
			const id = facts.length + 1;
			references.set(id, entry.bankReference ?? entry.entryReference ?? `number ${place + 1}`);
			facts.push({ ...draft, id, booked: entry.booked, currency: entry.currency });
		}
	const numbers = new Map(items.map((item) => [item.id, item.number]));
	const history = input.history ?? [];
	const open = new Set(items.map((item) => item.number));
	const { answers } = answerPile(facts, {
		customers,
		payerLessons: lessonsOfHistory(history, ids),
		allocatedBefore: history.flatMap(({ customerCode, date, amount, currency, numbers }) => {
			const customerId = ids.get(customerCode);
			return customerId === undefined ? [] : [{ customerId, booked: date, amount, currency, numbers }];
		}),
		habits: habitsOf(history, ids),
		pastFees: history.flatMap(({ payerName, payerAccount, currency, amount, difference }) =>
			difference?.kind === 'processor_fee'
				? [
						{
							...{ payerName, payerAccount, currency, fee: difference.amount },
							gross: minor(amount + difference.amount)
						}
					]
				: []
		),
		items,
		settledNumbers: history.flatMap((one) => one.numbers.filter((number) => !open.has(number))),
		baseCurrency: input.baseCurrency ?? commonest(customers.map((one) => one.currency))
	});
	const bands: Record<Band, number> = { certain: 0, likely: 0, choose: 0, none: 0 };
	const receipts = answers.map((answer, i): TrialReceipt => {
		const receipt = facts[i]!;
		const decimal = (value: Minor) => toDecimal(value, receipt.currency);
		bands[answer.band]++;
		return {
			entryRef: references.get(receipt.id)!,
			bookingDate: receipt.booked,
			amount: decimal(receipt.amount),
			currency: receipt.currency,
			band: answer.band,
			customer: answer.customerId === null ? null : customers[answer.customerId - 1]!.code,
			allocations: answer.lines.map((line) => ({
				invoice: numbers.get(line.itemId)!,
				cash: decimal(line.cash),
				differences: line.differences.map((gap) => ({ kind: gap.kind, amount: decimal(gap.amount) }))
			})),
			onAccount: decimal(answer.onAccount),
			reasons: answer.reasons.map(reasonSentence),
			otherAnswers: answer.otherAnswers
		};
	});
	return ok({ receipts, summary: { receipts: receipts.length, ...bands } });
}

/** How customers pay, by their ids, as far as a history tells. */
function habitsOf(history: readonly PastPayment[], ids: ReadonlyMap<string, number>): Map<number, Habits> {
	const taught = new Map<number, Taught[]>();
	for (const one of history) {
		const id = ids.get(one.customerCode);
		if (id === undefined) continue;
		const lesson = { ...lessonOfPast(one), currency: one.currency };
		taught.set(id, [...(taught.get(id) ?? []), lesson]);
	}
	return new Map([...taught].map(([id, list]) => [id, learnHabits(list)]));
}

/** What most of a list are; undefined for an empty one. */
function commonest(list: readonly string[]): string | undefined {
	const counts = new Map<string, number>();
	for (const one of list) counts.set(one, (counts.get(one) ?? 0) + 1);
	return [...counts].sort((a, b) => b[1] - a[1])[0]?.[0];
}

/** A document's open instalments: what was paid before lies on the earliest. */
function itemsOf(
	row: DocumentRow,
	documentId: number,
	customerId: number,
	owner: CustomerRow,
	before: number
): OpenItem[] {
	const { number, kind, currency, issued, purchaseOrder, paymentReference, text } = row;
	let paid = row.total - row.open;
	// A table of customers does not say from when their days are counted.
	const { termsDays } = owner;
	const instalments = instalmentsOfRow(row, { termsDays, termsFrom: 'issue', termsParts: [] });
	const bases = apportion(
		row.total,
		instalments.map((part) => part.amount)
	);
	return instalments.flatMap(({ due, amount }, i) => {
		const settled = Math.min(paid, amount);
		paid -= settled;
		const open = minor(amount - settled);
		if (open <= 0) return [];
		return [
			{
				id: before + i + 1,
				documentId,
				number,
				kind,
				customerId,
				currency,
				issued,
				due,
				total: amount,
				open,
				openBase: proportion(bases[i]!, open, amount),
				part: i + 1,
				parts: instalments.length,
				purchaseOrder,
				orderReference: row.orderReference ?? null,
				paymentReference,
				text,
				discountBasisPoints: owner.discountBasisPoints,
				discountUntil: owner.discountDays === null ? null : addDays(issued, owner.discountDays),
				version: 1
			}
		];
	});
}
