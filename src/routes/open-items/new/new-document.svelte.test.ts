import { describe, expect, it } from 'vitest';
import { day } from '$lib/core/day/day';
import { NewDocument } from './new-document.svelte';

const customer = {
	...{ id: 7, currency: 'GBP', termsDays: 14, termsFrom: 'issue' as const, termsParts: [] },
	...{ discountBasisPoints: 250, discountDays: 10 }
};
const numbers = { invoice: 'AK-2', credit_note: 'AC-2', charge: 'CH-1' };
function begin() {
	const form = new NewDocument({ customer, numbers, taxBasisPoints: 2000 }, day('2026-10-30'));
	Object.assign(form.lines[0]!, { text: 'clay', net: '750+250' });
	return form;
}

describe('a document as it is typed', () => {
	it('begins with the customer’s terms and the next number', () => {
		const form = begin();
		expect(form.input).toEqual({
			...{ kind: 'invoice', creditNoteKind: null, customerId: 7, number: 'AK-2', issued: '2026-10-30' },
			lines: [{ text: 'clay', net: 100_000, taxBasisPoints: 2000 }],
			shares: [{ basisPoints: 10_000, days: 14 }],
			termsFrom: 'issue',
			discount: { basisPoints: 250, days: 10 },
			...{ purchaseOrder: null, orderReference: null, paymentReference: null }
		});
		expect([form.total, form.ready]).toEqual([120_000, true]);
	});
	it('counts its days from the end of the month where the customer’s terms do', () => {
		const theirs = { ...customer, termsFrom: 'month_end' as const };
		const form = new NewDocument({ customer: theirs, numbers, taxBasisPoints: 2000 }, day('2026-10-30'));
		Object.assign(form.lines[0]!, { text: 'clay', net: '10' });
		form.issued = '2026-10-05';
		expect(form.drawn!.instalments.map(({ due }) => due)).toEqual(['2026-11-14']);
		expect(form.input.termsFrom).toBe('month_end');
	});
	it('is due in the instalments of the customer’s terms', () => {
		const termsParts = [
			{ basisPoints: 3_000, days: 0 },
			{ basisPoints: 7_000, days: 45 }
		];
		const theirs = { ...customer, termsDays: 45, termsParts };
		const form = new NewDocument({ customer: theirs, numbers, taxBasisPoints: 2000 }, day('2026-10-30'));
		Object.assign(form.lines[0]!, { text: 'clay', net: '10' });
		form.issued = '2026-10-05';
		expect(form.drawn!.instalments).toEqual([
			{ due: '2026-10-05', amount: 360 },
			{ due: '2026-11-19', amount: 840 }
		]);
		expect(form.input.shares).toEqual(termsParts);
	});
	it('another kind has its own number, and only invoices a discount', () => {
		const form = begin();
		form.kind = 'credit_note';
		expect(form.input).toMatchObject({ number: 'AC-2', discount: null });
		form.number = 'X-1';
		form.kind = 'invoice';
		expect(form.number).toBe('X-1');
	});
	it('a part without a figure is the rest', () => {
		const form = begin();
		form.addShare();
		form.shares[0]!.percent = '10';
		form.addShare();
		form.shares[1]!.percent = '45';
		expect(form.drawn!.instalments.map((part) => part.amount)).toEqual([12_000, 54_000, 54_000]);
		form.dropShare(0);
		form.dropShare(0);
		expect(form.drawn!.instalments.map((part) => part.amount)).toEqual([120_000]);
	});
	it.each<[string, (form: NewDocument) => void, RegExp]>([
		['an amount that is none', (form) => (form.lines[0]!.net = 'ten'), /Line 1: “ten” is not an amount/],
		['too many decimals', (form) => (form.lines[0]!.net = '1.005'), /“1.005” is not an amount/],
		['a rate over a hundred', (form) => (form.lines[0]!.tax = '120'), /“120” is no rate of tax/],
		['no words', (form) => (form.lines[0]!.text = ''), /Line 1: say what it is for/],
		['a day that is none', (form) => (form.issued = '31/02'), /“31\/02” is not a date/],
		['days that are none', (form) => (form.shares[0]!.days = 'soon'), /“soon” is no number of days/],
		[
			'parts over the whole',
			(form) => ((form.shares[0]!.percent = '110'), void 0),
			/“110” is not a percentage/
		],
		['parts under the whole', (form) => (form.shares[0]!.percent = '90'), /come to 90%/],
		['a discount that is none', (form) => (form.discountPercent = 'x'), /The discount is no percentage/]
	])('%s is said, and kept as typed', (_, type, why) => {
		const form = begin();
		type(form);
		expect(form.problems.join(' ')).toMatch(why);
		expect(form.ready).toBe(false);
	});
	it('nothing typed is not ready, and not wrong', () => {
		const form = new NewDocument({ customer, numbers, taxBasisPoints: 2000 }, day('2026-10-30'));
		expect([form.ready, form.problems]).toEqual([false, []]);
		form.dropLine(0);
		expect(form.lines).toHaveLength(1);
	});
});
