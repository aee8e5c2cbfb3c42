import fc from 'fast-check';
import { expect, test } from 'vitest';
import { MAY_BE_LEFT_OUT, settingUp, type SettingUpFacts } from './setting-up';
import { SETTING_UP_STEPS } from '../model/setting-up-step';

const NEW: SettingUpFacts = {
	...{ hasAddress: false, bankAccounts: 0, people: 1, customers: 0, documents: 0, pastPayments: 0 },
	...{ bankFiles: 0, mailTested: false, allocated: 0, proved: false, leftOut: [] }
};
const next = (over: Partial<SettingUpFacts>) => settingUp({ ...NEW, ...over }).find((one) => one.next)?.step;
const firm = { hasAddress: true, bankAccounts: 1 };
const known = { ...firm, people: 2, customers: 3, documents: 9 };

test.each<[string | undefined, Partial<SettingUpFacts>]>([
	['firm', {}],
	['bank-accounts', { hasAddress: true }],
	['people', firm],
	['customers', { ...firm, people: 2 }],
	['customers', { ...firm, leftOut: ['people'] }],
	['open-items', { ...firm, people: 2, customers: 3 }],
	['history', { ...firm, people: 2, customers: 3, documents: 9 }],
	['bank-file', { ...known, leftOut: ['history'] }],
	['bank-file', { ...known, pastPayments: 40 }],
	['mail', { ...known, pastPayments: 40, bankFiles: 1 }],
	// A step may be taken before the one above it.
	['people', { ...firm, customers: 3, bankFiles: 1 }],
	// What nothing works without is never left out.
	['customers', { ...firm, people: 2, leftOut: ['customers', 'bank-file'] }],
	['prove', { ...known, pastPayments: 40, bankFiles: 1, mailTested: true, allocated: 1 }],
	[undefined, { ...known, pastPayments: 40, bankFiles: 1, mailTested: true, allocated: 1, proved: true }]
])('next comes %s', (want, over) => expect(next(over)).toBe(want));

test('each step is there once, one at most is next, and none is both done and left out', () => {
	const facts = fc.record({
		...{ hasAddress: fc.boolean(), mailTested: fc.boolean(), proved: fc.boolean() },
		...{ bankAccounts: fc.nat(2), people: fc.nat(2), customers: fc.nat(2), documents: fc.nat(2) },
		...{
			pastPayments: fc.nat(2),
			bankFiles: fc.nat(2),
			allocated: fc.nat(2),
			leftOut: fc.subarray([...SETTING_UP_STEPS])
		}
	});
	fc.assert(
		fc.property(facts, (given) => {
			const states = settingUp(given);
			expect(states.map((one) => one.step)).toEqual(SETTING_UP_STEPS);
			expect(states.filter((one) => one.done && one.leftOut)).toEqual([]);
			expect(states.filter((one) => one.leftOut && !MAY_BE_LEFT_OUT.includes(one.step))).toEqual([]);
			const open = states.filter((one) => !one.done && !one.leftOut);
			expect(states.filter((one) => one.next)).toEqual(open.slice(0, 1));
		})
	);
});
