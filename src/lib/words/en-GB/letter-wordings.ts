import { paragraph } from '../../core/7-letters/wording/rich-text';
import type { BuiltInWording, Wording } from '../../core/7-letters/wording/wording';

const [ITEMS, TOTALS, HOW_TO_PAY] = ['{items}', '{totals}', '{how-to-pay}'].map(paragraph);
const DISPUTE = paragraph(
	'If you dispute any of these invoices, please let us know the reason so that we can resolve it.'
);

const wording = (title: string, body: Wording['body'], over: Partial<Wording> = {}): Wording => ({
	...{ title, body, subject: '{title} {account}, {day}: {amount}', greeting: 'Dear {contact},' },
	...{ closing: 'Kind regards,', sender: 'Credit control\n{firm}\n{firm-phone}', fromName: '', replyTo: '' },
	...over
});

/** What letters say where a firm has no words of its own. */
export const ENGLISH_WORDINGS: Readonly<Record<BuiltInWording, Wording>> = {
	statement: wording('Statement of account', [
		paragraph('{shows}'),
		...[ITEMS!, TOTALS!, HOW_TO_PAY!],
		paragraph('If anything here differs from your own records, please let us know.')
	]),
	'before-due': wording('Payment due soon', [
		paragraph(
			'This is to let you know that {amount} on your account falls due shortly. If your payment is already on its way, please accept our thanks.'
		),
		...[ITEMS!, HOW_TO_PAY!, DISPUTE]
	]),
	reminder: wording('Reminder', [
		paragraph(
			'According to our records, {amount} is overdue on your account{deducted}. If you have paid in the last few days, please accept our thanks and disregard this reminder.'
		),
		...[ITEMS!, HOW_TO_PAY!, DISPUTE]
	]),
	'second-reminder': wording('Second reminder', [
		paragraph(
			'We have written to you before about the overdue items on your account, and {amount} is still unpaid{deducted}. The oldest item is {days-late} overdue.'
		),
		paragraph('Please pay by {answer-by}, or tell us by then when we may expect your payment.'),
		...[ITEMS!, HOW_TO_PAY!, DISPUTE]
	]),
	'final-demand': wording('Final demand', [
		paragraph(
			'In spite of our reminders, {amount} remains overdue on your account{deducted}. The oldest item is {days-late} overdue.'
		),
		paragraph(
			'Unless you pay in full, or get in touch with us, by {answer-by}, we shall take further steps to recover this debt without writing to you again.'
		),
		...[ITEMS!, HOW_TO_PAY!, DISPUTE]
	]),
	returned: wording('Returned payment', [
		paragraph('{shows}'),
		...[ITEMS!, HOW_TO_PAY!],
		paragraph(
			'If you believe that the bank has made a mistake, please let us know and we will take it up with them.'
		)
	]),
	thanks: wording(
		'Thank you for your payment',
		[
			paragraph(
				'Thank you: we have received your payment for {numbers}. Nothing more is due on these items.'
			),
			ITEMS!
		],
		{ subject: '{title}: {account}, {day}' }
	),
	copies: wording(
		'Copies of your documents',
		[paragraph('As you asked, please find attached copies of {numbers}.'), ITEMS!, HOW_TO_PAY!],
		{ subject: '{title}: {numbers}' }
	),
	interest: wording('Interest on late payment', [
		paragraph('{shows}'),
		...[ITEMS!, HOW_TO_PAY!],
		paragraph('If you have any questions about how this was calculated, please let us know.')
	])
};
