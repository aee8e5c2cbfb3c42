import { SaxesParser } from 'saxes';
import type { StatementBalances, StatementEntry, StatementHeader } from '../../model/bank';
import { cleanText } from '../../text/clean-text';
import { cutText } from '../../text/cut-text';
import type { Problem } from '../../problems';
import { balanceProblem } from '../balance-problem';
import type { BankFileReader } from '../bank-file-reader';
import { ProblemList } from '../problem-list';
import { isReport, NO_BALANCES, type BankFileFormat, type ReadStatement } from '../read-statement';
import { all, at, textAt, type Node } from './node';
import type { Place } from './read-amount';
import { readBalances } from './read-balances';
import { readDay } from './read-day';
import { readEntry } from './read-entry';

/** The messages of ISO 20022 that list entries of an account, with the element of each for one account (camt.053, camt.052, camt.054). */
const MESSAGES: ReadonlyMap<string, { readonly format: BankFileFormat; readonly element: string }> = new Map([
	['camt.053', { format: 'camt.053', element: 'Stmt' }],
	['camt.052', { format: 'camt.052', element: 'Rpt' }],
	['camt.054', { format: 'camt.054', element: 'Ntfctn' }]
]);
const NAMESPACE = /^urn:iso:std:iso:20022:tech:xsd:(camt\.\d{3})\.001\.(\d{2})$/;
/** Elements before the message: a SOAP envelope, a business application header (ISO 20022 head.001) and what a bank puts around them. */
const MOST_AROUND = 1_000;
/** Deeper than any ISO 20022 message: a file beyond it is made to be slow. */
const DEEPEST = 60;
/** The most of one element's text that is kept, in UTF-16 units. */
const LONGEST_TEXT = 4_000;

/**
 * Reads ISO 20022 camt.053 (BankToCustomerStatement), camt.052 (BankToCustomerAccountReport) and camt.054
 * (BankToCustomerDebitCreditNotification), versions 001.01 to 001.13, from chunks of text, by itself or within an envelope, keeping no more
 * of a file's XML in memory than one entry.
 */
export class CamtReader implements BankFileReader {
	readonly #problems = new ProblemList();
	readonly #parser = new SaxesParser();
	readonly #take: (statement: ReadStatement) => void;
	readonly #names: string[] = [];
	readonly #kept: Node[] = [];
	/** How many elements are around the message; null until it begins. */
	#around: number | null = null;
	#found = false;
	#seen = 0;
	#space: string | null = null;
	#message = MESSAGES.get('camt.053')!;
	#root = '';
	#header: Node = blank('Stmt');
	#announced: { header: StatementHeader; balances: StatementBalances } | null = null;
	#entries: StatementEntry[] = [];
	#sum = 0n;
	#index = 0;
	#broken = 0;
	#notBooked = 0;
	#statements = 0;
	#seenText = false;

