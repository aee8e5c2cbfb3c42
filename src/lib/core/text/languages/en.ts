import type { Language } from './language';

/** What customers who write English put beside numbers. */
export const en: Language = {
	code: 'en',
	name: 'English',
	phrases: {
		onAccount: [
			'on account',
			'payment on a/?c',
			'a/c payment',
			'on a/c',
			'down ?payment',
			'deposit',
			'advance',
			'in advance',
			'prepayment',
			'pre-?payment'
		],
		upToDate: [
			'statement',
			'stmt',
			'acct? to date',
			'account to date',
			'to date',
			'all (?:open|due|outstanding|invoices)',
			'outstanding',
			'balance',
			'in full'
		],
		notWhole: [
			'less',
			'minus',
			'short',
			'part',
			'half',
			'first',
			'second',
			'instal?ments?',
			'deduct(?:ed|ion)?',
			'credit',
			'damaged?',
			'broken',
			'breakages?',
			'missing',
			'disc(?:ount)?',
			'per agreement',
			'retention'
		],
		part: [
			'part(?:ial)? (?:payment|pymt|pmt|pay)',
			'part of',
			'(?:first|second|1st|2nd) half',
			'half of',
			'(?:first|second|third|1st|2nd|3rd|final)? ?instal?ments?',
			'on a/c',
			'on account(?: of)?'
		],
		tax: ['wht', 'w/h ?tax', 'withh(?:olding|eld)(?: tax)?', 'tds', 'tax (?:deducted|withheld)'],
		order: ['order', 'ord', 'p\\.?o', 'purchase order'],
		payout: ['pay-?outs?', 'card (?:takings|settlements?|sales)', 'merchant settlements?'],
		claims: {
			damaged: ['damage[ds]?', 'broken', 'breakages?', 'defect(?:ive|s)?', 'faulty'],
			missing: [
				'missing',
				'short(?: ?del(?:iver(?:y|ed))?| ship(?:ped|ment)?| supplied)',
				'shortage',
				'not (?:received|delivered)'
			],
			late: ['late del(?:ivery)?', 'delayed?'],
			returned: ['(?:goods )?returned', 'returns'],
			price: [
				'pric(?:e|ing)(?: diff(?:erence)?)?',
				'overcharged?',
				'per agreement',
				'as agreed',
				'disc(?:ount)?'
			],
			other: ['less', 'minus', 'deduct(?:ed|ions?)', 'short paid']
		}
	},
	legalForms: 'LTD LIMITED PLC LLP LLC INC INCORPORATED CIC CIO CO COMPANY CORP CORPORATION PTY PTE'.split(
		' '
	),
	joiningWords: 'THE AND'.split(' '),
	neutralWords:
		'PAYMENT PAYMENTS PAID PAY PMT PYMT PYMNT BACS CHAPS FASTER BANK TRANSFER TRF BGC CREDIT DIRECT GIRO STANDING ORDER MONTHLY INVOICE INVOICES INVS BILL ACCOUNT ACCT YOUR YOURS OUR THANK THANKS YOU WITH FROM FOR GOODS SERVICES SUPPLIES REFERENCE SEPA NOTPROVIDED RUN SETTLEMENT REMITTANCE CHEQUE CASH CARD ONLINE WEEKLY'.split(
			' '
		)
};
