import type { ActFacts, ActKind, ApprovalAbout, Said, Sum } from '../../core/model/act-facts';
import type { Lesson } from '../../core/3-matching';
import { count, list, money, shortDay } from './format';
import { landOf } from './land-of';
import { LESSON_NAMES } from './habit-sentence';

/** The sentence of each kind of act: what somebody did, as it stands in the record. */
/** Who may bring in bank files, in words. */
export const BANK_FILES_FROM = {
	anybody: 'anybody who may post',
	confirmed: 'anybody who may post, and a second person confirms them',
	folder: 'the watched folder alone'
} as const;

const SENTENCES: { readonly [K in ActKind]: (facts: ActFacts[K]) => string } = {
	'open-books': ({ firm }) => `Opened the books of ${firm}`,
	'set-up-firm': ({ firm }) => `Set up the books of ${firm}`,
	'add-person': ({ name, role }) => `Let in ${name} as ${role}`,
	'change-role': ({ name, role }) => (role === 'none' ? `Shut out ${name}` : `Made ${name} ${role}`),
	'add-bank-account': ({ name, number }) => `Added the bank account ${name} (${number})`,
	'set-bank-files': ({ from }) => `Bank files come in by ${BANK_FILES_FROM[from]}`,
	'confirm-bank-file': ({ file, who }) => `Confirmed the bank file ${file}, which ${who} brought in`,
	'accept-statement': ({ statement, reason }) =>
		`Took the statement ${statement} for the bank’s, though it does not go on from the one before: ${reason}`,
	'add-method': ({ name }) => `Added “${name}” to the ways in which money comes`,
	'set-auditor': ({ email }) =>
		email ? `Anchors of the books go to ${email}` : 'Anchors of the books go to nobody by mail',
	'set-conventions': ({ locale, timeZone }) =>
		`Numbers are written as in ${landOf(locale)}, times are those of ${timeZone}`,
	'set-limits': () => 'Set the limits for deductions and write-offs',
	'lock-period': ({ through, reason }) =>
		`Locked the books up to ${shortDay(through)}${reason ? `: ${reason}` : ''}`,
	'unlock-period': ({ from, reason }) => `Opened the books again from ${shortDay(from)}: ${reason}`,
	'add-rates': ({ count: n }) => `Added ${count(n, 'exchange rate')}`,
	'add-customers': ({ count: n }) => `Added ${count(n, 'customer account')}`,
	'bring-in-customers': ({ added, skipped }) =>
		`Brought in a table of customers: ${added} new, ${skipped} there already`,
	'set-address': ({ letter, customer }) => `Set the ${letter} address of ${customer}`,
	'forget-habit': ({ habit, customer }) =>
		`Forgot how ${customer} pays: ${LESSON_NAMES[habit as Lesson] ?? habit}`,
	'forget-payer': ({ trait, text, customer }) =>
		trait === 'words'
			? `Forgot that “${text}” stands for ${customer}`
			: `Forgot that ${text} pays for ${customer}`,
	'issue-document': ({ number, customer }) => `Issued ${number} to ${customer}`,
	'issue-by-hand': ({ number, customer }) => `Wrote ${number} for ${customer}`,
	'bring-in-documents': ({ added, skipped }) =>
		`Brought in documents: ${added} new, ${skipped} there already`,
	'import-bank-file': ({ file, entriesNew, entriesKnown }) =>
		`Brought in ${file}: ${count(entriesNew, 'new entry', 'new entries')}, ${entriesKnown} there already`,
	'keep-manual-receipts': ({ added, changed, sums: of }) => {
		const parts = [
			added ? `Typed ${count(added, 'manual receipt')}` : '',
			changed ? `${added ? 'changed' : 'Changed'} ${count(changed, 'manual receipt')}` : ''
		];
		return `${parts.filter(Boolean).join(', ')}: ${sums(of)}`;
	},
	'drop-manual-receipts': ({ count: n, sums: of }) => `Deleted ${count(n, 'manual receipt')}: ${sums(of)}`,
	'post-manual-receipts': ({ count: n }) => `Posted ${count(n, 'manual receipt')}`,
	'make-paying-in-slip': ({ slip, count: n, ...sum }) =>
		`Made paying-in slip ${slip}: ${count(n, 'payment')}, ${money(sum.amount, sum.currency)}`,
	'keep-advice': ({ customer, ...sum }) =>
		`Kept a remittance advice of ${customer} over ${money(sum.amount, sum.currency)}`,
	'drop-advice': (sum) => `Deleted a remittance advice over ${money(sum.amount, sum.currency)}`,
	'split-receipt': ({ parts, ...sum }) => `Split ${money(sum.amount, sum.currency)} into ${parts} payments`,
	'join-parts': ({ parts }) => `Joined ${parts} parts of one entry again`,
	'hold-receipt': ({ because }) => (because ? `Held a receipt: ${because}` : 'Took a receipt off hold'),
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
		`${money(sum.amount, sum.currency)} from ${named(payer)} came back`,
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
	'note-claim': ({ number, text }) => `Noted on ${number}: ${text}`,
	'file-claim': ({ number, files }) => `Kept ${list(files)} with ${number}`,
	'change-claim': ({ number, owner, deadline }) => `Changed ${number}: ${owner}, by ${shortDay(deadline)}`,
	'ask-approval': ({ about }) => `Asked a supervisor: ${approvalSentence(about)}`,
	'answer-approval': ({ answer, about, why }) => {
		const says = { agree: 'Agreed', refuse: 'Did not agree', withdraw: 'Asked no longer' }[answer];
		return `${says}: ${approvalSentence(about)}${inBrackets(why)}`;
	},
	'send-letters': ({ letter, count: n }) =>
		`Sent ${count(n, { statement: 'statement', reminder: 'reminder', returned: 'returned-payment notice' }[letter])}`,
	'send-again': ({ subject }) => `Sent again: ${subject}`
};

/** What somebody did, in a sentence without its full stop. */
export function actSentence(said: Said): string {
	if ('text' in said) return said.text;
	const sentence = SENTENCES[said.kind] as ((facts: unknown) => string) | undefined;
	return sentence ? sentence(said.facts) : said.kind;
}

/** What a supervisor is asked for, in words that follow "asks to". */
export function approvalSentence(about: ApprovalAbout): string {
	switch (about.code) {
		case 'text':
			return about.text;
		case 'write-off-claims':
			return `write off ${list(about.sums.map((one) => `${money(one.amount, one.currency)} of ${one.number}`))}${inBrackets(about.note)}`;
		case 'write-off':
			return `write off ${sums(about.sums)} of ${about.number ?? count(about.documents, 'document')}${inBrackets(about.note)}`;
		case 'allocate':
			return `post ${money(about.sum.amount, about.sum.currency)} from ${named(about.payer)} to ${about.customer}`;
	}
}

function named(payer: string | null): string {
	return payer ?? 'an unnamed payer';
}

function inBrackets(note: string): string {
	return note ? ` (${note})` : '';
}

function sums(of: readonly Sum[]): string {
	return list(of.map((sum) => money(sum.amount, sum.currency))) || 'nothing';
}

/** Every kind that there are words for. */
export const ACT_KINDS_IN_WORDS = Object.keys(SENTENCES) as readonly ActKind[];
