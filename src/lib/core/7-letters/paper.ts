import type { Day } from '../day/day';
import type { Minor } from '../money/minor';
import type { Firm, HowToPay, LetterLanguage } from './letter';

/** An invoice, credit note or charge as it goes to the customer: data, nothing of how it looks. */
export interface Paper {
	readonly kind: 'invoice' | 'credit_note' | 'charge';
	readonly language: LetterLanguage;
	readonly number: string;
	readonly issued: Day;
	readonly customer: { readonly code: string; readonly name: string; readonly address: readonly string[] };
	readonly firm: Firm;
	readonly currency: string;
	readonly purchaseOrder: string | null;
	readonly orderReference: string | null;
	readonly lines: readonly {
		readonly text: string;
		readonly net: Minor;
		readonly taxBasisPoints: number;
		readonly tax: Minor;
	}[];
	/** Net and tax by rate, highest rate first. */
	readonly taxes: readonly { readonly taxBasisPoints: number; readonly net: Minor; readonly tax: Minor }[];
	readonly net: Minor;
	readonly tax: Minor;
	readonly total: Minor;
	readonly instalments: readonly { readonly due: Day; readonly amount: Minor }[];
	readonly discount: { readonly basisPoints: number; readonly until: Day; readonly saves: Minor } | null;
	readonly pay: HowToPay;
}
