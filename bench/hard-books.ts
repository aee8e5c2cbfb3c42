import { addDays } from '../src/lib/core/day/arithmetic';
import { day } from '../src/lib/core/day/day';
import type { Answer } from '../src/lib/core/3-matching/answer';
import { answerReceipts } from '../src/lib/core/3-matching/answer-receipts';
import type { Customer, OpenItem, ReceiptFacts } from '../src/lib/core/model/records';
import { sampleItem } from '../src/lib/core/model/sample-item';
import { minor } from '../src/lib/core/money/minor';
import { share } from '../src/lib/core/money/share';
import { chance, type Chance } from '../src/demo/random';

/** What a made-up payment was for. */
interface Truth {
	readonly kind: string;
	readonly customerId: number | null;
	/** Cash by item; what is over lies on account. */
	readonly lines: ReadonlyMap<number, number>;
	/** The kind of the difference that closes a gap, where one does. */
	readonly gap?: string;
}

const FIRST =
	'Brack,Sorrel,Ember,Tarn,Quill,Fenwick,Osier,Marl,Thorn,Larch,Gorse,Hythe,Combe,Rudd,Sedge,Brome'.split(
		','
	);
const SECOND =
	'Töpferhof,Atelier,Vale,Bridge,Wharf,Côte,Ridge,Mill,Haven,Court,Ödland,Brook,Green,Cross'.split(',');
const TRADE = 'Keramik,Céramique,Studio,Interiors,Gardens,Schule,Works,Supplies,Kilns,Tiles'.split(',');
const FORM = ['Ltd', 'GmbH', 'SARL', 'BV', 'LLP', '', 'AG', 'SA', 'CIC', 'Limited'];
const SHAPES: readonly ((n: number) => string)[] = [
	(n) => `RE-2026-${String(n).padStart(6, '0')}`,
	(n) => `26/${String(n).padStart(5, '0')}`,
	(n) => `F00${String(n).padStart(5, '0')}`,
	(n) => `${4_700_000 + n}`,
	(n) => `INV${100_000 + n}`,
	(n) => `K.${n}-26`
];
const WORDS = [
	'Rechnung',
	'facture',
	'invoice',
	'factuur',
	'fattura',
	'factura',
	'Rg.Nr.',
	'réf',
	'your inv',
	'zu'
];
const SILENT = ['', 'BACS', 'Überweisung', 'virement', 'merci', 'SEPA', 'betaling', 'payment', 'dank u'];

export interface HardScore {
	readonly receipts: number;
	readonly right: number;
	readonly certain: number;
	readonly wrongCertain: readonly string[];
	readonly byKind: ReadonlyMap<string, { n: number; right: number; certain: number }>;
}

/** Makes hard books of one seed, answers their payments, and compares with what they were for. */
export function hardBooks(seed: number, receipts: number): HardScore {
	const random = chance(seed);
	const { customers, items } = books(random, seed);
	const { pile, truth } = payments(random, customers, items, receipts);
	const answers = answerReceipts(pile, { customers, items, baseCurrency: 'EUR' });
	const byKind = new Map<string, { n: number; right: number; certain: number }>();
	const wrongCertain: string[] = [];
	let right = 0;
	let certain = 0;
	for (const answer of answers) {
		const want = truth.get(answer.receiptId)!;
		const kind = byKind.get(want.kind) ?? { n: 0, right: 0, certain: 0 };
		byKind.set(want.kind, kind);
		kind.n++;
		const fits = isRight(answer, want);
		if (fits) {
			right++;
			kind.right++;
		}
		if (answer.band !== 'certain') continue;
		certain++;
		kind.certain++;
		if (!fits) {
			const one = pile.find(({ id }) => id === answer.receiptId)!;
			const codes = answer.reasons.map((reason) => reason.code).join(' ');
			wrongCertain.push(`${want.kind}: "${one.payerName}" "${one.text}" ${one.amount}: ${codes}`);
		}
	}
	return { receipts: answers.length, right, certain, wrongCertain, byKind };
}

function isRight(answer: Answer, want: Truth): boolean {
	if (want.customerId === null) return answer.lines.length === 0 && answer.customerId === null;
	if (answer.customerId !== want.customerId || answer.lines.length !== want.lines.size) return false;
	return answer.lines.every((line) => want.lines.get(line.itemId) === line.cash);
}

