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
	(n) => `K.${n}-26`,
	(n) => `2026${String(n).padStart(5, '0')}`,
	(n) => `S${String(n).padStart(4, '0')}/B/26`,
	(n) => `${String(n).padStart(8, '0')}`
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
	/** Gaps that have a kind, and those of them that got it. */
	readonly gaps: number;
	readonly gapsRight: number;
	readonly wrongCertain: readonly string[];
	/** Payments that were not answered right. */
	readonly wrong: readonly string[];
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
	const wrong: string[] = [];
	let right = 0;
	let certain = 0;
	let [gaps, gapsRight] = [0, 0];
	for (const answer of answers) {
		const want = truth.get(answer.receiptId)!;
		const kind = byKind.get(want.kind) ?? { n: 0, right: 0, certain: 0 };
		byKind.set(want.kind, kind);
		kind.n++;
		const fits = isRight(answer, want);
		if (want.gap) {
			gaps++;
			if (answer.lines.some((line) => line.differences.some((one) => one.kind === want.gap))) gapsRight++;
		}
		if (fits) {
			right++;
			kind.right++;
		} else {
			const one = pile.find(({ id }) => id === answer.receiptId)!;
			const number = (id: number) => items.find((item) => item.id === id)!.number;
			const wanted = [...want.lines].map(([id, cash]) => `${number(id)}:${cash}`).join(' ');
			const got = answer.lines.map((line) => `${number(line.itemId)}:${line.cash}`).join(' ');
			const name = customers.find(({ id }) => id === want.customerId)?.name;
			wrong.push(
				`${want.kind} ${answer.band}: "${one.payerName}" (${name}) "${one.text}" ${one.amount} wants ${wanted} got ${got}: ${answer.reasons.map((reason) => reason.code).join(' ')}`
			);
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
	return { receipts: answers.length, right, certain, gaps, gapsRight, wrongCertain, wrong, byKind };
}

/** A name as a bank or a person may print it. */
function print(name: string, random: Chance): string {
	const words = name.split(' ');
	const slip = (word: string) => word.slice(0, 2) + word.slice(3, 4) + word.slice(2, 3) + word.slice(4);
	return random.pick([
		name,
		name,
		name.toUpperCase(),
		name.toUpperCase(),
		name.slice(0, 18),
		name.slice(0, 27).toUpperCase(),
		name.replace(/ö/g, 'oe').replace(/Ö/g, 'Oe').replace(/ü/g, 'ue').toUpperCase(),
		name.normalize('NFD').replace(/\p{M}/gu, '').toUpperCase(),
		name.replace(/ (Ltd|GmbH|SARL|BV|LLP|AG|SA|CIC|Limited)$/, ''),
		[...words.slice(1), words[0]].join(' '),
		words.map((word, i) => (i === 1 && word.length > 4 ? slip(word) : word)).join(' '),
		`MR J HOLM T/A ${name}`,
		words.map((word) => (word.length > 6 ? word.slice(0, 4) : word)).join(' ')
	]);
}

function isRight(answer: Answer, want: Truth): boolean {
	if (want.customerId === null) return answer.lines.length === 0 && answer.customerId === null;
	// What a parent pays for one branch may lie on either account.
	if (answer.customerId !== want.customerId && !want.kind.startsWith('group')) return false;
	if (answer.lines.length !== want.lines.size) return false;
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
		// The running digits, without the year that some shapes carry.
		const digits = number.replace(/\/?-?26$|^26\/|2026-?/, '').match(/\d+/)![0];
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
		const at = number.replace(/-26$|\/B\/26$/, '').length - 1 - random.int(0, 2);
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
		const printed = customer ? print(customer.name, random) : null;
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
		const dice = random.int(1, 112);
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
		} else if (dice <= 100) {
			pay(
				'over',
				customer,
				first!.open + random.int(1, 50) * 100,
				`${word} ${say(first!.number)}`,
				whole([first!])
			);
			take(customer.id, [first!]);
		} else if (dice <= 103) {
			const branches = customers.filter((one) => one.parentId !== null && invoices(one.id).length > 0);
			const branch = branches.length > 0 ? random.pick(branches) : null;
			const parent = branch && customers.find((one) => one.id === branch.parentId)!;
			if (!branch || parent!.currency !== branch.currency) continue;
			const beside = random.yes(0.5) ? invoices(parent!.id).slice(0, 1) : [];
			const paid = [...invoices(branch.id).slice(0, random.int(1, 3)), ...beside];
			const words = random.yes(0.75) ? paid.map((item) => say(item.number)).join(', ') : '';
			pay(words ? 'group' : 'group, silent', parent!, sum(paid), words, whole(paid));
			take(branch.id, paid);
			take(parent!.id, paid);
		} else if (dice <= 106) {
			const cut = random.pick([18, 35, 70]);
			const words = `${word} ${some.map((item) => item.number).join(', ')}`.slice(0, cut);
			pay('cut off', customer, sum(some), words, whole(some));
			take(customer.id, some);
		} else if (dice <= 108) {
			const off = share(first!.open, random.pick([500, 1_000, 1_500]), 10_000);
			if (off === 0) continue;
			pay(
				'tax',
				customer,
				first!.open - off,
				`${say(first!.number)} ${random.pick(['less WHT', 'abzgl. Quellensteuer', 'retenue à la source', 'ritenuta'])}`,
				[[first!, first!.open - off]],
				{},
				'withholding_tax'
			);
			take(customer.id, [first!]);
		} else if (dice <= 112) {
			const off = share(first!.open, 160, 10_000) + 25;
			if (first!.open < 2_000) continue;
			pay(
				'card',
				customer,
				first!.open - off,
				random.yes(0.7) ? say(first!.number) : customer.name.slice(0, 16),
				[[first!, first!.open - off]],
				{ payerName: 'PAYBARGE SA', payerAccount: null },
				'processor_fee'
			);
			take(customer.id, [first!]);
		}
	}
	return { pile, truth };
}
