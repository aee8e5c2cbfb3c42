import type { Said } from '../../core/model/act-facts';

/** Acts on customers and on how people sign in, as they stand in the record. */
export const SENTENCES_OF_PEOPLE: readonly (readonly [Said, string])[] = [
	[
		{ kind: 'add-note', facts: { customer: 'Hazel Hill', text: 'Rang, pays on Friday' } },
		'Noted of Hazel Hill: Rang, pays on Friday'
	],
	[
		{
			kind: 'record-promise',
			facts: {
				...{ customer: 'Hazel Hill', sum: { amount: 50_000, currency: 'GBP' } },
				...{ promisedFor: '2026-11-06', saidBy: 'Ada Reed' }
			}
		},
		'Hazel Hill promised £500.00 by 6 Nov 2026: Ada Reed'
	],
	[
		{
			kind: 'take-off-promise',
			facts: { customer: 'Hazel Hill', sum: { amount: 50_000, currency: 'GBP' } }
		},
		'Took off a promise of Hazel Hill to pay £500.00'
	],
	[
		{
			kind: 'merge-accounts',
			facts: { customer: 'Hazel Hill', code: 'H1', other: 'Hazel Pots', otherCode: 'H9' }
		},
		'Merged Hazel Pots, H9, into Hazel Hill, H1'
	],
	[
		{
			kind: 'part-accounts',
			facts: { customer: 'Hazel Hill', code: 'H1', other: 'Hazel Pots', otherCode: 'H9' }
		},
		'Took back that Hazel Pots, H9, is one with Hazel Hill, H1'
	],
	[
		{ kind: 'keep-customer-files', facts: { customer: 'Hazel Hill', files: ['terms.pdf', 'order.pdf'] } },
		'Kept terms.pdf and order.pdf with Hazel Hill'
	],
	[
		{ kind: 'take-off-customer-files', facts: { customer: 'Hazel Hill', files: ['terms.pdf'] } },
		'Took terms.pdf off Hazel Hill'
	],
	[
		{ kind: 'take-off-note', facts: { customer: 'Hazel Hill', text: 'Rang, pays on Friday' } },
		'Took off a note of Hazel Hill: Rang, pays on Friday'
	],
	[
		{
			kind: 'change-customer',
			facts: {
				...{ customer: 'Hazel Hill', code: 'H1059', currency: 'GBP' },
				changes: [
					{ field: 'termsDays', before: 30, after: 45 },
					{ field: 'creditLimit', before: null, after: 500_000 },
					{ field: 'discountBasisPoints', before: 250, after: null },
					{ field: 'address', before: 'Kiln Row', after: 'Kiln Row, Mere' },
					{ field: 'pausedUntil', before: null, after: '2026-12-01' },
					{ field: 'tags', before: ['north', 'kilns'], after: [] }
				]
			}
		},
		'Changed Hazel Hill, H1059: terms 30 days, now 45 days; credit limit £5,000.00; settlement discount 2.5% taken off; address “Kiln Row”, now “Kiln Row, Mere”; paused until 1 Dec 2026; tags “north”, “kilns” taken off'
	],
	[{ kind: 'set-firm', facts: { firm: 'Ashlock Kiln' } }, 'Changed what letters say of Ashlock Kiln'],
	[{ kind: 'leave-step-out', facts: { step: 'people', leftOut: true } }, 'Left out, of setting up: People'],
	[{ kind: 'leave-step-out', facts: { step: 'mail', leftOut: false } }, 'Took up again, of setting up: Mail'],
	[
		{ kind: 'test-mail', facts: { email: 'wren@ashlock-kiln.example' } },
		'Sent a test message to wren@ashlock-kiln.example'
	],
	[{ kind: 'finish-setting-up', facts: { proved: true } }, 'Set the books up: they prove'],
	[{ kind: 'finish-setting-up', facts: { proved: false } }, 'Ended setting the books up, without a proof'],
	[
		{ kind: 'bring-in-customers', facts: { added: 2, changed: 3, skipped: 1 } },
		'Brought in a table of customers: 2 new, 3 changed, 1 there already'
	],
	[
		{ kind: 'close-account', facts: { customer: 'Hazel Hill', code: 'H1059', reason: 'sold' } },
		'Closed the account H1059 of Hazel Hill: sold'
	],
	[
		{ kind: 'reopen-account', facts: { customer: 'Hazel Hill', code: 'H1059' } },
		'Opened the account H1059 of Hazel Hill again'
	],
	[
		{ kind: 'bring-in-documents', facts: { added: 2, skipped: 1, opening: '2026-09-30' } },
		'Brought in opening items of 30 Sep 2026: 2 new, 1 there already'
	],
	[{ kind: 'make-sign-in-code', facts: { name: 'Wren' } }, 'Made a code by which Wren sets a password'],
	[
		{ kind: 'send-sign-in-code', facts: { name: 'Wren' } },
		'Sent Wren a code by mail, by which they set a password'
	],
	[{ kind: 'set-own-password', facts: { name: 'Wren' } }, 'Wren set a password'],
	[
		{ kind: 'add-second-factor', facts: { name: 'Wren', kind: 'app', device: 'My phone' } },
		'Wren added a second step: the app “My phone”'
	],
	[
		{ kind: 'remove-second-factor', facts: { name: 'Wren', kind: 'passkey', device: 'Key' } },
		'Wren took off a second step: the passkey “Key”'
	],
	[{ kind: 'make-recovery-codes', facts: { name: 'Wren' } }, 'Wren had recovery codes made'],
	[
		{ kind: 'acknowledge-findings', facts: { count: 2, reason: 'an emoji cut in half' } },
		'Acknowledged 2 findings of the proof: an emoji cut in half'
	],
	[{ kind: 'use-recovery-code', facts: { name: 'Wren' } }, 'Wren came in by a recovery code'],
	[{ kind: 'take-off-second-factors', facts: { name: 'Wren' } }, 'Took the second step off Wren’s sign-in'],
	[
		{ kind: 'demand-second-factor', facts: { roles: ['clerk', 'supervisor'] } },
		'Signing in takes a second step for clerks and supervisors'
	],
	[{ kind: 'demand-second-factor', facts: { roles: [] } }, 'Signing in takes a second step for nobody']
];

