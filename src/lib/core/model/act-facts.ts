import type { AskedKind } from './asked-kind';
import type { CallOutcome } from './call-outcome';
import type { SettingUpStep } from './setting-up-step';
import type { CustomerChange } from './customer-details';
import type { ClaimReason } from './claim';
import type { CreditNoteKind, DifferenceKind } from './records';

/** An amount in minor units beside its currency. */
export interface Sum {
	readonly amount: number;
	readonly currency: string;
}

/** The account that stays, and the one that is seen as it. */
export interface MergedFacts {
	readonly customer: string;
	readonly code: string;
	readonly other: string;
	readonly otherCode: string;
}

/** Whose second factor, of what kind, and what they call the device. */
export interface SecondFactorFacts {
	readonly name: string;
	readonly kind: 'app' | 'passkey';
	readonly device: string;
}

/** How a record of the books is named in another: by code and facts, or as a sentence where an earlier version wrote one. */
export type Said =
	{ [K in ActKind]: { readonly kind: K; readonly facts: ActFacts[K] } }[ActKind] | { readonly text: string };

/** A limit that changes: whose, which, and its sum before and after in base currency; null for none. */
export interface LimitChange {
	/** A role, or a person's name; null for the bound of a small difference, which holds for all. */
	readonly whose: string | null;
	readonly scope: string;
	readonly kind: string;
	readonly before: number | null;
	readonly after: number | null;
}

/** What waits for a supervisor, as code and facts. */
export type ApprovalAbout =
	| {
			readonly code: 'write-off-claims';
			readonly sums: readonly (Sum & { readonly number: string })[];
			readonly note: string;
	  }
	| {
			readonly code: 'write-off';
			readonly sums: readonly Sum[];
			readonly documents: number;
			/** The document, where it is one alone. */
			readonly number: string | null;
			readonly note: string;
	  }
	| {
			readonly code: 'decide-claims';
			readonly allowed: readonly (Sum & { readonly number: string })[];
			readonly writtenOff: readonly (Sum & { readonly number: string })[];
			/** Stays on the account; approvals of before do not say it. */
			readonly billedBack?: readonly (Sum & { readonly number: string })[];
			readonly note: string;
	  }
	| {
			readonly code: 'credit';
			readonly number: string;
			readonly sum: Sum;
			readonly of: CreditNoteKind;
			readonly customer: string;
	  }
	| { readonly code: 'bring-in-credits'; readonly count: number; readonly sums: readonly Sum[] }
	| {
			readonly code: 'set-aside';
			readonly sum: Sum;
			readonly payer: string | null;
			readonly account: string;
	  }
	| {
			readonly code: 'refund-file';
			readonly from: string;
			readonly refunds: readonly (Sum & { readonly payee: string; readonly account: string })[];
	  }
	| {
			readonly code: 'add-bank-account';
			readonly name: string;
			readonly number: string;
			readonly bank: string;
			readonly currency: string;
	  }
	| {
			readonly code: 'set-limits';
			readonly baseCurrency: string;
			readonly changes: readonly LimitChange[];
	  }
	| { readonly code: 'add-person'; readonly name: string; readonly email: string; readonly role: string }
	| { readonly code: 'change-role'; readonly name: string; readonly before: string; readonly role: string }
	| { readonly code: 'make-sign-in-code'; readonly name: string; readonly email: string }
	| { readonly code: 'take-off-second-factors'; readonly name: string; readonly email: string }
	| { readonly code: 'demand-second-factor'; readonly roles: readonly string[] }
	| { readonly code: 'unlock-period'; readonly from: string; readonly reason: string }
	| { readonly code: 'set-bank-files'; readonly from: 'anybody' | 'confirmed' | 'folder' }
	| { readonly code: 'set-auditor'; readonly email: string }
	/** Where letters can be paid; nothing for no page. */
	| { readonly code: 'set-letters'; readonly payLink: string }
	/** Through which server mail goes; no host for none. */
	| { readonly code: 'set-mail-server'; readonly host: string; readonly user: string }
	| { readonly code: 'allocate'; readonly sum: Sum; readonly payer: string | null; readonly customer: string }
	/** Nothing but credits and deductions on an account. */
	| { readonly code: 'allocate-credits'; readonly currency: string; readonly customer: string }
	/** As a sentence, where an earlier version wrote one. */
	| { readonly code: 'text'; readonly text: string };

/** What agreeing would do to one item, beside the journal: an allocation in one currency, a deduction, a claim. */
export interface ItemLine extends Sum {
	readonly number: string;
	readonly customer: string;
	/** `allocated`, or what is taken off the item without money. */
	readonly kind: 'allocated' | 'billed_back' | DifferenceKind | 'settled_before';
}

/**
 * Every kind of act, with the facts that its summary is made of. The sentences are in `words/act-sentence.ts`; the compiler
 * holds that there is one for each. Kinds and facts are kept in the record for ever: a kind that is named anew keeps its
 * earlier name in `server/act/kinds.ts`, and facts may only be added.
 */
/** A kind of letter as records name it. */
type LetterName = 'statement' | 'reminder' | 'returned' | 'thanks' | 'copies' | 'interest';

