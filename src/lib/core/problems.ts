import type { EntryDoubt } from './model/entry-doubt';
import type { OverLimit } from './4-allocation/over-limits';
import type { FileKind } from './model/file-kind';
import type { Said } from './model/act-facts';
import type { HeldReason } from './7-letters/why-held';

/**
 * What can go wrong in use, as a code and facts. The sentences are in `words/problem-sentence.ts`; facts are plain values
 * that cross workers and forms. Amounts in facts are minor units beside their currency.
 */
type Where = {
	readonly file?: string;
	readonly statement?: string;
	readonly entry?: string;
	readonly line?: number;
	readonly column?: number;
};

export type Problem =
	/** What is to be booked, and all before it, comes to more than books can count. */
	| { readonly code: 'books-full' }
	/** A sum or a day that follows from what was given is beyond what one may be. */
	| { readonly code: 'out-of-bounds' }
	/** A report of more rows than fit paper that anybody reads. */
	| { readonly code: 'report-too-long'; readonly rows: number; readonly most: number }
	| { readonly code: 'took-too-long'; readonly seconds: number }
	/** Who did it does not confirm it. */
	| { readonly code: 'second-person'; readonly who: string }
	/** Entries of a bank file of which somebody has to say whether another file brought them before. */
	| { readonly code: 'entries-doubtful'; readonly doubts: readonly EntryDoubt[] }
	/** An account that is seen as another. */
	| {
			readonly code: 'account-merged';
			readonly customer: string;
			readonly into: string;
			readonly line?: number;
	  }
	/** Postings that were made while two accounts were one. */
	| {
			readonly code: 'accounts-used-as-one';
			readonly customer: string;
			readonly other: string;
			readonly postings: number;
	  }
	/** The firm takes bank files from the watched folder only. */
	| { readonly code: 'folder-only' }
	/** The bank shows the money: it cannot be said that it never was. */
	| { readonly code: 'bank-shows-it' }
	/** A file is something else than what is taken here. */
	| {
			readonly code: 'other-file';
			readonly found: FileKind;
			readonly wanted: FileKind;
			readonly file?: string;
	  }
	// bank files
	| ({ readonly code: 'file-empty' } & Where)
	| ({ readonly code: 'file-too-large'; readonly bytes: number; readonly most: number } & Where)
	| ({ readonly code: 'file-encoding-unknown'; readonly encoding: string } & Where)
	| ({ readonly code: 'xml-broken'; readonly detail: string } & Where)
	| ({ readonly code: 'xml-cut-off' } & Where)
	| ({ readonly code: 'xml-doctype' } & Where)
	| ({ readonly code: 'not-camt'; readonly found: string } & Where)
	| ({ readonly code: 'camt-version-unknown'; readonly found: string } & Where)
	| ({ readonly code: 'no-statement' } & Where)
	| ({ readonly code: 'part-missing'; readonly part: string } & Where)
	| ({
			readonly code: 'amount-bad';
			readonly text: string;
			readonly currency: string;
			readonly why: string;
			readonly part: string;
	  } & Where)
	/** A field of a bank's message is not written as it should be. */
	| ({ readonly code: 'field-bad'; readonly field: string; readonly text: string } & Where)
	/** A sum or count at the end of a part of a bank file is not what its records come to; as figures of the file. */
	| ({
			readonly code: 'control-differs';
			readonly part: string;
			readonly want: string;
			readonly found: string;
	  } & Where)
	/** A balance within a bank's table that does not follow from the lines before it. */
	| ({
			readonly code: 'balance-breaks';
			readonly found: number;
			readonly want: number;
			readonly currency: string;
	  } & Where)
	/** What a bank reported is on a statement, or was booked, meanwhile. */
	| { readonly code: 'reported-met' }
	/** An entry stands for another that the bank gave before. */
	| ({ readonly code: 'corrects-entry'; readonly other: string } & Where)
	| ({ readonly code: 'date-bad'; readonly text: string; readonly part: string } & Where)
	| ({ readonly code: 'entry-currency'; readonly found: string; readonly account: string } & Where)
	| ({
			readonly code: 'balance-wrong';
			readonly opening: number;
			readonly entries: number;
			readonly closing: number;
			readonly currency: string;
	  } & Where)
	| ({ readonly code: 'account-unknown'; readonly account: string; readonly currency: string } & Where)
	| ({
			readonly code: 'account-currency';
			readonly account: string;
			readonly found: string;
			readonly want: string;
	  } & Where)
	| ({ readonly code: 'too-many-problems'; readonly shown: number } & Where)
	// tables
	| ({ readonly code: 'csv-broken'; readonly detail: string } & Where)
	| ({
			readonly code: 'csv-column-missing';
			readonly columns: readonly string[];
			readonly found: readonly string[];
	  } & Where)
	/** No line of a table looks as if it named columns. */
	| ({ readonly code: 'csv-no-headings' } & Where)
	/** Something of how a table is to be read has to be said first. */
	| ({ readonly code: 'table-asks' } & Where)
	/** A bank's table came where nobody can be asked, and none like it came before. */
	| ({ readonly code: 'table-not-known' } & Where)
	| ({ readonly code: 'csv-width'; readonly want: number; readonly found: number } & Where)
	| ({ readonly code: 'csv-too-long'; readonly most: number } & Where)
	| ({
			readonly code: 'csv-field';
			readonly field: string;
			readonly text: string;
			readonly why: string;
	  } & Where)
	| ({
			readonly code: 'sums-differ';
			/** What was added up, and what it should come to, as names of the format. */
			readonly parts: string;
			readonly whole: string;
			readonly found: number;
			readonly want: number;
			readonly currency: string;
	  } & Where)
	| ({ readonly code: 'not-a-document'; readonly found: string } & Where)
	| ({ readonly code: 'differs'; readonly what: string; readonly why: string } & Where)
	| ({ readonly code: 'code-unknown'; readonly what: string; readonly text: string } & Where)
	| ({
			readonly code: 'rate-bridge-missing';
			readonly base: string;
			readonly of: string;
			readonly date: string;
	  } & Where)
	// allocation
	| { readonly code: 'nothing-to-place' }
	| { readonly code: 'line-not-positive'; readonly item: string }
	| { readonly code: 'line-twice'; readonly item: string }
	| {
			readonly code: 'over-item';
			readonly item: string;
			readonly asked: number;
			readonly open: number;
			readonly currency: string;
	  }
	| {
			readonly code: 'over-receipt';
			readonly placed: number;
			readonly amount: number;
			readonly currency: string;
	  }
	| {
			readonly code: 'credit-unused';
			readonly item: string;
			readonly over: number;
			readonly currency: string;
	  }
	| { readonly code: 'other-currency'; readonly item: string; readonly found: string; readonly want: string }
	| { readonly code: 'earlier-credit-unused'; readonly over: number; readonly currency: string }
	| {
			readonly code: 'over-credit';
			readonly asked: number;
			readonly left: number;
			readonly currency: string;
	  }
	| {
			readonly code: 'over-tolerance';
			readonly amount: number;
			readonly most: number;
			readonly currency: string;
	  }
	| ({ readonly code: 'over-limit'; readonly currency: string } & OverLimit)
	| { readonly code: 'too-many-to-ask'; readonly count: number; readonly most: number }
	| { readonly code: 'own-request' }
	/** The password has to be asked for again before it is done. */
	| { readonly code: 'confirm-yourself' }
	| { readonly code: 'credit-changed' }
	| { readonly code: 'already-answered'; readonly who: string; readonly at: string }
	| { readonly code: 'claim-of-claim'; readonly item: string }
	| {
			readonly code: 'claim-changed';
			readonly claim: string;
			readonly open: number;
			readonly currency: string;
	  }
	| { readonly code: 'claim-unexplained'; readonly item: string }
	| { readonly code: 'split-part'; readonly part: number }
	| {
			readonly code: 'split-sum';
			readonly parts: number;
			readonly amount: number;
			readonly currency: string;
	  }
	| { readonly code: 'draft-gone' }
	| { readonly code: 'draft-dated'; readonly customer: string; readonly date: string }
	| {
			readonly code: 'more-than-open';
			readonly number: string;
			readonly open: number;
			readonly currency: string;
	  }
	| { readonly code: 'credit-without-invoice'; readonly number: string }
	| { readonly code: 'not-open'; readonly number: string; readonly customer: string }
	| {
			readonly code: 'match-differs';
			readonly recorded: number;
			readonly shown: number;
			readonly currency: string;
	  }
	| {
			readonly code: 'over-return';
			readonly asked: number;
			readonly most: number;
			readonly currency: string;
	  }
	| {
			readonly code: 'return-differs';
			readonly shown: number;
			readonly booked: number;
			readonly currency: string;
	  }
	| { readonly code: 'came-back'; readonly payer: string; readonly date: string }
	| { readonly code: 'no-customer' }
	| { readonly code: 'not-a-credit-entry' }
	| { readonly code: 'unidentified-first' }
	// acts
	| { readonly code: 'not-allowed'; readonly role: string; readonly needs: string }
	| { readonly code: 'not-signed-in' }
	| { readonly code: 'not-found'; readonly what: string }
	| { readonly code: 'receipt-taken'; readonly who: string; readonly at: string; readonly to: string | null }
	| {
			readonly code: 'item-changed';
			readonly item: string;
			readonly who: string;
			readonly at: string;
			readonly open: number;
			readonly currency: string;
	  }
	| { readonly code: 'already-undone'; readonly who: string; readonly at: string }
	/** The same form came again with something else in it, or from somebody else. */
	| { readonly code: 'key-used'; readonly who: string; readonly at: string }
	| { readonly code: 'cannot-undo'; readonly act: Said }
	| { readonly code: 'credit-in-use'; readonly what: string }
	| { readonly code: 'period-locked'; readonly date: string; readonly firstOpen: string }
	/** An opening balance of a day after the one that the balances are of. */
	| {
			readonly code: 'opening-later';
			readonly number: string;
			readonly date: string;
			readonly on: string;
			readonly file?: string;
			readonly line?: number;
	  }
	/** Opening balances come to another sum than the control account of the books of before. */
	| {
			readonly code: 'opening-apart';
			readonly balance: number;
			readonly control: number;
			readonly currency: string;
	  }
	| { readonly code: 'no-rate'; readonly currency: string; readonly date: string }
	| { readonly code: 'field'; readonly field: string; readonly message: string }
	| { readonly code: 'number-taken'; readonly number: string }
	| { readonly code: 'total-mismatch'; readonly number: string }
	/** An archive that holds more than is unpacked. */
	| {
			readonly code: 'archive-too-large';
			readonly files: number;
			readonly bytes: number;
			readonly most: number;
			readonly mostBytes: number;
			readonly file?: string;
	  }
	| { readonly code: 'archive-broken'; readonly file?: string }
	/** A spreadsheet file without rows, or that is none. */
	| { readonly code: 'sheet-unreadable'; readonly file?: string }
	/** A step of setting up, in books that are set up. */
	| { readonly code: 'is-set-up' }
	/** What somebody wants to finish with a proof, and the books do not prove. */
	| { readonly code: 'not-proved'; readonly breaches: number }
	/** The mail server did not take a message. */
	| { readonly code: 'mail-refused'; readonly why: string }
	| { readonly code: 'open-again'; readonly customer: string }
	| { readonly code: 'not-a-pdf'; readonly file: string }
	| { readonly code: 'mailbox-refused'; readonly why: string }
	/** Somebody else changed what is kept of a customer since it was shown. */
	| { readonly code: 'customer-changed'; readonly customer: string }
	/** An account that is to be closed has open items, or money on it. */
	| {
			readonly code: 'account-not-settled';
			readonly customer: string;
			readonly items: number;
			readonly credits: number;
	  }
	/** A document for an account that is closed. */
	| { readonly code: 'account-closed'; readonly customer: string }
	| { readonly code: 'address-missing'; readonly customer: string }
	| { readonly code: 'nothing-owed'; readonly customer: string }
	| { readonly code: 'letter-changed'; readonly customer: string }
	/** The sheet of interest is no longer what the person saw. */
	| { readonly code: 'interest-changed'; readonly customer: string }
	/** A way of chasing that customers have cannot be removed. */
	| { readonly code: 'policy-used'; readonly name: string; readonly customers: number }
	/** A step of chasing that was taken already. */
	| { readonly code: 'step-taken'; readonly customer: string; readonly step: string }
	/** Words for one letter that cannot be filled in. */
	| { readonly code: 'wording-wrong'; readonly customer: string }
	/** Somebody else changed the words since they were opened. */
	| { readonly code: 'wording-changed'; readonly name: string }
	/** A letter that could not be set as paper. */
	| { readonly code: 'letter-failed'; readonly customer: string }
	/** Something stands against a letter that whoever chose it did not see. */
	| { readonly code: 'letter-held'; readonly customer: string; readonly reason: HeldReason }
	/** Letters of a run were withdrawn, or written, meanwhile. */
	| { readonly code: 'run-changed' }
	| { readonly code: 'run-empty' }
	| { readonly code: 'nothing-to-withdraw' }
	| { readonly code: 'nothing-to-print' }
	| { readonly code: 'letter-sent'; readonly customer: string; readonly who: string; readonly at: string }
	| { readonly code: 'last-supervisor' };

export type ProblemCode = Problem['code'];
