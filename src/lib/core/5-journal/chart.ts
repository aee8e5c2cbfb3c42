import type { ReceiptAdjustment } from '../model/posting';
import type { DifferenceKind } from '../model/records';

/** Ledger accounts that the application posts to by itself, by what they are for. Bank accounts carry their own. */
export const CHART = {
	pettyCash: { code: '1240', name: 'Petty cash' },
	onItsWay: { code: '1230', name: 'Money on its way' },
	returned: { code: '1235', name: 'Returned payments on their way' },
	exchange: { code: '1295', name: 'Currency exchange' },
	refunds: { code: '2160', name: 'Refunds to be paid out' },
	badDebts: { code: '7300', name: 'Bad debts' },
	allowances: { code: '7210', name: 'Allowances on claims' },
	receivables: { code: '1100', name: 'Trade receivables' },
	unidentified: { code: '2150', name: 'Unidentified receipts' },
	outputTax: { code: '2200', name: 'Value added tax' },
	taxRecoverable: { code: '1250', name: 'Tax recoverable' },
	sales: { code: '4000', name: 'Sales' },
	recovered: { code: '4200', name: 'Recovered charges' },
	interest: { code: '4300', name: 'Late-payment interest' },
	currencyGain: { code: '4400', name: 'Currency gain' },
	bankCharges: { code: '7100', name: 'Bank charges' },
	processorFees: { code: '7110', name: 'Processor fees' },
	discounts: { code: '7200', name: 'Settlement discount allowed' },
	smallDifferences: { code: '7220', name: 'Small differences' },
	currencyLoss: { code: '7400', name: 'Currency loss' },
	openingBalances: { code: '3900', name: 'Opening balances' },
	otherIncome: { code: '4900', name: 'Other income' },
	bankInterest: { code: '4310', name: 'Bank interest received' },
	transfers: { code: '1290', name: 'Transfers between bank accounts' },
	supplierPayments: { code: '2100', name: 'Payments to suppliers' },
	wages: { code: '7000', name: 'Wages and salaries' }
} as const;

export type ChartRole = keyof typeof CHART;

/** The account that each kind of difference is booked on; a claim stays among the receivables. */
export const DIFFERENCE_ACCOUNT: Readonly<Record<DifferenceKind, string>> = {
	claim: CHART.receivables.code,
	currency: CHART.currencyLoss.code,
	bad_debt: CHART.badDebts.code,
	settlement_discount: CHART.discounts.code,
	processor_fee: CHART.processorFees.code,
	bank_charge: CHART.bankCharges.code,
	withholding_tax: CHART.taxRecoverable.code,
	small_difference: CHART.smallDifferences.code
};

/** The account that each change of a receipt's credit is booked on. */
export const RECEIPT_ADJUSTMENT_ACCOUNT: Readonly<Record<ReceiptAdjustment['kind'], string>> = {
	processor_fee: CHART.processorFees.code,
	bank_charge: CHART.bankCharges.code,
	small_difference: CHART.smallDifferences.code,
	refund: CHART.refunds.code,
	returned: CHART.returned.code
};
