import type { Letter, LetterKind, Movement, PartPayment } from '../../core/7-letters/letter';
import type { Paper } from '../../core/7-letters/paper';
import { sortCodeAndNumber } from '../../core/text/bank-number';
import type { LetterWords } from '../letters/letter-words';
import { quoteText } from '../letters/quote-text';
import { GERMAN_FORMATS } from './letter-formats';
import { GERMAN_WORDINGS } from './letter-wordings';
import { RETURN_REASONS } from './return-reasons';

const { money, day, percent } = GERMAN_FORMATS;

const NAMES: Readonly<Record<LetterKind, string>> = {
	statement: 'Kontoauszug',
	reminder: 'Zahlungserinnerung',
	returned: 'Mitteilung über eine Rückzahlung',
	thanks: 'Dank für Ihre Zahlung',
	copies: 'Belegkopien',
	interest: 'Zinsmitteilung'
};

const PAPERS = { invoice: 'Rechnung', credit_note: 'Gutschrift', charge: 'Belastung' } as const;

const MOVEMENTS: Readonly<Record<Movement['kind'], string>> = {
	...PAPERS,
	claim: 'Reklamation',
	payment: 'Zahlungseingang',
	refund: 'Erstattung',
	returned: 'Zahlung zurückgegeben',
	allowance: 'Nachlass',
	'between-accounts': 'Umbuchung zwischen Ihren Konten',
	correction: 'Berichtigung'
};

const PART_PAYMENTS: Readonly<Record<PartPayment['by'], string>> = {
	payment: 'Zahlung',
	credit: 'Gutschrift',
	deduction: 'Abzug'
};

/** How money came, as a letter names it: those methods that have a word of their own. */
const METHODS: Readonly<Record<string, string>> = {
	bank: 'Zahlung',
	cheque: 'Scheckzahlung',
	card: 'Kartenzahlung',
	cash: 'Barzahlung'
};

/** What letters say in German. */
export const GERMAN: LetterWords = {
	language: 'de',
	...GERMAN_FORMATS,
	names: NAMES,
	correctedTitle: 'Berichtigter Kontoauszug',
	wordings: GERMAN_WORDINGS,
	shows: (letter) =>
		letter.kind === 'statement'
			? statementSays(letter)
			: letter.returned
				? returnedSays(letter, letter.returned)
				: letter.interest
					? interestSays(letter, letter.interest)
					: '',
	deducted: ({ owed, late, currency }) =>
		owed < late ? ` (nach Abzug Ihres Guthabens von ${money(late - owed, currency)})` : '',
	corrected: ({ kind, date }) =>
		`${kind === 'statement' ? 'Unser Kontoauszug' : 'Unsere Zahlungserinnerung'} vom ${day(date)} zeigte eine Zahlung beim falschen Beleg. Wir haben das berichtigt; dieser Auszug tritt an die Stelle des früheren. Bitte entschuldigen Sie das Versehen.`,
	recorded: ({ code, day: on }) => `Stand unserer Aufzeichnungen am ${day(on)}: ${code}.`,
	returnedWhy: (reason) => RETURN_REASONS[reason] ?? reason,
	days: (days) => (days === 1 ? '1 Tag' : `${days} Tage`),
	list: (texts) => new Intl.ListFormat('de-DE').format(texts),
	sumName: (letter) =>
		letter.owed < 0
			? 'Guthaben zu Ihren Gunsten'
			: letter.kind === 'statement'
				? 'Offener Saldo'
				: letter.kind === 'reminder' && letter.late > 0
					? 'Überfällig'
					: 'Zu zahlen',
	columns: {
		...{ document: 'Beleg', date: 'Datum', due: 'Fällig', details: 'Vorgang', tax: 'USt.' },
		total: (currency) => `Betrag ${currency}`,
		paid: (currency) => `Gezahlt ${currency}`,
		open: (currency) => `Offen ${currency}`,
		amount: (currency) => `Betrag ${currency}`,
		balance: (currency) => `Saldo ${currency}`,
		net: (currency) => `Netto ${currency}`
	},
	facts: {
		...{ date: 'Datum', account: 'Kundennummer', asAt: 'Stand', period: 'Zeitraum' },
		...{ yourOrder: 'Ihre Bestellung', ourOrder: 'Unser Auftrag' }
	},
	interest: {
		...{
			from: 'Von',
			to: 'Bis',
			days: 'Tage',
			rate: 'Zinssatz p. a.',
			settled: 'Seither gezahlt oder gutgeschrieben'
		},
		late: (currency) => `Überfällig ${currency}`,
		amount: (currency) => `Berechnet ${currency}`,
		...{ compensation: 'Verzugspauschale', correction: 'Zinsen berichtigt' }
	},
	carried: { forward: 'Übertrag', brought: 'Übertrag' },
	bucket: ({ from, to }) => {
		if (from === null) return 'Nicht fällig';
		if (to === null) return `Über ${from - 1} Tage`;
		return from === to ? (from === 1 ? '1 Tag' : `${from} Tage`) : `${from}–${to} Tage`;
	},
	aged: 'Offene Beträge nach Fälligkeit',
	rowText: (row) =>
		[
			row.text,
			row.part ? `Rate ${row.part.number} von ${row.part.of}` : '',
			row.purchaseOrder ? `Ihre Bestellung ${row.purchaseOrder}` : '',
			row.isDisputed ? 'beanstandet' : ''
		]
			.filter(Boolean)
			.join(', '),
	onAccount: 'Anzahlung ohne Zuordnung',
	daysLate: (days) => (days === 1 ? '1 Tag überfällig' : `${days} Tage überfällig`),
	partPayment: ({ by, date }) => `${PART_PAYMENTS[by]} vom ${day(date)}`,
	movement: (one) => MOVEMENTS[one.kind],
	settles: (number) => `für ${number}`,
	broughtForward: 'Saldovortrag',
	dated: (one, currency) =>
		`Ihre Zahlung ${one.reference} über ${money(one.amount, currency)}, datiert auf den ${day(one.date)}, wird bis dahin verwahrt und ist noch nicht gutgeschrieben.`,
	pay: {
		...{ name: 'Zahlung', nothing: 'Es ist nichts zu zahlen.', bank: 'Bank', account: 'Konto', bic: 'BIC' },
		...{ quote: 'Verwendungszweck', code: 'Zum Zahlen scannen', link: 'Online zahlen' },
		sentence: ({ account, reference }) => {
			const quote = quoteText(reference);
			if (!account) return `Bitte geben Sie bei der Zahlung ${quote} an.`;
			const bic = account.bic ? `, BIC ${account.bic}` : '';
			return `Bitte überweisen Sie an ${account.bank}, ${accountText(account.iban)}${bic}, Verwendungszweck ${quote}.`;
		}
	},
	page: 'Seite {page} von {pages}',
	attached: 'Die Einzelheiten finden Sie im beigefügten PDF.',
	paper: {
		title: ({ kind, number }) => `${PAPERS[kind]} ${number}`,
		after: paperSays,
		sumName: ({ kind }) => (kind === 'credit_note' ? 'Gutgeschriebener Betrag' : 'Zu zahlen'),
		taxLine: (basisPoints, net) => `${percent(basisPoints)} USt. auf ${net}`,
		noTax: 'keine'
	}
};

