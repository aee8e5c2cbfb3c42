import { expect, test } from 'vitest';
import type { ItemLine } from '../../core/model/act-facts';
import { itemLineSentence } from './item-line-sentence';

test.each<[ItemLine['kind'], number, string]>([
	['allocated', 600, '£6.00 allocated to AK-1'],
	['allocated', -600, '£6.00 taken off AK-1'],
	['billed_back', 500, '£5.00 of AK-1 billed back'],
	['settled_before', 500, '£5.00 of AK-1 settled before'],
	['bad_debt', 100, '£1.00 off AK-1 as bad debt'],
	['claim', -500, '£5.00 owed again on AK-1']
])('%s of %d', (kind, amount, said) =>
	expect(itemLineSentence({ kind, amount, currency: 'GBP', number: 'AK-1', customer: 'Hazel' })).toBe(said)
);
