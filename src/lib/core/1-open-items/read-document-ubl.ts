import { parseDay, type Day } from '../day/day';
import { currencyDigits } from '../money/currency';
import { minor, ZERO, type Minor } from '../money/minor';
import { parseDecimal } from '../money/parse-decimal';
import { proportion } from '../money/proportion';
import type { Problem } from '../problems';
import { err, ok, type Result } from '../result';
import { cutText } from '../text/cut-text';
import { childrenAt, parseXml, textAt, type XmlElement } from '../xml/parse-xml';
import type { DocumentLine, DocumentRow } from './document-row';

/**
 * Reads an invoice or credit note in UBL 2.1 as EN 16931-1 uses it (business terms BT-…, binding CEN/TS 16931-3-2): number
 * BT-1, dates BT-2 and BT-9, currency BT-5, buyer BT-44/46, order BT-13, sales order BT-14, payment reference BT-83, lines
 * BG-25, allowances and charges of the whole BG-20/21, tax by rate BG-23, totals BG-22; payment terms with amounts and days
 * become instalments, those with a discount its terms. Figures that do not add up are problems, never mended.
 */
export function readDocumentUbl(xml: string, file: string): Result<DocumentRow> {
	const read = parseXml(xml);
	if (!read.ok) return err(...read.problems.map((one) => ({ ...one, file })));
	const root = read.value;
	if (root.name !== 'Invoice' && root.name !== 'CreditNote')
		return err({ code: 'not-a-document', found: root.name, file, line: root.line });
	const source = new Source(root, file);
	const credit = root.name === 'CreditNote';
	const number = source.required('ID');
	const issued = source.day('IssueDate');
	const currency = source.required('DocumentCurrencyCode').toUpperCase();
	if (currency && currencyDigits(currency) === undefined)
		source.fault({ code: 'code-unknown', what: 'currency', text: currency });
	const buyer = childrenAt(root, 'AccountingCustomerParty', 'Party')[0] ?? root;
	const customerCode = cutText(textAt(buyer, 'PartyIdentification', 'ID'), 60);
	const customerName =
		textAt(buyer, 'PartyLegalEntity', 'RegistrationName') || textAt(buyer, 'PartyName', 'Name');
	if (!customerCode && !customerName) source.fault({ code: 'part-missing', part: 'AccountingCustomerParty' });
	if (source.problems.length > 0) return err(...source.problems);

	const amounts = new Amounts(source, currency);
	const totals = childrenAt(root, 'LegalMonetaryTotal')[0] ?? root;
	const inclusive = amounts.at(totals, 'TaxInclusiveAmount');
	const rounding = amounts.optional(totals, 'PayableRoundingAmount') ?? ZERO;
	const payable = amounts.at(totals, 'PayableAmount');
	const nets = netsOf(root, credit, amounts);
	const lines = withTax(nets, root, amounts, currency);
	if (rounding !== 0) lines.push({ text: 'rounding', net: rounding, taxBasisPoints: 0, tax: ZERO });
	const total = minor(inclusive + rounding);
	const sum = lines.reduce((all, line) => all + line.net + line.tax, 0);
	const [parts, whole] = ['The lines, allowances, charges and taxes', 'the total'];
	if (source.problems.length === 0 && sum !== total)
		source.fault({ code: 'sums-differ', parts, whole, found: sum, want: total, currency });
	if (total <= 0 || payable <= 0 || payable > total)
		source.fault({
			...{ code: 'csv-field', field: 'PayableAmount', text: String(textAt(totals, 'PayableAmount')) },
			why: 'what is open must be above zero and at most the total'
		});
	const { instalments, discount, due } = termsOf(root, source, amounts, total, currency);
	if (source.problems.length > 0 || !issued) return err(...source.problems.slice(0, 50));
	return ok({
		...{
			file,
			line: root.line,
			number,
			kind: credit ? 'credit_note' : 'invoice',
			customerCode,
			customerName
		},
		...{ issued, due, currency, total, open: payable },
		purchaseOrder: cutText(textAt(root, 'OrderReference', 'ID'), 140) || null,
		orderReference: cutText(textAt(root, 'OrderReference', 'SalesOrderID'), 140) || null,
		paymentReference: cutText(textAt(root, 'PaymentMeans', 'PaymentID'), 140) || null,
		text: lines[0]?.text ?? '',
		...{ lines, instalments, discount }
	});
}

/** Omit that keeps the members of a union apart. */
type Without<T, K extends string> = T extends unknown ? Omit<T, K> : never;

/** The document with the problems found in it so far. */
class Source {
	readonly problems: Problem[] = [];
	constructor(
		readonly root: XmlElement,
		readonly file: string
	) {}
	fault(problem: Without<Problem, 'file'>, line = this.root.line): void {
		this.problems.push({ line, ...problem, file: this.file } as Problem);
	}
	/** @param most characters: what tells one document from another is never cut */
	required(name: string, most = 60): string {
		const text = textAt(this.root, name);
		if (!text) this.fault({ code: 'part-missing', part: name });
		if (text.length > most)
			this.fault({
				code: 'csv-field',
				field: name,
				text: cutText(text, 100),
				why: `it is longer than ${most} characters`
			});
		return text;
	}
	day(name: string): Day | null {
		const text = this.required(name);
		return text ? this.dayOf(text, name) : null;
	}
	dayOf(text: string, part: string): Day | null {
		const day = parseDay(text.slice(0, 10));
		if (!day) this.fault({ code: 'date-bad', text, part });
		return day;
	}
}

