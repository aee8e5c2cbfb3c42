import { nameWords } from '../../text/name-key';

/** A name with its legal form, as it may be compared to tell two firms of one name apart: upper case, no accents, single spaces. */
export function fullName(name: string): string {
	return spelledName(name)
		.split(' ')
		.map((word) => FORMS[word] ?? word)
		.join(' ');
}

/** The same as it is spelled: a bank may cut a legal form off in its middle. */
export function spelledName(name: string): string {
	return nameWords(name).join(' ');
}

/** Legal forms that are written in two ways. */
const FORMS: Readonly<Record<string, string>> = { LIMITED: 'LTD', COMPANY: 'CO', INCORPORATED: 'INC' };
