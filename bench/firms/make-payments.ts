import { addDays } from '../../src/lib/core/day/arithmetic';
import { day } from '../../src/lib/core/day/day';
import type { Customer, DifferenceKind, OpenItem, ReceiptFacts } from '../../src/lib/core/model/records';
import { minor } from '../../src/lib/core/money/minor';
import { share } from '../../src/lib/core/money/share';
import type { Chance } from '../../src/demo/random';
import { printed } from './printed';
import type { Firm } from './make-books';
import { sayNumber, sayNumbers, spoilNumber } from './say-numbers';

/** What a made-up payment was for. */
export interface Truth {
	readonly kind: string;
	/** Null for what is no customer's money. */
	readonly customerId: number | null;
	/** Cash by item, and what closes its gap; the rest lies on account. */
	readonly lines: ReadonlyMap<number, number>;
	readonly gap: { readonly kind: DifferenceKind; readonly amount: number } | null;
}

/** How often each kind comes, of a thousand, as at a firm with customers of all sorts. */
const MIX: readonly (readonly [string, number])[] = [
	...([
		['one', 370],
		['one, loosely', 150],
		['several', 125],
		['silent', 80],
		['short', 45],
		['card', 40]
	] as const),
	...([
		['not ours', 35],
		['on account', 22],
		['silent set', 20],
		['stranger', 20],
		['part', 20],
		['over', 10]
	] as const),
	...([
		['with credit', 10],
		['muddled', 6],
		['all due', 8],
		['monthly', 10],
		['again', 5],
		['wire', 5]
	] as const),
	...([
		['discount', 9],
		['tax', 4],
		['group', 6]
	] as const)
];
const TODAY = day('2026-10-28');

