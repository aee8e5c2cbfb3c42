import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { Attempts } from './attempts';
import { Confirmations } from './confirmations';
import { IdleSessions } from './idle-sessions';

const MINUTE = 60_000;
const HERE = '192.0.2.1';

describe('what is kept in memory', () => {
	it('a password that was typed counts for ten minutes, in its session', () => {
		const confirmations = new Confirmations();
		confirmations.keep('a', 0);
		expect([confirmations.has('a', 9 * MINUTE), confirmations.has('b', 0)]).toEqual([true, false]);
		expect(confirmations.has('a', 10 * MINUTE)).toBe(false);
	});

	it('ten wrong attempts in a quarter of an hour stop an account from there, and neither another nor whose it is', () => {
		const attempts = new Attempts();
		for (let i = 0; i < 10; i++) {
			expect(attempts.mayTry('wren', HERE, i)).toBe(true);
			attempts.failed('wren', HERE, i);
		}
		const may = (account: string, origin: string, now: number) => attempts.mayTry(account, origin, now);
		expect([may('wren', HERE, 10), may('hollis', HERE, 10), may('wren', '192.0.2.2', 10)]).toEqual([
			...[false, true, true]
		]);
		expect(may('wren', HERE, 15 * MINUTE + 9)).toBe(true);
		attempts.succeeded('wren', HERE);
		expect(may('wren', HERE, 11)).toBe(true);
	});

	it('ninety in an hour, from wherever, stop an account for all', () => {
		const attempts = new Attempts();
		for (let i = 0; i < 90; i++) attempts.failed('wren', `192.0.2.${i}`, i);
		expect(attempts.mayTry('wren', '198.51.100.1', 100)).toBe(false);
		expect(attempts.mayTry('wren', '198.51.100.1', 60 * MINUTE + 89)).toBe(true);
		// One who came in elsewhere does not open it for who guesses.
		attempts.succeeded('wren', '198.51.100.1');
		expect(attempts.mayTry('wren', '198.51.100.1', 100)).toBe(false);
	});

	it('forty in a quarter of an hour from one address, at whatever accounts, stop that address alone', () => {
		const attempts = new Attempts();
		for (let i = 0; i < 40; i++) attempts.failed(`person ${i}`, HERE, i);
		expect([attempts.mayTry('wren', HERE, 100), attempts.mayTry('wren', '192.0.2.2', 100)]).toEqual([
			false,
			true
		]);
		expect(attempts.mayTry('wren', HERE, 15 * MINUTE + 1)).toBe(true);
	});

	it('who comes in takes what went wrong with their account off the address', () => {
		const attempts = new Attempts();
		for (let i = 0; i < 39; i++) attempts.failed(`person ${i % 13}`, HERE, i);
		attempts.succeeded('person 0', HERE);
		for (let i = 0; i < 3; i++) attempts.failed('nobody', HERE, 50 + i);
		expect(attempts.mayTry('wren', HERE, 100)).toBe(true);
		attempts.failed('nobody', HERE, 60);
		expect(attempts.mayTry('wren', HERE, 100)).toBe(false);
	});

	it('whatever was tried, it is as a plain list of all of it says', () => {
		const name = fc.constantFrom('wren', 'hollis', 'any');
		const from = fc.constantFrom('a', 'b');
		const step = fc.record({ name, from, wait: fc.integer({ min: 1, max: 6 * MINUTE }), right: fc.nat(9) });
		fc.assert(
			fc.property(fc.array(step, { minLength: 60, maxLength: 160 }), (steps) => {
				const attempts = new Attempts();
				// Slow and plain: every wrong attempt with whether it still counts against its account there.
				let all: { name: string; from: string; at: number; there: boolean }[] = [];
				let now = 0;
				for (const one of steps) {
					now += one.wait;
					const since = (minutes: number) => all.filter(({ at }) => at > now - minutes * MINUTE);
					const here = since(15).filter((was) => was.there && was.from === one.from);
					const may =
						here.filter((was) => was.name === one.name).length < 10 &&
						here.length < 40 &&
						since(60).filter((was) => was.name === one.name).length < 90;
					expect(attempts.mayTry(one.name, one.from, now)).toBe(may);
					if (one.right === 0) {
						attempts.succeeded(one.name, one.from);
						all = all.map((was) =>
							was.name === one.name && was.from === one.from ? { ...was, there: false } : was
						);
					} else {
						attempts.failed(one.name, one.from, now);
						all.push({ name: one.name, from: one.from, at: now, there: true });
					}
				}
			})
		);
	});

	it('who tried long ago is forgotten', () => {
		const attempts = new Attempts();
		for (let i = 0; i < 10_002; i++) attempts.failed(`a${i}`, `h${i}`, 0);
		attempts.failed('last', HERE, 61 * MINUTE);
		expect(attempts.mayTry('a1', HERE, 61 * MINUTE)).toBe(true);
	});

	it('a session that lay idle for an hour ends; one that is used goes on', () => {
		const idle = new IdleSessions();
		expect([idle.use('a', 0), idle.use('a', 59 * MINUTE), idle.use('a', 118 * MINUTE)]).toEqual([
			...[true, true, true]
		]);
		expect(idle.use('a', 179 * MINUTE)).toBe(false);
	});
});