	constructor(take: (statement: ReadStatement) => void) {
		this.#take = take;
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

	get stopped(): boolean {
		return this.#problems.stopped;
	}

	write(chunk: string): void {
		if (this.stopped) return;
		if (!this.#seenText && chunk.trim()) this.#seenText = true;
		this.#parser.write(chunk);
	}

	close(): readonly Problem[] {
		if (this.stopped) return this.#problems.all;
		if (!this.#seenText) return this.#stop({ code: 'file-empty' });
		if (this.#names.length > 0) return this.#stop({ code: 'xml-cut-off', ...this.#position() });
		this.#parser.close();
		if (this.stopped || this.#problems.all.length > 0) return this.#problems.all;
		if (!this.#found) return this.#notOurs();
		if (this.#statements === 0) this.#problems.add({ code: 'no-statement' });
		return this.#problems.all;
	}

	#position(): Place & { column?: number } {
		return { line: this.#parser.line, column: this.#parser.column };
	}

	#stop(problem: Problem): readonly Problem[] {
		return this.#problems.stop(problem);
	}

	#notOurs(): readonly Problem[] {
		return this.#stop({ code: 'not-camt', found: this.#space ?? this.#root, ...this.#position() });
	}

	#open(name: string, attributes: Record<string, string>): void {
		if (this.stopped) return;
		const names = this.#names;
		if (names.length >= DEEPEST)
			return void this.#stop({ code: 'xml-broken', detail: 'elements nested too deep', ...this.#position() });
		if (this.#around === null) return this.#openAround(name, attributes);
		names.push(name);
		const depth = names.length - this.#around;
		if (this.#kept.length > 0 || (depth > 3 && names[this.#around + 2] === this.#message.element)) {
			const node: Node = { name, attributes, children: [], text: '' };
			this.#kept.at(-1)?.children.push(node);
			this.#kept.push(node);
		} else if (depth === 3 && name === this.#message.element) this.#begin();
	}

	/** What stands around the message, until it begins with `Document` in the namespace of a message that is read. */
	#openAround(name: string, attributes: Record<string, string>): void {
		this.#root ||= name.slice(0, 60);
		for (const [key, value] of Object.entries(attributes))
			if (/^xmlns(:|$)/.test(key) && NAMESPACE.test(value)) this.#space = value;
		const found = this.#space ? NAMESPACE.exec(this.#space) : null;
		if (name === 'Document') {
			const message = MESSAGES.get(found?.[1] ?? '');
			if (!found || !message) return void this.#notOurs();
			const version = Number(found[2]);
			if (version < 1 || version > 13)
				return void this.#stop({
					code: 'camt-version-unknown',
					found: `${message.format}.001.${found[2]}`,
					...this.#position()
				});
			this.#message = message;
			this.#around = this.#names.length;
			this.#found = true;
		} else if (++this.#seen > MOST_AROUND) return void this.#notOurs();
		this.#names.push(name);
	}

	#text(text: string): void {
		const node = this.#kept.at(-1);
		// What is beyond is in the file that is kept; a statement has no field a hundredth as long.
		if (node && node.text.length <= LONGEST_TEXT) node.text += text;
	}

	#close(): void {
		if (this.stopped) return;
		const name = this.#names.pop();
		const node = this.#kept.pop();
		if (node) node.text = cutText(cleanText(node.text.trim()), LONGEST_TEXT);
		if (node && this.#kept.length === 0) {
			if (name === 'Ntry') this.#entry(node);
			else this.#header.children.push(node);
		} else if (
			this.#around !== null &&
			this.#names.length === this.#around + 2 &&
			name === this.#message.element
		)
			this.#end();
		else if (this.#names.length === this.#around) this.#around = null;
	}

	#begin(): void {
		this.#statements++;
		this.#header = blank(this.#message.element);
		this.#announced = null;
		this.#entries = [];
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
		if (!account) this.#problems.add({ code: 'part-missing', part: 'Acct/Id', ...place });
		const header: StatementHeader = {
			reference: place.statement!,
			sequence: textAt(node, 'ElctrncSeqNb', 'LglSeqNb'),
			account: (account ?? '').replace(/\s+/g, ''),
			currency: textAt(node, 'Acct/Ccy'),
			from: at(node, 'FrToDt/FrDtTm')
				? readDay(node, 'FrToDt/FrDtTm', false, place, this.#problems.all)
				: null,
			to: at(node, 'FrToDt/ToDtTm') ? readDay(node, 'FrToDt/ToDtTm', false, place, this.#problems.all) : null
		};
		// Those of a report are of the moment: no statement goes on from them.
		const balances = isReport(this.#message.format)
			? NO_BALANCES
			: readBalances(all(node, 'Bal'), place, this.#problems.all);
		this.#announced = { header, balances };
		return this.#announced;
	}

	#entry(node: Node): void {
		const { header } = this.#announce();
		const entry = readEntry(node, this.#index++, header.currency, this.#place(), this.#problems.all);
		if (entry === null) this.#broken++;
		else if (entry === 'not-booked') this.#notBooked++;
		else {
			this.#sum += BigInt(entry.amount);
			this.#entries.push(entry);
		}
		this.#problems.limit();
	}

	/** Checks opening + entries = closing, unless an entry could not be read: that problem comes first. */
	#end(): void {
		const { header, balances } = this.#announce();
		const balanceChecked = balances.opening !== null && balances.closing !== null && this.#broken === 0;
		const wrong = balanceChecked ? balanceProblem(header, balances, this.#sum) : null;
		if (wrong) this.#problems.add(wrong);
		const [entries, notBooked] = [this.#entries, this.#notBooked];
		const { format } = this.#message;
		this.#take({ format, header, balances, entries, notBooked, balanceChecked });
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
