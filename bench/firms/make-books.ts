import { addDays } from '../../src/lib/core/day/arithmetic';
import { day } from '../../src/lib/core/day/day';
import type { Customer, OpenItem } from '../../src/lib/core/model/records';
import { sampleItem } from '../../src/lib/core/model/sample-item';
import type { Chance } from '../../src/demo/random';
import { LANDS, type Land } from './lands';
import { SERIES, type Series } from './series';

/** The books of one made-up firm, and the two lands that its customers live in. */
export interface Firm {
	readonly customers: readonly Customer[];
	readonly items: readonly OpenItem[];
	readonly home: Land;
	readonly landOf: ReadonlyMap<number, Land>;
	readonly series: Series;
}

const PRICES = [4_800, 7_500, 9_600, 12_000, 15_000, 24_000, 35_000] as const;
const CUSTOMERS = 180;

/** Made-up books: a tenth of the customers abroad, one in eight with the same sum every month, some with discounts, some with dozens open. */
export function makeBooks(random: Chance, seed: number): Firm {
	const home = LANDS[seed % LANDS.length]!;
	const abroad = LANDS[(seed + 1 + random.int(0, LANDS.length - 2)) % LANDS.length]!;
	const series = SERIES[seed % SERIES.length]!;
	const customers: Customer[] = [];
	const landOf = new Map<number, Land>();
	for (let id = 1; id <= CUSTOMERS; id++) {
		const land = random.yes(0.1) ? abroad : home;
		landOf.set(id, land);
		customers.push({
			...{ id, code: `${10_000 + id}`, name: nameIn(land, random), currency: land.currency },
			otherNames: random.yes(0.12) ? [`${random.pick(land.trades)} ${random.pick(land.places)}`] : [],
			payerAccounts: random.yes(0.65) ? [`${land.iban}${random.int(10, 99)}${seed}${100_000 + id}`] : [],
			parentId: id > CUSTOMERS - 6 ? random.int(1, 4) : null
		});
	}
	const items: OpenItem[] = [];
	let running = series.first + random.int(0, 40);
	const days = Array.from({ length: 140 }, (_, i) => addDays(day('2026-06-05'), i));
	const left = new Map(customers.map(({ id }) => [id, openCount(random)]));
	const monthly = new Map(
		customers.flatMap(({ id }) => (random.yes(0.12) ? [[id, random.int(20, 500) * 100]] : []))
	);
	for (const issued of days)
		for (const customer of customers) {
			const count = left.get(customer.id)!;
			for (let n = 0; n < count; n++) {
				if (!random.yes(1 / days.length)) continue;
				running += random.yes(0.8) ? 1 : random.int(2, 4);
				const credit = random.yes(0.025);
				const same = monthly.get(customer.id);
				const open = credit
					? random.int(500, 20_000)
					: same && random.yes(0.7)
						? same
						: random.yes(0.15)
							? random.pick(PRICES)
							: random.yes(0.4)
								? random.int(15, 4_000) * 100
								: random.int(1_000, 350_000);
				const offers = customer.id % 11 === 0 && !credit;
				items.push(
					sampleItem(items.length + 1, open, {
						...{
							customerId: customer.id,
							currency: customer.currency,
							issued,
							due: addDays(issued, 14 + (customer.id % 4) * 15)
						},
						...{
							kind: credit ? 'credit_note' : 'invoice',
							number: credit ? series.credit(running) : series.number(running)
						},
						purchaseOrder: random.yes(0.4) ? `PO${random.int(20_000, 99_999)}` : null,
						paymentReference: random.yes(0.3) && !credit ? creditorReference(series.number(running)) : null,
						discountBasisPoints: offers ? 200 + 50 * (customer.id % 3) : null,
						discountUntil: offers ? addDays(issued, 21) : null
					})
				);
			}
		}
	return { customers, items, home, landOf, series };
}

function openCount(random: Chance): number {
	if (random.yes(0.07)) return random.int(25, 60);
	return random.int(1, 13);
}

function nameIn(land: Land, random: Chance): string {
	const form = random.pick(land.forms);
	const [trade, place] = [random.pick(land.trades), random.pick(land.places)];
	const core = random.pick([
		`${trade} ${place}`,
		`${place} ${trade}`,
		`${place} & ${random.pick(land.places)} ${trade}`
	]);
	return `${core} ${form}`.trim();
}

/** ISO 11649, with its check digits (ISO 7064, MOD 97-10). */
export function creditorReference(number: string): string {
	const own = number.toUpperCase().replace(/[^A-Z\d]/g, '');
	const digits = [...`${own}RF00`].map((sign) => parseInt(sign, 36)).join('');
	return `RF${String(98n - (BigInt(digits) % 97n)).padStart(2, '0')}${own}`;
}
