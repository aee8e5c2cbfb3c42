import { asc, desc, eq } from 'drizzle-orm';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { minor } from '../../../core/money/minor';
import { actSentence } from '../../../words';
import type { CustomerDetails } from '../../../core/model/customer-details';
import { perform } from '../../act/perform';
import { lookAtLetters, lookAtRun } from '../../letters/queries/letters';
import type { Books } from '../../platform/db/open';
import { act, customer, customerName, payerAccount } from '../../platform/db/schema';
import {
	as,
	CLERK,
	codesOf,
	done,
	invoices,
	newDocument,
	proves,
	READER,
	testBooks,
	TODAY
} from '../../testing';
import { findCustomers } from '../queries/find-customers';
import { lookAtDetails } from '../queries/customer-details';
import { changeCustomer } from './change-customer';
import { closeAccount, reopenAccount } from './close-account';
import { openAccount } from './open-account';

let books: Books;
beforeEach(async () => (books = await testBooks()));
afterEach(() => books.close());
const viewer = { who: CLERK, today: TODAY };
const seen = async (code = 'H1') => (await lookAtDetails(books.db, code, viewer))!;
const asTyped = (details: CustomerDetails) => JSON.parse(JSON.stringify(details)) as never;
async function change(
	over: Partial<CustomerDetails> | Record<string, unknown>,
	code = 'H1',
	version?: number
) {
	const now = await seen(code);
	const given = { customerId: now.id, version: version ?? now.version };
	return perform(
		books,
		changeCustomer,
		{ ...given, details: asTyped({ ...now.details, ...over } as CustomerDetails) },
		as(CLERK)
	);
}
const faults = async (over: Record<string, unknown>) => {
	const result = await change(over);
	return result.ok ? [] : result.problems.map((one) => (one.code === 'field' ? one.field : one.code));
};
const part = (basisPoints: number, days: number) => ({ basisPoints, days });
const newest = async () => (await books.db.select().from(act).orderBy(desc(act.id)).limit(1).get())!;

describe('details of a customer', () => {
	it('are changed, each as it was and as it is in the record', async () => {
		const details = {
			...{ address: ['Kiln Row', '', 'Mere'], statementAddress: ['Box 7', 'Mere'], termsDays: 45 },
			...{ discountBasisPoints: 250, discountDays: 10, creditLimit: minor(500_000), parentCode: 'W2' },
			...{ statementEmail: '', reminderEmail: 'late@hazel.example', phone: '0190 1', taxNumber: 'GB 12' },
			...{ tags: ['north', 'north', 'kilns'], notes: 'Pays on Fridays', payerAccounts: ['gb12 zzam 1'] },
			...{
				chasingPolicy: null,
				chasingPaused: 'in talks',
				pausedUntil: '2026-11-30',
				otherNames: ['Hazel H.']
			},
			...{ language: 'de', statementWay: 'paper', interest: 'agreed', interestBasisPoints: 425 }
		};
		expect(await change(details)).toMatchObject({ ok: true, value: { changes: 21 } });
		const after = await seen();
		expect(after.details).toEqual({
			...details,
			...{ contacts: [], termsFrom: 'issue', termsParts: [], statementFiles: [] },
			...{ name: 'Hazel Hill Pottery', address: ['Kiln Row', 'Mere'], statementEmail: null },
			...{ tags: ['north', 'kilns'], payerAccounts: ['GB12ZZAM1'] }
		});
		expect(after.version).toBe(2);
		const { facts, summary, customerId } = await newest();
		expect(customerId).toBe(1);
		const { changes } = JSON.parse(facts) as {
			changes: { field: string; before: unknown; after: unknown }[];
		};
		expect(changes.find((one) => one.field === 'termsDays')).toEqual({
			field: 'termsDays',
			before: 30,
			after: 45
		});
		expect(changes.find((one) => one.field === 'payerAccounts')).toMatchObject({ before: ['ACCH1'] });
		expect(summary).toContain('late@hazel.example');
		await proves(books);
	});

	it('that are the same change nothing, and leave no trace', async () => {
		const before = await newest();
		expect(await change({})).toEqual({ ok: true, value: { actId: null, changes: 0 } });
		expect((await newest()).id).toBe(before.id);
		expect((await seen()).version).toBe(1);
	});

	it('of a new name keep the old one among those that payments are known by', async () => {
		await change({ name: 'Hazel & Hill Ltd', otherNames: ['HAZEL HILL'] });
		const names = await books.db
			.select()
			.from(customerName)
			.where(eq(customerName.customerId, 1))
			.orderBy(asc(customerName.id));
		expect(names.map((row) => row.name)).toEqual(['Hazel & Hill Ltd', 'Hazel Hill Pottery', 'HAZEL HILL']);
		// Back to the old one: none is there twice.
		await change({ name: 'Hazel Hill Pottery' });
		expect((await seen()).details.otherNames).toEqual(['Hazel & Hill Ltd', 'HAZEL HILL']);
	});

	it('leave those of others as they are', async () => {
		await change({ payerAccounts: [], otherNames: ['Other'] });
		expect((await seen('W2')).details).toMatchObject({
			name: 'Wicker Lane Ceramics',
			payerAccounts: ['ACCW2'],
			otherNames: []
		});
		expect(await books.db.$count(payerAccount)).toBe(2);
	});

	it.each<[string, Record<string, unknown>]>([
		['name', { name: '  ' }],
		['statementEmail', { statementEmail: 'nobody' }],
		['termsDays', { termsDays: null }],
		['termsDays', { termsDays: 4000 }],
		['discountDays', { discountBasisPoints: 200 }],
		['discountBasisPoints', { discountDays: 10 }],
		['discountBasisPoints', { discountBasisPoints: 12_000, discountDays: 1 }],
		['chasingPaused', { pausedUntil: '2026-12-01' }],
		['parentCode', { parentCode: 'X9' }],
		['parentCode', { parentCode: 'H1' }],
		['address', { address: Array.from({ length: 9 }, (_, i) => `line ${i}`) }]
	])('say what is wrong at %s', async (field, over) => {
		expect(await faults(over)).toEqual([`details.${field}`]);
		expect((await seen()).version).toBe(1);
	});

	it('go round in no circle of branches', async () => {
		await change({ parentCode: 'W2' });
		expect(codesOf(await change({ parentCode: 'H1' }, 'W2'))).toEqual(['field']);
	});

	it('are changed by one person at a time, and by no reader', async () => {
		await change({ phone: '1' });
		expect(codesOf(await change({ phone: '2' }, 'H1', 1))).toEqual(['customer-changed']);
		const { id, version, details } = await seen();
		const given = { customerId: id, version, details: asTyped({ ...details, phone: '3' }) };
		expect(codesOf(await perform(books, changeCustomer, given, as(READER)))).toEqual(['not-allowed']);
		expect((await seen()).details.phone).toBe('1');
	});
});

