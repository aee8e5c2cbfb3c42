import { beforeEach, describe, expect, it } from 'vitest';
import { paragraph } from '../../../core/7-letters/wording/rich-text';
import type { Wording } from '../../../core/7-letters/wording/wording';
import { perform } from '../../act/perform';
import { as, CLERK, codesOf, done, invoices, newDocument, SUPERVISOR, testBooks, TODAY } from '../../testing';
import type { Books } from '../../platform/db/open';
import { lookAtLetters } from '../queries/letters';
import { lookAtWording, lookAtWordings } from '../queries/wordings';
import { dropWording, keepWording } from './keep-wording';

const OURS: Wording = {
	...{ title: 'Your account', subject: '{title}: {amount}', greeting: 'Dear {contact},' },
	body: [paragraph('You owe {amount}, {customer}.'), paragraph('{items}')],
	...{ closing: 'Yours,', sender: '{person}', fromName: 'Ashlock accounts', replyTo: '' }
};
const given = (over: object = {}) => ({
	...{ key: 'statement', kind: 'statement', language: 'en', name: 'Statement', seen: 0, words: OURS },
	...over
});
const viewer = { who: CLERK, today: TODAY };
let books: Books;
beforeEach(async () => {
	books = await testBooks();
	await invoices(books, newDocument('AK-1', 1, 1_000), newDocument('AK-2', 2, 2_000));
});
const keep = (over: object = {}, who = SUPERVISOR) =>
	perform(books, keepWording, given(over) as never, as(who));
async function letterTo(customerId: number, over: object = {}) {
	const asked = {
		kind: 'statement' as const,
		person: 'Wren',
		accounts: [{ customerId, currency: 'GBP', ...over }]
	};
	const [found] = await lookAtLetters(books.db, asked, viewer);
	if (!found!.ok) throw new Error('refused');
	return found!.value.letter;
}

describe('the words of a kind of letter', () => {
	it('are those that came with the application until the firm has its own, and each version stays', async () => {
		expect((await letterTo(1)).says?.title).toBe('Statement of account');
		await keep();
		const own = await letterTo(1);
		expect(own.says).toMatchObject({
			title: 'Your account',
			subject: 'Your account: £10.00',
			sender: 'Wren'
		});
		expect(own.wording).toEqual({ key: 'statement', language: 'en', version: 1 });
		await keep({ seen: 1, words: { ...OURS, title: 'Account' } });
		const kept = await lookAtWording(books.db, { key: 'statement', language: 'en' }, viewer);
		expect(kept?.versions.map((one) => [one.version, one.words?.title, one.by])).toEqual([
			[2, 'Account', SUPERVISOR.name],
			[1, 'Your account', SUPERVISOR.name]
		]);
		await done(books, dropWording, { key: 'statement', language: 'en' }, SUPERVISOR);
		expect((await letterTo(1)).says?.title).toBe('Statement of account');
		expect(codesOf(await keep({ seen: 2 }))).toEqual(['wording-changed']);
		expect((await keep({ seen: 3 })).ok).toBe(true);
	});
	it('hold for their language alone', async () => {
		await keep({ language: 'de' });
		expect((await letterTo(1)).says?.title).toBe('Statement of account');
		const rows = await lookAtWordings(books.db, null, viewer);
		expect(rows.find((row) => row.key === 'statement')?.languages).toEqual([
			{ language: 'en', isOwn: false, hasWords: true },
			{ language: 'de', isOwn: true, hasWords: true }
		]);
	});
	it('can be changed for one letter alone', async () => {
		const own = await letterTo(1, { words: { ...OURS, greeting: 'Ada,' } });
		expect([own.says?.greeting, own.wording?.isChanged]).toEqual(['Ada,', true]);
		expect((await letterTo(2)).says?.greeting).toMatch(/^Dear /);
	});
	it('of the firm’s own have a name, and are gone once they are let go of', async () => {
		const made = await done(
			books,
			keepWording,
			given({ key: null, kind: 'reminder', name: 'To schools' }) as never,
			SUPERVISOR
		);
		expect(codesOf(await keep({ key: null, kind: 'reminder', name: 'to SCHOOLS' }))).toEqual(['field']);
		const own = async () => (await lookAtWordings(books.db, null, viewer)).filter((row) => row.name !== null);
		expect(await own()).toMatchObject([{ key: made.key, name: 'To schools', kind: 'reminder' }]);
		await done(books, dropWording, { key: made.key, language: 'en' }, SUPERVISOR);
		expect(await own()).toEqual([]);
	});
	it.each([
		['a placeholder that there is not', { words: { ...OURS, subject: '{amuont}' } }, ['field']],
		['no subject', { words: { ...OURS, subject: ' ' } }, ['field']],
		[
			'a link that a browser would run',
			{
				words: { ...OURS, body: [{ kind: 'paragraph', runs: [{ text: 'x', link: 'javascript:alert(1)' }] }] }
			},
			['field']
		],
		['something that is no text', { words: { ...OURS, body: [{ kind: 'html', html: '<b>' }] } }, ['field']],
		[
			'a wrong address for answers',
			{ words: { ...OURS, replyTo: 'a@b.example\nBcc: c@d.example' } },
			['field']
		],
		[
			'too much of it',
			{ words: { ...OURS, body: [paragraph('x'.repeat(15_000)), paragraph('x'.repeat(5_001))] } },
			['field']
		],
		['a wording that there is not', { key: 'own-999' }, ['not-found']]
	])('are refused with %s', async (_, over, codes) => expect(codesOf(await keep(over))).toEqual(codes));
	it('are a supervisor’s to set', async () =>
		expect(codesOf(await keep({}, CLERK as never))).toEqual(['not-allowed']));
});
