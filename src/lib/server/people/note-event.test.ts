import { sql } from 'drizzle-orm';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { securityEventSentence } from '../../words';
import type { Books } from '../platform/db/open';
import { securityEvent } from '../platform/db/schema';
import { CLERK, letIn, proves, testBooks, TODAY } from '../testing';
import { noteEvent } from './note-event';
import { lookAtSecurityEvents } from './queries/security-events';

let books: Books;
beforeEach(async () => {
	books = await testBooks();
});
afterEach(() => books.close());

describe('events of security', () => {
	const look = (person: string | null = null, before: number | null = null) =>
		lookAtSecurityEvents(
			books.db,
			{ person, before },
			{ who: { ...CLERK, role: 'supervisor' }, today: TODAY }
		);

	it('are kept with who and from where, newest first, and cannot be changed unseen', async () => {
		const wren = await letIn(books, 'Wren', 'clerk');
		noteEvent(books, { kind: 'sign-in-refused', origin: '192.0.2.200' });
		noteEvent(books, { kind: 'signed-in', personId: wren.id, origin: '192.0.2.200' });
		noteEvent(books, { kind: 'exported', personId: wren.id, origin: '192.0.2.200', about: 'open items' });
		await books.write(async () => undefined);
		const { rows, people, next } = await look();
		expect(rows.map((row) => [row.person, securityEventSentence(row)])).toEqual([
			['Wren', 'Took out: open items'],
			['Wren', 'Signed in'],
			[null, 'Was refused: address and password did not go together']
		]);
		expect([people.map(({ name }) => name), next]).toEqual([['Wren'], null]);
		expect((await look(wren.id)).rows).toHaveLength(2);
		expect((await look(null, rows[1]!.id)).rows).toHaveLength(1);
		await expect(books.db.run(sql`update security_event set origin = 'x'`)).rejects.toThrow();
		await proves(books);
	});

	it('of one kind from one address do not fill the books', async () => {
		for (let i = 0; i < 100; i++) noteEvent(books, { kind: 'code-refused', origin: '192.0.2.201' });
		noteEvent(books, { kind: 'code-refused', origin: '192.0.2.202' });
		await books.write(async () => undefined);
		expect(await books.db.$count(securityEvent)).toBe(31);
	});

	it('are for supervisors', async () => {
		const clerk = { who: CLERK, today: TODAY };
		await expect(lookAtSecurityEvents(books.db, { person: null, before: null }, clerk)).rejects.toThrow(
			'not-allowed'
		);
	});
});
