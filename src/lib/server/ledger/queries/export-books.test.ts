import { spawnSync } from 'node:child_process';
import { generateKeyPairSync } from 'node:crypto';
import { mkdtempSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { beforeAll, describe, expect, it } from 'vitest';
import { allocateReceipt } from '../../allocation/commands/allocate-receipt';
import { signAnchor } from '../../platform/anchors/anchor';
import { checkChain } from '../../platform/db/seal/check-chain';
import { bankXml, bringIn, CLERK, credit, done, newDocument, payment, testBooks } from '../../testing';
import { exportBooks } from './export-books';

const folder = mkdtempSync(join(tmpdir(), 'odd-penny-export-'));
const { privateKey } = generateKeyPairSync('ed25519');
let lines: string[];
let anchor: ReturnType<typeof signAnchor>;
beforeAll(async () => {
	const books = await testBooks(newDocument('AK-1', 1, 1000), newDocument('AK-2', 1, 2000));
	await bringIn(books, bankXml([credit(1000, 'AK-1'), credit(2000, 'AK-2')]));
	await done(books, allocateReceipt, payment(1, 1, [1, 1000]), CLERK);
	lines = [];
	for await (const line of exportBooks(books.db)) lines.push(line);
	const hashes: string[] = [];
	const { head } = await checkChain(books.db, (hash) => hashes.push(hash));
	anchor = signAnchor(
		{ books: hashes[0]!, seals: hashes.length, head, acts: 5, day: '2026-10-30', at: '', reason: 'day' },
		privateKey
	);
});

/** Runs the auditor's tool over an export; what it says and whether it is content. */
function verified(given: readonly string[], signed: object = anchor) {
	const [path, anchorPath] = [join(folder, 'books.ndjson'), join(folder, 'anchor.json')];
	writeFileSync(path, `${given.join('\n')}\n`);
	writeFileSync(anchorPath, JSON.stringify(signed));
	const { stdout, stderr, status } = spawnSync(
		process.execPath,
		['tools/verify/verify.mjs', path, '--anchor', anchorPath],
		{ encoding: 'utf8' }
	);
	return { said: stdout + stderr, status };
}

/** The export with the first line that says something said otherwise. */
function edited(pattern: RegExp, to: string): string[] {
	const at = lines.findIndex((line) => pattern.test(line));
	expect(at).toBeGreaterThanOrEqual(0);
	return lines.with(at, lines[at]!.replace(pattern, to));
}

describe('the auditor’s tool', () => {
	it('finds an export sound, and says what the books come to', () => {
		const { said, status } = verified(lines);
		expect(said).toContain('The export is sound.');
		expect(said).toMatch(/^ {2}1200 +1000$/m);
		expect(said).toContain('Open items owed 2000, credits 0.');
		expect(status).toBe(0);
	});
	it.each([
		['an amount', /(\["journal_line",1,.*?)1000/, '$11001'],
		['a seal', /"seal":\[2,"20/, '"seal":[2,"21'],
		['what a seal covers', /("run":\["item",1,.*"hash|"run":\["item",1,)2/, '$13']
	])('shows %s changed', (_, pattern, to) => {
		const { said, status } = verified(edited(pattern, to));
		expect(said).toContain('FAULT');
		expect(status).toBe(1);
	});
	it('shows a row taken out, and one added', () => {
		const without = lines.filter((line) => !line.startsWith('{"row":["allocation",'));
		expect(verified(without).said).toContain('allocation 1 was written and is gone');
		const added = [
			...lines,
			lines.find((line) => line.startsWith('{"row":["rate"')) ?? '{"row":["rate",9,"[9]"]}'
		];
		expect(verified(added).said).toContain('rate 9 was never written');
	});
	it('shows that the last was cut off, and an anchor that nobody signed', () => {
		const last = lines.findLastIndex((line) => line.startsWith('{"seal"'));
		const next = lines.findIndex((line, at) => at > last && line.startsWith('{"row"'));
		expect(verified(lines.toSpliced(last, next - last)).said).toContain('what came last was cut off');
		expect(verified(lines, { ...anchor, acts: 4 }).said).toContain('is not signed by the key');
	});
});