function books(random: Chance, seed: number) {
	const customers: Customer[] = [];
	const items: OpenItem[] = [];
	const shape = SHAPES[seed % SHAPES.length]!;
	const count = 120;
	let number = random.int(100, 900);
	for (let id = 1; id <= count; id++) {
		const name =
			`${random.pick(FIRST)} ${random.pick(SECOND)} ${random.pick(TRADE)} ${random.pick(FORM)}`.trim();
		customers.push({
			...{ id, code: `D${id}`, name, currency: random.yes(0.2) ? 'GBP' : 'EUR' },
			otherNames: random.yes(0.1) ? [`${random.pick(FIRST)} & ${random.pick(FIRST)} Partners`] : [],
			payerAccounts: random.yes(0.5) ? [`AC${seed}X${id}`] : [],
			parentId: id > 110 ? random.int(1, 5) : null
		});
		const many = random.yes(0.06) ? random.int(30, 70) : random.int(1, 14);
		const price = random.int(20, 400) * 100;
		for (let n = 0; n < many; n++) {
			number += random.int(1, 3);
			const kind = random.yes(0.05) ? 'credit_note' : 'invoice';
			const issued = addDays(day('2026-06-01'), random.int(0, 140));
			const open = random.yes(0.25) ? price : random.int(900, 600_000);
			items.push(
				sampleItem(items.length + 1, kind === 'credit_note' ? Math.min(open, 9_000) : open, {
					...{ customerId: id, kind, number: kind === 'credit_note' ? `G${number}` : shape(number) },
					...{
						currency: customers.at(-1)!.currency,
						issued,
						due: addDays(issued, 30),
						documentId: items.length + 1
					},
					purchaseOrder: random.yes(0.3) ? `PO${random.int(10_000, 99_999)}` : null,
					discountBasisPoints: id % 7 === 0 ? 200 : null,
					discountUntil: id % 7 === 0 ? addDays(issued, 10) : null
				})
			);
		}
	}
	return { customers, items };
}

