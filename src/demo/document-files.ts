import type { NewCustomer } from '../lib/server/customers/commands/add-customers';
import { DEMO_TODAY, FIRM } from './firm';
import { escapeMarkup } from '../lib/core/text/escape-markup';

/** Documents as other systems send them: a table with lines and instalments, and an invoice in UBL 2.1. */
export function documentFiles(
	customers: readonly NewCustomer[]
): readonly { readonly name: string; readonly text: string }[] {
	const [one, two, three] = customers.filter((it) => it.currency === 'GBP' && !it.parentCode).slice(6);
	const head =
		'number,kind,customer_code,issue_date,due_date,currency,total,open,purchase_order,description,lines,instalments';
	const rows = [
		`AK-70001,invoice,${one!.code},2026-10-29,2026-11-28,GBP,331.20,331.20,PO88120,stoneware clay,"stoneware clay, 25 bags 240.00 20%|carriage 36.00 20%",`,
		`AK-70002,invoice,${two!.code},2026-10-29,2026-12-28,GBP,6000.00,6000.00,,kiln,kiln built to order 5000.00 20%,2026-10-29 600.00|2026-11-28 2700.00|2026-12-28 2700.00`,
		`AC-70003,credit_note,${one!.code},2026-10-29,2026-10-29,GBP,36.00,36.00,,returned,cones 30.00 20%,`
	];
	return [
		{ name: 'documents-2026-10-30.csv', text: [head, ...rows, ''].join('\n') },
		{ name: 'AK-70004.xml', text: ublInvoice('AK-70004', three!) }
	];
}

function ublInvoice(number: string, customer: NewCustomer): string {
	const sum = (name: string, text: string) => `<cbc:${name} currencyID="GBP">${text}</cbc:${name}>`;
	const category = '<cbc:ID>S</cbc:ID><cbc:Percent>20</cbc:Percent>';
	const party = (role: string, id: string, name: string) =>
		`<cac:${role}><cac:Party><cac:PartyIdentification><cbc:ID>${id}</cbc:ID></cac:PartyIdentification><cac:PartyLegalEntity><cbc:RegistrationName>${escapeMarkup(name)}</cbc:RegistrationName></cac:PartyLegalEntity></cac:Party></cac:${role}>`;
	return `<?xml version="1.0" encoding="UTF-8"?>
<Invoice xmlns="urn:oasis:names:specification:ubl:schema:xsd:Invoice-2" xmlns:cac="urn:oasis:names:specification:ubl:schema:xsd:CommonAggregateComponents-2" xmlns:cbc="urn:oasis:names:specification:ubl:schema:xsd:CommonBasicComponents-2">
<cbc:CustomizationID>urn:cen.eu:en16931:2017</cbc:CustomizationID><cbc:ID>${number}</cbc:ID><cbc:IssueDate>${DEMO_TODAY}</cbc:IssueDate><cbc:InvoiceTypeCode>380</cbc:InvoiceTypeCode><cbc:DocumentCurrencyCode>GBP</cbc:DocumentCurrencyCode>
<cac:OrderReference><cbc:ID>PO88121</cbc:ID></cac:OrderReference>
${party('AccountingSupplierParty', 'AKC', FIRM.firm.name)}
${party('AccountingCustomerParty', customer.code, customer.name)}
<cac:TaxTotal>${sum('TaxAmount', '29.50')}<cac:TaxSubtotal>${sum('TaxableAmount', '147.50')}${sum('TaxAmount', '29.50')}<cac:TaxCategory>${category}</cac:TaxCategory></cac:TaxSubtotal></cac:TaxTotal>
<cac:LegalMonetaryTotal>${sum('LineExtensionAmount', '147.50')}${sum('TaxExclusiveAmount', '147.50')}${sum('TaxInclusiveAmount', '177.00')}${sum('PayableAmount', '177.00')}</cac:LegalMonetaryTotal>
<cac:InvoiceLine><cbc:ID>1</cbc:ID>${sum('LineExtensionAmount', '147.50')}<cac:Item><cbc:Name>glaze order</cbc:Name><cac:ClassifiedTaxCategory>${category}</cac:ClassifiedTaxCategory></cac:Item></cac:InvoiceLine>
</Invoice>
`;
}
