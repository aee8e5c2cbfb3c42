/**
 * Digits after the decimal point by ISO 4217 (list one, column "minor unit"): those that differ from two,
 * then the two-digit currencies that bank files of our users bring.
 */
const OTHER_DIGITS: Readonly<Record<string, number>> = {
	BIF: 0,
	CLP: 0,
	DJF: 0,
	GNF: 0,
	ISK: 0,
	JPY: 0,
	KMF: 0,
	KRW: 0,
	PYG: 0,
	RWF: 0,
	UGX: 0,
	UYI: 0,
	VND: 0,
	VUV: 0,
	XAF: 0,
	XOF: 0,
	XPF: 0,
	BHD: 3,
	IQD: 3,
	JOD: 3,
	KWD: 3,
	LYD: 3,
	OMR: 3,
	TND: 3,
	CLF: 4,
	UYW: 4
};

const TWO_DIGITS = new Set(
	(
		'AED AFN ALL AMD ANG AOA ARS AUD AWG AZN BAM BBD BDT BGN BMD BND BOB BRL BSD BTN BWP BYN BZD CAD CDF CHF CNY ' +
		'COP CRC CUP CVE CZK DKK DOP DZD EGP ERN ETB EUR FJD FKP GBP GEL GHS GIP GMD GTQ GYD HKD HNL HTG HUF IDR ILS ' +
		'INR IRR JMD KES KGS KHR KPW KYD KZT LAK LBP LKR LRD LSL MAD MDL MGA MKD MMK MNT MOP MRU MUR MVR MWK MXN MYR ' +
		'MZN NAD NGN NIO NOK NPR NZD PAB PEN PGK PHP PKR PLN QAR RON RSD RUB SAR SBD SCR SDG SEK SGD SHP SLE SOS SRD ' +
		'SSP STN SYP SZL THB TJS TMT TOP TRY TTD TWD TZS UAH USD UYU UZS VES WST XCD YER ZAR ZMW'
	).split(' ')
);

/** Digits of a currency's minor unit (GBP 2, JPY 0, BHD 3), or undefined for a code that ISO 4217 does not have. */
export function currencyDigits(code: string): number | undefined {
	return OTHER_DIGITS[code] ?? (TWO_DIGITS.has(code) ? 2 : undefined);
}
