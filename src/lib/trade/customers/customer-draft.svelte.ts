import type { Day } from '../../core/day/day';
import { parseTypedDay } from '../../core/day/parse-typed-day';
import { shortDay } from '../../words';
import type {
	ContactCopies,
	CustomerDetails,
	CustomerLanguage,
	InterestPolicy,
	StatementFile,
	StatementWay
} from '../../core/model/customer-details';
import { TermsDraft } from './terms-draft.svelte';
import { typedPercent } from './typed-numbers';
import type { detailsField } from '../../server/customers/commands/customer-fields';
import { plainAmount } from '../../words/plain-amount';
import { typedAmount } from '../../words/typed-amount';
import type { z } from 'zod';

type Given = z.input<typeof detailsField>;

/** Somebody at a customer's, as it is typed; its key stays where others are taken off. */
export interface ContactDraft {
	readonly key: number;
	name: string;
	role: string;
	email: string;
	phone: string;
	copies: ContactCopies;
}

/** What is typed of a customer, and what the act is given of it. */
export class CustomerDraft {
	name = $state('');
	otherNames = $state('');
	address = $state('');
	statementAddress = $state('');
	readonly terms: TermsDraft;
	creditLimit = $state('');
	parentCode = $state('');
	statementEmail = $state('');
	reminderEmail = $state('');
	phone = $state('');
	contacts = $state<ContactDraft[]>([]);
	taxNumber = $state('');
	language = $state<CustomerLanguage>('en');
	statementWay = $state<StatementWay>('mail');
	statementFiles = $state<StatementFile[]>([]);
	interest = $state<InterestPolicy>('statutory');
	interestRate = $state('');
	tags = $state('');
	notes = $state('');
	chasingPolicy = $state('');
	chasingPaused = $state('');
	pausedUntil = $state('');
	payerAccounts = $state('');

	readonly #today: Day;
	#nextContact = 0;

	/**
	 * @param details what is kept already; nothing for a new one
	 * @param currency of the account
	 * @param today days typed without a year are those next to it
	 */
	constructor(details: CustomerDetails | null, currency: string, today: Day) {
		this.#today = today;
		this.terms = new TermsDraft(details);
		if (!details) return;
		const text = (value: string | number | null) => (value === null ? '' : String(value));
		this.name = details.name;
		this.otherNames = details.otherNames.join('\n');
		this.address = details.address.join('\n');
		this.statementAddress = details.statementAddress.join('\n');
		this.language = details.language;
		this.statementWay = details.statementWay;
		this.statementFiles = [...details.statementFiles];
		this.interest = details.interest;
		this.interestRate = details.interestBasisPoints === null ? '' : text(details.interestBasisPoints / 100);
		this.creditLimit = details.creditLimit === null ? '' : plainAmount(details.creditLimit, currency);
		this.parentCode = text(details.parentCode);
		this.statementEmail = text(details.statementEmail);
		this.reminderEmail = text(details.reminderEmail);
		this.phone = text(details.phone);
		this.contacts = details.contacts.map(({ email, phone, ...one }) => ({
			...{ ...one, key: this.#nextContact++, email: text(email), phone: text(phone) }
		}));
		this.taxNumber = text(details.taxNumber);
		this.tags = details.tags.join(', ');
		this.notes = details.notes;
		this.chasingPolicy = text(details.chasingPolicy);
		this.chasingPaused = text(details.chasingPaused);
		this.pausedUntil = details.pausedUntil === null ? '' : shortDay(details.pausedUntil);
		this.payerAccounts = details.payerAccounts.join('\n');
	}

	/**
	 * What the act is given. Numbers that are none are left as they are typed, so that the act says it at their fields.
	 * @returns the field and what is wrong with it, where an amount cannot be read
	 */
	given(currency: string): { readonly details: Given } | { readonly field: string; readonly fault: string } {
		const limit = this.creditLimit.trim() === '' ? null : typedAmount(this.creditLimit, currency);
		if (typeof limit === 'string')
			return { field: 'details.creditLimit', fault: 'That is not an amount. Leave it empty for no limit.' };
		return {
			details: {
				...{ name: this.name, notes: this.notes, parentCode: this.parentCode },
				...{ otherNames: lines(this.otherNames), tags: this.tags.split(',') },
				...{ address: lines(this.address), statementAddress: lines(this.statementAddress) },
				...this.terms.given(),
				...{ language: this.language, statementWay: this.statementWay, interest: this.interest },
				statementFiles: this.statementFiles,
				// What was typed before somebody chose that none was agreed does not count.
				interestBasisPoints: this.interest === 'agreed' ? typedPercent(this.interestRate) : null,
				creditLimit: limit,
				...{ statementEmail: this.statementEmail.trim(), reminderEmail: this.reminderEmail.trim() },
				...{ phone: this.phone, taxNumber: this.taxNumber, chasingPaused: this.chasingPaused },
				chasingPolicy: this.chasingPolicy,
				contacts: this.contacts.map(({ key: _key, ...one }) => ({ ...one, email: one.email.trim() })),
				pausedUntil: this.#day(this.pausedUntil),
				payerAccounts: this.payerAccounts.split(/[\n,;]/).filter((one) => one.trim())
			}
		};
	}

	/** A line for another contact. */
	addContact(): void {
		this.contacts.push({
			key: this.#nextContact++,
			name: '',
			role: '',
			email: '',
			phone: '',
			copies: 'none'
		});
	}

	/** A day; null where nothing was typed, what was typed where that is no day. */
	#day(text: string): string | null {
		return text.trim() === '' ? null : (parseTypedDay(text, this.#today) ?? text);
	}
}

const lines = (text: string) => text.split('\n').map((line) => line.trim());
