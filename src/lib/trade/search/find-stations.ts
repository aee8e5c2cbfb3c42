export interface Station {
	readonly name: string;
	readonly about: string;
	readonly href: string;
}

interface Known extends Station {
	/** What it is looked for by beside its name. */
	readonly words: string;
	/** Only for supervisors. */
	readonly supervises?: true;
}

/** What is set on the settings page: its name, what it is about, where it stands, other words for it. */
const SETTINGS = [
	['The firm', 'its name and address on letters', 'firm', 'vat number telephone e-mail sender logo'],
	['Bank accounts', 'that customers pay into', 'bank-accounts', 'iban sort code add'],
	['Limits', 'how much each may book alone', 'limits', 'approval tolerance small difference'],
	['Ledger accounts', 'for what is not customer money', 'ledger-accounts', 'vat add nominal'],
	['Who brings in bank files', 'anybody, or the folder alone', 'bank-files', 'watched folder confirm'],
	[
		'Tables that are known',
		'how lists of your own are read',
		'tables',
		'columns headings mapping import csv'
	],
	['Terms of payment', 'the firm’s own list', 'terms', 'days instalments settlement discount due'],
	['Numbers and times', 'how they are written', 'numbers', 'time zone decimal comma locale'],
	['Letters', 'when statements come round, how many go', 'letters', 'schedule payment page in credit'],
	['Ageing', 'the buckets by which what is owed is told apart', 'ageing', 'buckets days 30 60 90 aged'],
	['Anchors', 'to whom the signed record goes', 'anchors', 'auditor mail']
] as const;

