import { beforeEach, expect, test } from 'vitest';
import { perform } from '../../act/perform';
import { layOutLetter, mailText } from '../../../words/letters';
import { lettersFor } from '../../letters/store/letters-for';
import { typeset } from '../../platform/pdf/typeset';
import type { Books } from '../../platform/db/open';
import { act } from '../../platform/db/schema';
import { as, CLERK, codesOf, newDocument, proves, SUPERVISOR, testBooks, TODAY } from '../../testing';
import { readSetting } from '../store/settings';
import { setFirm } from './set-firm';
import { LOGO_BYTES, setLogo } from './set-logo';

let books: Books;
beforeEach(async () => {
	books = await testBooks(newDocument('AK-1', 1, 10_000));
});
/** One point, red. */
const RED = Buffer.from(
	'iVBORw0KGgoAAAANSUhEUgAAAAEAAAABCAYAAAAfFcSJAAAADUlEQVR42mP8z8BQDwAEhQGAhKmMIQAAAABJRU5ErkJggg==',
	'base64'
);
const set = (picture: Buffer | null, who = SUPERVISOR) => perform(books, setLogo, { picture }, as(who));
const letter = async () => {
	const accounts = [{ customerId: 1, currency: 'GBP' }];
	const [found] = await lettersFor(books.db, { kind: 'statement', accounts }, TODAY);
	if (!found?.ok) throw new Error('there is a letter');
	return found.value.letter;
};

test('letters have it, on the screen and as PDF, until it is taken off', async () => {
	const printedNow = async () => typeset(layOutLetter(await letter()));
	const without = await printedNow();
	expect(await set(RED)).toMatchObject({ ok: true });
	const printed = await printedNow();
	expect(printed.includes('/Subtype /Image')).toBe(true);
	expect(without.includes('/Subtype /Image')).toBe(false);
	await set(null);
	expect((await printedNow()).equals(without)).toBe(true);
	expect(mailText(await letter()).html).not.toContain('<img');
	await proves(books);
});

test('it stays when the rest of the firm is changed, and the same again is no act', async () => {
	await set(RED);
	const before = (await readSetting(books.db, 'firm'))!;
	const { baseCurrency: _base, logo: _logo, ...rest } = before;
	await perform(books, setFirm, { ...rest, name: 'Ashlock Kilns' }, as(SUPERVISOR));
	expect(await readSetting(books.db, 'firm')).toEqual({ ...before, name: 'Ashlock Kilns' });
	const acts = await books.db.$count(act);
	await set(RED);
	expect(await books.db.$count(act)).toBe(acts);
	expect(JSON.stringify(await books.db.select().from(act))).not.toContain(RED.toString('base64'));
});

const tooWide = Buffer.from(RED);
tooWide.writeUInt32BE(2_001, 16);
test.each([
	['no picture', Buffer.from('<svg onload="x()"/>'), /no PNG or JPEG/],
	['one that is too heavy', Buffer.concat([RED, Buffer.alloc(LOGO_BYTES)]), /may have 200 kB/],
	['one that is too wide', tooWide, /2001 by 1 points/]
])('%s is refused', async (_, picture, why) => {
	const result = await set(picture);
	expect(result.ok ? '' : JSON.stringify(result.problems)).toMatch(why);
	expect((await readSetting(books.db, 'firm'))!.logo).toBeUndefined();
});

test('it takes a supervisor', async () => {
	expect(codesOf(await set(RED, CLERK))).toEqual(['not-allowed']);
});
