import { copyFileSync, mkdtempSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { eq } from 'drizzle-orm';
import { camtXml, type XmlDetail, type XmlEntry } from '../../demo/camt-xml';
import type { ActKind } from '../core/model/act-facts';
import { NO_DETAILS } from '../core/model/customer-details';
import { day, type Day } from '../core/day/day';
import { minor } from '../core/money/minor';
import { addCustomers, type NewCustomer } from './customers/commands/add-customers';
import { importBankFile } from './receipts/commands/import-bank-file';
import { issueDocuments, type NewDocument } from './documents/commands/issue-documents';
import { perform } from './act/perform';
import type { Act, CallContext } from './act/define-act';
import { APPLICATION, type Person } from './act/person';
import { addPersonWithPassword } from './people/commands/people';
import { setUpFirm } from './firm/commands/set-up-firm';
import { openBooks, type Books } from './platform/db/open';
import { act } from './platform/db/schema';
import { itemsById } from './documents/store/open-items';
import { answeredPile } from './services/answers/answers';
import { readBankFile } from './receipts/store/read-bank-file';
import { proveBooks } from './ledger/queries/proof';

/** Books for tests: a firm with a sterling and a euro account, three customers, in a folder of their own. */
export const CLERK: Person = { id: 'u1', name: 'Wren', role: 'clerk' };
export const SUPERVISOR: Person = { id: 'u2', name: 'Hollis', role: 'supervisor' };
export const READER: Person = { id: 'u3', name: 'Imre', role: 'reader' };
export const TODAY = day('2026-10-30');
export const IBAN = 'GB00ZZAM1';

export function as(who: Person, key?: string): CallContext {
	return { who, today: TODAY, now: () => '2026-10-30T10:00:00.000Z', key };
}

/** Made once for each file of tests and copied for each test: the tables take longer to make than most tests run. */
let bare: Promise<string> | undefined;

/** New books, with documents where some are given: items have the numbers 1, 2, … in their order. */
export async function testBooks(
	...documents: readonly NewDocument[]
): Promise<Books & { readonly file: string }> {
	const file = newFile();
	copyFileSync(await (bare ??= bareBooks()), file);
	const books = await openBooks(`file:${file}`, { migrations: 'drizzle' });
	if (documents.length > 0) await done(books, issueDocuments, documents, CLERK);
	return { ...books, db: books.db, file };
}

const newFile = () => join(mkdtempSync(join(tmpdir(), 'odd-penny-')), 'books.db');

async function bareBooks(): Promise<string> {
	const file = newFile();
	const books = await openBooks(`file:${file}`, { migrations: 'drizzle' });
	const firm = {
		name: 'Ashlock Kiln & Clay Ltd',
		address: ['Ashlock Mere'],
		email: 'accounts@ashlock-kiln.example',
		phone: '1',
		registration: '',
		baseCurrency: 'GBP'
	};
	const account = (number: string, currency: string, ledger: string) => ({
		name: `Account ${currency}`,
		number,
		bankName: 'Mere',
		currency,
		ledger,
		kind: 'current' as const
	});
	const bankAccounts = [account(IBAN, 'GBP', '1200'), account('GB00ZZAM2', 'EUR', '1210')];
	await done(books, setUpFirm, { firm, bankAccounts }, SUPERVISOR);
	const customers = [
		newCustomer('H1', 'Hazel Hill Pottery'),
		newCustomer('W2', 'Wicker Lane Ceramics'),
		newCustomer('E3', 'Atelier Ardoise', { currency: 'EUR' })
	];
	await done(books, addCustomers, customers, CLERK);
	await books.close();
	return file;
}

export function newCustomer(code: string, name: string, over: Partial<NewCustomer> = {}): NewCustomer {
	return {
		...NO_DETAILS,
		...{ code, name, currency: 'GBP', address: ['Kiln Row'], payerAccounts: [`ACC${code}`] },
		statementEmail: `${code.toLowerCase()}@hazel.example`,
		...over
	};
}

export function newDocument(
	number: string,
	customerId: number,
	total: number,
	over: Partial<NewDocument> = {}
): NewDocument {
	return {
		kind: 'invoice',
		number,
		customerId,
		issued: day('2026-09-01'),
		currency: 'GBP',
		lines: [{ text: 'clay', net: minor(total), taxBasisPoints: 0, tax: minor(0) }],
		instalments: [{ due: day('2026-10-01'), amount: minor(total) }],
		purchaseOrder: null,
		orderReference: null,
		paymentReference: null,
		text: 'clay',
		discountBasisPoints: null,
		discountUntil: null,
		...over
	};
}

/** An order to allocate a receipt that nobody changed yet to items that nobody changed yet: so much cash on each. */
export function payment(
	receiptId: number,
	customerId: number,
	...lines: readonly (readonly [itemId: number, cash: number])[]
) {
	return {
		...{ receiptId, receiptVersion: 1, customerId },
		lines: lines.map(([itemId, cash]) => ({ itemId, version: 1, cash, differences: [] }))
	};
}

/** A receipt as its answer would allocate it now, to be posted as it is or otherwise. */
export async function asAnswered(books: Books, receiptId: number) {
	const pile = await answeredPile(books.db, Infinity);
	const { lines, customerId } = pile.answers.get(receiptId)!;
	const items = await itemsById(
		books.db,
		lines.map((line) => line.itemId)
	);
	const versions = new Map(items.map((item) => [item.id, item.version]));
	return {
		...{ receiptId, receiptVersion: pile.receipts.find((row) => row.id === receiptId)!.version, customerId },
		lines: lines.map(({ itemId, cash, differences }) => ({
			...{ itemId, cash, version: versions.get(itemId)!, differences: [...differences] }
		}))
	};
}

export const invoices = (books: Books, ...documents: NewDocument[]) =>
	done(books, issueDocuments, documents, CLERK);

export function credit(
	amount: number,
	text: string,
	over: Partial<XmlDetail & { reference: string; booked: string }> = {}
): XmlEntry {
	const { reference = '', booked = '2026-10-28', ...detail } = over;
	return {
		amount,
		booked,
		reference,
		details: [{ amount: Math.abs(amount), name: null, account: 'ACCH1', text, ...detail }]
	};
}

/** A statement as a bank writes it; entries without a reference get none, as some banks do. */
export function bankXml(
	entries: readonly XmlEntry[],
	over: { reference?: string; opening?: number; account?: string; currency?: string; closingOn?: Day } = {}
): string {
	const statement = {
		reference: 'S1',
		sequence: 1,
		account: IBAN,
		currency: 'GBP',
		opening: 0,
		openingOn: '2026-10-27',
		closingOn: '2026-10-28',
		entries,
		...over
	};
	return [...camtXml([statement], 'M')].join('').replace(/<(NtryRef|AcctSvcrRef)><\/\1>/g, '');
}

export async function bringIn(books: Books, xml: string, name = 'bank.xml') {
	const read = await readBankFile(name, [Buffer.from(xml)]);
	return read.ok ? perform(books, importBankFile, read.value, as(CLERK)) : read;
}

/** Does an act that a test takes for granted. */
export async function done<K extends ActKind, G, I, O>(
	books: Books,
	act: Act<K, G, I, O>,
	input: G,
	who: Person
): Promise<O> {
	const result = await perform(books, act, input, as(who));
	if (!result.ok) throw new Error(JSON.stringify(result.problems));
	return result.value;
}

/** Acts that are parts of one, in order. */
export async function partsOf(books: Books, actId: number): Promise<number[]> {
	const rows = await books.db.select({ id: act.id }).from(act).where(eq(act.parentId, actId)).orderBy(act.id);
	return rows.map((row) => row.id);
}

/** Expects every rule of the proof to hold. */
export async function proves(books: Books): Promise<void> {
	// In a turn of its own: what is written beside the test, such as an event at the door, comes before or after.
	const { breaches } = await books.turn(() => proveBooks(books.db));
	if (breaches.length > 0) throw new Error(`the books do not prove: ${JSON.stringify(breaches)}`);
}

/** Lets somebody in who can sign in; the password's hash is made up where none is given. */
export async function letIn(
	books: Books,
	name: string,
	role: Person['role'],
	passwordHash = 'made up'
): Promise<Person> {
	const email = `${name.toLowerCase()}@firm.example`;
	const { id } = await done(books, addPersonWithPassword, { name, email, role, passwordHash }, APPLICATION);
	return { id, name, role };
}

/** The codes of what was refused; none where it was done. */
export const codesOf = (result: { ok: boolean; problems?: readonly { code: string }[] }): string[] =>
	result.ok ? [] : result.problems!.map((problem) => problem.code);
