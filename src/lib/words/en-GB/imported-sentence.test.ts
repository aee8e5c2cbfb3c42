import { describe, expect, test } from 'vitest';
import { importedSentence } from './imported-sentence';

describe('what came of a bank file', () => {
	const result = { name: 'bank.xml', entriesNew: 3, entriesKnown: 0, before: null };
	const statement = { notBooked: 0, balanceChecked: true, fault: null };
	test.each([
		[{ ...result, statements: [statement] }, 'bank.xml: 3 new entries. The balance agrees.'],
		[
			{ ...result, entriesNew: 0, statements: [], reports: { fresh: 3, met: 1, divided: 1, known: 2 } },
			'bank.xml. 2 entries are reported by the bank and wait for its statement. 1 entry is on a statement already. 1 receipt was divided into the payments that the bank tells of. 2 entries were reported before.'
		],
		[
			{ ...result, entriesNew: 0, statements: [], reports: { fresh: 0, met: 0, divided: 0, known: 0 } },
			'bank.xml. It lists no entry.'
		],
		[
			{ ...result, statements: [statement], reports: { fresh: 1, met: 0, divided: 0, known: 0 } },
			'bank.xml: 3 new entries. 1 entry is reported by the bank and waits for its statement. The balance agrees.'
		],
		[
			{ ...result, entriesKnown: 1, statements: [{ ...statement, notBooked: 2, balanceChecked: false }] },
			'bank.xml: 3 new entries. 1 entry was in the books already and stayed as they are. 2 entries are not booked by the bank yet and will come again. 1 statement has no balances, so nothing could be checked against them.'
		],
		[
			{
				...result,
				statements: [
					{
						...statement,
						fault: {
							...{
								code: 'gap',
								statementId: 7,
								reference: 'S7',
								accountId: 1,
								account: 'Current',
								currency: 'GBP'
							},
							...{ want: 1000, found: 500, from: '2026-10-27', to: '2026-10-29' }
						}
					}
				]
			},
			"bank.xml: 3 new entries. Statement S7 of Current begins with £5.00, but the last that fits ended with £10.00: a statement between 27 Oct 2026 and 29 Oct 2026 is missing, or this one is not the bank's. What it brought is not certain until they agree."
		],
		[
			{ ...result, statements: [], before: { who: 'Wren', at: '2026-10-30T14:05:00.000Z' } },
			'bank.xml was brought in before, by Wren on 30 Oct 2026, 14:05. Nothing was changed.'
		]
	])('is said', (imported, want) => expect(importedSentence(imported as never)).toBe(want));
});
