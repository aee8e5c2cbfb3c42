import type { AdviceLine } from '../../model/advice';
import { minor } from '../../money/minor';
import { parseDecimal } from '../../money/parse-decimal';
import type { Problem } from '../../problems';
import { err, ok, type Result } from '../../result';
import { childrenAt, parseXml, textAt, type XmlElement } from '../../xml/parse-xml';
import { deductionCalled } from './deduction-called';

/**
 * Reads a UBL 2.1 RemittanceAdvice: of each `cac:RemittanceAdviceLine` the document it is for, `cbc:DebitLineAmount` less
 * `cbc:CreditLineAmount` as what is due, `cbc:BalanceAmount` as what is paid where it is less, and `cbc:Note` as the reason.
 * Source: OASIS UBL 2.1, section 2.10 (Remittance Advice).
 */
export function readAdviceUbl(xml: string, currency: string): Result<AdviceLine[]> {
	const read = parseXml(xml);
	if (!read.ok) return read;
	const { name } = read.value;
	if (name !== 'RemittanceAdvice')
		return err({ code: 'xml-broken', detail: `this is a ${name}, no RemittanceAdvice` });
	const lines: AdviceLine[] = [];
	const problems: Problem[] = [];
	for (const element of childrenAt(read.value, 'RemittanceAdviceLine')) {
		const line = lineOf(element, currency);
		if ('code' in line) problems.push(line);
		else lines.push(line);
	}
	return problems.length > 0 ? err(...problems) : ok(lines);
}

function lineOf(element: XmlElement, currency: string): AdviceLine | Problem {
	const { line } = element;
	const credit = textAt(element, 'BillingReference', 'CreditNoteDocumentReference', 'ID');
	const number = textAt(element, 'BillingReference', 'InvoiceDocumentReference', 'ID') || credit;
	const note = textAt(element, 'Note');
	const amounts: Record<string, number | null> = {};
	for (const part of ['DebitLineAmount', 'CreditLineAmount', 'BalanceAmount']) {
		const text = textAt(element, part);
		const value = text ? parseDecimal(text, currency, true) : null;
		if (typeof value === 'string') return { code: 'amount-bad', text, currency, why: value, part, line };
		amounts[part] = value;
	}
	const due = (amounts['DebitLineAmount'] ?? 0) - (amounts['CreditLineAmount'] ?? 0);
	const paid = amounts['BalanceAmount'] ?? due;
	const off = credit ? 0 : due - paid;
	return {
		line,
		text: [number, note].filter(Boolean).join(' '),
		numbers: number ? [number] : [],
		paid: minor(credit && paid > 0 ? -paid : paid),
		deduction: off > 0 ? { ...deductionCalled(note), amount: minor(off) } : null
	};
}
