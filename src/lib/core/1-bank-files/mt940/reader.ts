import type { StatementEntry, StatementHeader } from '../../model/bank';
import { cleanLine } from '../../text/clean-text';
import { cutText } from '../../text/cut-text';
import { append } from '../../append';
import { balanceProblem } from '../balance-problem';
import { LinesReader } from '../lines-reader';
import { NO_BALANCES } from '../read-statement';
import { entryOfLine } from './entry-of-line';
import { NO_INFORMATION } from './information';
import { readBalance, type Balance } from './read-balance';
import { readInformation } from './read-information';
import { readLine, type StatementLine } from './read-line';
import { readFloor, readSum, sumProblem, type ReportSum } from './report-fields';

/** Fields of MT 940 and MT 942; a line that begins in another way goes on with the field before, whatever a payer wrote there. */
const FIELD = /^:(13D?|20|21|25P?|28C?|34F|60[FM]|61|62[FM]|64|65|86|90[CD]|NS):(.*)$/;
/** So many lines of one field are kept: six are allowed, banks send some twenty. */
const MOST_LINES = 200;

interface Field {
	readonly tag: string;
	readonly lines: string[];
	readonly line: number;
}

/** A message while it is read. */
interface Message {
	readonly line: number;
	account: string | null;
	number: string | null;
	opening: Balance | null;
	closing: Balance | null;
	/** What only an interim report has: the currency of its floor limit, when it was made, and what its entries come to. */
	readonly report: { currency: string | null; made: string; readonly sums: ReportSum[] };
	broken: number;
	sum: bigint;
	readonly entries: StatementEntry[];
	/** A statement line whose information may follow. */
	pending: StatementLine | null;
	information: string[];
}

/**
 * Reads MT 940, the customer statement message, and MT 942, the interim transaction report (SWIFT Standards MT, category 9), from chunks of
 * text: by themselves or in their envelope, several messages in a file, a statement over several pages (60M, 62M). Each page is a statement
 * that goes on from the one before.
 */
export class Mt940Reader extends LinesReader {
	#field: Field | null = null;
	#message: Message | null = null;
	#messages = 0;

	protected end(): void {
		this.#endMessage();
		if (this.#messages === 0 && this.problems.all.length === 0) this.problems.add({ code: 'no-statement' });
	}

	protected line(line: string, number: number): void {
		if (line.startsWith('{')) {
			// Blocks of the envelope; the message itself is block 4.
			this.#endMessage();
			const [, inside] = /\{4:(.*)$/.exec(line) ?? [];
			if (inside?.trim()) this.line(inside, number);
			return;
		}
		if (/^-\}?/.test(line) && (line.trim() === '-' || line.startsWith('-}'))) return this.#endMessage();
		const [, tag, text] = FIELD.exec(line) ?? [];
		if (tag === undefined) {
			if (this.#field && this.#field.lines.length < MOST_LINES) this.#field.lines.push(line);
			return;
		}
		this.#endField();
		if (tag === '20' || (this.#message === null && tag.startsWith('25'))) this.#endMessage();
		this.#field = { tag, lines: [text!], line: number };
	}

	#endField(): void {
		const field = this.#field;
		this.#field = null;
		if (!field) return;
		this.#message ??= {
			...{ line: field.line, account: null, number: null, opening: null, closing: null },
			report: { currency: null, made: '', sums: [] },
			...{ broken: 0, sum: 0n, entries: [], pending: null, information: [] }
		};
		this.#read(field, this.#message);
		this.problems.limit();
	}

	#read({ tag, lines, line }: Field, message: Message): void {
		const place = { ...(message.number ? { statement: message.number } : {}), line };
		const problems = this.problems.all;
		const first = lines[0]!.trim();
		switch (tag) {
			case '25':
			case '25P':
				message.account = cutText(cleanLine(first), 100);
				return;
			case '28':
			case '28C':
				message.number = cutText(cleanLine(first), 60);
				return;
			case '13':
			case '13D':
				message.report.made = cutText(cleanLine(first), 40);
				return;
			case '34F':
				message.report.currency ??= readFloor(tag, first, place, problems);
				if (!message.report.currency) message.broken++;
				return;
			case '90C':
			case '90D': {
				this.#endEntry(message);
				const sum = readSum(tag, first, place, problems);
				if (sum) message.report.sums.push(sum);
				else message.broken++;
				return;
			}
			case '60F':
			case '60M':
				if (message.opening) return this.#again(message, tag, first, place);
				message.opening = readBalance(tag, first, place, problems);
				if (!message.opening) message.broken++;
				return;
			case '61': {
				this.#endEntry(message);
				const currency = currencyOf(message);
				if (currency) message.pending = readLine(lines, currency, place, problems);
				else if (message.broken === 0) problems.push({ code: 'part-missing', part: ':60F:', ...place });
				if (!message.pending) message.broken++;
				return;
			}
			case '86':
				// Several of them belong together; no bank writes so many.
				if (message.pending && message.information.length < MOST_LINES) append(message.information, lines);
				return;
			case '62F':
			case '62M':
				this.#endEntry(message);
				if (message.closing) return this.#again(message, tag, first, place);
				message.closing = readBalance(tag, first, place, problems);
				if (!message.closing) message.broken++;
				return;
			default:
		}
	}

	/** A balance where there is one: what is before and after it may be two statements. */
	#again(message: Message, tag: string, text: string, place: object): void {
		message.broken++;
		this.problems.add({ code: 'field-bad', field: `:${tag}:`, text: text.slice(0, 60), ...place });
	}