/** Reads amounts of the document's currency; one that cannot be read counts as nought beside its problem. */
class Amounts {
	constructor(
		readonly source: Source,
		readonly currency: string
	) {}
	optional(element: XmlElement, name: string): Minor | null {
		const found = childrenAt(element, name)[0];
		if (!found) return null;
		const value = parseDecimal(found.text, this.currency, true);
		const other = found.attributes['currencyID'];
		if (other && other !== this.currency)
			this.source.fault({ code: 'entry-currency', found: other, account: this.currency }, found.line);
		if (typeof value !== 'string') return value;
		const { currency } = this;
		this.source.fault({ code: 'amount-bad', text: found.text, currency, why: value, part: name }, found.line);
		return ZERO;
	}
	at(element: XmlElement, name: string): Minor {
		const value = this.optional(element, name);
		if (value === null) this.source.fault({ code: 'part-missing', part: name }, element.line);
		return value ?? ZERO;
	}
	/** A percentage with up to two decimals in basis points. */
	percent(text: string, line: number): number {
		if (!text) return 0;
		const value = parseDecimal(text, 'EUR');
		if (typeof value !== 'string' && value <= 10_000) return value;
		const why = 'it is no percentage from 0 to 100';
		this.source.fault({ code: 'csv-field', field: 'Percent', text: cutText(text, 100), why }, line);
		return 0;
	}
}

type Net = Omit<DocumentLine, 'tax'>;

/** Lines (BG-25) and the allowances and charges of the whole (BG-20, BG-21), before tax. */
function netsOf(root: XmlElement, credit: boolean, amounts: Amounts): Net[] {
	const nets: Net[] = childrenAt(root, credit ? 'CreditNoteLine' : 'InvoiceLine').map((line) => ({
		text: cutText(textAt(line, 'Item', 'Name') || textAt(line, 'Item', 'Description'), 1_000),
		net: amounts.at(line, 'LineExtensionAmount'),
		taxBasisPoints: amounts.percent(textAt(line, 'Item', 'ClassifiedTaxCategory', 'Percent'), line.line)
	}));
	for (const one of childrenAt(root, 'AllowanceCharge')) {
		const amount = amounts.at(one, 'Amount');
		const charge = textAt(one, 'ChargeIndicator') === 'true';
		nets.push({
			text: textAt(one, 'AllowanceChargeReason') || (charge ? 'charge' : 'allowance'),
			net: charge ? amount : minor(-amount),
			taxBasisPoints: amounts.percent(textAt(one, 'TaxCategory', 'Percent'), one.line)
		});
	}
	return nets;
}

/** Shares the tax of each rate (BG-23: one sum for all lines of it) out over its lines; the largest one takes the rounding. */
function withTax(nets: readonly Net[], root: XmlElement, amounts: Amounts, currency: string): DocumentLine[] {
	const taxes = new Map<number, number>();
	const taxTotal =
		childrenAt(root, 'TaxTotal').find((one) => childrenAt(one, 'TaxSubtotal').length > 0) ?? root;
	for (const part of childrenAt(taxTotal, 'TaxSubtotal')) {
		const rate = amounts.percent(textAt(part, 'TaxCategory', 'Percent'), part.line);
		taxes.set(rate, (taxes.get(rate) ?? 0) + amounts.at(part, 'TaxAmount'));
	}
	const lines = nets.map((line) => ({ ...line, tax: proportion(line.net, line.taxBasisPoints, 10_000) }));
	for (const [rate, tax] of taxes) {
		const own = lines.filter((line) => line.taxBasisPoints === rate);
		const off = tax - own.reduce((sum, line) => sum + line.tax, 0);
		const largest = own.reduce<(typeof own)[number] | null>(
			(best, line) => (!best || Math.abs(line.net) > Math.abs(best.net) ? line : best),
			null
		);
		// Each line may be half a unit out; more is no rounding.
		if (largest && Math.abs(off) <= own.length) largest.tax = minor(largest.tax + off);
		else if (off !== 0)
			amounts.source.fault({
				...{ code: 'sums-differ', parts: `The taxes of the lines at ${rate / 100}%`, currency },
				...{ whole: 'TaxAmount', found: tax - off, want: tax }
			});
	}
	return lines;
}

/** Due day, instalments (payment terms with an amount and a day) and discount of the document's payment terms. */
function termsOf(root: XmlElement, source: Source, amounts: Amounts, total: Minor, currency: string) {
	const text = textAt(root, 'DueDate') || textAt(root, 'PaymentMeans', 'PaymentDueDate');
	const due = text ? source.dayOf(text, 'DueDate') : null;
	const instalments: { due: Day; amount: Minor }[] = [];
	let discount: DocumentRow['discount'] = null;
	for (const term of childrenAt(root, 'PaymentTerms')) {
		const on = textAt(term, 'PaymentDueDate') || textAt(term, 'InstallmentDueDate');
		const amount = amounts.optional(term, 'Amount');
		const day = on ? source.dayOf(on, 'PaymentDueDate') : null;
		if (amount !== null && amount > 0 && day) instalments.push({ due: day, amount });
		const percent = textAt(term, 'SettlementDiscountPercent');
		const until = textAt(term, 'SettlementPeriod', 'EndDate');
		const untilDay = until ? source.dayOf(until, 'SettlementPeriod') : null;
		if (percent && untilDay) discount = { basisPoints: amounts.percent(percent, term.line), until: untilDay };
	}
	const sum = instalments.reduce((all, part) => all + part.amount, 0);
	if (instalments.length > 0 && sum !== total)
		source.fault({
			...{ code: 'sums-differ', parts: 'The payment terms', whole: 'the total', currency },
			...{ found: sum, want: total }
		});
	return { due: due ?? instalments.at(-1)?.due ?? null, instalments, discount };
}
