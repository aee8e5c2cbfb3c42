import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { day } from '../../../core/day/day';
import { minor } from '../../../core/money/minor';
import type { SettingUpStep } from '../../../core/model/setting-up-step';
import { perform } from '../../act/perform';
import { bringInDocuments } from '../../documents/commands/bring-in-documents';
import { bringInHistory } from '../../matching/commands/bring-in-history';
import type { Books } from '../../platform/db/open';
import {
	as,
	bankXml,
	bringIn,
	CLERK,
	codesOf,
	credit,
	done,
	letIn,
	payment,
	proves,
	SUPERVISOR,
	testBooks,
	TODAY
} from '../../testing';
import { allocateReceipt } from '../../allocation/commands/allocate-receipt';
import { lookAtSettingUp } from '../queries/setting-up';
import { readSetting, writeSetting } from '../store/settings';
import { BEGUN } from '../store/setting-up';
import { setFirm } from './set-firm';
import { finishSettingUp, leaveStepOut, testMail } from './setting-up';

let books: Books;
beforeEach(async () => (books = await testBooks()));
afterEach(() => books.close());
const look = () => lookAtSettingUp(books.db, null, { who: CLERK, today: TODAY });
const begin = () => books.write((tx) => writeSetting(tx, 'settingUp', BEGUN));
const next = async () => (await look())?.steps.find((one) => one.next)?.step;
const stands = async (step: SettingUpStep) => {
	const { done: isDone, leftOut } = (await look())!.steps.find((one) => one.step === step)!;
	return { isDone, leftOut };
};

describe('setting new books up', () => {
	it('is nothing of books that were there before', async () => {
		expect(await look()).toBeNull();
		const refused = await perform(books, testMail, { email: 'a@firm.example' }, as(SUPERVISOR));
		expect(codesOf(refused)).toEqual(['is-set-up']);
	});

	it('goes from step to step by what the books have, to a proof', async () => {
		await begin();
		expect(await next()).toBe('people');
		await letIn(books, 'Hollis', 'supervisor');
		await letIn(books, 'Wren', 'clerk');
		expect([await stands('people'), await next()]).toEqual([{ isDone: true, leftOut: false }, 'open-items']);
		const opening = { on: day('2026-09-30'), taxHere: false, control: minor(1000), apart: minor(0) };
		const row = {
			...{
				line: 2,
				number: 'AK-1',
				kind: 'invoice' as const,
				customerCode: 'H1',
				currency: 'GBP',
				lines: []
			},
			...{ issued: day('2026-09-01'), due: null, total: minor(1000), open: minor(1000), instalments: [] },
			...{ purchaseOrder: null, paymentReference: null, text: '', opening }
		};
		await done(books, bringInDocuments, [row], CLERK);
		expect((await look())!.opening).toMatchObject({ before: 1000, control: 1000, apart: 0, currency: 'GBP' });
		expect(await next()).toBe('history');
		const past = {
			line: 2,
			customerCode: 'H1',
			date: day('2026-09-01'),
			amount: minor(900),
			currency: 'GBP'
		};
		const payer = { payerName: null, payerAccount: null, numbers: [] };
		await done(books, bringInHistory, [{ ...past, ...payer }], CLERK);
		expect([await next(), (await look())!.pastPayments]).toEqual(['bank-file', 1]);
		await bringIn(books, bankXml([credit(1000, 'AK-1')]));
		expect([await next(), (await look())!.waiting]).toEqual(['mail', 1]);
		await done(books, testMail, { email: 'hollis@firm.example' }, SUPERVISOR);
		expect(await next()).toBe('allocate');
		await done(books, allocateReceipt, payment(1, 1, [1, 1000]), CLERK);
		expect([await next(), (await look())!.waiting]).toEqual(['prove', 0]);
		await done(books, finishSettingUp, { prove: true }, SUPERVISOR);
		expect(await look()).toBeNull();
		expect(await readSetting(books.db, 'settingUp')).toMatchObject({ open: false, proved: true });
		await proves(books);
	});

	it('leaves out what a firm may be without, and takes it up again; nothing else', async () => {
		await begin();
		await done(books, leaveStepOut, { step: 'people', leftOut: true }, SUPERVISOR);
		expect([await stands('people'), await next()]).toEqual([{ isDone: false, leftOut: true }, 'open-items']);
		await done(books, leaveStepOut, { step: 'people', leftOut: false }, SUPERVISOR);
		expect(await next()).toBe('people');
		const all = await perform(books, leaveStepOut, { step: 'customers', leftOut: true }, as(SUPERVISOR));
		expect(codesOf(all)).toEqual(['field']);
	});

	it('is ended by a supervisor at any time, with what is recorded of it', async () => {
		await begin();
		expect(codesOf(await perform(books, finishSettingUp, { prove: false }, as(CLERK)))).toEqual([
			'not-allowed'
		]);
		await done(books, finishSettingUp, { prove: false }, SUPERVISOR);
		expect([await look(), (await readSetting(books.db, 'settingUp'))!.proved]).toEqual([null, false]);
	});
});

describe('what letters say of the firm', () => {
	const given = {
		...{ name: 'Ashlock Kiln & Clay', address: ['Kiln Yard', '', 'Ashlock Mere'], phone: '0190 2' },
		...{ email: 'money@ashlock-kiln.example', registration: 'VAT GB 123' }
	};
	it('is changed; the currency of the books stays, and the same again is nothing', async () => {
		const { actId } = await done(books, setFirm, given, SUPERVISOR);
		expect(actId).not.toBeNull();
		expect(await readSetting(books.db, 'firm')).toEqual({
			...given,
			address: ['Kiln Yard', 'Ashlock Mere'],
			baseCurrency: 'GBP'
		});
		expect(await done(books, setFirm, given, SUPERVISOR)).toEqual({ actId: null });
	});
	it.each([
		['name', { name: ' ' }],
		['email', { email: 'money' }],
		['address', { address: Array.from({ length: 9 }, (_, i) => `${i}`) }]
	])('is refused with what is wrong at %s', async (field, over) => {
		const result = await perform(books, setFirm, { ...given, ...over }, as(SUPERVISOR));
		expect(result.ok ? [] : result.problems.map((one) => one.code === 'field' && one.field)).toEqual([field]);
	});
	it('is no clerk’s to change', async () => {
		expect(codesOf(await perform(books, setFirm, given, as(CLERK)))).toEqual(['not-allowed']);
	});
});
