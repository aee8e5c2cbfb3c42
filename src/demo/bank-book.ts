import type { Day } from '../lib/core/day/day';
import { camtXml, type XmlEntry } from './camt-xml';

/** Keeps a bank account's entries and balance, and writes them out as statements. */
export class BankBook {
	readonly #account: string;
	readonly #currency: string;
	#balance: number;
	#from: Day;
	#sequence = 0;
	#entries: XmlEntry[] = [];
	#count = 0;

	constructor(account: string, currency: string, opening: number, from: Day) {
		this.#account = account;
		this.#currency = currency;
		this.#balance = opening;
		this.#from = from;
	}

	/** Adds an entry and returns the reference that the bank gives it. */
	add(entry: Omit<XmlEntry, 'reference'>): string {
		const reference = `${this.#currency[0]}${String(++this.#count).padStart(6, '0')}`;
		this.#entries.push({ ...entry, reference });
		return reference;
	}

	/** Closes the statement on a day: its file, or null where nothing moved. */
	close(on: Day): { name: string; xml: string } | null {
		const entries = this.#entries;
		if (entries.length === 0) return null;
		const reference = `${this.#currency}-${on}`;
		const statement = {
			reference,
			sequence: ++this.#sequence,
			account: this.#account,
			currency: this.#currency,
			opening: this.#balance,
			openingOn: this.#from,
			closingOn: on,
			entries
		};
		const xml = [...camtXml([statement], `M-${reference}`)].join('');
		this.#balance += entries.reduce((sum, entry) => sum + entry.amount, 0);
		this.#from = on;
		this.#entries = [];
		return { name: `camt053-${this.#currency.toLowerCase()}-${on}.xml`, xml };
	}
}