const STATIONS: readonly Known[] = [
	{ name: 'Today', about: 'the day’s work in order', href: '/', words: 'run sheet start' },
	{ name: 'Money in', about: 'allocate what came in', href: '/money-in', words: 'receipts desk pile post' },
	{
		name: 'Bring in a bank file',
		about: 'bank statements, as files',
		href: '/money-in/bring-in',
		words: 'import statement upload'
	},
	{
		name: 'Bank table',
		about: 'a bank’s own CSV, or rows pasted',
		href: '/money-in/bank-table',
		words: 'import csv statement spreadsheet paste columns'
	},
	{
		name: 'Payments by hand',
		about: 'cheques, cash, transfers advised',
		href: '/money-in/manual-receipts',
		words: 'record slip paying-in dated'
	},
	{
		name: 'Remittance advice',
		about: 'announced, not yet paid',
		href: '/money-in/advice',
		words: 'avis payment announced'
	},
	{
		name: 'Refunds',
		about: 'credit to be paid back',
		href: '/money-in/refunds',
		words: 'pain pay back'
	},
	{
		name: 'Returned payments',
		about: 'cheques, direct debits, card payments returned',
		href: '/money-in/returned',
		words: 'bounced unpaid chargeback dishonoured'
	},
	{
		name: 'Usual lines',
		about: 'bank interest, charges, suppliers: where they go',
		href: '/money-in/usual-lines',
		words: 'rule propose set aside interest charges'
	},
	{
		name: 'Unidentified receipts',
		about: 'booked, and their payer looked for',
		href: '/money-in/unidentified',
		words: 'unknown payer suspense age'
	},
	{
		name: 'Reported entries',
		about: 'what the bank told before its statement',
		href: '/money-in/reported',
		words: 'intraday notification camt.052 camt.054 mt942 batch pending'
	},
	{
		name: 'Trial run',
		about: 'what would match in files of yours',
		href: '/money-in/trial',
		words: 'test try csv match'
	},
	{ name: 'Open items', about: 'every open document', href: '/open-items', words: 'invoices overdue late' },
	{
		name: 'Write a document',
		about: 'an invoice, credit note or charge',
		href: '/open-items/new',
		words: 'new issue bill'
	},
	{
		name: 'Bring in documents',
		about: 'invoices, credit notes and customers',
		href: '/open-items/bring-in',
		words: 'import csv ubl invoice'
	},
	{
		name: 'Bring in customers',
		about: 'from a table',
		href: '/open-items/bring-in?what=customers',
		words: 'import csv accounts addresses'
	},
	{ name: 'New customer', about: 'an account by hand', href: '/customers/new', words: 'add open account' },
	{ name: 'Customers', about: 'accounts and ledgers', href: '/customers', words: 'account balance' },
	{
		name: 'Odd pennies',
		about: 'claims, and what was lost',
		href: '/odd-pennies',
		words: 'dispute discount'
	},
	{
		name: 'Statements',
		about: 'letters: what each account owes',
		href: '/letters?kind=statement',
		words: 'send account letters'
	},
	{
		name: 'Reminders',
		about: 'letters: what is overdue',
		href: '/letters?kind=reminder',
		words: 'dunning chase send letters'
	},
	{
		name: 'Calls',
		about: 'whom to call today, and why',
		href: '/letters/calls',
		words: 'telephone phone ring promise tasks'
	},
	{
		href: '/letters/interest',
		name: 'Interest',
		about: 'late-payment interest: terms, sheet, charges',
		words: 'statutory compensation rate overdue charge'
	},
	{
		name: 'Chasing',
		about: 'the steps of reminders',
		href: '/letters/chasing',
		words: 'policy ladder dunning levels'
	},
	{
		name: 'Wording',
		about: 'what letters say',
		href: '/letters/wordings',
		words: 'template text placeholder'
	},
	{ name: 'Outbox', about: 'letters as they were sent', href: '/letters/outbox', words: 'mail sent refused' },
	{
		name: 'Ageing',
		about: 'what is owed by age, as of any day',
		href: '/reports/ageing',
		words: 'report aged debtors receivables buckets overdue'
	},
	{
		name: 'Balances',
		about: 'of every customer, as of any day',
		href: '/reports/balances',
		words: 'report credit limit owed list'
	},
	{
		name: 'Receipts of a period',
		about: 'the money that came in, and who allocated it',
		href: '/reports/receipts',
		words: 'report list cash received'
	},
	{
		name: 'Unallocated money',
		about: 'on account or unidentified, by age',
		href: '/reports/unallocated',
		words: 'report unapplied on account unidentified'
	},
	{
		name: 'Reports',
		about: 'as of any day, on paper, as files',
		href: '/reports',
		words: 'print export pdf xlsx'
	},
	{ name: 'Books', about: 'balances and proof', href: '/books', words: 'control bank prove' },
	{
		name: 'Exchange rates',
		about: 'what currencies are worth',
		href: '/books/rates',
		words: 'currency euro'
	},
	{ name: 'Periods', about: 'lock and open months', href: '/books/periods', words: 'close month end' },
	{ name: 'Record', about: 'who did what', href: '/books/record', words: 'audit trail history acts' },
	{ name: 'Journal', about: 'every posting', href: '/books/journal', words: 'ledger entries lines' },
	{
		name: 'Bank files',
		about: 'who brought in which, and what does not fit',
		href: '/money-in/bank-files',
		words: 'statements gaps balance'
	},
	{
		name: 'Approvals',
		about: 'what waits for a supervisor',
		href: '/books/approvals',
		words: 'agree four eyes limits'
	},
	{
		name: 'Deduction analysis',
		about: 'what was lost, and why',
		href: '/odd-pennies/deduction-analysis',
		words: 'claims short payments write-offs'
	},
	{
		name: 'Small balances',
		about: 'write off what is not worth chasing',
		href: '/odd-pennies/small-balances',
		words: 'write-off tolerance'
	},
	{ name: 'Your sign-in', about: 'password and second step', href: '/me', words: 'account two' },
	{
		...{ name: 'Settings', about: 'bank accounts, limits, numbers', href: '/books/settings' },
		...{ words: 'limits bank account ledger vat', supervises: true }
	},
	{
		...{ name: 'Mail', about: 'mail server, undelivered mail, signature', href: '/books/settings/mail' },
		...{ words: 'smtp imap dkim bounce password tls test e-mail', supervises: true }
	},
	...SETTINGS.map(([name, about, at, words]): Known => ({
		...{ name, about: `settings: ${about}`, href: `/books/settings#${at}` },
		...{ words, supervises: true }
	})),
	{
		...{ name: 'People', about: 'who may sign in, and as what', href: '/books/people' },
		...{ words: 'users roles clerks', supervises: true }
	},
	{
		...{ name: 'Reductions by person', about: 'against limits, by month', href: '/books/reductions' },
		words: 'people write-offs fees'
	}
];

/**
 * Pages by any part of their name or of what is done there; those whose name begins so come first.
 * @param supervises whether it is a supervisor who asks: others do not get to pages that they may not see
 */
export function findStations(text: string, supervises: boolean): Station[] {
	const wanted = text.trim().toLowerCase();
	if (!wanted) return STATIONS.slice(0, 6);
	const rank = (one: (typeof STATIONS)[number]) =>
		isNamed(one, text) ? 0 : one.name.toLowerCase().includes(wanted) ? 1 : 2;
	return STATIONS.filter((one) => supervises || !one.supervises)
		.filter((one) => `${one.name} ${one.about} ${one.words}`.toLowerCase().includes(wanted))
		.toSorted((a, b) => rank(a) - rank(b))
		.slice(0, 4);
}

/** Whether what is typed is how the name of a page begins: then the page is meant. */
export function isNamed(station: Station, text: string): boolean {
	const wanted = text.trim().toLowerCase();
	return wanted.length >= 4 && station.name.toLowerCase().startsWith(wanted);
}
