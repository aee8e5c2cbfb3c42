import { beforeEach, describe, expect, it, test } from 'vitest';
import { day } from '../../../core/day/day';
import { BRITISH } from '../../../words/conventions';
import { perform } from '../../act/perform';
import { NO_LIMITS_OF_ONE } from '../../../core/4-allocation/over-limits';
import { APPLICATION } from '../../act/person';
import { addPerson, addPersonWithPassword, changeRole, nobodyYet } from '../../people/commands/people';
import { act } from '../../platform/db/schema';
import { saidOf } from '../../act/said';
import { lookAtPeople } from '../../people/queries/people';
import { openBooks, type Books } from '../../platform/db/open';
import { as, CLERK, done, READER, SUPERVISOR, testBooks, TODAY, codesOf } from '../../testing';
import { lookAtRates } from '../queries/rates';
import { lookAtSettings } from '../queries/settings';
import { methodsOf } from '../store/methods';
import { readSetting } from '../store/settings';
import { addBankAccount } from './add-bank-account';
import { addMethod } from './add-method';
import { addRates, previewRates } from './add-rates';
import { openNewBooks } from './open-books';
import { setConventions } from './set-conventions';
import { setLimits } from './set-limits';

let books: Books & { readonly file: string };
beforeEach(async () => {
	books = await testBooks();
});
const viewer = { who: SUPERVISOR, today: TODAY };
const rate = (on: string, millionths: number, currency = 'EUR') => ({ currency, day: day(on), millionths });

describe('exchange rates', () => {
	it('are added; a day that has one keeps it, the first of two for one day counts', async () => {
		await done(books, addRates, [rate('2026-10-01', 860_000), rate('2026-10-01', 999_999)], CLERK);
		const again = await done(
			books,
			addRates,
			[rate('2026-10-01', 870_000), rate('2026-10-02', 861_000)],
			CLERK
		);
		expect(again).toEqual({ added: 1 });
		const { currencies, days } = await lookAtRates(books.db, null, viewer);
		expect(currencies).toEqual(['EUR']);
		expect(days.map((one) => [one.day, one.rates['EUR']]).sort()).toEqual([
			['2026-10-01', 860_000],
			['2026-10-02', 861_000]
		]);
	});

	it('are shown before they are added: new, there already, different, and far from the one before', async () => {
		await done(books, addRates, [rate('2026-10-01', 860_000), rate('2026-10-02', 861_000)], CLERK);
		const rows = [
			{ ...rate('2026-10-03', 8_600_000), line: 2 },
			{ ...rate('2026-10-01', 860_000), line: 3 },
			{ ...rate('2026-10-02', 870_000), line: 4 },
			{ ...rate('2026-10-01', 950, 'JPY'), line: 5 }
		];
		const shown = await previewRates(books.db, rows);
		expect(shown.map(({ line, fate, kept, far }) => [line, fate, kept, far])).toEqual([
			[3, 'same', null, false],
			[5, 'new', null, false],
			[4, 'differs', 861_000, false],
			[2, 'new', null, true]
		]);
	});
});

describe('the people', () => {
	const wren = {
		name: 'Wren',
		email: 'Wren@Firm.example',
		role: 'clerk' as const
	};
	const ready = { ...wren, email: 'wren@firm.example', passwordHash: 'made up' };

	it('are let in once by their address, whatever its case, and listed', async () => {
		await done(books, addPerson, wren, SUPERVISOR);
		const again = await perform(books, addPerson, { ...wren, email: 'wren@firm.EXAMPLE' }, as(SUPERVISOR));
		expect(again).toMatchObject({ ok: false, problems: [{ code: 'field', field: 'email' }] });
		const { people } = await lookAtPeople(books.db, new Date(), viewer);
		expect(people.map(({ name, email, role, active }) => [name, email, role, active])).toEqual([
			['Wren', 'wren@firm.example', 'clerk', true]
		]);
		const last = (await books.db.select().from(act)).filter((row) => row.parentId === null).at(-1)!;
		expect(saidOf(last)).toEqual({ kind: 'add-person', facts: { name: 'Wren', role: 'clerk' } });
	});

	test.each([
		[{ name: '' }, 'name'],
		[{ email: 'wren' }, 'email'],
		[{ role: 'owner' }, 'role']
	])('are refused with %o, at the field', async (wrong, field) => {
		const result = await perform(books, addPerson, { ...wren, ...wrong } as never, as(SUPERVISOR));
		expect(result).toMatchObject({ ok: false, problems: [{ code: 'field', field }] });
	});

	it('change their roles, but for the last supervisor, and none but a supervisor changes them', async () => {
		const { id } = await done(books, addPersonWithPassword, { ...ready, role: 'supervisor' }, APPLICATION);
		expect(codesOf(await perform(books, changeRole, { id, role: 'clerk' }, as(APPLICATION)))).toEqual([
			'last-supervisor'
		]);
		expect(codesOf(await perform(books, changeRole, { id, role: 'none' }, as(APPLICATION)))).toEqual([
			'last-supervisor'
		]);
		const other = await done(
			books,
			addPersonWithPassword,
			{ ...ready, email: 'h@firm.example', role: 'supervisor' },
			APPLICATION
		);
		await done(books, changeRole, { id, role: 'none' }, APPLICATION);
		expect(codesOf(await perform(books, changeRole, { id: other.id, role: 'reader' }, as(CLERK)))).toEqual([
			'not-allowed'
		]);
		expect(
			codesOf(await perform(books, changeRole, { id: 'nobody', role: 'reader' }, as(APPLICATION)))
		).toEqual(['not-found']);
		const { people } = await lookAtPeople(books.db, new Date(), viewer);
		expect(people.map(({ active }) => active).sort()).toEqual([false, true]);
	});
});