function payments(random: Chance, customers: readonly Customer[], all: readonly OpenItem[], wanted: number) {
	const pile: ReceiptFacts[] = [];
	const truth = new Map<number, Truth>();
	const left = new Map(customers.map((one) => [one.id, all.filter((item) => item.customerId === one.id)]));
	const invoices = (id: number) => left.get(id)!.filter((item) => item.kind === 'invoice');
	const take = (id: number, some: readonly OpenItem[]) =>
		left.set(
			id,
			left.get(id)!.filter((item) => !some.includes(item))
		);
	const say = (number: string): string => {
		const digits = /(\d+)\D*$/.exec(number)![1]!;
		return random.pick([
			number,
			number,
			number.replace(/[-/.]/g, ''),
			number.replace(/[-/.]/g, ' '),
			digits,
			digits.replace(/^0+/, ''),
			number.toLowerCase()
		]);
	};
	const spoil = (number: string): string => {
		const at = number.length - 1 - random.int(0, 2);
		return random.pick([
			number.replace(/0(?=[^0]*$)/, 'O'),
			number.slice(0, at - 1) + number[at] + number[at - 1] + number.slice(at + 1),
			number.slice(0, at) + String((Number(number[at]) + 3) % 10 || 7) + number.slice(at + 1)
		]);
	};
	const pay = (
		kind: string,
		customer: Customer | null,
		amount: number,
		text: string,
		lines: readonly (readonly [OpenItem, number])[],
		over: Partial<ReceiptFacts> = {},
		gap?: string
	) => {
		const id = pile.length + 1;
		const printed = customer
			? random.pick([customer.name, customer.name.toUpperCase(), customer.name.slice(0, 18)])
			: null;
		const account = customer?.payerAccounts[0];
		pile.push({
			...{ id, booked: day('2026-10-28'), amount: minor(amount), currency: customer?.currency ?? 'EUR' },
			payerName: printed,
			payerAccount: account && random.yes(0.6) ? account : null,
			...{ text, structuredReference: null, endToEndId: null },
			...over
		});
		truth.set(id, {
			kind,
			customerId: customer?.id ?? null,
			lines: new Map(lines.map(([item, cash]) => [item.id, cash])),
			...(gap ? { gap } : {})
		});
	};
	for (let turn = 0; pile.length < wanted && turn < wanted * 6; turn++) {
		const customer = random.pick(customers);
		const open = invoices(customer.id);
		if (open.length === 0) continue;
		const [first] = open;
		const some = open.slice(0, random.int(2, 6));
		const sum = (list: readonly OpenItem[]) => list.reduce((total, item) => total + item.open, 0);
		const whole = (list: readonly OpenItem[]) => list.map((item) => [item, item.open] as const);
		const word = random.pick(WORDS);
		const dice = random.int(1, 100);
		if (dice <= 40) {
			pay('one', customer, first!.open, `${word} ${say(first!.number)}`, whole([first!]));
			take(customer.id, [first!]);
		} else if (dice <= 50) {
			pay(
				'several',
				customer,
				sum(some),
				`${word} ${some.map((item) => say(item.number)).join(random.pick([' ', ', ', '+', ' / ']))}`,
				whole(some)
			);
			take(customer.id, some);
		} else if (dice <= 55) {
			pay('nearly', customer, first!.open, `${word} ${spoil(first!.number)}`, whole([first!]));
			take(customer.id, [first!]);
		} else if (dice <= 64) {
			const one = random.pick(open);
			const equal = open
				.filter((item) => item.open === one.open)
				.sort((a, b) => (a.due < b.due ? -1 : a.due > b.due ? 1 : a.id - b.id))[0]!;
			pay('silent', customer, equal.open, random.pick(SILENT), whole([equal]));
			take(customer.id, [equal]);
		} else if (dice <= 68) {
			pay('silent set', customer, sum(some), random.pick(SILENT), whole(some));
			take(customer.id, some);
		} else if (dice <= 72) {
			const kept = Math.round(first!.open * (random.int(1, 30) / 100));
			pay(
				'short',
				customer,
				first!.open - kept,
				`${word} ${say(first!.number)} ${random.pick(['', 'abzgl. Mangel', 'moins casse', 'less damaged'])}`,
				[[first!, first!.open - kept]]
			);
			take(customer.id, [first!]);
		} else if (dice <= 75) {
			const part = Math.max(100, Math.floor(first!.open / 20_000) * 10_000);
			if (part >= first!.open) continue;
			pay(
				'part',
				customer,
				part,
				`${random.pick(['Teilzahlung', 'acompte', 'part'])} ${say(first!.number)}`,
				[[first!, part]]
			);
			take(customer.id, [first!]);
		} else if (dice <= 78) {
			pay('on account, silent', customer, random.int(1, 40) * 5_000, random.pick(SILENT), []);
		} else if (dice <= 80) {
			pay(
				'on account, said',
				customer,
				random.int(1, 40) * 5_000,
				random.pick(['a conto', 'Akontozahlung', 'on account', 'acompte']),
				[]
			);
		} else if (dice <= 83) {
			pay('settled before', customer, random.int(900, 600_000), `${word} ${random.int(10, 99)}`, []);
		} else if (dice <= 86) {
			pay(
				'not ours',
				null,
				random.int(900, 900_000),
				random.pick(['Miete', 'gross interest', 'remboursement', '']),
				[],
				{
					payerName: random.pick(['ZINSEN', 'Stadtwerke', 'M DUPONT', 'TAX OFFICE'])
				}
			);
		} else if (dice <= 89) {
			pay('stranger', customer, first!.open, `${word} ${say(first!.number)}`, whole([first!]), {
				...{ payerName: random.pick(['MR P HOLM', 'FRAU LENZ', 'Mme Roux']), payerAccount: null }
			});
			take(customer.id, [first!]);
		} else if (dice <= 92 && first!.discountBasisPoints) {
			const off = share(first!.open, 200, 10_000);
			pay(
				'discount',
				customer,
				first!.open - off,
				`${word} ${say(first!.number)}`,
				[[first!, first!.open - off]],
				{ booked: first!.discountUntil! },
				'settlement_discount'
			);
			take(customer.id, [first!]);
		} else if (dice <= 95) {
			const upTo = [...open].sort((a, b) => (a.due < b.due ? -1 : a.due > b.due ? 1 : a.id - b.id));
			const last = upTo[Math.floor(upTo.length / 2)]!.due;
			const due = upTo.filter((item) => item.due <= last);
			if (due.length < 3) continue;
			pay('all due', customer, sum(due), random.pick(['statement', 'Kontoauszug', 'solde', '']), whole(due));
			take(customer.id, due);
		} else if (dice <= 97) {
			const credit = left
				.get(customer.id)!
				.find((item) => item.kind === 'credit_note' && item.open < first!.open);
			if (!credit) continue;
			pay('with credit', customer, first!.open - credit.open, `${word} ${say(first!.number)}`, [
				[first!, first!.open],
				[credit, -credit.open]
			]);
			take(customer.id, [first!, credit]);
		} else {
			pay(
				'over',
				customer,
				first!.open + random.int(1, 50) * 100,
				`${word} ${say(first!.number)}`,
				whole([first!])
			);
			take(customer.id, [first!]);
		}
	}
	return { pile, truth };
}
