import { readdirSync, readFileSync, statSync } from 'node:fs';
import { join } from 'node:path';
import { expect, it } from 'vitest';

/**
 * Words that were tried on screens and in letters and that a credit controller stumbles over, each with what is said instead. The
 * glossary decides; here it is held to.
 */
const BANNED: readonly (readonly [RegExp, string])[] = [
	[/needs? a home/i, 'to allocate'],
	[/of the newest file are done/i, 'so many of so many done'],
	[/shut the day/i, 'close the day'],
	[/writings-off/i, 'write-offs'],
	[/no longer so\b|not so any more/i, 'out of date'],
	[/better left/i, 'left out'],
	[/\b(un)?placed\b|\bplace (it|them|the money|receipts|what)\b/i, 'allocate'],
	[/which money paid what/i, 'receipts and what they paid'],
	[/owed (more|less)\b/i, 'debit, credit'],
	[/\bt(ie|ied|ies|ying) (them|it|to)\b/i, 'match'],
	[/tax kept back/i, 'withholding tax'],
	[/wants a rate/i, 'needs a rate'],
	[/that is no (day|amount)|is no (day|date|amount)\b/i, 'is not a date, is not an amount'],
	[/\bparted by\b/i, 'separated by'],
	[/let (somebody|them) in\b|\bshut out\b/i, 'add, no access'],
	[/did anything like that/i, 'nothing is recorded like that'],
	[/came back\b|come back\b(?! to| later)/i, 'was returned'],
	[/\bput right\b|putting right/i, 'reallocate, correct'],
	[/\blamplight\b/i, 'dark'],
	[/take(s|n)? away\b/i, 'remove'],
	[/lies on the strip|on the strip\b/i, 'is allocated'],
	[/\bSept\b/, 'Sep'],
	[/[\d…] %(?!\w)/, 'no blank before a per cent sign'],
	[/\banew\b/i, 'again, new'],
	[/\bnought\b/i, 'zero'],
	[/\bat the door\b/i, 'sign-ins'],
	[/\bagree(d|s|ing)? to\b|did not agree\b/i, 'approve, reject'],
	[/(stand|good|so) (any more|no longer)/i, 'no longer valid, undone'],
	[/days? late\b/i, 'days overdue'],
	[/\bthe 1 (is|are)\b|\b1 days\b/, 'numbers agree with their nouns']
];

/** Where the trade itself says it so, or a person's own words are meant. */
const ALLOWED: readonly RegExp[] = [
	// What a payer may write, which is recognised.
	/remittance-phrases|core\/text\/languages/,
	/find-stations\.ts/
];

const ROOTS = [
	'src/routes',
	'src/lib/trade',
	'src/lib/ui',
	'src/lib/words',
	'src/lib/core',
	'src/lib/server',
	'src/lib/tables'
];

function filesIn(folder: string): string[] {
	return readdirSync(folder).flatMap((name) => {
		const path = join(folder, name);
		if (statSync(path).isDirectory()) return filesIn(path);
		return /\.(svelte|ts)$/.test(name) && !name.includes('.test.') ? [path] : [];
	});
}

/** What somebody may read of a source: strings of more than one word, and the text between tags; comments and code are left out. */
function wordsOf(path: string): string[] {
	const source = readFileSync(path, 'utf8')
		.replace(/\/\*[\s\S]*?\*\//g, ' ')
		.replace(/<!--[\s\S]*?-->/g, ' ')
		.replace(/^\s*\/\/.*$/gm, ' ')
		.replace(/<style[\s\S]*?<\/style>/g, ' ');
	const script = path.endsWith('.svelte')
		? [...source.matchAll(/<script[\s\S]*?<\/script>/g)].map(([text]) => text).join('\n')
		: source;
	const template = path.endsWith('.svelte') ? source.replace(/<script[\s\S]*?<\/script>/g, ' ') : '';
	const literals = [
		...`${script}\n${template}`.matchAll(/'((?:[^'\\\n]|\\.)*)'|"([^"\n]*)"|`((?:[^`\\]|\\.)*)`/g)
	]
		.map(([, single, double, tick]) => single ?? double ?? tick ?? '')
		.filter((text) => !/^(\.|\$lib|@|\/)/.test(text) && !/^[\w-]+$/.test(text));
	const texts = [...template.matchAll(/>([^<>]*)</g)].map(([, text]) => text!);
	// What is computed in between is code; strings within it are read by themselves.
	return [...literals, ...texts]
		.map((text) =>
			text
				.replace(/\$?\{[^{}]*\}/g, '…')
				.replace(/\s+/g, ' ')
				.trim()
		)
		.filter(Boolean);
}

/** The README by its paragraphs, without what is typed or named in code. */
const readme = readFileSync('README.md', 'utf8')
	.replace(/`[^`]*`/g, '…')
	.replace(/\]\([^)]*\)/g, ']')
	.split('\n\n')
	.map((text) => ({ path: 'README.md', text: text.replace(/\s+/g, ' ') }));
const read = ROOTS.flatMap((root) => filesIn(root))
	.filter((path) => !ALLOWED.some((one) => one.test(path)))
	.flatMap((path) => wordsOf(path).map((text) => ({ path, text })))
	.concat(readme);

it('reads the words of screens, letters and errors', () => {
	expect(read.length).toBeGreaterThan(3000);
	expect(read.some(({ text }) => text.includes('Not customer money'))).toBe(true);
	expect(read.some(({ text }) => text.includes('Ctrl K finds'))).toBe(true);
});

it.each(BANNED)('nobody reads %s', (banned, instead) => {
	const found = read
		.filter(({ text }) => banned.test(text))
		.map(({ path, text }) => `${path}: ${text.slice(0, 120)}`);
	expect(found, `say: ${instead}`).toEqual([]);
});
