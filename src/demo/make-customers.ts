import { NO_DETAILS } from '../lib/core/model/customer-details';
import { minor } from '../lib/core/money/minor';
import type { NewCustomer } from '../lib/server/customers/commands/add-customers';
import { madeUpIban } from './iban';
import type { Chance } from './random';

const PLACES = [
	'Hazel Hill',
	'Wicker Lane',
	'Tansy Mill',
	'Penrose',
	'Stannary',
	'Yarrow',
	'Orchard Cross',
	'Umber',
	'Rowan Green',
	'Garrick Bridge',
	'Fallow Street',
	'Juniper',
	'Kestrel Mill',
	'Thistle Down',
	'Larkfield',
	'Ironside',
	'Alder Brook',
	'Saltmarsh',
	'Quarry Bank',
	'Bramble End',
	'Copper Beech',
	'Drover’s Way',
	'Elder Wharf',
	'Foxglove',
	'Gorse Heath',
	'Heron Quay',
	'Ivy Court',
	'Knapweed',
	'Linden Rise',
	'Mallow'
];
const TRADES = [
	'Pottery',
	'Ceramics',
	'Tiles',
	'Glassworks',
	'Crafts',
	'Studio',
	'Workshops',
	'Clay Works',
	'Arts Centre',
	'Pottery Club'
];
const SCHOOLS = ['College', 'School', 'Academy'];
const FORMS = ['', '', ' Ltd', ' Limited', ' CIC', ' LLP'];
const TOWNS = ['Ashlock Mere', 'Stannary', 'Upper Larkfield', 'Garrick', 'Umber Cross', 'Fallow'];
const STREETS = [
	'Kiln Row',
	'Mill Lane',
	'Slip Street',
	'Market Place',
	'Station Road',
	'Old Wharf',
	'Church Walk'
];
const EURO_NAMES = [
	'Atelier Ardoise SARL',
	'Töpferei Lindenhof GmbH',
	'Keramik Wölbe AG',
	'Studio Terracrema Srl',
	'Poterie du Vallon SAS',
	'Aardewerk De Linde BV',
	'Cerámica Olmeda SL',
	'Glasurwerk Nordau GmbH'
];

/** How an account pays; known to the generator only, for the application has to find out by itself. */
export interface Payer {
	readonly customer: NewCustomer;
	readonly account: string;
	/** Days after the due day, about. */
	readonly late: number;
	/** What it writes: numbers, numbers without prefix, an order number, or nothing useful. */
	readonly words: 'number' | 'bare' | 'order' | 'reference' | 'silent';
	/** Invoices a month, about. */
	readonly pace: number;
	readonly size: readonly [number, number];
	readonly batches: boolean;
	readonly bankName: string;
}