function interestSays({ currency, owed }: Letter, lines: NonNullable<Letter['interest']>): string {
	const charged = lines.filter((line) => line.kind !== 'correction');
	const sum = charged.reduce((all, line) => all + line.amount, 0);
	const beside = charged.some((line) => line.kind === 'compensation') ? ' und die Verzugspauschale' : '';
	const says = [
		sum > 0
			? `für Posten, die bei Fälligkeit nicht gezahlt waren, berechnen wir Verzugszinsen${beside} von zusammen ${money(sum, currency)}; die Einzelheiten finden Sie unten.`
			: '',
		lines.some((line) => line.kind === 'correction')
			? 'Eine Zahlung ist früher eingegangen, als unsere Aufzeichnungen zunächst zeigten; früher berechnete Zinsen haben wir deshalb berichtigt.'
			: '',
		owed < 0 ? `Ihnen sind ${money(-owed, currency)} gutgeschrieben.` : ''
	];
	return says.filter(Boolean).join(' ');
}

function accountText(number: string): string {
	const british = sortCodeAndNumber(number);
	return british
		? `Sort Code ${british.sortCode}, Kontonummer ${british.account}`
		: `${/^[A-Z]{2}\d{2}/.test(number) ? 'IBAN' : 'Kontonummer'} ${number.replace(/(.{4})(?=.)/g, '$1 ')}`;
}

function statementSays({ statement, date }: Letter): string {
	const to = day(statement?.to ?? date);
	if (statement?.kind === 'activity' && statement.from)
		return `Dieser Auszug zeigt alle Buchungen auf Ihrem Konto vom ${day(statement.from)} bis ${to} und was jede Zahlung ausgeglichen hat.`;
	if (statement?.kind === 'forward' && statement.from)
		return `Dieser Auszug zeigt den Saldovortrag zum ${day(statement.from)} und alle Buchungen bis ${to}.`;
	return `Dieser Auszug zeigt die am ${to} offenen Posten Ihres Kontos. Spätere Zahlungen sind nicht enthalten.`;
}

function returnedSays({ currency }: Letter, returned: NonNullable<Letter['returned']>): string {
	const what = METHODS[returned.method] ?? 'Zahlung';
	const charge =
		returned.charge > 0
			? ` Hinzu kommt eine sofort fällige Belastung von ${money(returned.charge, currency)}.`
			: '';
	return `Ihre ${what} über ${money(returned.amount, currency)}, eingegangen am ${day(returned.paidOn)}, wurde am ${day(returned.on)} zurückgegeben: ${RETURN_REASONS[returned.reason] ?? returned.reason}. Die damit bezahlten Belege sind wieder offen, mit ihren ursprünglichen Fälligkeiten.${charge} Bitte zahlen Sie erneut.`;
}

function paperSays({ kind, currency, instalments, discount }: Paper): string[] {
	if (kind === 'credit_note')
		return ['Dieser Betrag steht zu Ihren Gunsten; bitte ziehen Sie ihn von Ihrer nächsten Zahlung ab.'];
	const [only] = instalments;
	const due =
		instalments.length === 1
			? [`Fällig am ${day(only!.due)}.`]
			: instalments.map(
					(part, i) =>
						`Rate ${i + 1} von ${instalments.length}: ${money(part.amount, currency)}, fällig am ${day(part.due)}.`
				);
	const early = discount
		? [
				`Bei Zahlung bis ${day(discount.until)} können Sie ${percent(discount.basisPoints)} Skonto abziehen: ${money(discount.saves, currency)}.`
			]
		: [];
	return [...due, ...early];
}
