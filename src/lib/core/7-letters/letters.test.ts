import { describe, expect, it } from 'vitest';
import { age } from '../6-reports/age';
import { day } from '../day/day';
import type { OpenItem } from '../model/records';
import { minor } from '../money/minor';
import { mailText } from '../../words/letters';
import { writeLetter, type LetterOrder } from './write-letter';
import { sampleItem } from '../model/sample-item';

const today = day('2026-10-30');
const item = (number: string, open: number, due: string, over: Partial<OpenItem> = {}) =>
	sampleItem(open, open, { number, due: day(due), ...over });
const order = (over: Partial<LetterOrder>): LetterOrder => ({
	items: [],
	credits: [],
	dated: [],
	date: today,
	currency: 'GBP',
	language: 'en',
	payments: new Map(),
	pay: { account: { iban: 'GB00ZZAM1234', bic: null, bank: 'Mere' }, link: null },
	customer: { id: 1, code: 'H1', name: 'Hazel <b> & Co', address: [] },
	firm: { name: 'Ashlock', address: [], email: 'a@ashlock-kiln.example', phone: '', registration: '' },
	age: (rows) => age(rows, today, [30, 60, 90]),
	...over
});
const items = [
	item('AK-2', 200, '2026-11-05'),
	item('AK-1', 100, '2026-10-01', { total: minor(150) }),
	item('AC-1', 30, '2026-09-01', { kind: 'credit_note' }),
	item('AK-9', 5, '2026-01-01', { currency: 'EUR' })
];
const credits = [{ date: day('2026-10-20'), open: minor(40) }];

describe('a statement', () => {
	const letter = writeLetter('statement', order({ items, credits }));
	if (!letter.ok) throw new Error('refused');
	it('shows all that is open in its currency, credits and what lies on account taken off', () => {
		expect(letter.value.rows.map((row) => [row.number, row.open])).toEqual([
			['AC-1', -30],
			['AK-1', 100],
			['', -40],
			['AK-2', 200]
		]);
		expect([letter.value.owed, letter.value.late]).toEqual([230, 100]);
		expect(letter.value.aged.reduce((all, bucket) => all + bucket.sum, 0)).toBe(230);
	});
	it('shows under an item what settled part of it, and only there', () => {
		const part = { date: day('2026-10-12'), by: 'payment' as const, amount: minor(50) };
		const payments = new Map([
			[150, [part]],
			[200, [part]]
		]);
		const [first, second] = items
			.slice(0, 2)
			.map((one) => ({ ...one, id: one.number === 'AK-1' ? 150 : 200 }));
		const shown = writeLetter('statement', order({ items: [first!, second!], payments }));
		expect(shown.ok && shown.value.rows.map((row) => [row.number, row.payments])).toEqual([
			['AK-1', [part]],
			['AK-2', []]
		]);
	});
	it('reads as mail with names made harmless, and asks for a reference with check digits', () => {
		const { html, subject, body } = mailText(letter.value);
		expect(html).toContain('£2.30');
		expect(html).toContain('Hazel &lt;b&gt; &amp; Co');
		expect(subject).toBe('Statement of account H1, 30 Oct 2026: £2.30');
		expect(body).toContain('IBAN GB00 ZZAM 1234, and quote RF43 H1');
	});
	it('in credit asks for no payment', () => {
		const back = writeLetter('statement', order({ items: items.slice(2, 3), credits }));
		expect(back.ok && [back.value.owed, mailText(back.value).body.includes('No payment is due.')]).toEqual([
			-70,
			true
		]);
		expect(back.ok && mailText(back.value).html).not.toContain('How to pay');
	});
});

describe('a reminder', () => {
	it('asks for what is past its due day, less credit notes and what lies on account', () => {
		const letter = writeLetter('reminder', order({ items, credits }));
		expect(
			letter.ok && [letter.value.rows.map((row) => row.number), letter.value.late, letter.value.owed]
		).toEqual([['AC-1', 'AK-1', ''], 100, 30]);
		expect(letter.ok && mailText(letter.value).body).toContain(
			'£0.30 is overdue on your account, after £0.70 that stands to your credit has been deducted.'
		);
	});
	it('is not written where credits cover what is late', () => {
		const covered = [{ date: day('2026-10-20'), open: minor(70) }];
		expect(writeLetter('reminder', order({ items, credits: covered })).ok).toBe(false);
		expect(writeLetter('reminder', order({ items, credits: [{ ...covered[0]!, open: minor(69) }] })).ok).toBe(
			true
		);
	});
	it('is not written on the due day itself', () =>
		expect(writeLetter('reminder', order({ items: [item('AK-3', 1, '2026-10-30')] })).ok).toBe(false));
});

describe('cheques dated later', () => {
	const dated = [{ date: day('2026-12-14'), reference: 'cheque 100412', amount: minor(100) }];
	it('stand on a statement, and are not counted in its balance', () => {
		const letter = writeLetter('statement', order({ items, credits, dated }));
		if (!letter.ok) throw new Error('refused');
		expect(letter.value.owed).toBe(230);
		expect(mailText(letter.value).html).toContain(
			'Your cheque 100412 of £1.00, dated 14 Dec 2026, is held until that date and has not yet been credited.'
		);
	});
	it('keep what they cover out of a reminder, oldest first, and nothing that they cover in part', () => {
		expect(writeLetter('reminder', order({ items, dated })).ok).toBe(false);
		const two = [...items, item('AK-0', 60, '2026-09-15')];
		const letter = writeLetter('reminder', order({ items: two, dated }));
		expect(letter.ok && letter.value.rows.map((row) => row.number)).toEqual(['AC-1', 'AK-1']);
	});
	it('and a claim in dispute is not asked for, but shown', () => {
		const claim = item('CL-1', 45, '2026-09-01', { kind: 'claim', text: 'claim on AK-7' });
		expect(writeLetter('reminder', order({ items: [claim] })).ok).toBe(false);
		const letter = writeLetter('statement', order({ items: [claim] }));
		expect(letter.ok && letter.value.rows[0]).toMatchObject({ isDisputed: true, late: 0 });
	});
});

it('asks for nothing where nothing is owed', () => {
	const letter = writeLetter('statement', order({}));
	expect(letter.ok ? [] : letter.problems).toEqual([{ code: 'nothing-owed', customer: 'Hazel <b> & Co' }]);
});
