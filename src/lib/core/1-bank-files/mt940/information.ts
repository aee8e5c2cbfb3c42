/** What a message says about an entry beside its amount. A missing part is null, never made up. */
export interface Information {
	/** The bank's code of the business transaction, three digits, where it gives one. */
	readonly businessCode: string | null;
	readonly name: string | null;
	readonly account: string | null;
	readonly endToEndId: string | null;
	readonly structuredReference: string | null;
	readonly text: string;
	readonly returnReason: string | null;
	/** Amounts as they are written, "12,30" behind a currency or alone: what the payer ordered, and charges. */
	readonly ordered: string | null;
	readonly charges: string | null;
}

export const NO_INFORMATION: Information = {
	...{ businessCode: null, name: null, account: null, endToEndId: null, structuredReference: null },
	...{ text: '', returnReason: null, ordered: null, charges: null }
};
