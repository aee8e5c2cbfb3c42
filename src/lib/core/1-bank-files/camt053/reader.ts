import { SaxesParser } from 'saxes';
import type { StatementBalances, StatementEntry, StatementHeader } from '../../model/bank';
import { minor } from '../../money/minor';
import { cleanText } from '../../text/clean-text';
import { cutText } from '../../text/cut-text';
import type { Problem } from '../../problems';
import { all, at, textAt, type Node } from './node';
import type { Place } from './read-amount';
import { readBalances } from './read-balances';
import { readDay } from './read-day';
import { readEntry } from './read-entry';

export interface Camt053Handlers {
	/** A statement begins; its balances are known (they stand before the entries). */
	statement(header: StatementHeader, balances: StatementBalances): void;
	entry(entry: StatementEntry): void;
	/** The statement ended: how many entries were left out as not booked, and whether the balances were checked. */
	end(notBooked: number, balanceChecked: boolean): void;
}

const NAMESPACE = /^urn:iso:std:iso:20022:tech:xsd:(camt\.\d{3})\.001\.(\d{2})$/;
const MOST_PROBLEMS = 50;
/** Deeper than any ISO 20022 message: a file beyond it is made to be slow. */
const DEEPEST = 60;
/** The most of one element's text that is kept, in UTF-16 units. */
const LONGEST_TEXT = 4_000;

/**
 * Reads ISO 20022 camt.053 (BankToCustomerStatement, versions 001.02 to 001.12) from chunks of text, keeping one entry at a
 * time in memory. `problems` holds all that was found wrong so far, up to 50; a file with any is to be refused whole, so
 * callers keep what the handlers gave aside until `close`. Handlers get only what is without problems.
 */
export class Camt053Reader {
	readonly problems: Problem[] = [];
	readonly #parser = new SaxesParser();
	readonly #handlers: Camt053Handlers;
	readonly #names: string[] = [];
	readonly #kept: Node[] = [];
	#header: Node = blank('Stmt');
	#announced: { header: StatementHeader; balances: StatementBalances } | null = null;
	#sum = 0n;
	#index = 0;
	#broken = 0;
	#notBooked = 0;
	#statements = 0;
	#stopped = false;
	#seenText = false;