it('reminders are paused up to and including a day', async () => {
	await invoices(books, newDocument('AK-1', 1, 1000));
	const leftOut = async () =>
		(await lookAtRun(books.db, { kind: 'reminder', page: 0, waiting: [] }, viewer)).rows.map(
			(row) => row.held
		);
	expect(await leftOut()).toEqual([null]);
	await change({ chasingPaused: 'in talks' });
	expect(await leftOut()).toEqual(['paused']);
	await change({ pausedUntil: TODAY });
	expect(await leftOut()).toEqual(['paused']);
	await change({ pausedUntil: '2026-10-29' });
	expect(await leftOut()).toEqual([null]);
});

describe('an account', () => {
	const close = async (version = 1) =>
		perform(books, closeAccount, { customerId: 1, version, reason: 'sold' }, as(CLERK));

	it('is closed and opened again; while it is closed no invoice is written for it, and nobody is offered it', async () => {
		expect((await close()).ok).toBe(true);
		expect((await seen()).closedOn).toBe(TODAY);
		expect(await findCustomers(books.db, 'hazel', viewer)).toEqual([]);
		await expect(invoices(books, newDocument('AK-1', 1, 1000))).rejects.toThrow('account-closed');
		expect(
			(await invoices(books, newDocument('CR-1', 1, 1000, { kind: 'charge' }))).documentIds
		).toHaveLength(1);
		await done(books, reopenAccount, { customerId: 1, version: 2 }, CLERK);
		expect((await findCustomers(books.db, 'hazel', viewer)).map((row) => row.code)).toEqual(['H1']);
		expect((await invoices(books, newDocument('AK-1', 1, 1000))).documentIds).toHaveLength(1);
		await proves(books);
	});

	it('is not closed while something is open on it', async () => {
		await invoices(books, newDocument('AK-1', 1, 1000));
		expect(await close()).toEqual({
			ok: false,
			problems: [{ code: 'account-not-settled', customer: 'Hazel Hill Pottery', items: 1, credits: 0 }]
		});
		expect((await seen()).closedOn).toBeNull();
	});

	it('instalments say when all of it is due, and are in the record as words', async () => {
		const termsParts = [
			{ basisPoints: 5_000, days: 30 },
			{ basisPoints: 5_000, days: 60 }
		];
		expect(await change({ termsDays: 7, termsParts })).toMatchObject({ ok: true, value: { changes: 2 } });
		expect((await seen()).details).toMatchObject({ termsDays: 60, termsParts });
		expect(actSentence({ kind: 'change-customer', facts: JSON.parse((await newest()).summary) })).toBe(
			'Changed Hazel Hill Pottery, H1: terms 30 days, now 60 days; instalments “50% in 30 days”, “50% in 60 days”'
		);
	});

	it.each<[string, Record<string, unknown>, string[]]>([
		['parts that are not the whole', { termsParts: [part(4_000, 10), part(4_000, 20)] }, ['termsParts']],
		['one part alone', { termsParts: [part(10_000, 10)] }, ['termsParts']],
		['a part due before the one before', { termsParts: [part(5_000, 20), part(5_000, 20)] }, ['termsParts']],
		['an agreed rate without the rate', { interest: 'agreed' }, ['interestBasisPoints']],
		['a rate where none was agreed', { interestBasisPoints: 425 }, ['interestBasisPoints']],
		['a language that nobody reads', { language: 'tlh' }, ['language']]
	])('%s is refused at its field', async (_, over, fields) => {
		expect((await faults(over)).map((field) => field.split('.')[1])).toEqual(fields);
		expect((await seen()).version).toBe(1);
	});

	it('is opened with all that is known of it', async () => {
		const { details } = await seen();
		const typed = {
			...details,
			name: 'ignored',
			termsDays: 7,
			parentCode: 'H1',
			otherNames: ['CORNCRAKE'],
			payerAccounts: ['GB99ZZAM1']
		};
		const given = { name: 'Corncrake Crafts', currency: 'GBP', termsDays: 14, details: asTyped(typed) };
		const { code } = await done(books, openAccount, given, CLERK);
		expect((await seen(code)).details).toEqual({ ...typed, name: 'Corncrake Crafts', termsDays: 14 });
		expect(await books.db.$count(customer)).toBe(4);
		await proves(books);
	});
});

