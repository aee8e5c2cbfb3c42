import { SaxesParser } from 'saxes';
import { minor } from '../../money/minor';
import { parseDecimal } from '../../money/parse-decimal';
import type { Problem } from '../../problems';
import { bad, good, type Result } from '../../result';
import { deductionCalled, type AdviceLine } from './advice';

/**
 * Reads a UBL 2.1 RemittanceAdvice: of each `cac:RemittanceAdviceLine` the document it is for, `cbc:DebitLineAmount` less
 * `cbc:CreditLineAmount` as what is due, `cbc:BalanceAmount` as what is paid where it is less, and `cbc:Note` as the reason.
 * Source: OASIS UBL 2.1, section 2.10 (Remittance Advice).
 */
export function readAdviceUbl(xml: string, currency: string): Result<AdviceLine[]> {
	const lines: AdviceLine[] = [];
	const problems: Problem[] = [];
	const path: string[] = [];
	let fields = new Map<string, string>();
	let text = '';
	let begins = 0;
	const parser = new SaxesParser({ position: true });
	parser.on('error', (error) => {
		throw error;
	});
	parser.on('opentag', (tag) => {
		const name = tag.name.replace(/^.*:/, '');
		if (path.length === 0 && name !== 'RemittanceAdvice') {
			problems.push({ code: 'xml-broken', detail: `this is a ${name}, no RemittanceAdvice` });
			throw new Error('not an advice');
		}
		path.push(name);
		text = '';
		if (name === 'RemittanceAdviceLine') {
			fields = new Map();
			begins = parser.line;
		}
	});
	parser.on('text', (part) => (text += part));
	parser.on('closetag', () => {
		const name = path.join('/').replace(/^RemittanceAdvice\/RemittanceAdviceLine\/?/, '');
		if (path.includes('RemittanceAdviceLine')) fields.set(name, text.trim());
		if (path.at(-1) === 'RemittanceAdviceLine') {
			const read = lineOf(fields, currency, begins);
			if ('code' in read) problems.push(read);
			else lines.push(read);
		}
		path.pop();
		text = '';
	});
	try {
		parser.write(xml).close();
	} catch (error) {
		if (problems.length === 0)
			problems.push({ code: 'xml-broken', detail: String((error as Error).message), line: parser.line });
	}
	return problems.length > 0 ? bad(...problems) : good(lines);
}

function lineOf(fields: ReadonlyMap<string, string>, currency: string, line: number): AdviceLine | Problem {
	const credit = fields.get('BillingReference/CreditNoteDocumentReference/ID');
	const number = fields.get('BillingReference/InvoiceDocumentReference/ID') ?? credit ?? '';
	const note = fields.get('Note') ?? '';
	const read = (name: string) => {
		const value = fields.get(name);
		return value === undefined ? null : parseDecimal(value, currency, true);
	};
	const [debit, taken, balance] = [read('DebitLineAmount'), read('CreditLineAmount'), read('BalanceAmount')];
	for (const [part, value] of [
		['DebitLineAmount', debit],
		['CreditLineAmount', taken],
		['BalanceAmount', balance]
	] as const)
		if (typeof value === 'string')
			return { code: 'amount-bad', text: fields.get(part)!, currency, why: value, part, line };
	const due = ((debit as number | null) ?? 0) - ((taken as number | null) ?? 0);
	const paid = balance === null ? due : (balance as number);
	const off = credit === undefined ? due - paid : 0;
	return {
		line,
		text: [number, note].filter(Boolean).join(' '),
		numbers: number ? [number] : [],
		paid: minor(credit !== undefined && paid > 0 ? -paid : paid),
		deduction: off > 0 ? { ...deductionCalled(note), amount: minor(off) } : null
	};
}
