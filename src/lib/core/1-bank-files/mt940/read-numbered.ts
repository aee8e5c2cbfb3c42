import type { Information } from './information';
import { joinWrapped } from './join-wrapped';
import { readKeywords } from './read-keywords';

/** Width of a numbered part that is full. */
const PART_WIDTH = 27;
const PURPOSE = /^(?:2\d|6[0-3])$/;

/**
 * Information in numbered parts (`166?00CREDIT?20…?29?30…?32…?33…?60…?63`): a code of three digits, then a sign that stands before the
 * number of each part. 00 is the kind of entry, 20 to 29 and 60 to 63 its purpose, 30 and 31 bank and account, 32 and 33 the name, 38 an
 * IBAN. Null where it is written in another way.
 */
export function readNumbered(text: string): Information | null {
	const [, businessCode, sign] = /^(\d{3})([?<>@^~!|+$&#])\d\d/.exec(text) ?? [];
	if (!businessCode || !sign) return null;
	const pieces = text.slice(3).split(new RegExp(`\\${sign}(?=(?:00|10|2\\d|3[0-4]|38|6[0-3]))`));
	const parts = pieces.filter(Boolean).map((piece) => [piece.slice(0, 2), piece.slice(2)] as const);
	const part = (number: string) => parts.find(([one]) => one === number)?.[1].trim() || null;
	const joined = (of: (number: string) => boolean) =>
		joinWrapped(
			parts.filter(([number]) => of(number)).map(([, value]) => value),
			PART_WIDTH
		);
	const words = readKeywords(joined((number) => PURPOSE.test(number)));
	const [bank, account] = [part('30'), part('31')];
	// A number of a bank's own says nothing without the bank.
	const domestic = bank && account && /^\d+$/.test(bank) && /^\d+$/.test(account);
	return {
		...words,
		businessCode,
		name: joined((number) => number === '32' || number === '33') || words.name,
		account: part('38') ?? (domestic ? `${bank}/${account}` : account) ?? words.account,
		text: words.text || part('00') || ''
	};
}
