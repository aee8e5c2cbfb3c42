import { existsSync, readdirSync, readFileSync } from 'node:fs';
import { expect, it } from 'vitest';

/** The list of docs/security.md: number, state, and what shows it. */
const TEXT = readFileSync('docs/security.md', 'utf8');
const ROWS = [...TEXT.matchAll(/^\| (\d+\.\d+\.\d+)\s*\| ([a-z ]+?)\s*\| (.*?)\s*\|$/gm)].map(
	([, number, state, why]) => ({ number: number!, state: state!, why: why! })
);
/** Requirements of levels 1 and 2, by chapter (ASVS 4.0.3, without those that were taken out of it). */
const EACH = [38, 53, 18, 9, 30, 13, 12, 15, 7, 5, 8, 15, 13, 23];

it('has every requirement once, with its state and why', () => {
	expect(new Set(ROWS.map(({ number }) => number)).size).toBe(ROWS.length);
	expect(EACH.map((_, i) => ROWS.filter(({ number }) => number.startsWith(`${i + 1}.`)).length)).toEqual(
		EACH
	);
	expect(ROWS.filter(({ why }) => why.length < 4)).toEqual([]);
	expect([...new Set(ROWS.map(({ state }) => state))].sort()).toEqual(['met', 'not applicable', 'not met']);
});

it('says at its head how many are met', () => {
	const count = (state: string) => ROWS.filter((row) => row.state === state).length;
	const said = /of its (\d+) requirements (\d+) are met, (\d+) are not met, (\d+) are not applicable/.exec(
		TEXT.replace(/\s+/g, ' ')
	)!;
	expect(said.slice(1).map(Number)).toEqual([
		...[ROWS.length, count('met'), count('not met'), count('not applicable')]
	]);
});

it('cites what is there', () => {
	const files = readdirSync('.', { recursive: true, encoding: 'utf8' }).filter(
		(path) => !/node_modules|^build|\.svelte-kit|^data/.test(path)
	);
	const isThere = (name: string) =>
		existsSync(name) || existsSync(`src/lib/server/${name}`) || files.some((path) => path.includes(name));
	const cited = ROWS.flatMap(({ why }) => [...why.matchAll(/`([a-z0-9/-]+(?:\.test)?(?:\.ts|\.md)?)`/g)])
		.map(([, name]) => name!.replace(/^e2e /, ''))
		.filter(
			(name) => /[-/]/.test(name) && name.length > 3 && !name.startsWith('/') && !name.startsWith('no-')
		);
	expect(cited.length).toBeGreaterThan(30);
	expect([...new Set(cited)].filter((name) => !isThere(name))).toEqual([]);
});
