import { heldReason } from './held-reason';
import type { FieldKey } from '../../core/1-columns/fields';
import { FIELD_NAMES } from './field-words';
import type { Problem } from '../../core/problems';
import { actSentence } from './act-sentence';
import { FILE_KIND_ADVICE, FILE_KIND_WORDS } from './file-kinds';
import { amount, count, moment, money, shortDay, whole } from './format';
import { overLimitSentence } from './over-limit-sentence';

const AMOUNT_FAULTS: Readonly<Record<string, string>> = {
	'unknown-currency': 'its currency is not one of ISO 4217',
	'not-a-number': 'it is not a number',
	'too-many-decimals': 'it has more decimals than the currency',
	'too-large': 'it is too large'
};

/** Says what is wrong, where, and what to do. */
export function problemSentence(problem: Problem): string {
	const where = placeOf(problem);
	return where ? `${where}: ${lowerFirst(sentence(problem))}` : sentence(problem);
}

function sentence(problem: Problem): string {
	switch (problem.code) {
		case 'file-empty':
			return 'The file is empty. Export it, or fetch it, again.';
		case 'file-too-large':
			return `The file is larger than ${Math.round(problem.most / 1e6)} MB. Ask the bank for shorter periods and bring them in one by one.`;
		case 'file-encoding-unknown':
			return `The file says it is written in “${problem.encoding}”, which cannot be read. Ask the bank for UTF-8.`;
		case 'xml-broken':
			return `The XML is broken here (${problem.detail}). Fetch the file from the bank again.`;
		case 'xml-cut-off':
			return 'The file ends in the middle. Fetch it from the bank again; nothing of it was taken.';
		case 'xml-doctype':
			return 'The file declares a document type, which no bank statement does. It is not read, for safety.';
		case 'not-camt':
			return `This is no statement, account report or notification of a bank in XML (camt.053, camt.052, camt.054); it says “${problem.found}”.`;
		case 'camt-version-unknown':
			return `The version ${problem.found} is not known here; 001.01 to 001.13 of camt.052, 053 and 054 are.`;
		case 'no-statement':
			return 'The file holds no statement.';
		case 'part-missing':
			return `The part ${problem.part} is missing or not one of its allowed values.`;
		case 'amount-bad':
			return `The amount “${problem.text}” ${problem.currency} in ${problem.part} cannot be taken: ${AMOUNT_FAULTS[problem.why] ?? problem.why}.`;
		case 'field-bad':
			return `“${problem.text}” is not written as field ${problem.field} should be.`;
		case 'control-differs':
			return `Record ${problem.part} says ${problem.want}, but what is before it comes to ${problem.found}. Records may be missing; fetch the file again.`;
		case 'balance-breaks':
			return `The balance ${amount(problem.found, problem.currency)} does not follow from the line before: it should be ${amount(problem.want, problem.currency)}. Lines may be missing or there twice; export the table again.`;
		case 'reported-met':
			return 'Some of these are on a statement or were booked meanwhile. Nothing was booked; look at the list again.';
		case 'corrects-entry':
			return `It corrects the entry ${problem.other}, which cannot be taken from a file. Ask the bank for a statement that shows both.`;
		case 'date-bad':
			return `“${problem.text}” in ${problem.part} is not a date.`;
		case 'entry-currency':
			return `The entry is in ${problem.found}, but the account is kept in ${problem.account}.`;
		case 'balance-wrong':
			return `The balance is wrong: opening ${amount(problem.opening, problem.currency)} and entries of ${amount(problem.entries, problem.currency)} do not come to the closing balance of ${amount(problem.closing, problem.currency)}. Entries may be missing; fetch the statement again.`;
		case 'account-unknown':
			return `Account ${problem.account} is not one of the firm's bank accounts. Add it under Books, or check the file.`;
		case 'account-currency':
			return `Account ${problem.account} is kept in ${problem.want}, but the statement is in ${problem.found}.`;
		case 'too-many-problems':
			return `There are more than ${problem.shown} problems; the first ${problem.shown} are listed.`;
		case 'csv-broken':
			return `The table is broken here (${problem.detail}).`;
		case 'csv-column-missing':
			return `The column ${problem.columns.join(', ')} is missing. The first line names: ${problem.found.join(', ') || 'nothing'}.`;
		case 'csv-no-headings':
			return 'No line names the columns: bring the table in with its headings.';
		case 'table-asks':
			return 'It is not known yet how to read this table: say which column is which.';
		case 'table-not-known':
			return 'No table like this one, of an account that it tells, was brought in before. Bring it in once on Money in, Bank table; the next one is then taken from the folder.';
		case 'csv-width':
			return `There are ${problem.found} fields here, but the first line names ${problem.want} columns.`;
		case 'csv-too-long':
			return `The table has more than ${whole(problem.most)} rows. Split it.`;
		case 'csv-field':
			return `“${problem.text}” in ${FIELD_NAMES[problem.field as FieldKey] ?? problem.field} cannot be taken: ${problem.why}.`;
		case 'sums-differ':
			return `${problem.parts} come to ${amount(problem.found, problem.currency)}, but ${problem.whole} is ${amount(problem.want, problem.currency)}.`;
		case 'not-a-document':
			return `This is not an invoice or credit note in UBL 2.1; it says “${problem.found}”.`;
		case 'differs':
			return `The ${problem.what} is not as in the books: ${problem.why}. What is posted is never changed by a table.`;
		case 'code-unknown':
			return `There is no ${problem.what} “${problem.text}”.`;
		case 'rate-bridge-missing':
			return `The rates of ${shortDay(problem.date)} do not say how much ${problem.base} one ${problem.of} buys, so they cannot be told in ${problem.base}.`;
		case 'nothing-to-place':
			return 'Nothing is chosen to be allocated.';
		case 'line-not-positive':
			return `${problem.item}: type an amount above zero. Fees and discounts are typed as positive numbers, too.`;
		case 'line-twice':
			return `${problem.item} is on this receipt twice.`;
		case 'over-item':
			return `${problem.item} has ${money(problem.open, problem.currency)} open; ${money(problem.asked, problem.currency)} is more.`;
		case 'over-receipt':
			return `${money(problem.placed, problem.currency)} is more than the ${money(problem.amount, problem.currency)} that came.`;
		case 'credit-unused':
			return `${problem.item} is ${money(problem.over, problem.currency)} more than the items chosen with it. Take another item, or less of the credit note.`;
		case 'other-currency':
			return `${problem.item} is in ${problem.found}, the receipt in ${problem.want}.`;
		case 'earlier-credit-unused':
			return `${money(problem.over, problem.currency)} of the earlier money is allocated to nothing. Take an item, or less of that money.`;
		case 'over-credit':
			return `${money(problem.left, problem.currency)} of that payment is left; ${money(problem.asked, problem.currency)} is more.`;
		case 'over-tolerance':
			return `${money(problem.amount, problem.currency)} is too much for a small difference: those go up to ${money(problem.most, problem.currency)}. Give it another name.`;
		case 'over-limit':
			return overLimitSentence(problem, problem.currency);
		case 'too-many-to-ask':
			return `${count(problem.count, 'credit note')} are more than may wait for a supervisor (${whole(problem.most)}). Have a supervisor bring in the table.`;
		case 'own-request':
			return 'You asked for that yourself: somebody else has to approve it.';
		case 'confirm-yourself':
			return 'Type your password again: that is asked before this is done.';
		case 'already-answered':
			return `${problem.who} answered that on ${moment(problem.at)} already.`;
		case 'credit-changed':
			return 'The earlier money was used by somebody meanwhile. Look at the account again.';
		case 'claim-of-claim':
			return `${problem.item} is a claim already. Settle it, or decide it.`;
		case 'claim-changed':
			return `Somebody dealt with ${problem.claim} meanwhile; ${money(problem.open, problem.currency)} of it is open now. Look at it again; nothing was decided.`;
		case 'claim-unexplained':
			return `Say why ${problem.item} was paid short, who follows it up, and until when.`;
		case 'split-part':
			return `Part ${problem.part}: the gross must be above zero, and the fee less than the gross.`;
		case 'split-sum':
			return `The parts less their fees come to ${money(problem.parts, problem.currency)}, the entry to ${money(problem.amount, problem.currency)}: ${money(Math.abs(problem.amount - problem.parts), problem.currency)} ${problem.amount > problem.parts ? 'is missing' : 'is too much'}.`;
		case 'draft-gone':
			return 'One of these was dealt with by somebody meanwhile. Look at the list again; nothing was done.';
		case 'draft-dated':
			return `The payment of ${problem.customer} is dated ${shortDay(problem.date)}. It is not money before that day.`;
		case 'more-than-open':
			return `${problem.number}: give an amount above zero and no more than the ${money(problem.open, problem.currency)} that is open.`;
		case 'credit-without-invoice':
			return `${problem.number}: the credit notes ticked outweigh what was paid with them. Tick an invoice of the same customer, or leave the credit note.`;
		case 'not-open':
			return `${problem.number} is not open on the account of ${problem.customer}.`;
		case 'match-differs':
			return `${money(problem.recorded, problem.currency)} was recorded, but the bank shows ${money(problem.shown, problem.currency)}.`;
		case 'no-customer':
			return 'Choose whose money it is first.';
		case 'not-a-credit-entry':
			return 'This is money that went out; it cannot settle invoices.';
		case 'over-return':
			return problem.asked <= 0
				? 'Say how much was returned: more than nothing.'
				: `${money(problem.asked, problem.currency)} is more than can be returned: ${money(problem.most, problem.currency)} of this payment is allocated or on account.`;
		case 'return-differs':
			return `The bank took ${money(problem.shown, problem.currency)}, ${money(problem.booked, problem.currency)} was booked. Choose what the entry shows, or have the rest booked as a bank charge.`;
		case 'came-back':
			return `The payment from ${problem.payer} was returned on ${shortDay(problem.date)}. Undo that first if it is wrong.`;
		case 'unidentified-first':
			return 'This money was booked to unidentified receipts. Undo that first (on the desk, under what the bank wrote).';
		case 'not-allowed':
			return `Your role (${problem.role}) may not do this; it takes a ${problem.needs}.`;
		case 'not-signed-in':
			return 'Sign in first.';
		case 'not-found':
			return `There is no such ${problem.what}.`;
		case 'receipt-taken':
			return `${problem.who || 'Somebody'} dealt with this receipt${problem.at ? ` on ${moment(problem.at)}` : ''}${problem.to ? `, for ${problem.to}` : ''}. What you typed is kept below; nothing was posted.`;
		case 'item-changed':
			return `${problem.who || 'Somebody'} changed ${problem.item} on ${moment(problem.at)}; ${money(problem.open, problem.currency)} is open now. Check the amounts and post again.`;
		case 'already-undone':
			return `${problem.who} undid this on ${moment(problem.at)}.`;
		case 'second-person':
			return `${problem.who} did this: a second person has to confirm it.`;
		case 'other-file':
			return `This is ${FILE_KIND_WORDS[problem.found]}${problem.found === 'empty' ? '' : `, not ${FILE_KIND_WORDS[problem.wanted]}`}. ${FILE_KIND_ADVICE[problem.found]}`;
		case 'bank-shows-it':
			return 'The bank shows this money: it came. What it was allocated to can be undone, but the receipt itself stays.';
		case 'account-merged':
			return `${problem.line === undefined ? '' : `Line ${problem.line}: `}${problem.customer} is seen as ${problem.into} now: use that account.`;
		case 'accounts-used-as-one':
			return `${count(problem.postings, 'posting')} since then ${problem.postings === 1 ? 'lies' : 'lie'} on what was ${problem.other}’s, as one with ${problem.customer}. Undo ${problem.postings === 1 ? 'it' : 'them'} first; then the two can be apart again.`;
		case 'entries-doubtful': {
			const [first] = problem.doubts;
			const one = first ? `${money(first.amount, first.currency)} on ${shortDay(first.booked)}` : '';
			return `${count(problem.doubts.length, 'entry', 'entries')} may be in the books already, brought by a file of another kind (${problem.doubts.length > 1 ? `the first: ${one}` : one}). Bring the file in on Money in, and say of each whether it is the same; until then nothing of it is taken.`;
		}
		case 'folder-only':
			return 'Bank files are taken from the watched folder alone, as the settings say. Put the file there, or ask a supervisor.';
		case 'out-of-bounds':
			return 'A sum of this, or a day, is beyond what can be booked: 100,000,000,000.00 at the most, and the years 1900 to 2199. Check the figures; nothing was booked.';
		case 'report-too-long':
			return `That is ${whole(problem.rows)} rows, and a PDF takes ${whole(problem.most)} at the most. Ask for less of it, or save it as XLSX or CSV.`;
		case 'took-too-long':
			return `That took longer than ${problem.seconds} seconds and was given up; nothing was changed. Ask for less of it, or try again when there is less to do.`;
		case 'books-full':
			return 'With this, the amounts in the books would add up to more than can be counted exactly. Check the amounts; nothing was booked.';
		case 'key-used':
			return `This form was posted at ${moment(problem.at)} by ${problem.who}, with what it held then. Load the page again to see it; what you changed since is not posted.`;
		case 'cannot-undo':
			return `This cannot be undone in one step: ${actSentence(problem.act)}. Correct it on the pages of its receipts, claims or documents.`;
		case 'credit-in-use':
			return `The credit is in use: ${problem.what}. Undo that first.`;
		case 'period-locked':
			return `The books are locked on ${shortDay(problem.date)}. The first open day is ${shortDay(problem.firstOpen)}.`;
		case 'opening-later':
			return `${problem.number} is dated ${shortDay(problem.date)}, after ${shortDay(problem.on)}, the day that the opening items are of.`;
		case 'opening-apart':
			return `With these, the opening items come to ${money(problem.balance, problem.currency)}; the control account shows ${money(problem.control, problem.currency)}. Look for what is missing or there twice, or bring them in with the difference.`;
		case 'archive-too-large':
			return problem.files > problem.most
				? `There are ${whole(problem.files)} files in it; up to ${whole(problem.most)} are unpacked.`
				: `Unpacked it would be ${whole(problem.bytes / 1e6)} MB, or was packed too tightly to be what it says; up to ${whole(problem.mostBytes / 1e6)} MB are unpacked.`;
		case 'archive-broken':
			return 'It cannot be unpacked: it is damaged, or has a password. Save it again without one.';
		case 'sheet-unreadable':
			return 'No sheet with rows can be read in it. Save it as XLSX or CSV again.';
		case 'is-set-up':
			return 'These books are set up already. All of it can be changed in Settings.';
		case 'not-proved':
			return `The books do not prove: ${count(problem.breaches, 'breach', 'breaches')} found. Books, Proof says where.`;
		case 'mail-refused':
			return `The mail server did not take the test${problem.why ? `: ${problem.why}` : ''}. Check the mail server and the firm’s e-mail address; then try again.`;
		case 'open-again':
			return `What ${problem.customer} would be thanked for is open again: nothing is sent.`;
		case 'not-a-pdf':
			return 'This is not a PDF. Choose the paper as a PDF; nothing was attached.';
		case 'mailbox-refused':
			return `The mailbox could not be opened${problem.why ? `: ${problem.why}` : ''}. Check its server, user, password and folder; then try again.`;
		case 'customer-changed':
			return `Somebody changed ${problem.customer} meanwhile. What you typed is still here; load the page again to see theirs.`;
		case 'account-not-settled': {
			const items = problem.items ? count(problem.items, 'open item') : '';
			const credits = problem.credits ? `money of ${count(problem.credits, 'receipt')} on account` : '';
			return `${problem.customer} has ${[items, credits].filter(Boolean).join(' and ')}. Settle that first, or write it off; then close the account.`;
		}
		case 'account-closed':
			return `The account of ${problem.customer} is closed. Open it again first.`;
		case 'no-rate':
			return `There is no ${problem.currency} rate on or before ${shortDay(problem.date)}. Add one first.`;
		case 'field':
			return problem.message;
		case 'number-taken':
			return `The number ${problem.number} is taken.`;
		case 'total-mismatch':
			return `The instalments of ${problem.number} do not come to its total.`;
		case 'address-missing':
			return `${problem.customer} has no address to which this can go. Fill it in first.`;
		case 'nothing-owed':
			return `${problem.customer} has nothing to ask for.`;
		case 'letter-sent':
			return `${problem.who} sent this to ${problem.customer} at ${moment(problem.at)}, after you opened the list. Load the page again to see it; it was not sent twice.`;
		case 'letter-changed':
			return `The account of ${problem.customer} changed since the letter was written. Look at it again before it goes.`;
		case 'interest-changed':
			return `The interest of ${problem.customer} is no longer what the sheet showed. Load the page again; nothing was charged.`;
		case 'policy-used':
			return `${count(problem.customers, 'customer is', 'customers are')} chased by “${problem.name}”. Give them another way first, then remove it.`;
		case 'step-taken':
			return `${problem.customer} was sent “${problem.step}” for these items already. It was not sent twice.`;
		case 'wording-wrong':
			return `The words for ${problem.customer} hold a placeholder that stands for nothing. Open them again and put it right.`;
		case 'wording-changed':
			return `Somebody else changed “${problem.name}” since you opened it. What you typed is still here: copy what you need, load the page again, and keep it then.`;
		case 'letter-failed':
			return `The letter to ${problem.customer || 'this account'} could not be written. The log says why; withdraw it and ask for it again.`;
		case 'letter-held':
			return `${problem.customer}: ${heldReason(problem.reason)}. Load the page again, and tick it once more if it is to go all the same.`;
		case 'run-changed':
			return 'Some of these letters were withdrawn or written meanwhile.';
		case 'run-empty':
			return 'None of these accounts would get a letter now. Load the page again.';
		case 'nothing-to-withdraw':
			return 'Every letter of this run was sent or withdrawn already.';
		case 'nothing-to-print':
			return 'No letter waits to be printed.';
		case 'last-supervisor':
			return 'The books need one supervisor at least.';
		default:
			return problem satisfies never;
	}
}

function placeOf(problem: Problem): string {
	const parts: string[] = [];
	if ('file' in problem && problem.file) parts.push(problem.file);
	if ('statement' in problem && problem.statement) parts.push(`Statement ${problem.statement}`);
	if ('entry' in problem && problem.entry) parts.push(`${parts.length ? 'entry' : 'Entry'} ${problem.entry}`);
	if ('line' in problem && problem.line) parts.push(`${parts.length ? 'line' : 'Line'} ${problem.line}`);
	return parts.join(', ');
}

function lowerFirst(text: string): string {
	return /^[A-Z][a-z]/.test(text) && !/^(XML|ISO)/.test(text) ? text[0]!.toLowerCase() + text.slice(1) : text;
}

/** Several problems as one text. */
export function problemsText(problems: readonly Problem[]): string {
	return problems.map(problemSentence).join(' ');
}