	#endEntry(message: Message): void {
		const line = message.pending;
		if (!line) return;
		const information =
			message.information.length > 0 ? readInformation(message.information) : NO_INFORMATION;
		const entry = entryOfLine(line, information, message.entries.length, currencyOf(message)!);
		message.entries.push(entry);
		message.sum += BigInt(entry.amount);
		message.pending = null;
		message.information = [];
	}

	#endMessage(): void {
		this.#endField();
		const message = this.#message;
		this.#message = null;
		if (!message) return;
		this.#messages++;
		this.#endEntry(message);
		const { opening, closing, broken, sum, entries } = message;
		const place = { statement: message.number ?? `number ${this.#messages}`, line: message.line };
		if (!opening && !closing && message.report.currency) return this.#takeReport(message, place);
		for (const [part, value] of [
			[':25:', message.account],
			[':60F:', opening],
			[':62F:', closing]
		] as const)
			if (!value && broken === 0) this.problems.add({ code: 'part-missing', part, ...place });
		if (!message.account || !opening || !closing || broken > 0) return;
		const header: StatementHeader = {
			// Numbers begin again each year, and some banks give none.
			reference: `${message.number ?? ''} ${closing.on}`.trim(),
			sequence: message.number,
			account: accountOf(message.account, opening.currency),
			currency: opening.currency,
			from: null,
			to: closing.on
		};
		const balances = {
			...{ opening: opening.value, openingOn: opening.on },
			...{ closing: closing.value, closingOn: closing.on }
		};
		if (closing.currency !== opening.currency)
			this.problems.add({
				code: 'entry-currency',
				...{ found: closing.currency, account: opening.currency },
				...place
			});
		const wrong = balanceProblem(header, balances, sum);
		if (wrong) this.problems.add(wrong);
		this.take({ format: 'MT940', header, balances, entries, notBooked: 0, balanceChecked: true });
	}

	#takeReport({ account, number, report, entries, broken }: Message, place: { statement: string }): void {
		if (!account && broken === 0) this.problems.add({ code: 'part-missing', part: ':25:', ...place });
		if (!account || broken > 0) return;
		const currency = report.currency!;
		for (const sum of report.sums) {
			const wrong = sumProblem(sum, entries);
			if (wrong) this.problems.add({ ...wrong, ...place });
		}
		const header: StatementHeader = {
			reference: [number, report.made].filter(Boolean).join(' '),
			...{ sequence: number, account: accountOf(account, currency), currency, from: null, to: null }
		};
		this.take({
			format: 'MT942',
			header,
			balances: NO_BALANCES,
			entries,
			notBooked: 0,
			balanceChecked: false
		});
	}
}

/** The currency of what the message lists: of its balance, or of an interim report's floor limit. */
function currencyOf({ opening, report }: Message): string | null {
	return opening?.currency ?? report.currency;
}

/**
 * The account of field 25 without blanks, the bank's BIC before it and the currency that some banks write behind it; a German bank and
 * account number as they stand in the IBAN, the account in ten figures.
 */
function accountOf(text: string, currency: string): string {
	let plain = text.replace(/\s+/g, '').replace(/^[A-Z]{6}[A-Z0-9]{2}(?:[A-Z0-9]{3})?\//, '');
	if (plain.endsWith(currency) && plain.length > currency.length + 4)
		plain = plain.slice(0, -currency.length).replace(/\/$/, '');
	const [, bank, account] = /^(\d{8})\/(\d{1,10})$/.exec(plain) ?? [];
	return bank && account ? bank + account.padStart(10, '0') : plain;
}
