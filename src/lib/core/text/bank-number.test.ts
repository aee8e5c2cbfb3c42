import { describe, expect, it } from 'vitest';
import { bankNumberKey, plainBankNumber, sortCodeAndNumber } from './bank-number';

describe('the number of a bank account', () => {
	it.each([
		['20-14-53 00012345', '20145300012345'],
		['20 14 53, 00012345'.replace(',', ''), '20145300012345'],
		['gb12 zzam 2014 5300 0123 45', 'GB12ZZAM20145300012345'],
		['20–14–53/00012345', '20145300012345']
	])('%s is kept as %s', (typed, kept) => expect(plainBankNumber(typed)).toBe(kept));

	it('is the same as IBAN and as sort code and number', () => {
		expect(bankNumberKey('GB12ZZAM20145300012345')).toBe(bankNumberKey('20-14-53 00012345'));
		expect(bankNumberKey('GB12ZZAM20145300012345')).not.toBe(bankNumberKey('20-14-53 00012346'));
	});

	it('is the same as German IBAN and as bank code and account number', () =>
		expect(bankNumberKey('DE12500105170648489890')).toBe(bankNumberKey('50010517/0648489890')));

	it('of another country is only itself, though its end looks like one of ours', () => {
		expect(bankNumberKey('NL12ZZAM0123456789')).toBe('NL12ZZAM0123456789');
		expect(bankNumberKey('IE12ZZAM20145300012345')).not.toBe('20145300012345');
	});

	it('is written in its parts', () => {
		expect(sortCodeAndNumber('20145300012345')).toEqual({ sortCode: '20-14-53', account: '00012345' });
		expect(sortCodeAndNumber('GB12ZZAM20145300012345')).toBeNull();
		expect(sortCodeAndNumber('00012345')).toBeNull();
	});
});
