import { addDays } from '../../src/lib/core/day/arithmetic';
import type { OpenItem, ReceiptFacts } from '../../src/lib/core/model/records';
import { minor } from '../../src/lib/core/money/minor';
import type { Chance } from '../../src/demo/random';
import type { Firm } from './make-books';
import { FIRST_DAY, KINDS, type Gap, type Payment } from './payment-kinds';
import { printed } from './printed';
import { sayNumber } from './say-numbers';

/** What a made-up payment was for. */
export interface Truth {
	readonly kind: string;
	/** Null for what is no customer's money. */
	readonly customerId: number | null;
	/** Cash by item, and what closes its gap; the rest lies on account. */
	readonly lines: ReadonlyMap<number, number>;
	readonly gap: Gap | null;
}

/** How often each kind comes, against the others. */
export type Mix = Readonly<Record<string, number>>;

/** As at a firm with customers of all sorts. */
export const USUAL: Mix = {
	...{ one: 370, 'one, loosely': 150, several: 125, silent: 80, short: 45, card: 40, 'not ours': 35 },
	...{ 'on account': 22, 'silent set': 20, stranger: 20, part: 20, over: 10, 'with credit': 10, muddled: 6 },
	...{ 'all due': 8, monthly: 10, again: 5, wire: 5, discount: 9, tax: 4, group: 6 }
};
/** With more of what is hard to tell. */
export const HARD: Mix = {
	...{ one: 20, 'one, loosely': 20, several: 10, nearly: 5, silent: 9, 'silent set': 5, short: 4, part: 3 },
	...{ 'on account': 2, 'on account, silent': 3, 'settled before': 3, 'not ours': 3, stranger: 3, over: 3 },
	...{
		'with credit': 2,
		'all due': 3,
		discount: 3,
		tax: 2,
		card: 4,
		wire: 2,
		muddled: 2,
		again: 2,
		monthly: 2
	},
	...{ 'cut off': 3, group: 2, 'group, silent': 1 }
};

/** Payments of three days; `noise` is how often a name or number is not written as in the books, from 0 to 1. */
export function makePayments(firm: Firm, random: Chance, count: number, noise: number, mix = USUAL) {
	const all = Object.values(mix).reduce((sum, often) => sum + often, 0);
	const { customers, items, landOf, series } = firm;
	const pile: ReceiptFacts[] = [];
	const truth = new Map<number, Truth>();
	const once: Payment[] = [];
	const left = new Map(customers.map(({ id }) => [id, items.filter((item) => item.customerId === id)]));
	const ofKind = (kind: OpenItem['kind']) => (id: number) =>
		left.get(id)!.filter((item) => item.kind === kind);
	const invoices = ofKind('invoice');
	for (let turn = 0; pile.length < count && turn < count * 9; turn++) {
		let dice = random.int(1, all);
		const [kind] = Object.entries(mix).find(([, often]) => (dice -= often) <= 0)!;
		const customer = random.pick(customers);
		const land = landOf.get(customer.id)!;
		const open = invoices(customer.id);
		if (open.length === 0) continue;
		const item = random.pick(open);
		const before = random.pick(land.before);
		const say = (one: OpenItem, loosely = random.yes(noise / 3)) => sayNumber(one, series, random, loosely);
		const named = `${random.yes(0.6) ? `${before} ` : ''}${say(item)}`;
		const payment = KINDS[kind]!({
			...{ firm, random, noise, customer, land, open, item, before, named, say, invoices, once },
			credits: ofKind('credit_note')
		});
		if (!payment) continue;
		if (kind === 'one') once.push(payment);
		for (const [paid] of payment.lines)
			left.set(
				paid.customerId,
				left.get(paid.customerId)!.filter((one) => one !== paid)
			);
		add(kind, payment);
	}
	return { pile, truth };

	function add(kind: string, { customer, text, lines, extra = 0, over = {}, gap }: Payment) {
		const id = pile.length + 1;
		const cash = lines.reduce((all, [, one]) => all + one, 0) + extra;
		const names = customer ? [customer.name, ...customer.otherNames] : [''];
		const account = customer?.payerAccounts[0];
		pile.push({
			id,
			booked: addDays(FIRST_DAY, Math.floor((3 * pile.length) / count)),
			amount: minor(cash),
			currency: customer?.currency ?? firm.home.currency,
			payerName: printed(random.yes(0.85) ? names[0]! : random.pick(names), random, noise),
			payerAccount: account && random.yes(0.8) ? account : null,
			text,
			structuredReference: null,
			endToEndId: random.yes(0.2) ? `E2E${random.int(1e6, 9e6)}` : null,
			...over
		});
		const cashOf = new Map(lines.map(([item, one]) => [item.id, one]));
		truth.set(id, { kind, customerId: customer?.id ?? null, lines: cashOf, gap: gap ?? null });
	}
}
