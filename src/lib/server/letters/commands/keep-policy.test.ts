import { eq } from 'drizzle-orm';
import { beforeEach, describe, expect, it } from 'vitest';
import { USUAL_POLICY } from '../../../words';
import { perform } from '../../act/perform';
import { customer } from '../../platform/db/schema';
import { as, CLERK, codesOf, done, SUPERVISOR } from '../../testing';
import { ChasedBooks } from '../testing-chasing';
import { dropPolicy, keepPolicy } from './keep-policy';

let at: ChasedBooks;
beforeEach(async () => {
	at = await ChasedBooks.make();
});

describe('ways of chasing', () => {
	const keep = (policy: object, who = SUPERVISOR) =>
		perform(at.books, keepPolicy, { policy } as never, as(who));
	it('are set by a supervisor, keep the ids of their steps, and are not changed twice at once', async () => {
		expect(codesOf(await keep(USUAL_POLICY, CLERK as never))).toEqual(['not-allowed']);
		const step = { ...USUAL_POLICY.steps[0]!, id: 'new', name: 'Gentle' };
		const made = await done(
			at.books,
			keepPolicy,
			{ policy: { ...USUAL_POLICY, id: 'new', name: 'Schools', steps: [step] } } as never,
			SUPERVISOR
		);
		expect(codesOf(await keep({ ...USUAL_POLICY, id: 'new', name: 'SCHOOLS' }))).toEqual(['field']);
		expect(codesOf(await keep({ ...USUAL_POLICY, id: made.id, name: 'Schools' }))).toEqual([
			'wording-changed'
		]);
		await at.books.write((tx) =>
			tx.update(customer).set({ chasingPolicy: made.id }).where(eq(customer.id, 1))
		);
		expect((await at.reminders()).rows[0]?.step?.name).toBe('Gentle');
		expect(codesOf(await perform(at.books, dropPolicy, { id: made.id }, as(SUPERVISOR)))).toEqual([
			'policy-used'
		]);
		await at.books.write((tx) => tx.update(customer).set({ chasingPolicy: null }).where(eq(customer.id, 1)));
		await done(at.books, dropPolicy, { id: made.id }, SUPERVISOR);
		expect(codesOf(await perform(at.books, dropPolicy, { id: 'usual' }, as(SUPERVISOR)))).toEqual([
			'not-found'
		]);
	});
	it.each([
		['a first step that follows none', [{ after: 'step', days: 3 }]],
		['a step that is not after the one before', [{ days: 7 }, { days: 7 }]],
		['a wording that is none for reminders', [{ wording: 'statement' }]],
		['half a day', [{ days: 0.5 }]],
		['an address that is none', [{ copies: ['a@b.example\nBcc: c@d.example'] }]]
	])('are refused with %s', async (_, given) => {
		const steps = given.map((over, n) => ({ ...USUAL_POLICY.steps[0]!, id: `new${n}`, ...over }));
		const kept = await keep({ ...USUAL_POLICY, steps });
		expect(new Set(codesOf(kept))).toEqual(new Set(['field']));
	});
});