describe('contacts of a customer', () => {
	const ada = {
		name: 'Ada Reed',
		role: 'bought ledger',
		email: 'ada@hazel.example',
		phone: '',
		copies: 'statements'
	};
	it('are kept in their order, and the record has them as they were and as they are', async () => {
		await change({ contacts: [ada, { ...ada, name: 'Jem Orr', email: '', copies: 'none' }] });
		const { details } = await seen();
		expect(details.contacts.map(({ name, email, phone }) => [name, email, phone])).toEqual([
			['Ada Reed', 'ada@hazel.example', null],
			['Jem Orr', null, null]
		]);
		await change({ contacts: details.contacts.slice(1) });
		expect(JSON.parse((await newest()).facts!)).toMatchObject({
			changes: [{ field: 'contacts', before: details.contacts, after: details.contacts.slice(1) }]
		});
	});
	it.each([
		['without a name', { name: ' ' }, 'details.contacts.0.name'],
		['with no address that is one', { email: 'ada' }, 'details.contacts.0.email'],
		['of copies without an address', { email: '' }, 'details.contacts.0.email'],
		['of copies of something else', { copies: 'invoices' }, 'details.contacts.0.copies']
	])('%s are refused at their field', async (_, over, field) => {
		expect(await faults({ contacts: [{ ...ada, ...over }] })).toEqual([field]);
	});
	it('get copies of the letters that are said, each once, and nobody of theirs twice', async () => {
		const copies = async (kind: 'statement' | 'reminder') => {
			const accounts = [{ customerId: 1, currency: 'GBP' }];
			const found = (await lookAtLetters(books.db, { kind, accounts }, viewer))[0]!;
			return found.ok ? found.value.copies : found.problems;
		};
		await invoices(books, newDocument('AK-9', 1, 1000));
		await change({
			contacts: [
				ada,
				{ ...ada, name: 'Jem Orr' },
				{ ...ada, name: 'Lou', email: 'lou@hazel.example', copies: 'all' },
				{ ...ada, name: 'Max', email: 'max@hazel.example', copies: 'reminders' }
			]
		});
		expect([await copies('statement'), await copies('reminder')]).toEqual([
			['ada@hazel.example', 'lou@hazel.example'],
			['lou@hazel.example', 'max@hazel.example']
		]);
	});
});
