import { addDays, nextWorkday } from '../lib/core/day/arithmetic';
import type { Day } from '../lib/core/day/day';
import type { DifferenceKind } from '../lib/core/model/records';
import { CHART } from '../lib/core/5-journal/chart';
import { importBankFile } from '../lib/server/receipts/commands/import-bank-file';
import { issueDocuments, type NewDocument } from '../lib/server/documents/commands/issue-documents';
import type { AddedCustomers } from '../lib/server/customers/commands/add-customers';
import { performIn } from '../lib/server/act/perform';
import type { CallContext } from '../lib/server/act/define-act';
import type { Books } from '../lib/server/platform/db/open';
import { readBankFile } from '../lib/server/receipts/store/read-bank-file';
import { HIRE, kilnHire } from './kiln-hire';
import type { Owed } from './owed';
import { claimed, gapsOf } from './payment-gaps';
import { paymentWords } from './payment-words';
import { placeReceipts, type Purpose } from './place-receipts';
import type { BankBook } from './bank-book';
import type { Payer } from './make-customers';
import { makeCreditNote, makeInvoice } from './make-document';
import { chance, type Chance } from './random';

const REFUNDS_FROM = '2026-10-01' as Day;
const NEVER = '9999-12-31' as Day;

/** Spring and autumn are the seasons of clay. */
const SEASON = [0.8, 0.9, 1.2, 1.3, 1.1, 0.9, 0.7, 0.7, 1.2, 1.4, 1.2, 0.8];

/** The year that the demo firm had: documents, bank entries, and what each payment was for. */
export class Year {
	readonly chance: Chance;
	readonly payers: readonly Payer[];
	readonly banks: Readonly<Record<string, BankBook>>;
	readonly owed = new Map<string, Owed[]>();
	readonly settled: string[] = [];
	readonly #books: Books;
	readonly #ids: AddedCustomers;
	readonly #at: (agreed?: boolean) => CallContext;
	#documents: NewDocument[] = [];
	#truths = new Map<string, Purpose>();
	/** Chance of its own for rare cases, so that they leave the rest of the year as it is. */
	readonly #odd = chance(7_331);
	#standing = { issued: '', paid: '' };
	#numbers = { invoice: 40_000, credit: 7_000 };

	constructor(
		books: Books,
		random: Chance,
		payers: readonly Payer[],
		ids: AddedCustomers,
		banks: Readonly<Record<string, BankBook>>,
		at: (agreed?: boolean) => CallContext
	) {
		this.#books = books;
		this.chance = random;
		this.payers = payers;
		this.#ids = ids;
		this.banks = banks;
		this.#at = at;
	}

	/** A day's documents and payments, planned; nothing is in the books before `post`. */
	plan(today: Day): void {
		const season = SEASON[Number(today.slice(5, 7)) - 1]!;
		for (const payer of this.payers) {
			if (this.chance.yes((payer.pace / 21) * season)) this.#invoice(payer, today);
			this.#pay(payer, today);
		}
		this.#standingOrder(today);
		this.#otherMoney(today);
	}

