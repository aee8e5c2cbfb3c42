import { addDays } from '../../src/lib/core/day/arithmetic';
import { day } from '../../src/lib/core/day/day';
import type { Customer, DifferenceKind, OpenItem, ReceiptFacts } from '../../src/lib/core/model/records';
import { minor } from '../../src/lib/core/money/minor';
import { proportion } from '../../src/lib/core/money/proportion';
import { typicalSum } from '../../src/lib/core/money/typical-sums';
import type { Chance } from '../../src/demo/random';
import type { Land } from './lands';
import type { Firm } from './make-books';
import { sayNumbers, spoilNumber } from './say-numbers';

/** The first of the days on which payments come. */
export const FIRST_DAY = day('2026-10-28');

export interface Gap {
	readonly kind: DifferenceKind;
	readonly amount: number;
}

/** A made-up payment: whose, its words, its cash by item, and what else of it is not as usual. */
export interface Payment {
	readonly customer: Customer | null;
	readonly text: string;
	readonly lines: readonly (readonly [OpenItem, number])[];
	/** What comes beside the lines, and lies on account. */
	readonly extra?: number;
	readonly over?: Partial<ReceiptFacts>;
	readonly gap?: Gap;
}

/** What a payment can be made of: one customer who owes something, one of the invoices, and how its number is written. */
export interface Turn {
	readonly firm: Firm;
	readonly random: Chance;
	readonly noise: number;
	readonly customer: Customer;
	readonly land: Land;
	readonly open: readonly OpenItem[];
	readonly item: OpenItem;
	readonly before: string;
	/** The item's number with a word before it, it may be. */
	readonly named: string;
	readonly say: (item: OpenItem, loosely?: boolean) => string;
	readonly invoices: (customerId: number) => readonly OpenItem[];
	readonly credits: (customerId: number) => readonly OpenItem[];
	/** Payments of one invoice that came before. */
	readonly once: readonly Payment[];
}

type Kind = (turn: Turn) => Payment | null;

const whole = (some: readonly OpenItem[]) =>
	some.map((item) => [item, item.kind === 'credit_note' ? -item.open : item.open] as const);
const byDue = (a: OpenItem, b: OpenItem) => (a.due < b.due ? -1 : a.due > b.due ? 1 : a.id - b.id);

/** Less than is open of the one item, with a name for what is missing; null where it would be nothing, or all. */
function less({ customer, item }: Turn, text: string, gap: Gap, over: Payment['over'] = {}): Payment | null {
	if (gap.amount <= 0 || gap.amount >= item.open) return null;
	return { customer, text, lines: [[item, item.open - gap.amount]], over, gap };
}

