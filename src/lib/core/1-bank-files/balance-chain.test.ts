import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { balanceChain, type ChainLink } from './balance-chain';

const links = (text: string): ChainLink[] =>
	text.split(' ').map((one) => {
		const [amount, balance] = one.split('=');
		return { amount: Number(amount), balance: balance ? Number(balance) : null };
	});

describe('balances beside entries', () => {
	it.each<readonly [string, string, boolean, string]>([
		['oldest first', '10=110 -5=105', false, '100 to 105'],
		['newest first', '-5=105 10=110', true, '100 to 105'],
		['newest first though the days are the same', '-5=105 10=110', false, '100 to 105, newest first'],
		['one alone', '10=110', false, '100 to 110'],
		['none', '10 -5', false, 'null to null'],
		['at the end of a day only', '10 5=115 -20 5=100', false, '100 to 100'],
		['without one at the end', '10=110 5', false, '100 to 115'],
		['carried forward', '0=100 10=110', false, '100 to 110'],
		['broken once', '10=110 5=116 4=120', false, '100 to 120, 1: 116 for 115'],
		['broken by a line that is there twice', '10=110 10=110 5=115', false, '100 to 115, 1: 110 for 120']
	])('%s', (_, text, newestFirst, want) => {
		const chain = balanceChain(links(text), newestFirst);
		const turned = chain.newestFirst && !newestFirst ? ', newest first' : '';
		const breaks = chain.breaks.map((one) => `, ${one.at}: ${one.found} for ${one.want}`).join('');
		expect(`${chain.opening} to ${chain.closing}${turned}${breaks}`).toBe(want);
	});

	const amounts = fc.array(fc.integer({ min: -500, max: 500 }), { minLength: 1, maxLength: 12 });
	const made = (opening: number, some: readonly number[], has: readonly boolean[]) => {
		let balance = opening;
		return some.map((amount, at) => ({
			amount,
			balance: has[at % has.length] ? (balance += amount) : ((balance += amount), null)
		}));
	};
	it('hold whichever are given, in either order', () =>
		fc.assert(
			fc.property(
				fc.integer(),
				amounts,
				fc.array(fc.boolean(), { minLength: 1 }),
				fc.boolean(),
				(opening, some, has, turn) => {
					const list = made(opening, some, has);
					const chain = balanceChain(turn ? [...list].reverse() : list, turn);
					expect(chain.breaks).toEqual([]);
					if (!list.some((one) => one.balance !== null)) expect(chain.opening).toBeNull();
					else expect(chain.closing! - chain.opening!).toBe(some.reduce((sum, one) => sum + one, 0));
				}
			)
		));
	it('show that an entry with money is missing', () =>
		fc.assert(
			fc.property(fc.integer(), amounts, fc.nat(), (opening, some, place) => {
				const list = made(opening, some, [true]);
				const at = place % list.length;
				// At the ends nothing is between two balances.
				fc.pre(at > 0 && at < list.length - 1 && some[at] !== 0);
				const without = list.filter((_, one) => one !== at);
				const chain = balanceChain(without, false);
				expect(chain.newestFirst || chain.breaks.length === 1).toBe(true);
			})
		));
});
