import { paragraph } from '../../core/7-letters/wording/rich-text';
import type { BuiltInWording, Wording } from '../../core/7-letters/wording/wording';

const [ITEMS, TOTALS, HOW_TO_PAY] = ['{items}', '{totals}', '{how-to-pay}'].map(paragraph);
const DISPUTE = paragraph('Sollten Sie eine dieser Rechnungen beanstanden, nennen Sie uns bitte den Grund.');

const wording = (title: string, body: Wording['body'], over: Partial<Wording> = {}): Wording => ({
	...{ title, body, subject: '{title} {account}, {day}: {amount}', greeting: 'Guten Tag {contact},' },
	...{
		...{ closing: 'Mit freundlichen Grüßen', sender: 'Debitorenbuchhaltung\n{firm}\n{firm-phone}' },
		...{ fromName: '', replyTo: '' }
	},
	...over
});

/** What letters say in German where a firm has no words of its own. */
export const GERMAN_WORDINGS: Readonly<Record<BuiltInWording, Wording>> = {
	statement: wording('Kontoauszug', [
		paragraph('{shows}'),
		...[ITEMS!, TOTALS!, HOW_TO_PAY!],
		paragraph('Sollten Ihre Unterlagen davon abweichen, teilen Sie es uns bitte mit.')
	]),
	'before-due': wording('Demnächst fällig', [
		paragraph(
			'auf Ihrem Konto werden demnächst {amount} fällig. Ist Ihre Zahlung schon unterwegs, danken wir Ihnen dafür.'
		),
		...[ITEMS!, HOW_TO_PAY!, DISPUTE]
	]),
	reminder: wording('Zahlungserinnerung', [
		paragraph(
			'nach unseren Unterlagen sind auf Ihrem Konto {amount} überfällig{deducted}. Sollten Sie in den letzten Tagen gezahlt haben, danken wir Ihnen; dieses Schreiben ist dann gegenstandslos.'
		),
		...[ITEMS!, HOW_TO_PAY!, DISPUTE]
	]),
	'second-reminder': wording('Zweite Zahlungserinnerung', [
		paragraph(
			'wegen der überfälligen Posten Ihres Kontos haben wir Ihnen schon geschrieben; {amount} sind noch offen{deducted}. Der älteste Posten ist seit {days-late} überfällig.'
		),
		paragraph('Bitte zahlen Sie bis zum {answer-by} oder teilen Sie uns bis dahin mit, wann Sie zahlen.'),
		...[ITEMS!, HOW_TO_PAY!, DISPUTE]
	]),
	'final-demand': wording('Letzte Mahnung', [
		paragraph(
			'trotz unserer Erinnerungen sind auf Ihrem Konto {amount} überfällig{deducted}. Der älteste Posten ist seit {days-late} überfällig.'
		),
		paragraph(
			'Geht bis zum {answer-by} weder Ihre Zahlung noch eine Nachricht von Ihnen ein, werden wir die Forderung ohne weitere Ankündigung geltend machen.'
		),
		...[ITEMS!, HOW_TO_PAY!, DISPUTE]
	]),
	returned: wording('Mitteilung über eine Rückzahlung', [
		paragraph('{shows}'),
		...[ITEMS!, HOW_TO_PAY!],
		paragraph(
			'Sollte der Bank ein Fehler unterlaufen sein, teilen Sie es uns bitte mit; wir klären das mit ihr.'
		)
	]),
	thanks: wording(
		'Dank für Ihre Zahlung',
		[
			paragraph(
				'Ihre Zahlung für {numbers} ist eingegangen; vielen Dank. Zu diesen Posten ist nichts mehr offen.'
			),
			ITEMS!
		],
		{ subject: '{title}: {account}, {day}' }
	),
	copies: wording(
		'Kopien Ihrer Belege',
		[paragraph('wie gewünscht senden wir Ihnen im Anhang Kopien von {numbers}.'), ITEMS!, HOW_TO_PAY!],
		{ subject: '{title}: {numbers}' }
	),
	interest: wording('Verzugszinsen', [
		paragraph('{shows}'),
		...[ITEMS!, HOW_TO_PAY!],
		paragraph('Haben Sie Fragen zur Berechnung, wenden Sie sich bitte an uns.')
	])
};
