import { TABLES_OF } from './tables-of';
import { SETTING_UP_NAMES } from './setting-up-words';
import { customerChangeWords } from './customer-words';
import type { ActFacts, ActKind, Said } from '../../core/model/act-facts';
import type { Lesson } from '../../core/3-matching';
import { count, list, money, percent, shortDay } from './format';
import { approvalSentence } from './approval-sentence';
import { inBrackets, named, sums, whom } from './phrases';
import { CALL_OUTCOME_WORDS } from './chasing-words';
import { landOf } from './land-of';
import { languageName } from './language-name';
import { LESSON_NAMES } from './habit-sentence';

/** Who may bring in bank files, in words. */
export const BANK_FILES_FROM = {
	anybody: 'anybody who may post',
	confirmed: 'anybody who may post, once a second person has confirmed them',
	folder: 'the watched folder only'
} as const;

/** The sentence of each kind of act: what somebody did, as it stands in the record. */
const SENTENCES: { readonly [K in ActKind]: (facts: ActFacts[K]) => string } = {
	'open-books': ({ firm }) => `Opened the books of ${firm}`,
	'set-up-firm': ({ firm }) => `Set up the books of ${firm}`,
	'add-person': ({ name, role }) => `Added ${name} as ${role}`,
	'make-sign-in-code': ({ name }) => `Made a code by which ${name} sets a password`,
	'send-sign-in-code': ({ name }) => `Sent ${name} a code by mail, by which they set a password`,
	'set-own-password': ({ name }) => `${name} set a password`,
	'add-second-factor': ({ name, kind, device }) => `${name} added a second step: ${STEP[kind]} “${device}”`,
	'remove-second-factor': ({ name, kind, device }) =>
		`${name} took off a second step: ${STEP[kind]} “${device}”`,
	'make-recovery-codes': ({ name }) => `${name} had recovery codes made`,
	'use-recovery-code': ({ name }) => `${name} came in by a recovery code`,
	'take-off-second-factors': ({ name }) => `Took the second step off ${name}’s sign-in`,
	'demand-second-factor': ({ roles }) => `Signing in takes a second step for ${whom(roles)}`,
	'change-role': ({ name, role }) =>
		role === 'none' ? `Removed the access of ${name}` : `Made ${name} ${role}`,
	'add-ledger-account': ({ code, name }) => `Added the ledger account ${code} ${name}`,
	'add-bank-account': ({ name, number }) => `Added the bank account ${name} (${number})`,
	'set-bank-files': ({ from }) => `Bank files are taken from ${BANK_FILES_FROM[from]}`,
	'confirm-bank-file': ({ file, who }) => `Confirmed the bank file ${file}, which ${who} brought in`,
	'accept-statement': ({ statement, reason }) =>
		`Took the statement ${statement} for the bank’s, though it does not go on from the one before: ${reason}`,
	'keep-table-readings': ({ kind, count: n }) =>
		`Remembered how ${n === 1 ? 'a table' : `${n} tables`} of ${TABLES_OF[kind]} ${n === 1 ? 'is' : 'are'} read`,
	'name-table-reading': ({ kind, before, name }) =>
		`Called a table of ${TABLES_OF[kind]}${before ? `, “${before}” before,` : ''} “${name}”`,
	'forget-table-reading': ({ kind, name }) =>
		`Forgot how ${name ? `“${name}”, a table of ${TABLES_OF[kind]},` : `a table of ${TABLES_OF[kind]}`} is read`,
	'set-logo': ({ isTakenOff }) =>
		isTakenOff ? 'Took the logo off letters' : 'Set the logo at the head of letters',
	'keep-terms': ({ name }) => `Put “${name}” on the list of terms of payment`,
	'drop-terms': ({ name }) => `Took “${name}” off the list of terms of payment`,
	'add-method': ({ name }) => `Added “${name}” to the ways in which money comes`,
	'set-auditor': ({ email }) =>
		email ? `Anchors of the books go to ${email}` : 'Anchors of the books go to nobody by mail',
	'set-mail-server': ({ host, user }) =>
		host
			? `Mail goes through ${host}${user ? `, signed in as ${user}` : ''}`
			: 'Mail goes through no server of the settings',
	'set-mailbox': ({ host, user }) =>
		host
			? `Undelivered mail is read in the mailbox of ${user} at ${host}`
			: 'Undelivered mail is read nowhere',
	'make-signing-key': ({ domain, selector }) => `Made a key to sign mail of ${domain} with (${selector})`,
	'use-signing-key': ({ domain, on }) =>
		on ? `Mail of ${domain} is signed` : `Mail of ${domain} is no longer signed`,
	'set-letters': ({ inCredit, payLink, perMinute }) =>
		[
			`Set how letters go: customers in credit get ${inCredit === 'send' ? 'a statement that says so' : 'none'}`,
			payLink ? `they can be paid at ${payLink}` : '',
			perMinute === null ? '' : `${count(perMinute, 'letter')} a minute at most`
		]
			.filter(Boolean)
			.join(', '),
	'set-conventions': ({ locale, timeZone }) =>
		`Numbers are written as in ${landOf(locale)}, times are those of ${timeZone}`,
	'set-ageing': ({ ends }) => `Ageing buckets end after ${list(ends.map(String))} days`,
	'set-limits': () => 'Set the limits for deductions and write-offs',
	'acknowledge-findings': ({ count: n, reason }) =>
		`Acknowledged ${count(n, 'finding', 'findings')} of the proof: ${reason}`,
	'lock-period': ({ through, reason }) =>
		`Locked the books up to ${shortDay(through)}${reason ? `: ${reason}` : ''}`,
	'unlock-period': ({ from, reason }) => `Opened the books again from ${shortDay(from)}: ${reason}`,
	'add-rates': ({ count: n }) => `Added ${count(n, 'exchange rate')}`,
	'add-customers': ({ count: n }) => `Added ${count(n, 'customer account')}`,
	'set-firm': ({ firm }) => `Changed what letters say of ${firm}`,
	'leave-step-out': ({ step, leftOut }) =>
		`${leftOut ? 'Left out' : 'Took up again'}, of setting up: ${SETTING_UP_NAMES[step]}`,
	'test-mail': ({ email }) => `Sent a test message to ${email}`,
	'finish-setting-up': ({ proved }) =>
		proved ? 'Set the books up: they prove' : 'Ended setting the books up, without a proof',
	'change-customer': ({ customer, code, currency, changes }) =>
		`Changed ${customer}, ${code}: ${changes.map((one) => customerChangeWords(one, currency)).join('; ')}`,
	'close-account': ({ customer, code, reason }) => `Closed the account ${code} of ${customer}: ${reason}`,
	'reopen-account': ({ customer, code }) => `Opened the account ${code} of ${customer} again`,
	'open-account': ({ customer, code }) => `Opened the account ${code} of ${customer}`,
	'bring-in-customers': ({ added, changed, skipped }) =>
		`Brought in a table of customers: ${added} new, ${changed ? `${changed} changed, ` : ''}${skipped} there already`,
	'set-address': ({ letter, customer }) => `Set the ${letter} address of ${customer}`,
	'forget-habit': ({ habit, customer }) =>
		`Forgot how ${customer} pays: ${LESSON_NAMES[habit as Lesson] ?? habit}`,
	'forget-payer': ({ trait, text, customer }) =>
		trait === 'words'
			? `Forgot that “${text}” stands for ${customer}`
			: `Forgot that ${text} pays for ${customer}`,
	'issue-document': ({ number, customer }) => `Issued ${number} to ${customer}`,
	'issue-by-hand': ({ number, customer }) => `Wrote ${number} for ${customer}`,
	'bring-in-documents': ({ added, skipped, opening }) =>
		`Brought in ${opening ? `opening items of ${shortDay(opening)}` : 'documents'}: ${added} new, ${skipped} there already`,
	'import-bank-file': ({ file, entriesNew, entriesKnown, reported }) => {
		const listed = `${count(entriesNew, 'new entry', 'new entries')}, ${entriesKnown} there already`;
		const told = reported ? `${count(reported, 'entry', 'entries')} reported before the statement` : '';
		// Most files have statements or reports, and not both.
		const parts = [entriesNew + entriesKnown > 0 || !told ? listed : '', told].filter(Boolean);
		return `Brought in ${file}: ${parts.join('; ')}`;
	},
	'divide-receipt': ({ parts, ...sum }) =>
		`Divided ${money(sum.amount, sum.currency)} into the ${count(parts, 'payment')} that the bank told of`,
	'bring-in-history': ({ added, skipped }) =>
		`Brought in a history of payments: ${added} new, ${skipped} there already`,
	'take-back-history': ({ count: n }) => `Took a history of ${count(n, 'payment')} back`,
	'dismiss-reported': ({ count: n, reason }) =>
		`Took ${count(n, 'reported entry', 'reported entries')} off the list: ${reason}`,
	'book-reported': ({ count: n }) =>
		`Booked ${count(n, 'entry', 'entries')} from the bank’s reports, without a statement`,
	'keep-manual-receipts': ({ added, changed, sums: of }) => {
		const parts = [
			added ? `Typed ${count(added, 'manual receipt')}` : '',
			changed ? `${added ? 'changed' : 'Changed'} ${count(changed, 'manual receipt')}` : ''
		];
		return `${parts.filter(Boolean).join(', ')}: ${sums(of)}`;
	},
	'drop-manual-receipts': ({ count: n, sums: of }) => `Deleted ${count(n, 'manual receipt')}: ${sums(of)}`,
	'record-as-paid': ({ items, payments }) =>
		`Recorded ${count(items, 'item')} as paid, in ${count(payments, 'payment')}`,
	'post-manual-receipts': ({ count: n }) => `Posted ${count(n, 'manual receipt')}`,
	'change-usual-line': ({ name, text, account, off }) =>
		off
			? `Switched off the usual line of ${name} (“${text}”)`
			: `Set the usual line of ${name} (“${text}”) to ${account}`,
	'void-receipt': ({ payer, method, reference, reason, ...sum }) =>
		`Voided ${money(sum.amount, sum.currency)} from ${named(payer)}, recorded as ${`${method} ${reference}`.trim()}: ${reason}`,
	'restore-receipt': ({ of }) => `Undid: ${actSentence(of)}`,
	'make-paying-in-slip': ({ slip, count: n, ...sum }) =>
		`Made paying-in slip ${slip}: ${count(n, 'payment')}, ${money(sum.amount, sum.currency)}`,
	'keep-advice': ({ customer, ...sum }) =>
		`Kept a remittance advice of ${customer} over ${money(sum.amount, sum.currency)}`,
	'drop-advice': (sum) => `Deleted a remittance advice over ${money(sum.amount, sum.currency)}`,
	'split-receipt': ({ parts, ...sum }) => `Split ${money(sum.amount, sum.currency)} into ${parts} payments`,
	'join-parts': ({ parts }) => `Joined ${parts} parts of one entry again`,
	'hold-receipts': ({ count: n, because, heldFor }) =>
		`Held ${count(n, 'receipt')}${heldFor ? ` for ${heldFor}` : ''}: ${because}`,
	'put-on-account': ({ count: n, customer }) => `Put ${count(n, 'receipt')} on the account of ${customer}`,
	'hold-receipt': ({ because, receipt, heldFor }) => {
		const which = receipt
			? `${money(receipt.amount, receipt.currency)} from ${named(receipt.payer)}`
			: 'a receipt';
		return because
			? `Held ${which}${heldFor ? ` for ${heldFor}` : ''}: ${because}`
			: `Took ${which} off hold`;
	},
	'set-aside': ({ account, ...sum }) => `Posted ${money(sum.amount, sum.currency)} to ${account}`,
	'book-unidentified': ({ payer, ...sum }) =>
		`Booked ${money(sum.amount, sum.currency)} from ${named(payer)} to unidentified receipts`,
	'match-bank-entry': ({ method, reference, ...sum }) =>
		`The bank shows ${money(sum.amount, sum.currency)} recorded before: ${`${method} ${reference}`.trim()}`,
	'match-bank-return': ({ part, customer, ...sum }) =>
		`The bank shows ${money(sum.amount, sum.currency)} ${part === 'fee' ? 'of fee for' : 'of'} a returned payment of ${customer}`,
	'allocate-receipt': ({ payer, customer, ...sum }) =>
		`Allocated ${money(sum.amount, sum.currency)} from ${named(payer)} to ${customer}`,
	'allocate-credits': ({ customer, ...sum }) =>
		sum.amount > 0
			? `Allocated ${money(sum.amount, sum.currency)} of credit of ${customer}`
			: `Booked deductions of ${customer}`,
	'post-certain': ({ count: n }) => `Posted ${count(n, 'certain receipt')}`,
	reallocate: ({ payer, customer, ...sum }) =>
		`Reallocated ${money(sum.amount, sum.currency)} from ${named(payer)} to ${customer}`,
	'move-receipts': ({ count: n, customer }) =>
		customer === null
			? `Took ${count(n, 'receipt')} off to be allocated again`
			: `Moved ${count(n, 'receipt')} to ${customer}`,
	reinstate: ({ of }) => `Reinstated: ${actSentence(of)}`,
	'undo-posting': ({ of }) => `Undid: ${actSentence(of)}`,
	'undo-acts': ({ count: n, of }) => (of ? `Undid: ${actSentence(of)}` : `Undid ${count(n, 'posting')}`),
	'write-off-small-balances': ({ count: n, sums: of }) =>
		`Wrote off ${count(n, 'small balance')}: ${sums(of)}`,
	'return-payment': ({ payer, ...sum }) =>
		`${money(sum.amount, sum.currency)} from ${named(payer)} was returned`,
	'undo-return': ({ of }) => `Undid: ${actSentence(of)}`,
	'make-refund-file': ({ count: n }) => `Made a file of ${count(n, 'refund')} for the bank`,
	'decide-claims': ({ count: n, note }) => `Decided ${count(n, 'claim')}${inBrackets(note)}`,
	'decide-claim': ({ number, currency, allowed, billedBack, writtenOff, note }) => {
		const parts = [
			allowed ? `${money(allowed, currency)} allowed` : '',
			billedBack ? `${money(billedBack, currency)} billed back` : '',
			writtenOff ? `${money(writtenOff, currency)} written off` : ''
		];
		return `Decided ${number}: ${parts.filter(Boolean).join(', ')}${inBrackets(note)}`;
	},
	'add-note': ({ customer, text }) => `Noted of ${customer}: ${text}`,
	'record-promise': ({ customer, sum, promisedFor, saidBy }) =>
		`${customer} promised ${money(sum.amount, sum.currency)} by ${shortDay(promisedFor)}${saidBy ? `: ${saidBy}` : ''}`,
	'take-off-promise': ({ customer, sum }) =>
		`Took off a promise of ${customer} to pay ${money(sum.amount, sum.currency)}`,
	'merge-accounts': ({ customer, code, other, otherCode }) =>
		`Merged ${other}, ${otherCode}, into ${customer}, ${code}`,
	'part-accounts': ({ customer, code, other, otherCode }) =>
		`Took back that ${other}, ${otherCode}, is one with ${customer}, ${code}`,
	'attach-paper': ({ number, file }) => `Attached ${file} to ${number} as its paper`,
	'take-off-paper': ({ number, file }) => `Took ${file} off ${number}`,
	'keep-customer-files': ({ customer, files }) => `Kept ${list(files)} with ${customer}`,
	'take-off-customer-files': ({ customer, files }) => `Took ${list(files)} off ${customer}`,
	'take-off-note': ({ customer, text }) => `Took off a note of ${customer}: ${text}`,
	'note-claim': ({ number, text }) => `Noted on ${number}: ${text}`,
	'file-claim': ({ number, files }) => `Kept ${list(files)} with ${number}`,
	'change-claim': ({ number, owner, deadline }) => `Changed ${number}: ${owner}, by ${shortDay(deadline)}`,
	'ask-approval': ({ about }) => `Asked a supervisor: ${approvalSentence(about)}`,
	'answer-approval': ({ answer, about, why }) => {
		const says = { agree: 'Approved', refuse: 'Rejected', withdraw: 'Withdrew' }[answer];
		return `${says}: ${approvalSentence(about)}${inBrackets(why)}`;
	},
	'send-letters': ({ letter, count: n }) => `Sent ${count(n, LETTERS_IN_A_ROW[letter])}`,
	'start-run': ({ letter, count: n, overruled }) =>
		`Asked for ${count(n, LETTERS_IN_A_ROW[letter])}${overruled > 0 ? `, ${overruled} of them in spite of a reason against it` : ''}`,
	'pause-run': ({ run }) => `Paused run ${run} of letters`,
	'resume-run': ({ run }) => `Resumed run ${run} of letters`,
	'withdraw-letters': ({ run, count: n }) => `Withdrew ${count(n, 'letter')} of run ${run}`,
	'hold-letters': ({ count: n }) => `Held ${count(n, 'letter')} that could not be written`,
	'print-letters': ({ count: n }) => `Printed ${count(n, 'letter')}`,
	'send-again': ({ subject, to }) => `Sent again${to ? ` to ${to}` : ''}: ${subject}`,
	'keep-wording': ({ name, language, version }) =>
		`Changed the wording “${name}” in ${languageName(language)} (version ${version})`,
	'set-interest': ({ margin, since }) =>
		`Set the terms of interest: ${percent(margin)} above the reference rate, from ${shortDay(since)} on`,
	'charge-interest': ({ count: n, through }) =>
		`Charged interest to ${shortDay(through)} on ${count(n, 'account')}`,
	'charge-account': ({ customer, charge, credit, currency }) =>
		[
			charge > 0
				? `Charged ${customer} interest of ${money(charge, currency)}`
				: `Corrected the interest of ${customer}`,
			credit > 0 ? `${money(credit, currency)} given back` : ''
		]
			.filter(Boolean)
			.join(', '),
	'undo-interest': ({ count: n }) => `Took back ${count(n, 'charge')} of interest`,
	'undo-interest-charge': ({ number, sum }) =>
		`Took back the interest charged on ${number}: ${money(sum.amount, sum.currency)}`,
	'keep-policy': ({ name, steps }) => `Set the way of chasing “${name}”: ${count(steps, 'step')}`,
	'drop-policy': ({ name }) => `Removed the way of chasing “${name}”`,
	'record-call': ({ customer, outcome, said, againOn }) =>
		`Called ${customer}, ${CALL_OUTCOME_WORDS[outcome]}${againOn ? ` on ${shortDay(againOn)}` : ''}${said ? `: ${said}` : ''}`,
	'add-task': ({ customer, what, day }) => `Put down for ${customer}, by ${shortDay(day)}: ${what}`,
	'finish-task': ({ customer, what }) => `Done for ${customer}: ${what}`,
	'drop-wording': ({ name, language, isBuiltIn }) =>
		isBuiltIn
			? `Went back to the usual words of “${name}” in ${languageName(language)}`
			: `Removed the wording “${name}” in ${languageName(language)}`
};

/** What kinds of letters are called where they are counted. */
const LETTERS_IN_A_ROW = {
	...{ thanks: 'thank-you letter', copies: 'covering letter', interest: 'interest notice' },
	statement: 'statement',
	reminder: 'reminder',
	returned: 'returned-payment notice'
} as const;

/** What somebody did, in a sentence without its full stop. */
export function actSentence(said: Said): string {
	if ('text' in said) return said.text;
	const sentence = SENTENCES[said.kind] as ((facts: unknown) => string) | undefined;
	return sentence ? sentence(said.facts) : said.kind;
}

/** Every kind that there are words for. */
export const ACT_KINDS_IN_WORDS = Object.keys(SENTENCES) as readonly ActKind[];

const STEP = { app: 'the app', passkey: 'the passkey' } as const;
