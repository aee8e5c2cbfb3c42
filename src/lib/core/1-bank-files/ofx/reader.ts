import type { StatementEntry, StatementHeader } from '../../model/bank';
import { currencyDigits } from '../../money/currency';
import type { Problem } from '../../problems';
import type { BankFileReader } from '../bank-file-reader';
import { ProblemList } from '../problem-list';
import type { ReadStatement } from '../read-statement';
import { readOfxDate } from './read-ofx-date';
import { readOfxAmount, readTransaction, type Values } from './read-transaction';
import { OfxTags, type Tag } from './tags';

/** Elements that hold others; all others hold a value, and need no end. */
const AGGREGATES: ReadonlySet<string> = new Set([
	...['OFX', 'BANKMSGSRSV1', 'STMTTRNRS', 'STMTRS', 'BANKACCTFROM', 'BANKTRANLIST', 'STMTTRN', 'LEDGERBAL'],
	...['CREDITCARDMSGSRSV1', 'CCSTMTTRNRS', 'CCSTMTRS', 'CCACCTFROM', 'AVAILBAL', 'BALLIST', 'BAL'],
	...[
		'SIGNONMSGSRSV1',
		'SONRS',
		'STATUS',
		'FI',
		'PAYEE',
		'BANKACCTTO',
		'CCACCTTO',
		'CURRENCY',
		'ORIGCURRENCY'
	],
	...['BANKTRANLISTP', 'STMTTRNP', 'IMAGEDATA']
]);
const STATEMENTS: ReadonlySet<string> = new Set(['STMTRS', 'CCSTMTRS']);
/** Deeper than any answer of a bank. */
const DEEPEST = 40;

interface Statement {
	readonly line: number;
	readonly values: Map<string, string>;
	readonly transactions: { readonly values: Values; readonly line: number }[];
	pending: number;
}

/**
 * Reads OFX, SGML (1.x) or XML (2.x), from chunks of text: statements of bank accounts and cards. It has a closing balance, and none that a
 * statement begins with; what is pending is left out.
 */
export class OfxReader implements BankFileReader {
	readonly #problems = new ProblemList();
	readonly #take: (statement: ReadStatement) => void;
	readonly #tags = new OfxTags((tag) => this.#tag(tag));
	readonly #open: string[] = [];
	#statement: Statement | null = null;
	#transaction: { values: Map<string, string>; line: number } | null = null;
	#statements = 0;
	#begun = false;

	constructor(take: (statement: ReadStatement) => void) {
		this.#take = take;
	}

	get stopped(): boolean {
		return this.#problems.stopped;
	}

	write(chunk: string): void {
		if (!this.stopped) this.#tags.write(chunk);
	}

	close(): readonly Problem[] {
		if (this.stopped) return this.#problems.all;
		this.#tags.close();
		if (this.stopped || this.#problems.all.length > 0) return this.#problems.all;
		if (this.#open.length > 0 || !this.#begun) this.#problems.add({ code: 'part-missing', part: '</OFX>' });
		else if (this.#statements === 0) this.#problems.add({ code: 'no-statement' });
		return this.#problems.all;
	}

	#tag({ name, text, line }: Tag): void {
		if (this.stopped) return;
		if (name.startsWith('/')) return this.#end(name.slice(1), line);
		if (!AGGREGATES.has(name)) return this.#value(name, text);
		if (this.#open.length >= DEEPEST)
			return void this.#problems.stop({ code: 'field-bad', field: name, text: 'nested too deep', line });
		this.#begun ||= name === 'OFX';
		this.#open.push(name);
		if (STATEMENTS.has(name)) this.#statement = { line, values: new Map(), transactions: [], pending: 0 };
		else if (name === 'STMTTRN') this.#transaction = { values: new Map(), line };
		else if (name === 'STMTTRNP' && this.#statement) this.#statement.pending++;
	}

	/** Keeps a value with the names of the aggregates that it stands in, within its transaction or statement. */
	#value(name: string, text: string): void {
		const open = this.#open;
		const from = open.findIndex((one) => (this.#transaction ? one === 'STMTTRN' : STATEMENTS.has(one)));
		const values = this.#transaction?.values ?? this.#statement?.values;
		const key = [...open.slice(from + 1), name].join('/');
		if (from >= 0 && values && !values.has(key)) values.set(key, text);
	}

	#end(name: string, line: number): void {
		// A value's end says nothing that its beginning did not.
		if (!AGGREGATES.has(name)) return;
		if (this.#open.pop() !== name)
			return void this.#problems.stop({ code: 'field-bad', field: name, text: `</${name}>`, line });
		if (name === 'STMTTRN' && this.#transaction) {
			this.#statement?.transactions.push(this.#transaction);
			this.#transaction = null;
		} else if (STATEMENTS.has(name) && this.#statement) {
			this.#endStatement(this.#statement);
			this.#statement = null;
		}
	}

	#endStatement({ values, transactions, pending, line }: Statement): void {
		this.#statements++;
		const currency = values.get('CURDEF') ?? '';
		const account = accountOf(values);
		const statement = account || `number ${this.#statements}`;
		const place = { statement, line };
		if (!account) this.#problems.add({ code: 'part-missing', part: 'ACCTID', ...place });
		if (currencyDigits(currency) === undefined)
			return this.#problems.add({ code: 'part-missing', part: 'CURDEF', ...place });
		const day = (key: string) => {
			const text = values.get(key);
			const found = text ? readOfxDate(text) : null;
			if (text && !found)
				this.#problems.add({ code: 'date-bad', text: text.slice(0, 40), part: key, ...place });
			return found;
		};
		const [from, to, closingOn] = [
			day('BANKTRANLIST/DTSTART'),
			day('BANKTRANLIST/DTEND'),
			day('LEDGERBAL/DTASOF')
		];
		const balanceText = values.get('LEDGERBAL/BALAMT');
		const closing = balanceText === undefined ? null : readOfxAmount(balanceText, currency);
		if (typeof closing === 'string')
			this.#problems.add({
				...{ code: 'amount-bad', text: balanceText!.slice(0, 40), currency, why: closing },
				...{ part: 'LEDGERBAL', ...place }
			});
		const entries: StatementEntry[] = [];
		for (const one of transactions) {
			const at = { statement, line: one.line };
			const entry = readTransaction(one.values, entries.length, currency, at, this.#problems.all);
			if (entry) entries.push(entry);
			this.#problems.limit();
			if (this.stopped) return;
		}
		const header: StatementHeader = {
			reference: [from, to].filter(Boolean).join(' to ') || statement,
			...{ sequence: null, account, currency, from, to }
		};
		const balances = {
			...{ opening: null, openingOn: null },
			...{ closing: typeof closing === 'string' ? null : closing, closingOn }
		};
		this.#take({ format: 'OFX', header, balances, entries, notBooked: pending, balanceChecked: false });
	}
}

/** The account, with its sort code or bank code where the two are a British or German number. */
function accountOf(values: Values): string {
	const plain = (key: string) => values.get(key)?.replace(/[\s-]/g, '') ?? '';
	const account = plain('BANKACCTFROM/ACCTID') || plain('CCACCTFROM/ACCTID');
	const bank = plain('BANKACCTFROM/BANKID');
	if (/^\d{6}$/.test(bank) && /^\d{8}$/.test(account)) return bank + account;
	if (/^\d{8}$/.test(bank) && /^\d{1,10}$/.test(account)) return bank + account.padStart(10, '0');
	return account;
}
