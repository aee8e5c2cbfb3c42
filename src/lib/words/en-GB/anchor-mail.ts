import { shortDay } from './format';

/** What goes with an anchor to the firm's auditor. */
export function anchorMail(firm: string, day: string, code: string): { subject: string; text: string } {
	const on = shortDay(day);
	return {
		subject: `${firm}: anchor of the books, ${on}`,
		text: `The record of ${firm}'s receivables as it stood on ${on} has the code

    ${code}

The file with this message is signed and says the same at full length. Keep it: against it the books can be
proved later, and nothing that was written before that day can be changed, added or taken out without it showing.

    npm run prove -- --anchor FILE
`
	};
}
