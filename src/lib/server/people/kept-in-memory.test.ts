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
