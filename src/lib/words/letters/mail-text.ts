import type { Letter } from '../../core/7-letters/letter';
import type { WordedBlock } from '../../core/7-letters/wording/fill-wording';
import { plainBlock } from '../../core/7-letters/wording/rich-text';
import { asksForMoney, layOutLetter } from './lay-out-letter';
import { letterWordsOf } from './letter-words-of';
import type { LetterWords } from './letter-words';
import { sheetHtml } from './sheet-html';
import { wordsOfLetter } from './word-letter';

/** What an e-mail that carries a letter says. */
export interface MailText {
	readonly subject: string;
	readonly body: string;
	readonly html: string;
	/** In whose name it goes; the firm's where it is empty. */
	readonly fromName: string;
	/** Where answers go; nothing for the firm's own address. */
	readonly replyTo: string;
}

/** Subject, plain text and HTML of the e-mail that carries a letter. */
export function mailText(letter: Letter): MailText {
	const words = letterWordsOf(letter.language);
	const says = wordsOfLetter(letter);
	const { corrects, record } = letter;
	const parts = [
		says.greeting,
		corrects ? words.corrected(corrects) : '',
		...says.blocks.flatMap((block) => blockText(words, letter, block)),
		says.closing,
		says.sender,
		record ? words.recorded(record) : ''
	];
	return {
		...{ subject: says.subject, fromName: says.fromName, replyTo: says.replyTo },
		body: parts.filter((part) => part.trim() !== '').join('\n\n'),
		html: sheetHtml(layOutLetter(letter), words.attached)
	};
}

function blockText(words: LetterWords, letter: Letter, block: WordedBlock): string[] {
	const { pay, owed, currency } = letter;
	switch (block.kind) {
		case 'items':
			return [
				letter.note ?? '',
				`${words.sumName(letter)}: ${words.money(Math.abs(owed), currency)}. ${words.attached}`,
				...letter.dated.map((one) => words.dated(one, currency))
			];
		case 'totals':
			return [];
		case 'how-to-pay':
			if (!asksForMoney(letter)) return letter.kind === 'statement' ? [words.pay.nothing] : [];
			return [words.pay.sentence(pay), ...(pay.link ? [`${words.pay.link}: ${pay.link}`] : [])];
		default:
			return [plainBlock(block)];
	}
}