	constructor(handlers: Camt053Handlers) {
		this.#handlers = handlers;
		this.#parser.on('error', (error) =>
			this.#stop({ code: 'xml-broken', detail: plainDetail(error.message), ...this.#position() })
		);
		this.#parser.on('doctype', () => this.#stop({ code: 'xml-doctype', ...this.#position() }));
		this.#parser.on('opentag', (tag) =>
			this.#open(local(tag.name), tag.attributes as Record<string, string>)
		);
		this.#parser.on('closetag', () => this.#close());
		this.#parser.on('text', (text) => this.#text(text));
		this.#parser.on('cdata', (text) => this.#text(text));
	}

	/** True once reading on is of no use: the file is broken, or something else than a statement. */
	get stopped(): boolean {
		return this.#stopped;
	}

	write(chunk: string): void {
		if (this.#stopped) return;
		if (!this.#seenText && chunk.trim()) this.#seenText = true;
		this.#parser.write(chunk);
	}

	/** Ends the file. Returns all problems; none means that every statement was read whole. */
	close(): readonly Problem[] {
		if (this.#stopped) return this.problems;
		if (!this.#seenText) return this.#stop({ code: 'file-empty' });
		if (this.#names.length > 0) return this.#stop({ code: 'xml-cut-off', ...this.#position() });
		this.#parser.close();
		if (!this.#stopped && this.#statements === 0 && this.problems.length === 0)
			this.problems.push({ code: 'no-statement' });
		return this.problems;
	}

	#position(): Place & { column?: number } {
		return { line: this.#parser.line, column: this.#parser.column };
	}

	#stop(problem: Problem): readonly Problem[] {
		if (!this.#stopped) this.problems.push(problem);
		this.#stopped = true;
		return this.problems;
	}

	#open(name: string, attributes: Record<string, string>): void {
		if (this.#stopped) return;
		const names = this.#names;
		if (names.length === 0 && !this.#checkRoot(name, attributes)) return;
		if (names.length >= DEEPEST)
			return void this.#stop({ code: 'xml-broken', detail: 'elements nested too deep', ...this.#position() });
		names.push(name);
		if (this.#kept.length > 0 || (names.length > 3 && names[2] === 'Stmt')) {
			const node: Node = { name, attributes, children: [], text: '' };
			this.#kept.at(-1)?.children.push(node);
			this.#kept.push(node);
		} else if (names.length === 3 && name === 'Stmt') this.#begin();
	}

	#checkRoot(name: string, attributes: Record<string, string>): boolean {
		const space = Object.entries(attributes).find(
			([key, value]) => /^xmlns(:|$)/.test(key) && NAMESPACE.test(value)
		)?.[1];
		const found = space ? NAMESPACE.exec(space) : null;
		if (name !== 'Document' || !found || found[1] !== 'camt.053') {
			this.#stop({ code: 'not-camt053', found: space ?? name.slice(0, 60), ...this.#position() });
			return false;
		}
		const version = Number(found[2]);
		if (version < 2 || version > 12) {
			this.#stop({ code: 'camt-version-unknown', found: `001.${found[2]}`, ...this.#position() });
			return false;
		}
		return true;
	}

	#text(text: string): void {
		const node = this.#kept.at(-1);
		// What is beyond is in the file that is kept; a statement has no field a hundredth as long.
		if (node && node.text.length <= LONGEST_TEXT) node.text += text;
	}

	#close(): void {
		if (this.#stopped) return;
		const name = this.#names.pop();
		const node = this.#kept.pop();
		if (node) node.text = cutText(cleanText(node.text.trim()), LONGEST_TEXT);
		if (node && this.#kept.length === 0) {
			if (name === 'Ntry') this.#entry(node);
			else this.#header.children.push(node);
		} else if (this.#names.length === 2 && name === 'Stmt') this.#end();
	}

	#begin(): void {
		this.#statements++;
		this.#header = blank('Stmt');
		this.#announced = null;
		this.#sum = 0n;
		this.#index = this.#broken = this.#notBooked = 0;
	}

	#place(): Place {
		return { statement: textAt(this.#header, 'Id') ?? `number ${this.#statements}`, line: this.#parser.line };
	}

	#announce() {
		if (this.#announced) return this.#announced;
		const node = this.#header;
		const place = this.#place();
		const account = textAt(node, 'Acct/Id/IBAN', 'Acct/Id/Othr/Id', 'Acct/Id/PrtryAcct/Id');
		if (!account) this.#add({ code: 'part-missing', part: 'Acct/Id', ...place });
		const header: StatementHeader = {
			reference: place.statement!,
			sequence: textAt(node, 'ElctrncSeqNb', 'LglSeqNb'),
			account: (account ?? '').replace(/\s+/g, ''),
			currency: textAt(node, 'Acct/Ccy'),
			from: at(node, 'FrToDt/FrDtTm') ? readDay(node, 'FrToDt/FrDtTm', false, place, this.problems) : null,
			to: at(node, 'FrToDt/ToDtTm') ? readDay(node, 'FrToDt/ToDtTm', false, place, this.problems) : null
		};
		const balances = readBalances(all(node, 'Bal'), place, this.problems);
		this.#announced = { header, balances };
		this.#handlers.statement(header, balances);
		return this.#announced;
	}

	#entry(node: Node): void {
		const { header } = this.#announce();
		const entry = readEntry(node, this.#index++, header.currency, this.#place(), this.problems);
		if (entry === null) this.#broken++;
		else if (entry === 'not-booked') this.#notBooked++;
		else {
			this.#sum += BigInt(entry.amount);
			this.#handlers.entry(entry);
		}
		this.#limit();
	}

	/** Checks opening + entries = closing, unless an entry could not be read: that problem comes first. */
	#end(): void {
		const { header, balances } = this.#announce();
		const { opening, closing } = balances;
		const checked = opening !== null && closing !== null && this.#broken === 0;
		if (checked && BigInt(opening) + this.#sum !== BigInt(closing)) {
			const entries = minor(Number(this.#sum));
			const place = { statement: header.reference };
			this.#add({
				code: 'balance-wrong',
				opening,
				entries,
				closing,
				currency: header.currency ?? '',
				...place
			});
		}
		this.#handlers.end(this.#notBooked, checked);
	}

	#add(problem: Problem): void {
		this.problems.push(problem);
		this.#limit();
	}

	#limit(): void {
		if (this.problems.length <= MOST_PROBLEMS) return;
		this.problems.length = MOST_PROBLEMS;
		this.#stop({ code: 'too-many-problems', shown: MOST_PROBLEMS });
	}
}

function blank(name: string): Node {
	return { name, attributes: {}, children: [], text: '' };
}

function local(name: string): string {
	const colon = name.indexOf(':');
	return colon < 0 ? name : name.slice(colon + 1);
}

/** The parser's own message without its "line:column:" prefix, which the problem carries itself. */
function plainDetail(message: string): string {
	return message.replace(/^\d+:\d+:\s*/, '').slice(0, 120);
}
