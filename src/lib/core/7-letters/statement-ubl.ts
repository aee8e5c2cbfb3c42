import { escapeMarkup } from '../text/escape-markup';
import { minor, type Minor } from '../money/minor';
import { toDecimal } from '../money/to-decimal';
import type { Letter, LetterRow } from './letter';

/** One line of a statement for machines: what raises the balance and what lowers it. */
interface Line {
	readonly amount: Minor;
	/** What it says. */
	readonly note: string;
	/** The document that it is of, by its number; null for none. */
	readonly document: { readonly number: string; readonly isCredit: boolean; readonly issued: string } | null;
	readonly order: string | null;
	readonly due: string | null;
	readonly isBroughtForward: boolean;
}

/**
 * A statement as UBL 2.1 (OASIS, `Statement-2`): the same lines as on paper, adding up to the same balance. One of open items has a line for
 * each item with what is open of it; one of a period begins with the balance brought forward.
 * @param letter a statement; amounts in minor units
 * @param id by which the statement is known
 */
export function statementUbl(letter: Letter, id: string): string {
	const { currency, customer, firm } = letter;
	const lines = linesOf(letter);
	const sum = (sign: 1 | -1) => minor(lines.reduce((all, { amount }) => all + Math.max(0, sign * amount), 0));
	const money = (name: string, amount: Minor) =>
		`<cbc:${name} currencyID="${currency}">${toDecimal(amount, currency)}</cbc:${name}>`;
	const period = letter.statement?.from
		? `<cac:StatementPeriod>${text('StartDate', letter.statement.from)}${text('EndDate', letter.statement.to)}</cac:StatementPeriod>`
		: '';
	return `<?xml version="1.0" encoding="UTF-8"?>
<Statement xmlns="urn:oasis:names:specification:ubl:schema:xsd:Statement-2" xmlns:cac="urn:oasis:names:specification:ubl:schema:xsd:CommonAggregateComponents-2" xmlns:cbc="urn:oasis:names:specification:ubl:schema:xsd:CommonBasicComponents-2">
${text('UBLVersionID', '2.1')}${text('ID', id)}${text('IssueDate', letter.date)}${letter.note ? text('Note', letter.note) : ''}
${text('DocumentCurrencyCode', currency)}${money('TotalDebitAmount', sum(1))}${money('TotalCreditAmount', sum(-1))}${money('TotalBalanceAmount', letter.owed)}${text('LineCountNumeric', String(lines.length))}
${period}
<cac:AccountingSupplierParty>${party(firm.name, firm.address, { email: firm.email, phone: firm.phone })}</cac:AccountingSupplierParty>
<cac:AccountingCustomerParty>${text('SupplierAssignedAccountID', customer.code)}${party(customer.name, customer.address)}</cac:AccountingCustomerParty>
${paymentMeans(letter)}
${lines.map((line, n) => statementLine(line, n + 1, money)).join('\n')}
</Statement>
`;
}

function linesOf(letter: Letter): Line[] {
	if (!letter.activity) return letter.rows.map(lineOfRow);
	const { opening, movements } = letter.activity;
	const first: Line = {
		...{ amount: opening, note: letter.statement?.from ?? '', document: null, order: null, due: null },
		isBroughtForward: true
	};
	return [
		first,
		...movements.map((one): Line => ({
			amount: one.amount,
			note: [one.date, one.reference, one.text].filter(Boolean).join(' '),
			document:
				one.kind === 'invoice' || one.kind === 'charge' || one.kind === 'credit_note'
					? { number: one.reference, isCredit: one.kind === 'credit_note', issued: one.date }
					: null,
			...{ order: null, due: null, isBroughtForward: false }
		}))
	];
}

function lineOfRow(row: LetterRow): Line {
	return {
		amount: row.open,
		note: row.text,
		document:
			row.number === ''
				? null
				: { number: row.number, isCredit: row.kind === 'credit_note', issued: row.issued },
		...{ order: row.purchaseOrder, due: row.due, isBroughtForward: false }
	};
}

function statementLine(
	{ amount, note, document, order, due, isBroughtForward }: Line,
	id: number,
	money: (name: string, amount: Minor) => string
): string {
	const side = amount < 0 ? money('CreditLineAmount', minor(-amount)) : money('DebitLineAmount', amount);
	const terms = due ? `<cac:PaymentTerms>${text('PaymentDueDate', due)}</cac:PaymentTerms>` : '';
	const reference = document
		? `<cac:BillingReference><cac:${document.isCredit ? 'CreditNote' : 'Invoice'}DocumentReference>${text('ID', document.number)}${text('IssueDate', document.issued)}</cac:${document.isCredit ? 'CreditNote' : 'Invoice'}DocumentReference></cac:BillingReference>`
		: '';
	const own = order
		? `<cac:DocumentReference>${text('ID', order)}${text('DocumentType', 'Order')}</cac:DocumentReference>`
		: '';
	return `<cac:StatementLine>${text('ID', String(id))}${note ? text('Note', note) : ''}${text('BalanceBroughtForwardIndicator', String(isBroughtForward))}${side}${money('BalanceAmount', amount)}${terms}${reference}${own}</cac:StatementLine>`;
}

function party(
	name: string,
	address: readonly string[],
	{ email = '', phone = '' }: { readonly email?: string; readonly phone?: string } = {}
): string {
	const lines = address.map((line) => `<cac:AddressLine>${text('Line', line)}</cac:AddressLine>`).join('');
	const contact =
		email || phone
			? `<cac:Contact>${phone ? text('Telephone', phone) : ''}${email ? text('ElectronicMail', email) : ''}</cac:Contact>`
			: '';
	return `<cac:Party><cac:PartyName>${text('Name', name)}</cac:PartyName>${lines ? `<cac:PostalAddress>${lines}</cac:PostalAddress>` : ''}${contact}</cac:Party>`;
}

/** Where it is paid to: a credit transfer (UN/ECE 4461, code 30), with what is to be quoted. */
function paymentMeans({ pay, owed }: Letter): string {
	if (!pay.account || owed <= 0) return '';
	const branch = pay.account.bic
		? `<cac:FinancialInstitutionBranch>${text('ID', pay.account.bic)}</cac:FinancialInstitutionBranch>`
		: '';
	return `<cac:PaymentMeans>${text('PaymentMeansCode', '30')}${text('PaymentID', pay.reference)}<cac:PayeeFinancialAccount>${text('ID', pay.account.iban)}${branch}</cac:PayeeFinancialAccount></cac:PaymentMeans>`;
}

const text = (name: string, value: string) => `<cbc:${name}>${escapeMarkup(value)}</cbc:${name}>`;
