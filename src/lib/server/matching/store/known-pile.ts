import {
	type AllocatedBefore,
	amountKey,
	type BooksAsked,
	booksAsked,
	type PayerLesson,
	tariffPayer,
	usualKeys
} from '../../../core/3-matching';
import type { OpenItem, ReceiptFacts } from '../../../core/model/records';
import { type KnownFirm, readFirm } from './known-firm';
import { groupBy } from '../../../core/group-by';
import { minor } from '../../../core/money/minor';
import { allocatedBefore } from '../../allocation/store/allocated-before';

import { documentsNamed, marksOfDocument, type NamedDocument } from './documents-named';
import { type KnownAccount, knownAccounts } from './known-accounts';
import { namesIndex } from './names-index';
import { numberSeries } from './number-series';

import { ownersOfAccounts } from './owners-of-accounts';
import { payerLessonsFor, payerMark, payerMarks } from './payer-lessons';
import { changesSince, newestSeal } from '../../platform/db/seal/changes-since';
import type { Reader } from '../../platform/db/open';

import { waitingReceipts, type Waiting } from '../../receipts/store/waiting-receipts';
import { RESTS_ON } from './rests-on';

import { touchedBy } from './touched-by';

/** A receipt that waits, with what of the books its answer may rest on. It is exchanged, never changed. */
export interface KnownReceipt extends ReceiptFacts {
	readonly row: Waiting;
	/** What it comes to, as lists by sums are kept (`amountKey`). */
	readonly sum: string;
	/** Whose tariff it may follow (`tariffPayer`). */
	readonly tariff: string | null;
	/** Under which it may be a usual line. */
	readonly usualKeys: readonly string[];
	readonly asked: BooksAsked;
	/** What its payer may be known by. */
	readonly marks: readonly string[];
	readonly named: readonly NamedDocument[];
	readonly lessons: readonly PayerLesson[];
	readonly before: readonly AllocatedBefore[];
	/** Whose it may be, without those who hang on them. */
	readonly customerIds: ReadonlySet<number>;
}

/** Where more was written, reading all of it anew is as quick. */
const MOST_CHANGES = 3_000;
const WANTED = new Set(Object.keys(RESTS_ON).filter((name) => RESTS_ON[name] === 'rows'));

/**
 * What waits, and what of the books its answers rest on, kept between one look and the next: only what was written since is read
 * anew. The size follows the pile, not the books.
 */
export class KnownPile {
	/** In the order of the pile: the oldest first. */
	#receipts = new Map<number, KnownReceipt>();
	#accounts = new Map<number, KnownAccount>();
	#firm: KnownFirm | null = null;
	/** Up to where the books are known; null where nothing is, or reading failed half-way. */
	#seal: number | null = null;

	get receipts(): Iterable<KnownReceipt> {
		return this.#receipts.values();
	}

	get firm(): KnownFirm {
		return this.#firm!;
	}

