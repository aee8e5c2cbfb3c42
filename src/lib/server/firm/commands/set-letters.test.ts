import { beforeEach, describe, expect, it } from 'vitest';
import { perform } from '../../act/perform';
import { countRuns } from '../../letters/queries/letters';
import { startRun } from '../../letters/commands/start-run';
import { lookAtRun } from '../../letters/queries/letters';
import type { Books } from '../../platform/db/open';
import { readSetting } from '../store/settings';
import {
	as,
	CLERK,
	codesOf,
	invoices,
	letIn,
	newDocument,
	SUPERVISOR,
	testBooks,
	TODAY
} from '../../testing';
import { setLetters } from './set-letters';

const GIVEN = {
	...{ inCredit: 'hold' as const, payLink: '', perMinute: 30 },
	schedule: { when: 'friday' as const, kind: 'activity' as const }
};
let books: Books;
beforeEach(async () => (books = await testBooks()));
const set = (given: object, who = SUPERVISOR) => perform(books, setLetters, { ...GIVEN, ...given }, as(who));

describe('how letters go', () => {
	it('is set by a supervisor', async () => {
		expect(codesOf(await set({}, CLERK))).toEqual(['not-allowed']);
		expect(
			(await set({ payLink: 'https://pay.ashlock-kiln.example/?ref={reference}&sum={amount}' })).ok
		).toBe(true);
		expect(await readSetting(books.db, 'letters')).toMatchObject({ inCredit: 'hold', perMinute: 30 });
	});
	it('takes one supervisor alone, where it is not about where money goes', async () => {
		const [first] = [await letIn(books, 'Hollis', 'supervisor'), await letIn(books, 'Perrin', 'supervisor')];
		expect((await set({ perMinute: 12 }, first)).ok).toBe(true);
		expect((await readSetting(books.db, 'letters'))!.perMinute).toBe(12);
	});
	it.each([
		['a page without encryption', { payLink: 'http://pay.ashlock-kiln.example' }],
		['a script', { payLink: 'javascript:alert(1)' }],
		['a place that nothing goes into', { payLink: 'https://pay.ashlock-kiln.example/{customer}' }],
		['words', { payLink: 'https://pay here' }],
		['no letters a minute', { perMinute: 0 }],
		['half a letter', { perMinute: 1.5 }],
		['a day that there is not', { schedule: { when: 'sunday', kind: 'open' } }]
	])('refuses %s', async (_, given) => {
		expect(codesOf(await set(given))).toEqual(['field']);
		expect(await readSetting(books.db, 'letters')).toBeNull();
	});
	it.each([
		[1, 'one by hand is none', true],
		[2, 'a run of them is', false]
	])(
		'puts statements on Today when they come round, until a run of them is started: %i letter, %s',
		async (some, _, isDue) => {
			await invoices(books, newDocument('AK-1', 1, 1000), newDocument('AK-2', 2, 2000));
			const viewer = { who: CLERK, today: TODAY };
			const due = async () => (await countRuns(books.db, { waiting: [] }, viewer)).due;
			expect(await due()).toBeNull();
			await set({});
			// 30 October 2026 is a Friday.
			const ours = { on: TODAY, statement: { kind: 'activity', from: '2026-10-23', to: '2026-10-29' } };
			expect(await due()).toEqual(ours);
			const { rows, ready, seen } = await lookAtRun(
				books.db,
				{ kind: 'statement', waiting: [], page: 0 },
				viewer
			);
			const given = { kind: 'statement' as const, statement: null, note: '', copyTo: null, rows, seen };
			const started = await perform(books, startRun, { ...given, chosen: ready.slice(0, some) }, as(CLERK));
			expect(started.ok).toBe(true);
			expect(await due()).toEqual(isDue ? ours : null);
		}
	);
});
