import { describe, expect, it, test } from 'vitest';
import { remittancePhrases } from '../remittance-phrases';
import { nameKey } from '../name-key';
import { tellingWords } from '../telling-words';
import { LANGUAGES } from '.';

/** One payment as a customer of each language writes it, and what of it is read: phrases are to be met in sentences, with accents. */
const SAID: readonly (readonly [language: string, text: string, want: object])[] = [
	['en', 'Part payment of AK-40001', { part: 'Part payment', notWhole: true }],
	['en', 'less breakages', { claim: { reason: 'damaged', words: 'breakages' } }],
	['en', 'WHT 10% withheld', { tax: 'WHT' }],
	['de', 'Akontozahlung Mai', { onAccount: true }],
	['de', 'Rg. AK-40001 abzügl. Bruch', { claim: { reason: 'damaged', words: 'Bruch' }, notWhole: true }],
	['de', 'Kontoausgleich', { upToDate: true }],
	['fr', 'acompte sur facture', { onAccount: true, part: 'acompte' }],
	['fr', 'déduction marchandise endommagée', { claim: { reason: 'damaged', words: 'endommagee' } }],
	['fr', 'retenue à la source', { tax: 'retenue a la source' }],
	['es', 'pago parcial', { part: 'pago parcial' }],
	['es', 'menos devolución', { claim: { reason: 'returned', words: 'devolucion' } }],
	['it', 'estratto conto di maggio', { upToDate: true }],
	['it', 'meno merce danneggiata', { claim: { reason: 'damaged', words: 'danneggiata' } }],
	['pt', 'adiantamento', { onAccount: true }],
	['pt', '2a prestação', { part: '2a prestacao' }],
	['nl', 'aanbetaling', { onAccount: true }],
	['nl', 'minder korting', { claim: { reason: 'price', words: 'korting' } }],
	['sv', 'förskott', { onAccount: true }],
	['sv', 'avdrag för trasigt gods', { claim: { reason: 'damaged', words: 'trasigt' } }],
	['no', 'ødelagt vare', { claim: { reason: 'damaged', words: 'odelagt' } }],
	['no', 'alle åpne', { upToDate: true }],
	['da', 'forskud', { onAccount: true }],
	['da', 'beskadiget', { claim: { reason: 'damaged', words: 'beskadiget' } }],
	['fi', 'ennakkomaksu', { onAccount: true }],
	['fi', 'alennus', { claim: { reason: 'price', words: 'alennus' } }],
	['pl', 'zapłata częściowa', { part: 'zaplata czesciowa' }],
	['pl', 'towar uszkodzony', { claim: { reason: 'damaged', words: 'uszkodzony' } }],
	['cs', 'záloha', { onAccount: true }],
	['cs', 'částečná úhrada', { part: 'castecna uhrada' }]
];

describe('what customers write', () => {
	test.each(SAID)('%s: “%s”', (_, text, want) => expect(remittancePhrases(text)).toMatchObject(want));
	it('is tried in every language', () =>
		expect(new Set(SAID.map(([code]) => code))).toEqual(new Set(LANGUAGES.map(({ code }) => code))));
});

const list = (of: (one: (typeof LANGUAGES)[number]) => readonly string[]) =>
	LANGUAGES.flatMap((one) => of(one).map((word) => [one.code, word] as const));
const phrases = list(({ phrases: { claims, ...others } }) =>
	[...Object.values(others), ...Object.values(claims)].flat()
);

describe('the number of an order', () => {
	test.each([
		['deposit for order 7741', '7741'],
		['our order no. KF-12/3 thanks', 'KF-12/3'],
		['deposit CK-118', 'CK-118'],
		['P.O. 90021', '90021'],
		['Anzahlung Auftragsnr. 5512', '5512'],
		['commande C2024-9', 'C2024-9'],
		// A day is none, nor a word without a digit.
		['deposit 12/10', null],
		['on account 2026', null],
		['standing order', null],
		['recorder 5', null]
	] as const)('“%s” names %s', (text, want) => expect(remittancePhrases(text).order).toBe(want));
});

describe('a payout', () => {
	test.each([
		['PAYOUT 5 PAYMENTS', true],
		['CARD SETTLEMENT 0311', true],
		['Auszahlung 5512', true],
		['paid out of petty cash', false],
		['payment AK-40001', false]
	] as const)('“%s”: %s', (text, want) => expect(remittancePhrases(text).payout).toBe(want));
});

describe('each language', () => {
	it.each(phrases)('%s: the phrase “%s” is small, without accents, and a pattern', (_, phrase) => {
		expect(phrase.replace(/\\./g, '')).toMatch(/^[a-z0-9 (){}?:|[\].,/-]+$/);
		expect(() => new RegExp(phrase)).not.toThrow();
	});
	it.each(list((one) => one.legalForms))('%s: the legal form %s is dropped from a name', (_, form) =>
		expect(nameKey(`Kobalt ${form}`)).toBe('KOBALT')
	);
	it.each(list((one) => one.joiningWords))('%s: %s only joins', (_, word) =>
		expect(nameKey(`Kobalt ${word} Tinder`)).toBe('KOBALT TINDER')
	);
	it.each(list((one) => one.neutralWords))('%s: %s tells nothing', (_, word) =>
		expect(tellingWords(`${word} KOBALT`)).toEqual(['KOBALT'])
	);
	it('lists no word twice', () => {
		for (const { legalForms, joiningWords, neutralWords } of LANGUAGES)
			for (const words of [legalForms, joiningWords, neutralWords])
				expect(new Set(words).size).toBe(words.length);
	});
});
