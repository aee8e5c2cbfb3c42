import { expect, test } from 'vitest';
import { approvalSentence } from './approval-sentence';

const gbp = { amount: 120_050, currency: 'GBP' };

test.each([
	[
		{ code: 'write-off-claims' as const, sums: [{ ...gbp, number: 'CL-1' }], note: 'old' },
		'write off £1,200.50 of CL-1 (old)'
	],
	[
		{ code: 'write-off' as const, sums: [gbp], documents: 3, number: null, note: '' },
		'write off £1,200.50 of 3 documents'
	],
	[
		{ code: 'write-off' as const, sums: [gbp], documents: 1, number: 'AK-1', note: '' },
		'write off £1,200.50 of AK-1'
	],
	[
		{
			code: 'decide-claims' as const,
			allowed: [{ ...gbp, number: 'CL-1' }],
			writtenOff: [{ ...gbp, number: 'CL-2' }],
			billedBack: [{ ...gbp, number: 'CL-3' }],
			note: 'old'
		},
		'allow £1,200.50 of CL-1, bill back £1,200.50 of CL-3 and write off £1,200.50 of CL-2 (old)'
	],
	[
		{ code: 'credit' as const, number: 'CN-1', sum: gbp, of: 'goods' as const, customer: 'Hazel Hill' },
		'credit Hazel Hill with £1,200.50 by CN-1 (goods returned)'
	],
	[{ code: 'bring-in-credits' as const, count: 2, sums: [gbp] }, 'bring in 2 credit notes of £1,200.50'],
	[
		{ code: 'set-aside' as const, sum: gbp, payer: null, account: 'Other income' },
		'book £1,200.50 from an unnamed payer on Other income, as no customer’s money'
	],
	[
		{
			code: 'refund-file' as const,
			from: 'Current account',
			refunds: [{ ...gbp, payee: 'Hazel Hill', account: 'GB01' }]
		},
		'pay back from Current account: £1,200.50 to Hazel Hill, account GB01'
	],
	[
		{
			code: 'add-bank-account' as const,
			...{ name: 'Dollars', number: 'GB02', bank: 'Mere', currency: 'USD' }
		},
		'add the firm’s account Dollars, GB02 at Mere (USD)'
	],
	[
		{
			code: 'set-limits' as const,
			baseCurrency: 'GBP',
			changes: [
				{ whose: 'clerk', scope: 'day', kind: 'all', before: null, after: 500_000 },
				{ whose: null, scope: 'item', kind: 'small_difference', before: 500, after: null }
			]
		},
		'change limits: clerk, all taken off in one day, from none to £5,000.00 and the most of a small difference from £5.00 to none'
	],
	[{ code: 'set-limits' as const, baseCurrency: 'GBP', changes: [] }, 'keep the limits as they are'],
	[
		{ code: 'add-person' as const, name: 'Wren', email: 'wren@firm.example', role: 'clerk' },
		'let Wren (wren@firm.example) in as a clerk'
	],
	[{ code: 'change-role' as const, name: 'Wren', before: 'clerk', role: 'none' }, 'shut Wren out'],
	[
		{ code: 'change-role' as const, name: 'Wren', before: 'none', role: 'clerk' },
		'let Wren in again as a clerk'
	],
	[
		{ code: 'change-role' as const, name: 'Wren', before: 'clerk', role: 'supervisor' },
		'make Wren, a clerk so far, a supervisor'
	],
	[
		{ code: 'make-sign-in-code' as const, name: 'Wren', email: 'wren@firm.example' },
		'make a code by which Wren (wren@firm.example) sets a new password'
	],
	[
		{ code: 'take-off-second-factors' as const, name: 'Wren', email: 'wren@firm.example' },
		'take the second step off the sign-in of Wren (wren@firm.example)'
	],
	[
		{ code: 'demand-second-factor' as const, roles: ['supervisor'] },
		'have signing in take a second step for supervisors'
	],
	[
		{ code: 'unlock-period' as const, from: '2026-10-01', reason: 'late invoice' },
		'open the books again from 1 Oct 2026 (late invoice)'
	],
	[
		{ code: 'set-bank-files' as const, from: 'folder' as const },
		'have bank files taken from the watched folder alone'
	],
	[{ code: 'set-auditor' as const, email: '' }, 'send anchors of the books to nobody'],
	[
		{ code: 'set-auditor' as const, email: 'a@audit.example' },
		'send anchors of the books to a@audit.example'
	],
	[{ code: 'set-letters' as const, payLink: '' }, 'have letters name no page where they can be paid'],
	[
		{ code: 'set-letters' as const, payLink: 'https://pay.ashlock-kiln.example' },
		'have letters paid at https://pay.ashlock-kiln.example'
	],
	[
		{ code: 'set-mail-server' as const, host: 'mail.ashlock-kiln.example', user: 'accounts' },
		'have all mail go through mail.ashlock-kiln.example as accounts, codes to set a password among it'
	],
	[
		{ code: 'set-mail-server' as const, host: '', user: '' },
		'have mail go through no server of the settings'
	],
	[
		{ code: 'allocate-credits' as const, currency: 'GBP', customer: 'Hazel Hill' },
		'settle items of Hazel Hill without money (GBP)'
	]
])('a supervisor is asked to %o', (about, want) => expect(approvalSentence(about)).toBe(want));