/** Acts on the firm's own settings, its accounts, tables and periods. */
export const SENTENCES_OF_THE_FIRM: readonly (readonly [Said, string])[] = [
	[{ kind: 'open-books', facts: { firm: 'Ashlock' } }, 'Opened the books of Ashlock'],
	[{ kind: 'set-up-firm', facts: { firm: 'Ashlock' } }, 'Set up the books of Ashlock'],
	[{ kind: 'add-person', facts: { name: 'Wren', role: 'clerk' } }, 'Added Wren as clerk'],
	[{ kind: 'change-role', facts: { name: 'Wren', role: 'none' } }, 'Removed the access of Wren'],
	[{ kind: 'change-role', facts: { name: 'Wren', role: 'reader' } }, 'Made Wren reader'],
	[
		{ kind: 'add-bank-account', facts: { name: 'Euro', number: 'GB00' } },
		'Added the bank account Euro (GB00)'
	],
	[
		{ kind: 'set-bank-files', facts: { from: 'confirmed' } },
		'Bank files are taken from anybody who may post, once a second person has confirmed them'
	],
	[
		{ kind: 'confirm-bank-file', facts: { file: 'bank.xml', who: 'Wren' } },
		'Confirmed the bank file bank.xml, which Wren brought in'
	],
	[
		{ kind: 'accept-statement', facts: { statement: 'S7', reason: 'the bank was changed' } },
		'Took the statement S7 for the bank’s, though it does not go on from the one before: the bank was changed'
	],
	[
		{ kind: 'keep-table-readings', facts: { kind: 'customers', count: 1 } },
		'Remembered how a table of customers is read'
	],
	[
		{ kind: 'keep-table-readings', facts: { kind: 'documents', count: 2 } },
		'Remembered how 2 tables of documents are read'
	],
	[
		{ kind: 'name-table-reading', facts: { kind: 'customers', before: 'kunden.csv', name: 'Ledger' } },
		'Called a table of customers, “kunden.csv” before, “Ledger”'
	],
	[
		{ kind: 'name-table-reading', facts: { kind: 'bank-table', before: '', name: 'Mere' } },
		'Called a table of bank entries “Mere”'
	],
	[
		{ kind: 'forget-table-reading', facts: { kind: 'history', name: 'Ledger' } },
		'Forgot how “Ledger”, a table of past payments, is read'
	],
	[
		{ kind: 'forget-table-reading', facts: { kind: 'documents', name: '' } },
		'Forgot how a table of documents is read'
	],
	[{ kind: 'start-run', facts: { letter: 'statement', count: 12, overruled: 0 } }, 'Asked for 12 statements'],
	[
		{ kind: 'start-run', facts: { letter: 'reminder', count: 2, overruled: 1 } },
		'Asked for 2 reminders, 1 of them in spite of a reason against it'
	],
	[{ kind: 'pause-run', facts: { run: 3 } }, 'Paused run 3 of letters'],
	[{ kind: 'resume-run', facts: { run: 3 } }, 'Resumed run 3 of letters'],
	[{ kind: 'withdraw-letters', facts: { run: 3, count: 1 } }, 'Withdrew 1 letter of run 3'],
	[{ kind: 'hold-letters', facts: { count: 2 } }, 'Held 2 letters that could not be written'],
	[
		{ kind: 'set-interest', facts: { margin: 800, since: '2026-11-01' } },
		'Set the terms of interest: 8% above the reference rate, from 1 Nov 2026 on'
	],
	[
		{ kind: 'charge-interest', facts: { count: 2, through: '2026-10-30' } },
		'Charged interest to 30 Oct 2026 on 2 accounts'
	],
	[
		{ kind: 'charge-account', facts: { customer: 'Hazel', charge: 966, credit: 0, currency: 'GBP' } },
		'Charged Hazel interest of £9.66'
	],
	[
		{ kind: 'charge-account', facts: { customer: 'Hazel', charge: 0, credit: 644, currency: 'GBP' } },
		'Corrected the interest of Hazel, £6.44 given back'
	],
	[{ kind: 'undo-interest', facts: { count: 1 } }, 'Took back 1 charge of interest'],
	[
		{ kind: 'undo-interest-charge', facts: { number: 'INT-1001', sum: { amount: 966, currency: 'GBP' } } },
		'Took back the interest charged on INT-1001: £9.66'
	],
	[
		{ kind: 'keep-policy', facts: { name: 'Schools', steps: 3 } },
		'Set the way of chasing “Schools”: 3 steps'
	],
	[{ kind: 'drop-policy', facts: { name: 'Schools' } }, 'Removed the way of chasing “Schools”'],
	[
		{
			kind: 'record-call',
			facts: { customer: 'Hazel', outcome: 'again', said: 'in a meeting', againOn: '2026-11-02' }
		},
		'Called Hazel, to be called again on 2 Nov 2026: in a meeting'
	],
	[
		{ kind: 'record-call', facts: { customer: 'Hazel', outcome: 'no-answer', said: '' } },
		'Called Hazel, no answer'
	],
	[
		{ kind: 'add-task', facts: { customer: 'Hazel', what: 'send the delivery note', day: '2026-11-02' } },
		'Put down for Hazel, by 2 Nov 2026: send the delivery note'
	],
	[
		{ kind: 'finish-task', facts: { customer: 'Hazel', what: 'send the delivery note' } },
		'Done for Hazel: send the delivery note'
	],
	[
		{ kind: 'keep-wording', facts: { name: 'Firm tone', language: 'de', version: 2 } },
		'Changed the wording “Firm tone” in German (version 2)'
	],
	[
		{ kind: 'drop-wording', facts: { name: 'Statement', language: 'en', isBuiltIn: true } },
		'Went back to the usual words of “Statement” in English'
	],
	[
		{ kind: 'drop-wording', facts: { name: 'Firm tone', language: 'de', isBuiltIn: false } },
		'Removed the wording “Firm tone” in German'
	],
	[{ kind: 'print-letters', facts: { count: 2 } }, 'Printed 2 letters'],
	[{ kind: 'set-logo', facts: { isTakenOff: false } }, 'Set the logo at the head of letters'],
	[{ kind: 'set-logo', facts: { isTakenOff: true } }, 'Took the logo off letters'],
	[{ kind: 'keep-terms', facts: { name: '30 days' } }, 'Put “30 days” on the list of terms of payment'],
	[{ kind: 'drop-terms', facts: { name: '30 days' } }, 'Took “30 days” off the list of terms of payment'],
	[{ kind: 'add-method', facts: { name: 'card' } }, 'Added “card” to the ways in which money comes'],
	[
		{ kind: 'set-auditor', facts: { email: 'audit@tarn.example' } },
		'Anchors of the books go to audit@tarn.example'
	],
	[
		{ kind: 'attach-paper', facts: { number: 'AK-1', file: 'ak-1.pdf' } },
		'Attached ak-1.pdf to AK-1 as its paper'
	],
	[{ kind: 'take-off-paper', facts: { number: 'AK-1', file: 'ak-1.pdf' } }, 'Took ak-1.pdf off AK-1'],
	[
		{ kind: 'set-mail-server', facts: { host: 'mail.tarn.example', user: 'accounts' } },
		'Mail goes through mail.tarn.example, signed in as accounts'
	],
	[{ kind: 'set-mail-server', facts: { host: '', user: '' } }, 'Mail goes through no server of the settings'],
	[
		{ kind: 'set-mailbox', facts: { host: 'mail.tarn.example', user: 'accounts' } },
		'Undelivered mail is read in the mailbox of accounts at mail.tarn.example'
	],
	[{ kind: 'set-mailbox', facts: { host: '', user: '' } }, 'Undelivered mail is read nowhere'],
	[
		{ kind: 'make-signing-key', facts: { domain: 'tarn.example', selector: 'oddpenny1' } },
		'Made a key to sign mail of tarn.example with (oddpenny1)'
	],
	[
		{ kind: 'use-signing-key', facts: { domain: 'tarn.example', on: true } },
		'Mail of tarn.example is signed'
	],
	[
		{ kind: 'use-signing-key', facts: { domain: 'tarn.example', on: false } },
		'Mail of tarn.example is no longer signed'
	],
	[
		{ kind: 'send-again', facts: { subject: 'Statement of H1', to: 'new@hazel.example' } },
		'Sent again to new@hazel.example: Statement of H1'
	],
	[
		{ kind: 'set-letters', facts: { inCredit: 'send', payLink: '', perMinute: null } },
		'Set how letters go: customers in credit get a statement that says so'
	],
	[
		{
			kind: 'set-letters',
			facts: { inCredit: 'hold', payLink: 'https://pay.ashlock-kiln.example', perMinute: 30 }
		},
		'Set how letters go: customers in credit get none, they can be paid at https://pay.ashlock-kiln.example, 30 letters a minute at most'
	],
	[
		{ kind: 'set-conventions', facts: { locale: 'de-CH', timeZone: 'Europe/Zurich' } },
		'Numbers are written as in Switzerland (German), times are those of Europe/Zurich'
	],
	[{ kind: 'set-ageing', facts: { ends: [30, 60, 90] } }, 'Ageing buckets end after 30, 60 and 90 days'],
	[{ kind: 'set-limits', facts: {} }, 'Set the limits for deductions and write-offs'],
	[
		{ kind: 'lock-period', facts: { through: '2026-09-30', reason: '' } },
		'Locked the books up to 30 Sep 2026'
	],
	[
		{ kind: 'lock-period', facts: { through: '2026-09-30', reason: 'month end' } },
		'Locked the books up to 30 Sep 2026: month end'
	],
	[
		{ kind: 'unlock-period', facts: { from: '2026-09-01', reason: 'late note' } },
		'Opened the books again from 1 Sep 2026: late note'
	],
	[{ kind: 'add-rates', facts: { count: 1 } }, 'Added 1 exchange rate']
];
