import { describe, expect, it, test } from 'vitest';
import type { Said } from '../../core/model/act-facts';
import { ACT_KINDS_IN_WORDS, actSentence } from './act-sentence';
import { SENTENCES_OF_PEOPLE, SENTENCES_OF_THE_FIRM } from './testing-sentences';

const gbp = { amount: 120_050, currency: 'GBP' };
const posted: Said = {
	kind: 'allocate-receipt',
	facts: { ...gbp, payer: 'Marlpit Foods', customer: 'Hazel Hill' }
};

/** Each kind of act as it stands in the record. */
const sentences: readonly (readonly [Said, string])[] = [
	...SENTENCES_OF_PEOPLE,
	...SENTENCES_OF_THE_FIRM,
	[
		{ kind: 'open-account', facts: { customer: 'Hazel Hill', code: 'H1059' } },
		'Opened the account H1059 of Hazel Hill'
	],
	[
		{ kind: 'add-ledger-account', facts: { code: '7500', name: 'Postage' } },
		'Added the ledger account 7500 Postage'
	],
	[{ kind: 'record-as-paid', facts: { items: 3, payments: 1 } }, 'Recorded 3 items as paid, in 1 payment'],
	[{ kind: 'add-customers', facts: { count: 1200 } }, 'Added 1,200 customer accounts'],
	[
		{ kind: 'bring-in-customers', facts: { added: 3, skipped: 2 } },
		'Brought in a table of customers: 3 new, 2 there already'
	],
	[
		{ kind: 'set-address', facts: { letter: 'statement', customer: 'Hazel Hill' } },
		'Set the statement address of Hazel Hill'
	],
	[
		{ kind: 'forget-habit', facts: { habit: 'oldestFirst', customer: 'Hazel Hill' } },
		'Forgot how Hazel Hill pays: the oldest first'
	],
	[
		{ kind: 'forget-payer', facts: { trait: 'words', text: 'KILN 7', customer: 'Hazel Hill' } },
		'Forgot that “KILN 7” stands for Hazel Hill'
	],
	[
		{ kind: 'forget-payer', facts: { trait: 'account', text: '…2726', customer: 'Hazel Hill' } },
		'Forgot that …2726 pays for Hazel Hill'
	],
	[
		{ kind: 'issue-document', facts: { number: 'AK-1', customer: 'Hazel Hill' } },
		'Issued AK-1 to Hazel Hill'
	],
	[{ kind: 'issue-by-hand', facts: { number: 'AK-1', customer: 'Hazel Hill' } }, 'Wrote AK-1 for Hazel Hill'],
	[
		{ kind: 'bring-in-documents', facts: { added: 3, skipped: 0 } },
		'Brought in documents: 3 new, 0 there already'
	],
	[
		{ kind: 'import-bank-file', facts: { file: 'bank.xml', entriesNew: 1, entriesKnown: 4 } },
		'Brought in bank.xml: 1 new entry, 4 there already'
	],
	[
		{ kind: 'keep-manual-receipts', facts: { added: 2, changed: 1, sums: [gbp] } },
		'Typed 2 manual receipts, changed 1 manual receipt: £1,200.50'
	],
	[
		{ kind: 'keep-manual-receipts', facts: { added: 0, changed: 1, sums: [gbp] } },
		'Changed 1 manual receipt: £1,200.50'
	],
	[{ kind: 'drop-manual-receipts', facts: { count: 1, sums: [gbp] } }, 'Deleted 1 manual receipt: £1,200.50'],
	[{ kind: 'post-manual-receipts', facts: { count: 3 } }, 'Posted 3 manual receipts'],
	[
		{ kind: 'make-paying-in-slip', facts: { slip: 4, count: 2, ...gbp } },
		'Made paying-in slip 4: 2 payments, £1,200.50'
	],
	[
		{ kind: 'keep-advice', facts: { customer: 'Hazel Hill', ...gbp } },
		'Kept a remittance advice of Hazel Hill over £1,200.50'
	],
	[{ kind: 'drop-advice', facts: gbp }, 'Deleted a remittance advice over £1,200.50'],
	[{ kind: 'split-receipt', facts: { parts: 3, ...gbp } }, 'Split £1,200.50 into 3 payments'],
	[{ kind: 'join-parts', facts: { parts: 3 } }, 'Joined 3 parts of one entry again'],
	[
		{ kind: 'divide-receipt', facts: { parts: 2, ...gbp } },
		'Divided £1,200.50 into the 2 payments that the bank told of'
	],
	[
		{ kind: 'bring-in-history', facts: { added: 320, skipped: 4 } },
		'Brought in a history of payments: 320 new, 4 there already'
	],
	[{ kind: 'take-back-history', facts: { count: 320 } }, 'Took a history of 320 payments back'],
	[
		{ kind: 'dismiss-reported', facts: { count: 2, reason: 'recalled by the payer’s bank' } },
		'Took 2 reported entries off the list: recalled by the payer’s bank'
	],
	[
		{ kind: 'book-reported', facts: { count: 1 } },
		'Booked 1 entry from the bank’s reports, without a statement'
	],
	[
		{ kind: 'import-bank-file', facts: { file: 'bank.xml', entriesNew: 0, entriesKnown: 0, reported: 2 } },
		'Brought in bank.xml: 2 entries reported before the statement'
	],
	[
		{ kind: 'import-bank-file', facts: { file: 'bank.xml', entriesNew: 1, entriesKnown: 0, reported: 2 } },
		'Brought in bank.xml: 1 new entry, 0 there already; 2 entries reported before the statement'
	],
	[
		{
			kind: 'change-usual-line',
			facts: { name: 'Mere Bank', text: 'INTEREST', account: 'Bank interest received', off: false }
		},
		'Set the usual line of Mere Bank (“INTEREST”) to Bank interest received'
	],
	[
		{
			kind: 'change-usual-line',
			facts: { name: 'Mere Bank', text: 'INTEREST', account: 'Bank interest received', off: true }
		},
		'Switched off the usual line of Mere Bank (“INTEREST”)'
	],
	[
		{
			kind: 'void-receipt',
			facts: { ...gbp, payer: 'Marlpit Foods', method: 'cheque', reference: '100501', reason: 'typed twice' }
		},
		'Voided £1,200.50 from Marlpit Foods, recorded as cheque 100501: typed twice'
	],
	[
		{ kind: 'restore-receipt', facts: { of: posted } },
		'Undid: Allocated £1,200.50 from Marlpit Foods to Hazel Hill'
	],
	[
		{ kind: 'hold-receipts', facts: { count: 3, because: 'no advice yet', heldFor: 'Imre' } },
		'Held 3 receipts for Imre: no advice yet'
	],
	[
		{ kind: 'put-on-account', facts: { count: 2, customer: 'Hazel Hill' } },
		'Put 2 receipts on the account of Hazel Hill'
	],
	[{ kind: 'hold-receipt', facts: { because: 'asked them' } }, 'Held a receipt: asked them'],
	[{ kind: 'hold-receipt', facts: { because: '' } }, 'Took a receipt off hold'],
	[
		{ kind: 'hold-receipt', facts: { because: 'asked them', receipt: { ...gbp, payer: 'Marlpit Foods' } } },
		'Held £1,200.50 from Marlpit Foods: asked them'
	],
	[
		{ kind: 'hold-receipt', facts: { because: '', receipt: { ...gbp, payer: null } } },
		'Took £1,200.50 from an unnamed payer off hold'
	],
	[{ kind: 'set-aside', facts: { account: 'Interest', ...gbp } }, 'Posted £1,200.50 to Interest'],
	[
		{ kind: 'book-unidentified', facts: { payer: null, ...gbp } },
		'Booked £1,200.50 from an unnamed payer to unidentified receipts'
	],
	[
		{ kind: 'match-bank-entry', facts: { method: 'cheque', reference: '101', ...gbp } },
		'The bank shows £1,200.50 recorded before: cheque 101'
	],
	[
		{ kind: 'match-bank-return', facts: { part: 'fee', customer: 'Hazel Hill', ...gbp } },
		'The bank shows £1,200.50 of fee for a returned payment of Hazel Hill'
	],
	[
		{ kind: 'match-bank-return', facts: { part: 'both', customer: 'Hazel Hill', ...gbp } },
		'The bank shows £1,200.50 of a returned payment of Hazel Hill'
	],
	[posted, 'Allocated £1,200.50 from Marlpit Foods to Hazel Hill'],
	[
		{ kind: 'allocate-credits', facts: { customer: 'Hazel Hill', ...gbp } },
		'Allocated £1,200.50 of credit of Hazel Hill'
	],
	[
		{ kind: 'allocate-credits', facts: { customer: 'Hazel Hill', amount: 0, currency: 'GBP' } },
		'Booked deductions of Hazel Hill'
	],
	[{ kind: 'post-certain', facts: { count: 31 } }, 'Posted 31 certain receipts'],
	[
		{ kind: 'reallocate', facts: { payer: 'Marlpit Foods', customer: 'Hazel Hill', ...gbp } },
		'Reallocated £1,200.50 from Marlpit Foods to Hazel Hill'
	],
	[
		{ kind: 'move-receipts', facts: { count: 2, customer: null } },
		'Took 2 receipts off to be allocated again'
	],
	[{ kind: 'move-receipts', facts: { count: 1, customer: 'Hazel Hill' } }, 'Moved 1 receipt to Hazel Hill'],
	[
		{ kind: 'reinstate', facts: { of: posted } },
		'Reinstated: Allocated £1,200.50 from Marlpit Foods to Hazel Hill'
	],
	[{ kind: 'undo-posting', facts: { of: { text: 'Placed 1.00 GBP' } } }, 'Undid: Placed 1.00 GBP'],
	[{ kind: 'undo-acts', facts: { count: 3, of: null } }, 'Undid 3 postings'],
	[
		{ kind: 'undo-acts', facts: { count: 1, of: { kind: 'post-certain', facts: { count: 2 } } } },
		'Undid: Posted 2 certain receipts'
	],
	[
		{ kind: 'write-off-small-balances', facts: { count: 2, sums: [gbp, { amount: 5, currency: 'EUR' }] } },
		'Wrote off 2 small balances: £1,200.50 and €0.05'
	],
	[
		{ kind: 'return-payment', facts: { payer: 'Marlpit Foods', ...gbp } },
		'£1,200.50 from Marlpit Foods was returned'
	],
	[
		{ kind: 'undo-return', facts: { of: { kind: 'return-payment', facts: { payer: null, ...gbp } } } },
		'Undid: £1,200.50 from an unnamed payer was returned'
	],
	[{ kind: 'make-refund-file', facts: { count: 2 } }, 'Made a file of 2 refunds for the bank'],
	[{ kind: 'decide-claims', facts: { count: 2, note: 'photos seen' } }, 'Decided 2 claims (photos seen)'],
	[
		{
			kind: 'decide-claim',
			facts: { number: 'CL-1', currency: 'GBP', allowed: 100, billedBack: 200, writtenOff: 300, note: '' }
		},
		'Decided CL-1: £1.00 allowed, £2.00 billed back, £3.00 written off'
	],
	[{ kind: 'note-claim', facts: { number: 'CL-1', text: 'rang Despatch' } }, 'Noted on CL-1: rang Despatch'],
	[
		{ kind: 'file-claim', facts: { number: 'CL-1', files: ['a.jpg', 'b.jpg'] } },
		'Kept a.jpg and b.jpg with CL-1'
	],
	[
		{
			kind: 'change-claim',
			facts: { number: 'CL-1', reason: 'damaged', owner: 'Wren', deadline: '2026-11-13' }
		},
		'Changed CL-1: Wren, by 13 Nov 2026'
	],
	[
		{
			kind: 'ask-approval',
			facts: { about: { code: 'allocate', sum: gbp, payer: 'Marlpit Foods', customer: 'Hazel Hill' } }
		},
		'Asked a supervisor: post £1,200.50 from Marlpit Foods to Hazel Hill'
	],
	[
		{
			kind: 'answer-approval',
			facts: { answer: 'refuse', about: { code: 'text', text: 'write off £5.00' }, why: 'ask again' }
		},
		'Rejected: write off £5.00 (ask again)'
	],
	[{ kind: 'send-letters', facts: { letter: 'returned', count: 1 } }, 'Sent 1 returned-payment notice'],
	[{ kind: 'send-again', facts: { subject: 'Statement of account' } }, 'Sent again: Statement of account']
];

describe('an act in the record', () => {
	test.each(sentences.map(([said, want]) => [want, said] as const))('%s', (want, said) =>
		expect(actSentence(said)).toBe(want)
	);
	it('of every kind stands above', () => {
		const kinds = new Set(sentences.flatMap(([said]) => ('kind' in said ? [said.kind] : [])));
		expect(ACT_KINDS_IN_WORDS.filter((kind) => !kinds.has(kind))).toEqual([]);
	});
	it('of a kind that nobody knows is shown by its kind', () =>
		expect(actSentence({ kind: 'count-the-kilns', facts: {} } as never)).toBe('count-the-kilns'));
});
