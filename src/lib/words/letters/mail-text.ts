import type { Letter } from '../../core/7-letters/letter';
import { layOutLetter } from './lay-out-letter';
import { letterWordsOf } from './letter-words-of';
import { sheetHtml } from './sheet-html';

/** What an e-mail that carries a letter says. */
export interface MailText {
	readonly subject: string;
	readonly body: string;
	readonly html: string;
}

/** Subject, plain text and HTML of the e-mail that carries a letter. */
export function mailText(letter: Letter): MailText {
	const words = letterWordsOf(letter.language);
	const title = words.title(letter);
	const subject = `${title} ${letter.customer.code}, ${words.day(letter.date)}: ${words.money(Math.abs(letter.owed), letter.currency)}`;
	const body = [
		letter.customer.name,
		'',
		words.before(letter),
		...(letter.note ? ['', letter.note] : []),
		'',
		words.attached,
		'',
		...letter.dated.map((one) => words.dated(one, letter.currency)),
		letter.owed > 0 ? words.pay.sentence(letter.pay) : words.pay.nothing,
		...(letter.owed > 0 && letter.pay.link ? [`${words.pay.link}: ${letter.pay.link}`] : []),
		...words.after(letter),
		'',
		letter.firm.name,
		letter.firm.phone
	];
	return { subject, body: body.join('\n'), html: sheetHtml(layOutLetter(letter), words.attached) };
}
