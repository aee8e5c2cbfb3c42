import { addDays } from '../day/arithmetic';
import { parseDay, type Day } from '../day/day';
import type { StatementEntry, StatementHeader } from '../model/bank';
import type { TableRow } from '../model/table-row';
import { minor, ZERO, type Minor } from '../money/minor';
import { parseDecimal } from '../money/parse-decimal';
import { err, ok, type Result } from '../result';
import { bankNumberKey } from '../text/bank-number';
import { cutText } from '../text/cut-text';
import { balanceChain } from './balance-chain';
import { given } from './given';
import { plainDetail } from './plain-detail';
import { ProblemList } from './problem-list';
import type { ReadStatement } from './read-statement';
import { directionOf } from './table-direction';

/** The firm's own account that a table is of. */
export interface OwnAccount {
	/** Null where it may be any: of books there are none. */
	readonly number: string | null;
	readonly currency: string;
}

/** A bank's table as a statement, and the lines that moved no money: a balance carried forward. */
export interface ReadBankTable {
	readonly statement: ReadStatement;
	readonly leftOut: readonly number[];
}

interface Line {
	readonly row: TableRow;
	readonly booked: Day | null;
	/** Null where the line has none. */
	readonly amount: number | null;
	readonly balance: number | null;
}

type Fault = (field: string, why: string) => void;

/**
 * Reads the rows of a bank's own table as one statement of an account: signed amounts, two columns, or a word beside the amount; newest
 * first or last. Where balances stand beside the entries each has to follow from the one before, and they prove the whole.
 * @param rows with our names of fields, days as YYYY-MM-DD and amounts with a point
 */
export function readBankRows(rows: readonly TableRow[], account: OwnAccount): Result<ReadBankTable> {
	const problems = new ProblemList();
	const outSign = signOfPaidOut(rows);
	const lines: Line[] = [];
	for (const row of rows) {
		const fault: Fault = (field, why) =>
			problems.add({
				code: 'csv-field',
				field,
				text: cutText(row.cells[field] ?? '', 100),
				why,
				line: row.line
			});
		lines.push(lineOf(row, account, outSign, fault));
		if (problems.stopped) break;
	}
	if (problems.all.length > 0) return err(...problems.all);
	if (!lines.some((line) => line.amount !== null)) return err({ code: 'no-statement' });
	const days = lines.map((line) => line.booked!);
	const chain = balanceChain(
		lines.map(({ amount, balance }) => ({ amount: amount ?? 0, balance })),
		days[0]! > days.at(-1)!
	);
	for (const { at, found, want } of chain.breaks)
		problems.add({
			code: 'balance-breaks',
			found,
			want,
			currency: account.currency,
			line: lines[at]!.row.line
		});
	if (problems.all.length > 0) return err(...problems.all);
	const inTime = chain.newestFirst ? [...lines].reverse() : lines;
	const entries = inTime
		.flatMap((line) => (line.amount === null ? [] : [line]))
		.map(entryOf(account.currency));
	const sorted = days.slice().sort();
	const [from, to] = [sorted[0]!, sorted.at(-1)!];
	const header: StatementHeader = {
		// Two tables of one day are told apart by what they end with.
		reference: [`${from} to ${to}`, chain.closing].filter((part) => part !== null).join(' at '),
		...{ sequence: null, account: account.number ?? '', currency: account.currency, from, to }
	};
	const has = chain.opening !== null;
	const statement: ReadStatement = {
		...{ format: 'table', header, entries, notBooked: 0, balanceChecked: has },
		balances: {
			...{ opening: has ? minor(chain.opening!) : null, openingOn: has ? addDays(from, -1) : null },
			...{ closing: has ? minor(chain.closing!) : null, closingOn: has ? to : null }
		}
	};
	return ok({ statement, leftOut: lines.flatMap(({ row, amount }) => (amount === null ? [row.line] : [])) });
}

function lineOf(row: TableRow, account: OwnAccount, outSign: 1 | -1 | null, fault: Fault): Line {
	const { cells } = row;
	const booked = parseDay(cells['booked'] ?? '');
	if (!booked) fault('booked', 'it is not a date');
	if (cells['valued'] && !parseDay(cells['valued'])) fault('valued', 'it is not a date');
	if (cells['currency'] && cells['currency'] !== account.currency)
		fault('currency', `the account is kept in ${account.currency}`);
	const own = cells['own_account'];
	if (own && account.number !== null && bankNumberKey(own) !== bankNumberKey(account.number))
		fault('own_account', `it is another account than ${account.number}`);
	const read = (field: string) => {
		const text = cells[field] ?? '';
		const amount = text === '' ? null : parseDecimal(text, account.currency, true);
		if (typeof amount !== 'string') return amount;
		fault(
			field,
			amount === 'too-many-decimals' ? 'it has more decimals than the currency' : 'it is not an amount'
		);
		return null;
	};
	// What is zero moved nothing: a balance carried forward.
	return { row, booked, amount: amountOf(row, read, outSign, fault) || null, balance: read('balance') };
}

function amountOf(
	{ cells }: TableRow,
	read: (field: string) => Minor | null,
	outSign: 1 | -1 | null,
	fault: Fault
): number | null {
	const amount = read('amount');
	const [paidIn, paidOut] = [read('paid_in') || null, read('paid_out') || null];
	if (amount !== null) {
		if (paidIn !== null || paidOut !== null) fault('amount', 'beside it stands what was paid in or out');
		const word = cells['direction'];
		if (!word) return amount;
		const sign = directionOf(word);
		if (sign === null) fault('direction', 'it is neither debit nor credit');
		else if (amount < 0 && sign > 0) fault('direction', 'it says credit beside an amount below zero');
		return sign === null ? null : sign * Math.abs(amount);
	}
	if (paidIn !== null && paidOut !== null) fault('paid_out', 'beside it stands what was paid in');
	if (paidIn !== null && paidIn < 0) fault('paid_in', 'it is below zero');
	if (paidOut !== null && outSign === null)
		fault('paid_out', 'some of the column are below zero and others are not');
	return paidIn ?? (paidOut === null ? null : -Math.abs(paidOut));
}

/** Whether what was paid out is written with a minus (−1) or without (1); null where it is both. */
function signOfPaidOut(rows: readonly TableRow[]): 1 | -1 | null {
	const some = rows.map((row) => row.cells['paid_out'] ?? '').filter((text) => /[1-9]/.test(text));
	const below = some.filter((text) => text.startsWith('-')).length;
	return below === 0 ? 1 : below === some.length ? -1 : null;
}

const entryOf =
	(currency: string) =>
	({ row: { cells }, booked, amount }: Line, index: number): StatementEntry => ({
		...{ index, booked: booked!, valued: cells['valued'] ? parseDay(cells['valued']) : null },
		...{ amount: minor(amount!), currency, reversal: false },
		...{
			entryReference: given(cells['bank_reference']),
			bankReference: null,
			code: cells['entry_type'] || null
		},
		...{ text: '', charges: ZERO },
		details: [
			plainDetail({
				counterpartyName: cells['counterparty'] || null,
				counterpartyAccount: cells['counterparty_account']?.replace(/\s/g, '') || null,
				text: [cells['text'], cells['text_2'], cells['text_3']].filter(Boolean).join(' ')
			})
		]
	});
