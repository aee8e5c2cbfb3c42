import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { day } from '../day/day';
import type { BankFileFormat } from './read-statement';
import { statementsBefore } from './statements-before';

/** `opening>closing`, with a day of October and another format behind it where they are not the 28th and MT940. */
function sheet(text: string, id: number) {
	const [, opening, closing, date = '28', format = 'MT940'] = /^(-?\d+)>(-?\d+)(?: (\d\d))?(?: (.*))?$/.exec(
		text
	)!;
	return {
		...{ id, reference: `S${id}`, format: format as BankFileFormat },
		...{ opening: Number(opening), closing: Number(closing), closingOn: day(`2026-10-${date}`) }
	};
}
const before = (one: string, ...others: readonly string[]) =>
	[
		...statementsBefore(
			sheet(one, 0),
			others.map((text, at) => sheet(text, at + 1))
		)
	].sort();

describe('statements that one goes on from', () => {
	it.each<readonly [string, string, readonly string[], readonly number[]]>([
		['the one before', '5>9', ['0>5', '9>12'], [1]],
		['and those before it', '5>9', ['0>3', '3>5', '1>2'], [1, 2]],
		['of any format', '5>9', ['3>5 28 camt.053', '0>3 27 table'], [1, 2]],
		['not one that ends later', '5>9', ['9>5 29', '0>5 27'], [2]],
		['not the same in another format', '5>9', ['5>9 28 camt.053'], []],
		['not itself, though its money came back', '0>0', ['0>0 28 camt.053'], []],
		['not what is within one whose money came back', '0>0', ['0>7', '7>0'], [2]],
		['each once, where balances return', '5>9', ['0>3', '3>0', '3>5'], [1, 2, 3]],
		['none', '5>9', [], []]
	])('%s', (_, one, others, want) => expect(before(one, ...others)).toEqual(want));

	it('are all the pages before it, whichever way they lie', () =>
		fc.assert(
			fc.property(
				fc.array(fc.integer({ min: 1, max: 50 }), { minLength: 1, maxLength: 12 }),
				fc.nat(),
				(amounts, place) => {
					// Balances only rise: none returns.
					const opening = (n: number) => amounts.slice(0, n).reduce((sum, one) => sum + one, 0);
					const pages = amounts.map((_, n) => `${opening(n)}>${opening(n + 1)}`);
					const at = place % pages.length;
					const others = [...pages.slice(at + 1), ...pages.slice(0, at)];
					const want = others
						.flatMap((text, n) => (Number(text.split('>')[1]) <= opening(at) ? [n + 1] : []))
						.sort();
					expect(before(pages[at]!, ...others)).toEqual(want);
				}
			)
		));
});