	#invoice(payer: Payer, today: Day): void {
		const { customer } = payer;
		const document = makeInvoice(
			`AK-${++this.#numbers.invoice}`,
			payer,
			this.#ids[customer.code]!,
			today,
			this.chance
		);
		this.#documents.push(document);
		const list = this.owed.get(customer.code) ?? [];
		this.owed.set(customer.code, list);
		const never = this.chance.yes(0.06);
		const takesDiscount = document.discountUntil !== null && payer.late < 5 && this.chance.yes(0.7);
		for (const [index, { due, amount }] of document.instalments.entries()) {
			const meant = takesDiscount
				? document.discountUntil!
				: addDays(due, payer.late + this.chance.int(-3, 12));
			list.push({
				number: document.number,
				part: index + 1,
				document,
				open: amount,
				payOn: never ? NEVER : nextWorkday(meant < today ? today : meant)
			});
		}
		if (this.chance.yes(0.025)) {
			const note = makeCreditNote(`AC-${++this.#numbers.credit}`, document, today, this.chance);
			this.#documents.push(note);
			list.push({
				number: note.number,
				part: 1,
				document: note,
				open: -note.instalments[0]!.amount,
				payOn: list.at(-1)!.payOn
			});
		}
	}

	/** Pays what the account means to pay today, in one transfer or in several. */
	#pay(payer: Payer, today: Day): void {
		const list = this.owed.get(payer.customer.code) ?? [];
		const meant = list.filter((item) => item.payOn <= today && item.open !== 0);
		const invoices = meant.filter((item) => item.open > 0);
		if (invoices.length === 0) return;
		const groups = payer.batches
			? [meant]
			: invoices.map((item, i) =>
					i === 0 ? [item, ...meant.filter((one) => one.open < 0 && -one.open < item.open)] : [item]
				);
		for (const group of groups)
			if (group.reduce((sum, item) => sum + item.open, 0) > 0) this.pay(payer, group, today);
	}

	/** One transfer for these items: entry, words, and what it is for; now and then short or long. */
	pay(payer: Payer, items: readonly Owed[], today: Day, words = this.wordsFor(payer, items)): void {
		const { customer } = payer;
		const lines = items
			.map((item) => ({
				number: item.number,
				part: item.part,
				cash: item.open,
				differences: gapsOf(item, today, this.chance)
			}))
			.map((line) => claimed(line, today, this.#odd));
		for (const line of lines) line.cash -= line.differences.reduce((sum, gap) => sum + gap.amount, 0);
		const [only] = lines;
		if (lines.length === 1 && only!.differences.length === 0 && only!.cash > 20_000 && this.chance.yes(0.03))
			only!.cash = Math.round(only!.cash / 200) * 100;
		let amount = lines.reduce((sum, line) => sum + line.cash, 0);
		let refund = 0;
		if (this.chance.yes(0.008)) {
			const over = this.chance.int(1, 90) * 100;
			amount += over;
			// The newest of them are asked back; the rest lies on account.
			if (today >= REFUNDS_FROM) refund = over;
		}
		const reference = this.transfer(
			payer,
			amount,
			words,
			today,
			items[0]?.document.paymentReference ?? undefined
		);
		this.#truths.set(reference, { customerId: this.#ids[customer.code]!, lines, refund });
		for (const [i, item] of items.entries()) {
			const line = lines[i]!;
			item.open -= line.cash + line.differences.reduce((sum, gap) => sum + gap.amount, 0);
			if (item.open === 0) this.settled.push(item.number);
			// Whoever pays a part is in no hurry with the rest.
			else item.payOn = addDays(today, this.chance.int(40, 140));
		}
	}

	/** A club that pays the same sum every month by standing order, and its hire charge for the kiln. */
	#standingOrder(today: Day): void {
		const payer = this.payers.find((one) => one.customer.name.includes('Pottery Club'))!;
		const month = today.slice(0, 7);
		const list = this.owed.get(payer.customer.code) ?? [];
		this.owed.set(payer.customer.code, list);
		if (this.#standing.issued !== month) {
			this.#standing.issued = month;
			const document = kilnHire(`AK-${++this.#numbers.invoice}`, this.#ids[payer.customer.code]!, today);
			this.#documents.push(document);
			list.push({ number: document.number, part: 1, document, open: HIRE, payOn: NEVER });
		}
		const oldest = list.find((item) => item.document.text === 'kiln hire' && item.open > 0);
		if (this.#standing.paid !== month && today.slice(8) >= '20' && oldest) {
			this.#standing.paid = month;
			this.pay(payer, [oldest], today, 'STANDING ORDER KILN');
		}
	}

	/** Money paid for an order that has no invoice yet. */
	deposit(payer: Payer, amount: number, order: string, booked: Day): void {
		const reference = this.transfer(payer, amount, `deposit ${order}`, booked);
		const customerId = this.#ids[payer.customer.code]!;
		this.#truths.set(reference, { customerId, lines: [], depositFor: order });
	}

	/** One invoice settled with less money than it is owed and a name for the rest. */
	short(
		payer: Payer,
		item: Owed,
		booked: Day,
		words: string,
		gap: { kind: DifferenceKind; amount: number }
	): void {
		const cash = item.open - gap.amount;
		const reference = this.transfer(payer, cash, words, booked);
		const line = { number: item.number, part: item.part, cash, differences: [gap] };
		const customerId = this.#ids[payer.customer.code]!;
		this.#truths.set(reference, { customerId, lines: [line], agreed: true });
		item.open = 0;
		this.settled.push(item.number);
	}

	/** A transfer on the account's bank, as the bank prints it; returns the bank's reference. */
	transfer(payer: Payer, amount: number, text: string, booked: Day, reference?: string): string {
		const detail = {
			amount,
			name: payer.bankName,
			account: payer.account,
			text: reference ? '' : text,
			reference
		};
		return this.banks[payer.customer.currency]!.add({ amount, booked, details: [detail] });
	}

	wordsFor(payer: Payer, items: readonly Owed[]): string {
		return paymentWords(payer, items, this.chance);
	}

	/** What comes and goes that no customer pays. */
	#otherMoney(today: Day): void {
		const bank = this.banks['GBP']!;
		const other = (amount: number, name: string, text: string, account: string) => {
			const reference = bank.add({
				amount,
				booked: today,
				info: text,
				details: [{ amount: Math.abs(amount), name, account: null, text }]
			});
			this.#truths.set(reference, { account });
		};
		if (today.slice(8) === '15')
			other(-this.chance.int(900, 2400), 'Mere & Marches Bank', 'ACCOUNT CHARGES', CHART.bankCharges.code);
		if (today.slice(8) === '28')
			other(-this.chance.int(1_800_000, 2_100_000), 'Ashlock payroll', 'WAGES', CHART.wages.code);
		if (this.chance.yes(0.25))
			other(
				-this.chance.int(80_000, 900_000),
				this.chance.pick(['Marl & Grit Quarries', 'Feldspar Freight', 'Cobalt Colours']),
				`our order ${this.chance.int(1000, 9999)}`,
				CHART.supplierPayments.code
			);
		if (today.slice(8) === '30')
			other(this.chance.int(300, 1900), 'Mere & Marches Bank', 'INTEREST', CHART.bankInterest.code);
	}

	/** Puts what was planned into the books: documents, the week's statements, and every receipt where it belongs. */
	async post(closing: Day): Promise<void> {
		const documents = this.#documents;
		this.#documents = [];
		const files = Object.values(this.banks).flatMap((bank) => bank.close(closing) ?? []);
		const reads = await Promise.all(files.map((file) => readBankFile(file.name, [Buffer.from(file.xml)])));
		await this.#books.write(async (tx) => {
			await performIn(tx, issueDocuments, documents, this.#at());
			for (const read of reads) {
				if (!read.ok) throw new Error(JSON.stringify(read.problems));
				await performIn(tx, importBankFile, read.value, this.#at());
			}
			await placeReceipts(tx, this.#truths, this.#at);
			this.#truths.clear();
		});
	}
}