/** How each kind of payment comes about; null where it can't this time. */
export const KINDS: Readonly<Record<string, Kind>> = {
	one: ({ customer, named, item }) => ({ customer, text: named, lines: whole([item]) }),
	'one, loosely': (turn) => {
		const { customer, item, random, before, say, land } = turn;
		const order = item.purchaseOrder !== null && random.yes(0.25);
		const reference = !order && item.paymentReference !== null && random.yes(0.4);
		const inField = reference && random.yes(0.5);
		const spoilt = () => `${before} ${spoilNumber(item, turn.firm.series, random)}`;
		const loose = () =>
			`${before} ${say(item, true)} ${random.pick(['', '27.10.2026', '27/10/2026', random.pick(land.silent), `KD ${customer.code}`])}`;
		const asked = item.paymentReference ?? '';
		const text = order
			? item.purchaseOrder!
			: inField
				? ''
				: reference
					? random.pick([asked, asked.replace(/(.{4})/g, '$1 ').trim()])
					: random.yes(0.2)
						? spoilt()
						: loose();
		const over = inField ? { structuredReference: item.paymentReference } : {};
		return { customer, text, lines: whole([item]), over };
	},
	nearly: ({ customer, item, random, before, firm }) => ({
		...{ customer, text: `${before} ${spoilNumber(item, firm.series, random)}`, lines: whole([item]) }
	}),
	'settled before': ({ customer, random, before, firm }) => {
		const text = `${before} ${firm.series.number(firm.series.first - random.int(10, 500))}`;
		return { customer, text, lines: [], extra: random.int(900, 600_000) };
	},
	'cut off': ({ customer, open, random, before }) => {
		const some = open.slice(0, random.int(2, Math.min(6, open.length)));
		if (some.length < 2) return null;
		const text = `${before} ${some.map((one) => one.number).join(', ')}`;
		return { customer, text: text.slice(0, random.pick([18, 35, 70])), lines: whole(some) };
	},
	several: ({ customer, open, random, before, firm, noise }) => {
		const some = open.slice(0, random.int(2, Math.min(7, open.length)));
		if (some.length < 2) return null;
		const text = `${random.yes(0.5) ? `${before} ` : ''}${sayNumbers(some, firm.series, random, noise)}`;
		const cut = random.yes(0.06) ? text.slice(0, random.pick([35, 70, 140])) : text;
		return { customer, text: cut, lines: whole(some) };
	},
	silent: ({ customer, land, item, random }) => ({
		...{ customer, text: random.pick([...land.silent, customer.name.slice(0, 12)]), lines: whole([item]) }
	}),
	short: (turn) => {
		const amount = Math.max(50, Math.round((turn.item.open * turn.random.int(1, 25)) / 100));
		return less(turn, `${turn.named} ${turn.random.pick(turn.land.taken)}`, { kind: 'claim', amount });
	},
	card: (turn) => {
		const { customer, item, random, say, firm } = turn;
		const amount = proportion(item.open, 150, 10_000) + 25;
		if (amount * 3 >= item.open || customer.currency !== firm.home.currency) return null;
		const number = say(item, false);
		const text = random.pick([number, number, customer.name, `${customer.name} ${number}`]);
		const payer = { payerName: `${firm.home.iban} CARDWELL PAY`, payerAccount: null };
		return less(turn, text, { kind: 'processor_fee', amount }, payer);
	},
	'not ours': ({ random, land }) => {
		const [payerName, text] = random.pick(land.others);
		const over = { payerName, payerAccount: null };
		return { customer: null, text, lines: [], extra: random.int(1_000, 900_000), over };
	},
	'on account': ({ customer, random, land }) => ({
		...{ customer, text: random.pick(land.onAccount), lines: [], extra: random.int(1, 40) * 5_000 }
	}),
	'on account, silent': ({ customer, random, land }) => ({
		...{ customer, text: random.pick(land.silent), lines: [], extra: random.int(1, 40) * 5_000 }
	}),
	'silent set': ({ customer, open, random, land }) => {
		const some = open.slice(0, random.int(2, Math.min(5, open.length)));
		return some.length < 2 ? null : { customer, text: random.pick(land.silent), lines: whole(some) };
	},
	stranger: ({ customer, item, random, land, named }) => ({
		...{ customer, text: random.yes(0.8) ? named : customer.name, lines: whole([item]) },
		over: { payerName: random.pick(land.persons), payerAccount: null }
	}),
	part: ({ customer, item, random, land, named }) => {
		const cash = Math.floor(item.open / 2 / 5_000) * 5_000;
		const text = random.yes(0.6) ? `${random.pick(land.part)} ${named}` : named;
		return cash < 5_000 ? null : { customer, text, lines: [[item, cash]] };
	},
	over: ({ customer, item, random, named }) => ({
		...{ customer, text: named, lines: whole([item]), extra: random.pick([100, 900, 1_000, 5_000]) }
	}),
	'with credit': ({ customer, item, random, land, named, credits, say }) => {
		const credit = credits(customer.id).find((note) => note.open < item.open);
		if (!credit) return null;
		const said = [`${named} ${random.pick(land.lessCredit)}`, `${named}, ${say(credit, false)}`, named];
		return { customer, text: random.pick(said), lines: whole([item, credit]) };
	},
	muddled: ({ customer, item, random, named }) => {
		const text = String(item.open);
		const at = random.int(0, text.length - 2);
		const came = Number(text.slice(0, at) + text[at + 1] + text[at] + text.slice(at + 2));
		if (came === item.open || came < 100) return null;
		const lines = [[item, Math.min(came, item.open)]] as const;
		return { customer, text: named, lines, extra: Math.max(0, came - item.open) };
	},
	'all due': ({ customer, open, random, land }) => {
		const upTo = [...open].sort(byDue);
		const last = upTo[Math.floor(upTo.length * 0.7)]!.due;
		const due = upTo.filter((one) => one.due <= last);
		return due.length < 3 ? null : { customer, text: random.pick(land.statement), lines: whole(due) };
	},
	monthly: ({ customer, open, item, random, land }) => {
		const equal = open.filter((one) => one.open === item.open).sort(byDue);
		const text = random.pick([...land.monthly, random.pick(land.silent)]);
		return equal.length < 2 ? null : { customer, text, lines: whole([equal[0]!]) };
	},
	again: ({ once, random }) => {
		if (once.length === 0) return null;
		const { customer, text, lines } = random.pick(once);
		return { customer, text, lines: [], extra: lines[0]![1] };
	},
	wire: (turn) => {
		const { customer, item, random, firm, named } = turn;
		const amount = typicalSum(random.pick([5, 7.5, 10, 12.5, 15]), customer.currency);
		if (customer.currency === firm.home.currency || amount * 6 > item.open) return null;
		const stated = random.yes(0.5) ? { charges: minor(amount) } : {};
		return less(turn, named, { kind: 'bank_charge', amount }, stated);
	},
	discount: ({ firm, invoices, random, before, say, land }) => {
		const offers = firm.customers
			.flatMap(({ id }) => invoices(id))
			.filter((one) => one.discountUntil && one.discountUntil >= addDays(FIRST_DAY, 2));
		if (offers.length === 0) return null;
		const item = random.pick(offers);
		const amount = proportion(item.open, item.discountBasisPoints!, 10_000);
		const customer = firm.customers.find(({ id }) => id === item.customerId)!;
		const text = random.yes(0.8) ? `${before} ${say(item)}` : random.pick(land.silent);
		const gap: Gap = { kind: 'settlement_discount', amount };
		return amount === 0 ? null : { customer, text, lines: [[item, item.open - amount]], gap };
	},
	tax: (turn) => {
		const amount = proportion(turn.item.open, turn.random.pick([500, 1_000, 1_500, 2_000]), 10_000);
		const words = turn.random.pick(['less WHT', 'WHT deducted', 'net of withholding tax']);
		return less(turn, `${turn.named} ${words}`, { kind: 'withholding_tax', amount });
	},
	group: (turn) => forBranch(turn, (some) => sayNumbers(some, turn.firm.series, turn.random, 0)),
	'group, silent': (turn) => forBranch(turn, () => turn.random.pick(turn.land.silent))
};

/** What a parent pays for one of its branches, and for one of its own as well, it may be. */
function forBranch(
	{ firm, invoices, random }: Turn,
	say: (some: readonly OpenItem[]) => string
): Payment | null {
	const branch = random.pick(firm.customers.filter(({ parentId }) => parentId !== null));
	const customer = firm.customers.find(({ id }) => id === branch.parentId)!;
	const owed = invoices(branch.id).slice(0, random.int(1, 3));
	if (owed.length === 0 || customer.currency !== branch.currency) return null;
	const some = [...owed, ...(random.yes(0.3) ? invoices(customer.id).slice(0, 1) : [])];
	return { customer, text: say(some), lines: whole(some) };
}
