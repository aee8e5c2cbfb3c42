import { describe, expect, it, test } from 'vitest';
import { minor } from '../money/minor';
import {
	HELD_REASONS,
	isImpossible,
	wayOf,
	whyHeld,
	type ChaseStanding,
	type HeldReason,
	type LetterStanding
} from './why-held';

const PLAIN: LetterStanding = {
	...{ owed: minor(100), late: minor(60), credit: minor(0), onAccount: minor(0), disputed: minor(0) },
	...{ hasMovements: true, moneyWaits: false, paused: false, way: 'mail', hasEmail: true, hasAddress: true },
	...{ asked: minor(60), sentToday: false, corrects: false, chase: null }
};
type Case = readonly [
	what: string,
	over: Partial<LetterStanding>,
	statement: HeldReason | null,
	reminder: HeldReason | null
];

test.each<Case>([
	['nothing stands against it', {}, null, null],
	[
		'nothing is owed and nothing happened',
		{ owed: minor(0), late: minor(0), hasMovements: false },
		'nothing-owed',
		'nothing-owed'
	],
	['nothing is owed, but something happened', { owed: minor(0), late: minor(0) }, null, 'nothing-owed'],
	['nothing is late', { late: minor(0) }, null, 'nothing-owed'],
	['no address for mail, but one for paper', { hasEmail: false }, 'no-address', null],
	['paper is wanted and there is no address for it', { way: 'paper', hasAddress: false }, 'no-address', null],
	['no address at all', { hasEmail: false, hasAddress: false }, 'no-address', 'no-address'],
	['receipts wait', { moneyWaits: true }, 'money-waiting', 'money-waiting'],
	['reminders are paused', { paused: true }, null, 'paused'],
	['credits cover what is late', { credit: minor(60) }, null, 'credit-covers'],
	['credits cover a penny less', { credit: minor(59) }, null, null],
	[
		'the account is in credit',
		{ owed: minor(10), late: minor(10), asked: minor(10), onAccount: minor(20), credit: minor(20) },
		'in-credit',
		'credit-covers'
	],
	['all is in dispute', { disputed: minor(100) }, 'disputed', 'disputed'],
	['all but a penny is in dispute', { disputed: minor(99) }, null, null],
	['they want none', { way: 'none' }, 'wants-none', null],
	['one was sent today', { sentToday: true }, 'sent-today', 'sent-today'],
	['one was sent today and is out of date', { sentToday: true, corrects: true }, null, null],
	[
		'several at once: the weightiest',
		{ moneyWaits: true, paused: true, sentToday: true },
		'money-waiting',
		'money-waiting'
	]
])('%s', (_, over, statement, reminder) => {
	const standing = { ...PLAIN, ...over };
	expect([whyHeld('statement', standing, 'hold'), whyHeld('reminder', standing, 'hold')]).toEqual([
		statement,
		reminder
	]);
});

describe('a customer in credit', () => {
	it('gets a statement that says so, where the firm wants it', () => {
		const standing = { ...PLAIN, owed: minor(-10), late: minor(0), credit: minor(10) };
		expect([whyHeld('statement', standing, 'send'), whyHeld('statement', standing, 'hold')]).toEqual([
			null,
			'in-credit'
		]);
	});
});

describe('a reminder by steps', () => {
	const none: ChaseStanding = {
		...{ way: null, reaches: false, isPromised: false, isCovered: false, isToBeCalled: false },
		...{ isSmall: false, isMissed: false }
	};
	it.each<readonly [Partial<ChaseStanding>, Partial<LetterStanding>, HeldReason | null]>([
		[{ reaches: true }, {}, null],
		// What falls due soon is not late, and is told of all the same.
		[{ reaches: true }, { late: minor(0) }, null],
		[{}, {}, 'no-step'],
		[{ isToBeCalled: true }, {}, 'to-call'],
		[{ isPromised: true, isToBeCalled: true }, { asked: minor(0) }, 'promised'],
		[{ isCovered: true }, {}, 'cheque-covers'],
		[{ reaches: true, isPromised: true }, {}, null],
		[{ reaches: true, isSmall: true, isMissed: true }, {}, 'too-small'],
		[{ reaches: true, isMissed: true }, {}, 'step-missed'],
		[{ reaches: true, isMissed: true }, { moneyWaits: true }, 'money-waiting'],
		[{ isPromised: true }, { paused: true }, 'paused'],
		[{ reaches: true }, { credit: minor(60) }, 'credit-covers'],
		// A step that goes by mail alone reaches nobody without an address for it.
		[{ reaches: true, way: 'mail' }, { hasEmail: false }, 'no-address'],
		[{ reaches: true, way: 'paper' }, { hasEmail: false }, null]
	])('%j %j', (chase, over, why) =>
		expect(whyHeld('reminder', { ...PLAIN, ...over, chase: { ...none, ...chase } }, 'hold')).toBe(why)
	);
});

test('only what makes a letter impossible cannot be overruled', () =>
	expect(HELD_REASONS.filter(isImpossible)).toEqual(['nothing-owed', 'no-address']));

test.each([
	['statement', 'paper', true, true, 'paper'],
	['statement', 'both', true, true, 'both'],
	['statement', 'none', true, true, 'mail'],
	['reminder', 'paper', true, true, 'mail'],
	['reminder', 'mail', false, true, 'paper'],
	['returned', 'mail', false, false, 'mail']
] as const)('a %s to who wants %s', (kind, way, hasEmail, hasAddress, want) =>
	expect(wayOf(kind, { way, hasEmail, hasAddress })).toBe(want)
);