	/** What is open of all accounts that are reached. */
	get items(): readonly OpenItem[] {
		return [...this.#accounts.values()].flatMap((account) => account.items);
	}

	account(id: number): KnownAccount | undefined {
		return this.#accounts.get(id);
	}

	/** Whose books a receipt's answer may rest on: whose it may be, those they may pay for, and who may pay for them. */
	*reach(receipt: KnownReceipt): Generator<number> {
		for (const id of receipt.customerIds) {
			const account = this.#accounts.get(id);
			if (!account) continue;
			yield id;
			yield* account.children;
			if (account.customer.parentId !== null) yield account.customer.parentId;
		}
	}

	/** What receipts that bear on each other's answers have in common (`groupReceipts`). */
	*ties(receipt: KnownReceipt): Generator<number | string> {
		yield* this.reach(receipt);
		if (receipt.tariff !== null) yield receipt.tariff;
	}

	/** Brings it up to the books as they are in one moment. */
	async read(db: Reader): Promise<void> {
		const [from, to] = [this.#seal, await newestSeal(db)];
		this.#seal = null;
		const known = this.#firm !== null && from !== null && from <= to;
		const changes = known ? await changesSince(db, from, WANTED, MOST_CHANGES) : null;
		const all = changes && [...changes.keys()].some((name) => (RESTS_ON[name] ?? 'all') === 'all');
		if (changes === null || all) await this.#readAll(db);
		else if (changes.size > 0) {
			const firm = this.#firm!;
			const series = await numberSeries(db, this);
			if (series.patterns !== firm.patterns) await this.#readAll(db);
			else await this.#readChanged(db, changes);
		}
		this.#seal = to;
	}

	async #readAll(db: Reader): Promise<void> {
		this.#receipts = new Map();
		this.#accounts = new Map();
		this.#firm = await readFirm(db, this, null, { lists: true, fees: true });
		await this.#take(db, await waitingReceipts(db));
	}

	async #readChanged(db: Reader, changes: Awaited<ReturnType<typeof changesSince>> & object): Promise<void> {
		const touched = await touchedBy(db, changes);
		const before = this.#firm!;
		const lists = touched.byHand || [...changes.keys()].some((name) => RESTS_ON[name] === 'list');
		this.#firm = await readFirm(db, this, before, { lists, fees: touched.fees });
		for (const id of touched.customers) this.#accounts.delete(id);
		for (const [id, { credits }] of this.#accounts)
			if (credits.some((one) => touched.receipts.has(one.receiptId))) this.#accounts.delete(id);
		for (const id of touched.receipts) this.#receipts.delete(id);
		const rows = touched.receipts.size > 0 ? await waitingReceipts(db, [...touched.receipts]) : [];
		// What is known of the others is looked up once more where it hangs on what was touched.
		for (const one of this.#receipts.values())
			if (
				touched.amounts.has(one.sum) ||
				some(one.marks, touched.payers) ||
				some(touched.references, one.asked.references) ||
				(this.#firm !== before && hangsOnLists(one, before, this.#firm))
			)
				rows.push(one.row);
		await this.#take(db, rows);
	}

	/** Looks receipts up in the books, in a handful of queries for all of them, and puts them in their places. */
	async #take(db: Reader, rows: readonly Waiting[]): Promise<void> {
		const names = await namesIndex(db, this);
		const { frames } = await numberSeries(db, this);
		const facts = rows.map((row): { row: Waiting; facts: ReceiptFacts } => ({
			...{ row, facts: { ...row, amount: minor(row.amount + row.fee) } }
		}));
		const asked = facts.map(({ row, facts }) => ({
			...{ row, facts, asked: this.#receipts.get(row.id)?.asked ?? booksAsked(facts, frames, names) },
			marks: payerMarks(row)
		}));
		const owners = await ownersOfAccounts(
			db,
			rows.flatMap((row) => row.payerAccount ?? [])
		);
		const lessons = groupBy(await payerLessonsFor(db, rows), ({ trait, key }) => payerMark(trait, key));
		const named = byKeys(
			await documentsNamed(db, new Set(asked.flatMap((one) => [...one.asked.references])))
		);
		const found = asked.map(({ row, facts, asked, marks }) => {
			const taught = marks.flatMap((mark) => lessons.get(mark) ?? []);
			const documents = [...asked.references].flatMap((key) => named.get(key) ?? []);
			return {
				...{ row, facts, asked, marks, lessons: taught, named: [...new Set(documents)] },
				customerIds: new Set([
					...asked.customerIds,
					...((row.payerAccount && owners.get(row.payerAccount)) || []),
					...taught.map((one) => one.customerId),
					...documents.map((one) => one.customerId),
					...ofLists(facts, this.firm)
				])
			};
		});
		const before = await allocatedBefore(
			db,
			found.map(({ facts, customerIds }) => ({ receipt: facts, customerIds }))
		);
		for (const { row, facts, asked, marks, lessons, named, customerIds } of found)
			this.#receipts.set(row.id, {
				...{ ...facts, row, asked, marks, lessons, named, customerIds },
				sum: amountKey(facts.amount, facts.currency),
				tariff: tariffPayer(facts),
				usualKeys: usualKeys(row),
				before: before.get(row.id) ?? []
			});
		if (rows.length > 0)
			this.#receipts = new Map([...this.#receipts].sort(([, a], [, b]) => inPileOrder(a, b)));
		await this.#readAccounts(db);
	}

	/** Reads the accounts that are reached and not known, and forgets those that are not reached any more. */
	async #readAccounts(db: Reader): Promise<void> {
		const direct = new Set<number>();
		for (const one of this.#receipts.values()) for (const id of one.customerIds) direct.add(id);
		const missing = (ids: Iterable<number>) => [...ids].filter((id) => !this.#accounts.has(id));
		for (const [id, account] of await knownAccounts(db, missing(direct))) this.#accounts.set(id, account);
		const reached = new Set<number>();
		for (const one of this.#receipts.values()) for (const id of this.reach(one)) reached.add(id);
		for (const [id, account] of await knownAccounts(db, missing(reached))) this.#accounts.set(id, account);
		for (const id of this.#accounts.keys()) if (!reached.has(id)) this.#accounts.delete(id);
	}
}

/** The order of the pile: the oldest first. */
export function inPileOrder(
	a: Pick<ReceiptFacts, 'id' | 'booked'>,
	b: Pick<ReceiptFacts, 'id' | 'booked'>
): number {
	return a.booked < b.booked ? -1 : a.booked > b.booked ? 1 : a.id - b.id;
}

function some<T>(values: Iterable<T>, among: ReadonlySet<T>): boolean {
	for (const value of values) if (among.has(value)) return true;
	return false;
}

function byKeys(documents: readonly NamedDocument[]): Map<string, NamedDocument[]> {
	const found = new Map<string, NamedDocument[]>();
	for (const one of documents)
		for (const key of marksOfDocument(one)) {
			const list = found.get(key);
			if (list) list.push(one);
			else found.set(key, [one]);
		}
	return found;
}

/** Whose money it may be by advices that were kept and by what was recorded by hand. */
function ofLists({ amount, currency }: ReceiptFacts, { advices, recorded }: KnownFirm): number[] {
	const key = amountKey(amount, currency);
	return [
		...(advices.get(key) ?? []).map((one) => one.customerId),
		...(recorded.get(key) ?? []).flatMap((one) => one.customerId ?? [])
	];
}

function hangsOnLists({ sum }: KnownReceipt, before: KnownFirm, now: KnownFirm): boolean {
	return (
		before.advices.get(sum) !== now.advices.get(sum) || before.recorded.get(sum) !== now.recorded.get(sum)
	);
}
