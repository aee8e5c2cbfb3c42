import { afterEach, beforeEach, expect, it } from 'vitest';
import type { Books } from '../../platform/db/open';
import { measured, newMeter, readMeter, willWrite, wrote } from '../../platform/db/meter';
import { as, CLERK, READER, testBooks } from '../../testing';
import { performInThread } from './perform-in-thread';
import { progressOf, withMeter } from './meters';

let books: Books;
beforeEach(async () => void (books = await testBooks()));
afterEach(() => books.close());

it('only whoever asked for it sees how far it has come, and as long as it is under way', async () => {
	let go = () => {};
	const held = new Promise<void>((resolve) => (go = resolve));
	const work = withMeter({ who: CLERK, key: 'k1' }, (meter) =>
		measured(meter, async () => {
			willWrite(10);
			wrote(4);
			await held;
		})
	);
	expect(progressOf(CLERK.id, 'k1')).toEqual({ done: 4, of: 10 });
	expect([progressOf(READER.id, 'k1'), progressOf(CLERK.id, 'k2')]).toEqual([null, null]);
	go();
	await work;
	expect(progressOf(CLERK.id, 'k1')).toBeNull();
});

it('what fails is under way no more', async () => {
	const work = withMeter({ who: CLERK, key: 'k1' }, () => Promise.reject(new Error('broken')));
	await expect(work).rejects.toThrow('broken');
	expect(progressOf(CLERK.id, 'k1')).toBeNull();
});

it('of documents so many rows are announced as are written', async () => {
	const meter = newMeter();
	const rows = ['A-1', 'A-2', 'A-3'].map((number, i) => `H1;${number};0${i + 1}.10.2026;${i + 1},50`);
	const text = ['Kunde;Rg.-Nr.;Rechnungsdatum;Offen', ...rows].join('\n');
	const asked = { sources: [{ file: 'own.csv', content: text }], answers: [], opening: null };
	const result = await measured(meter, () => performInThread(books, 'bring-in-documents', asked, as(CLERK)));
	expect(result.ok).toBe(true);
	const { done, of } = readMeter(meter);
	// The act of them all is one more.
	expect([of, done]).toEqual([3 * 7, 3 * 7 + 1]);
});

it('nothing is counted where nobody measures', () => {
	willWrite(5);
	wrote(5);
	expect(readMeter(newMeter())).toEqual({ done: 0, of: 0 });
});
