import type { StatementBalances, StatementEntry, StatementHeader } from '../../model/bank';
import { addDays } from '../../day/arithmetic';
import type { Day } from '../../day/day';
import { currencyDigits } from '../../money/currency';
import { minor, MOST_AMOUNT, ZERO, type Minor } from '../../money/minor';
import { balanceProblem } from '../balance-problem';
import { LinesReader } from '../lines-reader';
import { given } from '../given';
import { plainDetail } from '../plain-detail';
import { readShortDate } from '../short-date';
import { Bai2Record } from './record';
import { takeFunds } from './take-funds';
import { typeSign } from './type-sign';

const USUAL_CURRENCY = 'USD';
/** Balances among the amounts of record 03: opening and closing ledger. */
const [OPENING, CLOSING] = ['010', '015'];

/** Sums and counts that the trailer of a level has to come to. */
class Totals {
	sum = 0n;
	records = 0;
	parts = 0;
}

interface Group {
	readonly asOf: Day;
	readonly currency: string;
	readonly totals: Totals;
	/** Whether the bank will bring the same entries again. */
	readonly interim: boolean;
}

interface Account {
	readonly number: string;
	readonly currency: string;
	readonly totals: Totals;
	readonly balances: Map<string, Minor>;
	readonly entries: StatementEntry[];
	sum: bigint;
}

/**
 * Reads BAI2 (BAI, Cash Management Balance Reporting Specifications, version 2) from chunks of text: records 01 to 99, continued by 88. The
 * control totals and counts of accounts, groups and the file are checked; amounts are whole minor units.
 */
export class Bai2Reader extends LinesReader {
	readonly #file = new Totals();
	#fileId = '';
	#record: Bai2Record | null = null;
	#group: Group | null = null;
	#account: Account | null = null;
	#statements = 0;
	#ended = false;