/** The firm's customers: studios, colleges, councils with their schools, clubs, and a few in euro. */
export function makeCustomers(chance: Chance): Payer[] {
	const payers: Payer[] = [];
	const names = new Set<string>();
	const add = (name: string, over: Partial<NewCustomer> = {}, pay: Partial<Payer> = {}) => {
		const n = payers.length + 1;
		const code = `${/[A-Z]/.exec(name)?.[0] ?? 'X'}${1000 + n}`;
		const host = name
			.normalize('NFD')
			.replace(/\p{M}/gu, '')
			.toLowerCase()
			.replace(/ (ltd|limited|cic|llp|gmbh|sarl|ag|srl|sas|bv|sl)$/, '')
			.replace(/[^a-z0-9]+/g, '-');
		const euro = over.currency === 'EUR';
		const account = madeUpIban(
			euro ? 'DE' : 'GB',
			euro ? '99999' : `ZZ${chance.pick(['HB', 'CN', 'TB', 'MV'])}`,
			euro ? n * 7919 + 1000 : chance.int(10_000_000_000_000, 99_999_999_999_999)
		);
		const discounted = chance.yes(0.12);
		const customer: NewCustomer = {
			...NO_DETAILS,
			code,
			name,
			payerAccounts: chance.yes(0.82) ? [account] : [],
			currency: 'GBP',
			address: [`${chance.int(1, 80)} ${chance.pick(STREETS)}`, chance.pick(TOWNS)],
			termsDays: chance.pick([14, 30, 30, 30, 45]),
			discountBasisPoints: discounted ? 200 : null,
			discountDays: discounted ? 10 : null,
			creditLimit: chance.pick([null, minor(500_000), minor(1_000_000)]),
			statementEmail: chance.yes(0.95) ? `accounts@${host}.example` : null,
			reminderEmail: chance.yes(0.2) ? `payments@${host}.example` : null,
			...reachedBy(n),
			...over
		};
		const size = chance.pick([
			[2_000, 40_000],
			[5_000, 90_000],
			[10_000, 250_000]
		] as const);
		payers.push({
			customer,
			account,
			late: chance.pick([-4, -1, 0, 2, 5, 9, 14, 21, 35]),
			words: chance.pick(['number', 'number', 'number', 'bare', 'order', 'reference', 'silent']),
			pace: chance.pick([0.8, 1.4, 2, 2.6, 3.4]),
			size,
			batches: chance.yes(0.45),
			bankName: chance.yes(0.6) ? name.toUpperCase().replace(/[’.]/g, '') : name,
			...pay
		});
	};
	add(
		'Mallory Council',
		{ notes: 'Pays for its three schools. Ask for the school’s name if it is missing.', parentCode: null },
		{ pace: 3.5, late: 30, words: 'number', size: [40_000, 600_000], batches: true }
	);
	const council = payers[0]!.customer.code;
	for (const school of ['Mallory Green School', 'Mallory Vale School', 'Mallory High School'])
		add(
			school,
			{ parentCode: council, payerAccounts: [], statementWay: 'paper', tags: ['school'] },
			{ pace: 2, late: 20, words: 'number', account: payers[0]!.account, bankName: 'MALLORY COUNCIL' }
		);
	add(
		'Hazel Hill Pottery',
		{
			notes: 'Breakages: photos go to Despatch, they answer in a week.',
			termsDays: 14,
			statementEmail: 'accounts@hazel-hill-pottery.example'
		},
		{ pace: 3.6, late: 14, words: 'number', batches: true }
	);
	for (const payer of payers) names.add(payer.customer.name);
	for (const name of EURO_NAMES) {
		const language = name.endsWith(' GmbH') ? ('de' as const) : ('en' as const);
		add(name, { currency: 'EUR', language }, { words: 'number', pace: 1.6 });
	}
	while (payers.length < 140) {
		const name = `${chance.pick(PLACES)} ${chance.yes(0.15) ? chance.pick(SCHOOLS) : chance.pick(TRADES)}${chance.pick(FORMS)}`;
		const plain = name.replace(/ (Ltd|Limited|CIC|LLP)$/, '');
		if (names.has(plain)) continue;
		names.add(plain);
		add(
			name,
			chance.yes(0.02) ? { chasingPaused: 'Pays when the grant comes in December; agreed with Hollis.' } : {}
		);
	}
	return payers;
}

const LEDGER_CLERKS = [
	'Ada Quill',
	'Rufus Teasdale',
	'Meera Okafor',
	'Bryn Hollin',
	'Tamsin Wray',
	'Otto Lindqvist'
];

/** Most have a telephone, in the range that is kept free for stories; some tell who keeps their ledger. */
function reachedBy(n: number): Pick<NewCustomer, 'phone' | 'contacts'> {
	const number = `01632 960${String(100 + n)}`;
	if (n % 5 !== 0) return { phone: n % 4 === 3 ? null : number, contacts: [] };
	const name = LEDGER_CLERKS[(n / 5) % LEDGER_CLERKS.length]!;
	return {
		phone: null,
		contacts: [{ name, role: 'bought ledger', email: null, phone: number, copies: 'none' }]
	};
}