/** Payments of three days; `noise` is how often a name or number is not written as in the books, from 0 to 1. */
export function makePayments(firm: Firm, random: Chance, count: number, noise: number) {
	const { customers, items, landOf, series } = firm;
	const pile: ReceiptFacts[] = [];
	const truth = new Map<number, Truth>();
	const left = new Map(customers.map(({ id }) => [id, items.filter((item) => item.customerId === id)]));
	const invoices = (id: number) => left.get(id)!.filter((item) => item.kind === 'invoice');
	const take = (some: readonly OpenItem[]) => {
		for (const item of some)
			left.set(
				item.customerId,
				left.get(item.customerId)!.filter((one) => one !== item)
			);
	};
	const add = (
		kind: string,
		customer: Customer | null,
		text: string,
		lines: readonly (readonly [OpenItem, number])[],
		over: Partial<ReceiptFacts> & { readonly extra?: number } = {},
		gap: Truth['gap'] = null
	) => {
		const { extra = 0, ...facts } = over;
		const id = pile.length + 1;
		const cash = lines.reduce((all, [, one]) => all + one, 0) + extra;
		const names = customer ? [customer.name, ...customer.otherNames] : [''];
		const account = customer?.payerAccounts[0];
		pile.push({
			...{
				id,
				booked: addDays(TODAY, Math.floor((3 * pile.length) / count)),
				amount: minor(cash),
				currency: customer?.currency ?? firm.home.currency
			},
			payerName: printed(random.yes(0.85) ? names[0]! : random.pick(names), random, noise),
			payerAccount: account && random.yes(0.8) ? account : null,
			...{
				text,
				structuredReference: null,
				endToEndId: random.yes(0.2) ? `E2E${random.int(1e6, 9e6)}` : null
			},
			...facts
		});
		truth.set(id, {
			kind,
			customerId: customer?.id ?? null,
			lines: new Map(lines.map(([item, one]) => [item.id, one])),
			gap
		});
	};
	const whole = (some: readonly OpenItem[]) =>
		some.map((item) => [item, item.kind === 'credit_note' ? -item.open : item.open] as const);
	const processor = `${firm.home.iban} CARDWELL PAY`;
	const once: { customer: Customer; item: OpenItem; text: string }[] = [];
	for (let turn = 0; pile.length < count && turn < count * 9; turn++) {
		let dice = random.int(
			1,
			MIX.reduce((all, [, one]) => all + one, 0)
		);
		const kind = MIX.find(([, often]) => (dice -= often) <= 0)![0];
		const customer = random.pick(customers);
		const land = landOf.get(customer.id)!;
		const open = invoices(customer.id);
		if (open.length === 0) continue;
		const item = random.pick(open);
		const before = random.pick(land.before);
		const say = (one: OpenItem, loosely = random.yes(noise / 3)) => sayNumber(one, series, random, loosely);
		const named = `${random.yes(0.6) ? `${before} ` : ''}${say(item)}`;
		const one = [item];
		switch (kind) {
			case 'one':
				add(kind, customer, named, whole(one));
				once.push({ customer, item, text: named });
				take(one);
				break;
			case 'one, loosely': {
				const order = item.purchaseOrder !== null && random.yes(0.25);
				const reference = !order && item.paymentReference !== null && random.yes(0.4);
				const inField = reference && random.yes(0.5);
				const text = order
					? item.purchaseOrder!
					: inField
						? ''
						: reference
							? random.pick([item.paymentReference!, item.paymentReference!.replace(/(.{4})/g, '$1 ').trim()])
							: random.yes(0.2)
								? `${before} ${spoilNumber(item, series, random)}`
								: `${before} ${say(item, true)} ${random.pick(['', '27.10.2026', `${random.pick(land.silent)}`, `KD ${customer.code}`])}`;
				add(kind, customer, text, whole(one), inField ? { structuredReference: item.paymentReference } : {});
				take(one);
				break;
			}
			case 'several': {
				const some = open.slice(0, random.int(2, Math.min(7, open.length)));
				if (some.length < 2) break;
				const text = `${random.yes(0.5) ? `${before} ` : ''}${sayNumbers(some, series, random, noise)}`;
				add(kind, customer, random.yes(0.06) ? text.slice(0, random.pick([35, 70, 140])) : text, whole(some));
				take(some);
				break;
			}
			case 'silent':
				add(kind, customer, random.pick([...land.silent, customer.name.slice(0, 12)]), whole(one));
				take(one);
				break;
			case 'silent set': {
				const some = open.slice(0, random.int(2, Math.min(5, open.length)));
				if (some.length < 2) break;
				add(kind, customer, random.pick(land.silent), whole(some));
				take(some);
				break;
			}
			case 'short': {
				const off = Math.max(50, Math.round((item.open * random.int(1, 25)) / 100));
				if (off >= item.open) break;
				const part: readonly (readonly [OpenItem, number])[] = [[item, item.open - off]];
				add(kind, customer, `${named} ${random.pick(land.taken)}`, part, {}, { kind: 'claim', amount: off });
				take(one);
				break;
			}
			case 'card': {
				const fee = share(item.open, 150, 10_000) + 25;
				if (fee * 3 >= item.open || customer.currency !== firm.home.currency) break;
				const text = random.pick([
					say(item, false),
					say(item, false),
					customer.name,
					`${customer.name} ${say(item, false)}`
				]);
				const cash: readonly (readonly [OpenItem, number])[] = [[item, item.open - fee]];
				add(
					kind,
					customer,
					text,
					cash,
					{ payerName: processor, payerAccount: null },
					{ kind: 'processor_fee', amount: fee }
				);
				take(one);
				break;
			}
			case 'not ours': {
				const [payerName, text] = random.pick(land.others);
				add(kind, null, text, [], { extra: random.int(1_000, 900_000), payerName, payerAccount: null });
				break;
			}
			case 'on account':
				add(kind, customer, random.pick(land.onAccount), [], { extra: random.int(1, 40) * 5_000 });
				break;
			case 'stranger':
				add(kind, customer, random.yes(0.8) ? named : customer.name, whole(one), {
					...{ payerName: random.pick(land.persons), payerAccount: null }
				});
				take(one);
				break;
			case 'part': {
				const cash = Math.floor(item.open / 2 / 5_000) * 5_000;
				if (cash < 5_000) break;
				add(kind, customer, random.yes(0.6) ? `${random.pick(land.part)} ${named}` : named, [[item, cash]]);
				take(one);
				break;
			}
			case 'over':
				add(kind, customer, named, whole(one), { extra: random.pick([100, 900, 1_000, 5_000]) });
				take(one);
				break;
			case 'with credit': {
				const credit = left
					.get(customer.id)!
					.find((note) => note.kind === 'credit_note' && note.open < item.open);
				if (!credit) break;
				const text = random.pick([
					`${named} ${random.pick(land.lessCredit)}`,
					`${named}, ${say(credit, false)}`,
					named
				]);
				add(kind, customer, text, whole([item, credit]));
				take([item, credit]);
				break;
			}
			case 'muddled': {
				const text = String(item.open);
				const at = random.int(0, text.length - 2);
				const came = Number(text.slice(0, at) + text[at + 1] + text[at] + text.slice(at + 2));
				if (came === item.open || came < 100) break;
				add(kind, customer, named, [[item, Math.min(came, item.open)]], {
					extra: Math.max(0, came - item.open)
				});
				take(one);
				break;
			}
			case 'all due': {
				const upTo = [...open].sort((a, b) => (a.due < b.due ? -1 : a.due > b.due ? 1 : a.id - b.id));
				const last = upTo[Math.floor(upTo.length * 0.7)]!.due;
				const due = upTo.filter((one) => one.due <= last);
				if (due.length < 3) break;
				add(kind, customer, random.pick(land.statement), whole(due));
				take(due);
				break;
			}
			case 'monthly': {
				const equal = open.filter((one) => one.open === item.open);
				if (equal.length < 2) break;
				const [oldest] = [...equal].sort((a, b) => (a.due < b.due ? -1 : a.due > b.due ? 1 : a.id - b.id));
				add(kind, customer, random.pick([...land.monthly, random.pick(land.silent)]), whole([oldest!]));
				take([oldest!]);
				break;
			}
			case 'again': {
				if (once.length === 0) break;
				const first = random.pick(once);
				add(kind, first.customer, first.text, [], { extra: first.item.open });
				break;
			}
			case 'wire': {
				if (customer.currency === firm.home.currency) break;
				const off = random.pick([500, 750, 1_000, 1_250, 1_500]);
				if (off * 6 > item.open) break;
				const stated = random.yes(0.5) ? { charges: minor(off) } : {};
				const cash: readonly (readonly [OpenItem, number])[] = [[item, item.open - off]];
				add(kind, customer, named, cash, stated, { kind: 'bank_charge', amount: off });
				take(one);
				break;
			}
			case 'discount': {
				const offers = customers
					.flatMap(({ id }) => invoices(id))
					.filter((one) => one.discountUntil && one.discountUntil >= addDays(TODAY, 2));
				if (offers.length === 0) break;
				const chosen = random.pick(offers);
				const off = share(chosen.open, chosen.discountBasisPoints!, 10_000);
				if (off === 0) break;
				const payer = customers.find(({ id }) => id === chosen.customerId)!;
				const text = random.yes(0.8) ? `${before} ${say(chosen)}` : random.pick(land.silent);
				add(
					kind,
					payer,
					text,
					[[chosen, chosen.open - off]],
					{},
					{ kind: 'settlement_discount', amount: off }
				);
				take([chosen]);
				break;
			}
			case 'tax': {
				const off = share(item.open, random.pick([500, 1_000, 1_500, 2_000]), 10_000);
				if (off === 0) break;
				const cash: readonly (readonly [OpenItem, number])[] = [[item, item.open - off]];
				add(
					kind,
					customer,
					`${named} ${random.pick(['less WHT', 'WHT deducted', 'net of withholding tax'])}`,
					cash,
					{},
					{ kind: 'withholding_tax', amount: off }
				);
				take(one);
				break;
			}
			case 'group': {
				const branch = random.pick(customers.filter(({ parentId }) => parentId !== null));
				const head = customers.find(({ id }) => id === branch.parentId)!;
				const some = invoices(branch.id).slice(0, random.int(1, 3));
				if (some.length === 0 || head.currency !== branch.currency) break;
				add(kind, head, sayNumbers(some, series, random, 0), whole(some));
				take(some);
				break;
			}
		}
	}
	return { pile, truth };
}