	protected end(): void {
		this.#endRecord();
		if (this.stopped || this.problems.all.length > 0) return;
		if (!this.#ended) this.problems.add({ code: 'part-missing', part: '99' });
		else if (this.#statements === 0) this.problems.add({ code: 'no-statement' });
	}

	protected line(raw: string, line: number): void {
		const text = raw.trim();
		if (text === '') return;
		const [, type, rest] = /^(\d\d)(?:[,/](.*))?$/.exec(text) ?? [];
		if (type === '88' && this.#record) return this.#record.continue(rest ?? '');
		this.#endRecord();
		if (type === undefined || !['01', '02', '03', '16', '49', '98', '99'].includes(type))
			return void this.problems.stop({ code: 'field-bad', field: 'record', text: text.slice(0, 60), line });
		this.#record = new Bai2Record(type, rest ?? '', line);
	}

	#endRecord(): void {
		const record = this.#record;
		this.#record = null;
		if (!record || this.stopped) return;
		this.#file.records += record.count;
		if (this.#group) this.#group.totals.records += record.count;
		if (this.#account) this.#account.totals.records += record.count;
		this.#read(record);
	}

	#read(record: Bai2Record): void {
		const { line, type } = record;
		const [group, account] = [this.#group !== null, this.#account !== null];
		// A record stands within those of the level above, and begins no level within its own.
		const stands: Readonly<Record<string, boolean>> = {
			...{ '01': !group, '02': !group, '03': group && !account },
			...{ '16': account, '49': account, '98': group && !account, '99': !group }
		};
		if (!stands[type])
			return void this.problems.stop({ code: 'field-bad', field: 'record', text: type, line });
		if (type === '01') {
			for (let n = 0; n < 4; n++) record.take();
			this.#fileId = record.take();
		} else if (type === '02') this.#beginGroup(record);
		else if (type === '03') this.#beginAccount(record, this.#group!);
		else if (type === '16') this.#entry(record, this.#account!);
		else if (type === '49') this.#endAccount(record, this.#account!);
		else if (type === '98') this.#endGroup(record);
		else {
			this.#check(record, '99', this.#file.sum, [this.#file.parts, this.#file.records]);
			this.#ended = true;
		}
	}

	#beginGroup(record: Bai2Record): void {
		const { line } = record;
		record.take();
		record.take();
		const status = record.take();
		const asOfText = record.take();
		record.take();
		const currency = record.take() || USUAL_CURRENCY;
		const modifier = record.take();
		// Two is a deletion, four a test.
		if (status !== '1' && status !== '3')
			return void this.problems.stop({ code: 'field-bad', field: '02 group status', text: status, line });
		const asOf = readShortDate(asOfText);
		if (!asOf) return void this.problems.stop({ code: 'date-bad', text: asOfText, part: '02', line });
		const totals = new Totals();
		totals.records = record.count;
		// An interim report is followed by the final one, with the same entries.
		this.#group = { asOf, currency, totals, interim: modifier === '1' || modifier === '3' };
	}

	#beginAccount(record: Bai2Record, group: Group): void {
		const number = record.take().replace(/\s/g, '');
		const currency = record.take() || group.currency;
		const place = { statement: number, line: record.line };
		const totals = new Totals();
		totals.records = record.count;
		const account: Account = { number, currency, totals, balances: new Map(), entries: [], sum: 0n };
		if (currencyDigits(currency) === undefined)
			this.problems.add({
				code: 'amount-bad',
				text: '',
				currency,
				why: 'unknown-currency',
				part: '03',
				...place
			});
		if (!number) this.problems.add({ code: 'part-missing', part: '03', ...place });
		while (record.more) {
			const code = record.take();
			const amountText = record.take();
			// An item count belongs to totals of transactions.
			record.take();
			const funds = takeFunds(record);
			if ('bad' in funds)
				return void this.problems.stop({
					code: 'field-bad',
					field: '03 funds type',
					text: funds.bad,
					...place
				});
			if (amountText === '') continue;
			const amount = this.#amount(amountText, currency, '03', place);
			if (amount === null) continue;
			totals.sum += BigInt(amount);
			if (code === OPENING || code === CLOSING) account.balances.set(code, amount);
		}
		this.#account = account;
	}

	#entry(record: Bai2Record, account: Account): void {
		const { currency } = account;
		const place = { statement: account.number, line: record.line };
		const code = record.take();
		const amount = this.#amount(record.take(), currency, '16', place);
		const funds = takeFunds(record);
		if ('bad' in funds)
			return void this.problems.stop({
				code: 'field-bad',
				field: '16 funds type',
				text: funds.bad,
				...place
			});
		if (amount === null) return;
		account.totals.sum += BigInt(amount);
		const bank = given(record.take());
		const customer = given(record.take());
		const sign = typeSign(code);
		if (sign === null) {
			// 890 and 900 to 919 say something of the account, and move nothing.
			if (amount !== 0) this.problems.add({ code: 'field-bad', field: '16 type code', text: code, ...place });
			return;
		}
		const signed = amount === 0 ? ZERO : minor(sign * amount);
		account.sum += BigInt(signed);
		account.entries.push({
			...{ index: account.entries.length, booked: this.#group!.asOf, valued: funds.valued },
			...{ amount: signed, currency, reversal: false, code },
			// Numbers that banks use again from day to day do not tell entries apart.
			...{ entryReference: bank ?? customer, bankReference: null, text: '', charges: ZERO },
			details: [plainDetail({ endToEndId: customer, text: record.text() })]
		});
	}

	#endAccount(record: Bai2Record, account: Account): void {
		this.#account = null;
		this.#check(record, '49', account.totals.sum, [account.totals.records]);
		const group = this.#group!;
		group.totals.sum += account.totals.sum;
		group.totals.parts++;
		this.#statements++;
		const { balances: known, currency, entries, number } = account;
		const { interim } = group;
		const header: StatementHeader = {
			reference: [this.#fileId, group.asOf].filter(Boolean).join(' '),
			...{ sequence: this.#fileId || null, account: number, currency, from: group.asOf, to: group.asOf }
		};
		const [opening, closing] = [OPENING, CLOSING].map((code) =>
			interim ? null : (known.get(code) ?? null)
		) as [Minor | null, Minor | null];
		const balances: StatementBalances = {
			// What an account opens with is what it closed with the day before.
			...{ opening, openingOn: opening === null ? null : addDays(group.asOf, -1) },
			...{ closing, closingOn: closing === null ? null : group.asOf }
		};
		const balanceChecked = opening !== null && closing !== null;
		const wrong = balanceProblem(header, balances, account.sum);
		if (wrong) this.problems.add(wrong);
		const format = interim ? 'BAI2 interim' : 'BAI2';
		this.take({ format, header, balances, entries, notBooked: 0, balanceChecked });
	}

	#endGroup(record: Bai2Record): void {
		const { totals } = this.#group!;
		this.#group = null;
		this.#check(record, '98', totals.sum, [totals.parts, totals.records]);
		this.#file.sum += totals.sum;
		this.#file.parts++;
	}

	/** Holds a trailer against what was counted: its control total, then how many parts and records. */
	#check(record: Bai2Record, part: string, sum: bigint, counts: readonly number[]): void {
		const { line } = record;
		for (const found of [sum, ...counts.map(BigInt)]) {
			const text = record.take();
			const want = /^[+-]?\d{1,18}$/.test(text) ? BigInt(text) : null;
			if (want === null) this.problems.add({ code: 'field-bad', field: part, text: text.slice(0, 40), line });
			else if (want !== found)
				this.problems.add({ code: 'control-differs', part, want: String(want), found: String(found), line });
		}
	}

	/** An amount in whole minor units, which may have a sign. */
	#amount(text: string, currency: string, part: string, place: object): Minor | null {
		const value = /^[+-]?\d{1,16}$/.test(text) ? Number(text) : NaN;
		if (Math.abs(value) <= MOST_AMOUNT) return value === 0 ? ZERO : minor(value);
		const why = Number.isNaN(value) ? 'not-a-number' : 'too-large';
		this.problems.add({ code: 'amount-bad', text: text.slice(0, 40), currency, why, part, ...place });
		return null;
	}
}