describe('the settings', () => {
	it('hold how numbers and times are written; a land or clock that is none is refused', async () => {
		expect((await lookAtSettings(books.db, null, viewer)).conventions).toEqual(BRITISH);
		const wrong = await perform(
			books,
			setConventions,
			{ locale: 'xx-YY', timeZone: 'Europe/Ashlock' } as never,
			as(SUPERVISOR)
		);
		expect(wrong).toMatchObject({ ok: false, problems: [{ field: 'locale' }, { field: 'timeZone' }] });
		const set = { locale: 'de-DE' as const, timeZone: 'Europe/Berlin' };
		expect(codesOf(await perform(books, setConventions, set, as(CLERK)))).toEqual(['not-allowed']);
		await done(books, setConventions, set, SUPERVISOR);
		expect(await readSetting(books.db, 'conventions')).toEqual(set);
	});

	it('hold limits by role and person', async () => {
		const limits = {
			tolerance: 500,
			byRole: {
				clerk: { act: { refund: 100 }, customer: { all: 500 }, day: {} },
				supervisor: NO_LIMITS_OF_ONE
			},
			byPerson: { u1: { act: { claim: 7 }, customer: {}, day: {} } }
		};
		await done(books, setLimits, limits, SUPERVISOR);
		expect((await lookAtSettings(books.db, null, viewer)).limits).toEqual(limits);
		// Those of earlier versions were of one posting alone.
		const earlier = { tolerance: 5, byRole: { clerk: { refund: 1 }, supervisor: {} }, byPerson: {} };
		await done(books, setLimits, earlier, SUPERVISOR);
		expect((await readSetting(books.db, 'limits'))!.byRole.clerk).toEqual({
			...{ act: { refund: 1 }, customer: {}, day: {} }
		});
		const below = { ...limits, tolerance: -1 };
		expect(codesOf(await perform(books, setLimits, below, as(SUPERVISOR)))).toEqual(['field']);
	});

	it('take a bank account with a number and a ledger account of its own', async () => {
		const account = {
			name: 'Dollars',
			number: 'gb12 zzam 0000 0001',
			bic: '',
			bankName: 'Mere',
			currency: 'usd',
			ledger: '1220'
		};
		await done(books, addBankAccount, account, SUPERVISOR);
		const { banks } = await lookAtSettings(books.db, null, viewer);
		expect(banks.at(-1)).toMatchObject({ number: 'GB12ZZAM00000001', currency: 'USD', bic: null });
		expect(
			codesOf(await perform(books, addBankAccount, { ...account, ledger: '1230x' }, as(SUPERVISOR)))
		).toEqual(['number-taken']);
		expect(
			codesOf(await perform(books, addBankAccount, { ...account, number: 'GB9999' }, as(SUPERVISOR)))
		).toEqual(['number-taken']);
		expect(
			codesOf(
				await perform(
					books,
					addBankAccount,
					{ ...account, number: 'GB9998', currency: 'ABC' },
					as(SUPERVISOR)
				)
			)
		).toEqual(['field']);
	});

	it('take a way in which money comes, once', async () => {
		const before = await methodsOf(books.db);
		await done(books, addMethod, { name: ' Standing Order ' }, CLERK);
		expect(await methodsOf(books.db)).toEqual([...before, 'standing order']);
		expect(codesOf(await perform(books, addMethod, { name: 'STANDING order' }, as(CLERK)))).toEqual([
			'field'
		]);
		expect(codesOf(await perform(books, addMethod, { name: 'bank' }, as(CLERK)))).toEqual(['field']);
		expect(codesOf(await perform(books, addMethod, { name: 'card' }, as(READER)))).toEqual(['not-allowed']);
	});
});

describe('new books', () => {
	const given = {
		person: {
			name: 'Petra',
			email: 'petra@kilns.example',
			passwordHash: 'made up'
		},
		firm: {
			firm: {
				name: 'Garrick',
				address: ['Mill Lane'],
				email: 'petra@kilns.example',
				phone: '',
				registration: '',
				baseCurrency: 'EUR'
			},
			bankAccounts: [
				{
					name: 'Current',
					number: 'DE00',
					bankName: 'Mere',
					currency: 'EUR',
					ledger: '1200',
					kind: 'current' as const
				}
			]
		},
		conventions: { locale: 'de-AT' as const, timeZone: 'Europe/Vienna' }
	};

	it('are opened once, with the first supervisor, the firm, usual limits and its way of writing', async () => {
		const fresh = await openBooks(`file:${books.file}.new`, { migrations: 'drizzle' });
		expect(await nobodyYet(fresh.db)).toBe(true);
		await done(fresh, openNewBooks, given, SUPERVISOR);
		expect(await nobodyYet(fresh.db)).toBe(false);
		expect(await readSetting(fresh.db, 'conventions')).toEqual(given.conventions);
		expect((await readSetting(fresh.db, 'limits'))!.byRole.clerk.act.claim).toBeGreaterThan(0);
		expect(codesOf(await perform(fresh, openNewBooks, given, as(SUPERVISOR)))).toEqual(['not-allowed']);
		await fresh.close();
	});

	it('are not half open where something of it is refused', async () => {
		const fresh = await openBooks(`file:${books.file}.half`, { migrations: 'drizzle' });
		const wrong = { ...given, conventions: { ...given.conventions, timeZone: 'Nowhere' } };
		expect((await perform(fresh, openNewBooks, wrong, as(SUPERVISOR))).ok).toBe(false);
		expect(await nobodyYet(fresh.db)).toBe(true);
		expect(await readSetting(fresh.db, 'firm')).toBeNull();
		await fresh.close();
	});
});
