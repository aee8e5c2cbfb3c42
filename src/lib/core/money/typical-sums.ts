import { currencyDigits } from './currency';
import { minor, type Minor } from './minor';

/**
 * For how many units of a currency people and banks write what they would write one for in pounds, euros or dollars: figures that are
 * rounded as prices are, and no exchange rates. A currency that is not here counts as one of those.
 */
const UNITS: Readonly<Record<string, number>> = {
	...{ BHD: 0.4, JOD: 0.8, KWD: 0.4, OMR: 0.4, TND: 4 },
	...{ AED: 4, BRL: 5, CNY: 8, HKD: 8, ILS: 4, MYR: 5, PLN: 4, QAR: 4, RON: 5, SAR: 4 },
	...{ DKK: 10, MXN: 20, NOK: 10, SEK: 10, TRY: 40, UAH: 40, ZAR: 20 },
	...{ CZK: 20, EGP: 50, INR: 100, ISK: 100, JPY: 100, KES: 100, PHP: 50, RSD: 100, THB: 40, TWD: 40 },
	...{
		CLP: 1_000,
		COP: 4_000,
		HUF: 400,
		IDR: 10_000,
		KRW: 1_000,
		NGN: 1_000,
		PKR: 200,
		UGX: 4_000,
		VND: 20_000
	}
};

/** From so many units on, a sum of some tens is a small one. */
const LARGE = 50;

/** In minor units of one currency. */
export interface TypicalSums {
	/** What banks on the way keep of a payment from abroad lies between these, by full steps. */
	readonly chargeLeast: Minor;
	readonly chargeMost: Minor;
	readonly chargeStep: Minor;
	/** A bank takes no more than this for a payment that comes back. */
	readonly returnFeeMost: Minor;
	/** Sums that somebody chooses are full ones of this. */
	readonly round: Minor;
}

/** What sums are usual in a currency: 50.00 is a bank's charge in pounds, 500.00 in Swedish kronor, and 5,000 in yen. */
export function typicalSums(currency: string): TypicalSums {
	const units = UNITS[currency] ?? 1;
	// A full fifty is chosen in kronor as in pounds; where prices run to thousands it is any price.
	const smallUnits = units >= 1 && units < LARGE;
	return {
		chargeLeast: typicalSum(3, currency),
		chargeMost: typicalSum(50, currency),
		chargeStep: typicalSum(0.5, currency),
		returnFeeMost: typicalSum(50, currency),
		round: smallUnits ? wholeUnits(50, currency) : typicalSum(50, currency)
	};
}

/** A sum that is usual in pounds, euros or dollars, given in whole ones of them, as it is usual in a currency: minor units, at least one. */
export function typicalSum(whole: number, currency: string): Minor {
	return wholeUnits(whole * (UNITS[currency] ?? 1), currency);
}

function wholeUnits(units: number, currency: string): Minor {
	return minor(Math.max(1, Math.round(units * 10 ** (currencyDigits(currency) ?? 2))));
}
