import type { Minor } from '../money/minor';
import { toDecimal } from '../money/to-decimal';
import { epcCode } from './epc-code';
import type { HowToPay } from './letter';

/** What is known of where a sum is to be paid. */
export interface PayOrder {
	readonly account: HowToPay['account'];
	/** To whom: the firm's name. */
	readonly name: string;
	/** What is to be quoted. */
	readonly reference: string;
	readonly currency: string;
	readonly amount: Minor;
	/** A page where it can be paid, with places `{reference}`, `{amount}` and `{currency}`. */
	readonly link: string | null;
}

/** How a sum is to be paid; nothing is made for cameras or links where there is nothing to pay. */
export function howToPay({ account, name, reference, currency, amount, link }: PayOrder): HowToPay {
	const isEuro = currency === 'EUR' && account !== null;
	return {
		...{ account, reference },
		epc: isEuro ? epcCode({ name, iban: account.iban, bic: account.bic, amount, reference }) : null,
		link:
			link && amount > 0 ? filled(link, { reference, amount: toDecimal(amount, currency), currency }) : null
	};
}

function filled(link: string, values: Readonly<Record<string, string>>): string {
	return link.replace(/\{(reference|amount|currency)\}/g, (_, name: string) =>
		encodeURIComponent(values[name]!)
	);
}