export interface ActFacts {
	// the firm and its people
	'open-books': { readonly firm: string };
	'set-up-firm': { readonly firm: string };
	'add-person': { readonly name: string; readonly role: string };
	/** `none` shuts the person out. */
	'change-role': { readonly name: string; readonly role: string };
	/** A code by which a person sets a password of their own. */
	'make-sign-in-code': { readonly name: string };
	/** The same by mail, for who asked by their address. */
	'send-sign-in-code': { readonly name: string };
	'set-own-password': { readonly name: string };
	/** What a person shows beside the password. */
	'add-second-factor': SecondFactorFacts;
	'remove-second-factor': SecondFactorFacts;
	'make-recovery-codes': { readonly name: string };
	'use-recovery-code': { readonly name: string };
	/** Everything of the kind that a person has, by a supervisor. */
	'take-off-second-factors': { readonly name: string };
	'demand-second-factor': { readonly roles: readonly string[] };
	'add-bank-account': { readonly name: string; readonly number: string };
	'set-bank-files': { readonly from: 'anybody' | 'confirmed' | 'folder' };
	'confirm-bank-file': { readonly file: string; readonly who: string };
	'accept-statement': { readonly statement: string; readonly reason: string };
	'add-ledger-account': { readonly code: string; readonly name: string };
	'add-method': { readonly name: string };
	'keep-table-readings': {
		readonly kind: AskedKind;
		readonly count: number;
	};
	'name-table-reading': { readonly kind: AskedKind; readonly before: string; readonly name: string };
	'forget-table-reading': { readonly kind: AskedKind; readonly name: string };
	'set-logo': { readonly isTakenOff: boolean };
	'keep-terms': { readonly name: string };
	'drop-terms': { readonly name: string };
	'set-limits': Record<string, never>;
	'set-auditor': { readonly email: string };
	'set-mail-server': { readonly host: string; readonly user: string };
	'set-mailbox': { readonly host: string; readonly user: string };
	'make-signing-key': { readonly domain: string; readonly selector: string };
	'use-signing-key': { readonly domain: string; readonly on: boolean };
	'set-letters': {
		readonly inCredit: 'send' | 'hold';
		readonly payLink: string;
		readonly perMinute: number | null;
	};
	'set-conventions': { readonly locale: string; readonly timeZone: string };
	'set-ageing': { readonly ends: readonly number[] };
	'lock-period': { readonly through: string; readonly reason: string };
	'unlock-period': { readonly from: string; readonly reason: string };
	'add-rates': { readonly count: number };
	/** What the proof found, looked into and put down. */
	'acknowledge-findings': { readonly count: number; readonly reason: string };
	// customers
	'add-customers': { readonly count: number };
	'set-firm': { readonly firm: string };
	'leave-step-out': { readonly step: SettingUpStep; readonly leftOut: boolean };
	'test-mail': { readonly email: string };
	'finish-setting-up': { readonly proved: boolean };
	'change-customer': {
		readonly customer: string;
		readonly code: string;
		readonly currency: string;
		readonly changes: readonly CustomerChange[];
	};
	'close-account': { readonly customer: string; readonly code: string; readonly reason: string };
	'reopen-account': { readonly customer: string; readonly code: string };
	'open-account': { readonly customer: string; readonly code: string };
	'bring-in-customers': { readonly added: number; readonly changed?: number; readonly skipped: number };
	'set-address': { readonly letter: 'statement' | 'reminder'; readonly customer: string };
	'forget-habit': { readonly habit: string; readonly customer: string };
	'forget-payer': {
		readonly trait: 'account' | 'name' | 'words';
		readonly text: string;
		readonly customer: string;
	};
	// documents
	'issue-document': { readonly number: string; readonly customer: string };
	'issue-by-hand': { readonly number: string; readonly customer: string };
	'bring-in-documents': {
		readonly added: number;
		readonly skipped: number;
		/** The day that they are opening balances of. */
		readonly opening?: string;
	};
	// money in
	'import-bank-file': {
		readonly file: string;
		readonly entriesNew: number;
		readonly entriesKnown: number;
		/** Entries of a bank's reports, which wait for its statement. */
		readonly reported?: number;
	};
	'divide-receipt': Sum & { readonly parts: number };
	'book-reported': { readonly count: number };
	'bring-in-history': { readonly added: number; readonly skipped: number };
	'take-back-history': { readonly count: number };
	'dismiss-reported': { readonly count: number; readonly reason: string };
	'keep-manual-receipts': { readonly added: number; readonly changed: number; readonly sums: readonly Sum[] };
	'drop-manual-receipts': { readonly count: number; readonly sums: readonly Sum[] };
	'record-as-paid': { readonly items: number; readonly payments: number };
	'post-manual-receipts': { readonly count: number };
	'change-usual-line': {
		readonly name: string;
		readonly text: string;
		readonly account: string;
		readonly off: boolean;
	};
	'void-receipt': Sum & {
		readonly payer: string | null;
		readonly method: string;
		readonly reference: string;
		readonly reason: string;
	};
	'restore-receipt': { readonly of: Said };
	'make-paying-in-slip': Sum & { readonly slip: number; readonly count: number };
	'keep-advice': Sum & { readonly customer: string };
	'drop-advice': Sum;
	'split-receipt': Sum & { readonly parts: number };
	'join-parts': { readonly parts: number };
	/** Without a reason the hold is taken off. */
	'hold-receipts': { readonly count: number; readonly because: string; readonly heldFor: string | null };
	'put-on-account': { readonly count: number; readonly customer: string };
	'hold-receipt': {
		readonly because: string;
		/** Who looks into it; left out in records of before. */
		readonly heldFor?: string | null;
		/** The receipt; records of before do not say it. */
		readonly receipt?: Sum & { readonly payer: string | null };
	};
	'set-aside': Sum & { readonly account: string };
	'book-unidentified': Sum & { readonly payer: string | null };
	'match-bank-entry': Sum & { readonly method: string; readonly reference: string };
	'match-bank-return': Sum & { readonly part: 'money' | 'fee' | 'both'; readonly customer: string };
	// allocation
	'allocate-receipt': Sum & { readonly payer: string | null; readonly customer: string };
	/** Nothing but deductions were booked where the amount is nought. */
	'allocate-credits': Sum & { readonly customer: string };
	'post-certain': { readonly count: number };
	reallocate: Sum & { readonly payer: string | null; readonly customer: string };
	/** Without a customer the receipts wait again. */
	'move-receipts': { readonly count: number; readonly customer: string | null };
	reinstate: { readonly of: Said };
	'undo-posting': { readonly of: Said };
	/** Several, or a decision with all its parts, undone as one. */
	'undo-acts': { readonly count: number; readonly of: Said | null };
	'write-off-small-balances': { readonly count: number; readonly sums: readonly Sum[] };
	// returned payments, and refunds
	'return-payment': Sum & { readonly payer: string | null };
	'undo-return': { readonly of: Said };
	'make-refund-file': { readonly count: number };
	// claims
	'decide-claims': { readonly count: number; readonly note: string };
	'decide-claim': {
		readonly number: string;
		readonly currency: string;
		readonly allowed: number;
		readonly billedBack: number;
		readonly writtenOff: number;
		readonly note: string;
	};
	'add-note': { readonly customer: string; readonly text: string };
	'record-promise': {
		readonly customer: string;
		readonly sum: Sum;
		readonly promisedFor: string;
		readonly saidBy: string;
	};
	'take-off-promise': { readonly customer: string; readonly sum: Sum };
	'merge-accounts': MergedFacts;
	'part-accounts': MergedFacts;
	'attach-paper': { readonly number: string; readonly file: string };
	'take-off-paper': { readonly number: string; readonly file: string };
	'keep-customer-files': { readonly customer: string; readonly files: readonly string[] };
	'take-off-customer-files': { readonly customer: string; readonly files: readonly string[] };
	'take-off-note': { readonly customer: string; readonly text: string };
	'note-claim': { readonly number: string; readonly text: string };
	'file-claim': { readonly number: string; readonly files: readonly string[] };
	'change-claim': {
		readonly number: string;
		readonly reason: ClaimReason;
		readonly owner: string;
		readonly deadline: string;
	};
	// approvals
	'ask-approval': { readonly about: ApprovalAbout };
	'answer-approval': {
		readonly answer: 'agree' | 'refuse' | 'withdraw';
		readonly about: ApprovalAbout;
		readonly why: string;
	};
	// letters
	'send-letters': { readonly letter: LetterName; readonly count: number };
	'start-run': {
		readonly letter: LetterName;
		readonly count: number;
		/** How many of them had a reason against them. */
		readonly overruled: number;
	};
	'pause-run': { readonly run: number };
	'resume-run': { readonly run: number };
	'withdraw-letters': { readonly run: number; readonly count: number };
	'hold-letters': { readonly count: number };
	'print-letters': { readonly count: number };
	/** `to`: another address than it was written to; earlier versions knew none. */
	'send-again': { readonly subject: string; readonly to?: string };
	'keep-wording': { readonly name: string; readonly language: string; readonly version: number };
	'set-interest': { readonly margin: number; readonly since: string };
	'charge-interest': { readonly count: number; readonly through: string };
	/** A part of charging interest: one account. */
	'charge-account': {
		readonly customer: string;
		readonly charge: number;
		readonly credit: number;
		readonly currency: string;
	};
	'undo-interest': { readonly count: number };
	/** A part of taking interest back: one charge. */
	'undo-interest-charge': {
		readonly number: string;
		readonly sum: { readonly amount: number; readonly currency: string };
	};
	'keep-policy': { readonly name: string; readonly steps: number };
	'drop-policy': { readonly name: string };
	'record-call': {
		readonly customer: string;
		readonly outcome: CallOutcome;
		readonly said: string;
		readonly againOn?: string | undefined;
	};
	'add-task': { readonly customer: string; readonly what: string; readonly day: string };
	'finish-task': { readonly customer: string; readonly what: string };
	/** Whether what came with the application holds again. */
	'drop-wording': { readonly name: string; readonly language: string; readonly isBuiltIn: boolean };
}

export type ActKind = keyof ActFacts;
