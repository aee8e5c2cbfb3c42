import { generateKeyPairSync } from 'node:crypto';
import { mkdtempSync, readdirSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { simpleParser } from 'mailparser';
import { afterEach, beforeEach, expect, it } from 'vitest';
import { day } from '../../../core/day/day';
import { setAddress } from '../../customers/commands/set-address';
import { setAuditor } from '../../firm/commands/set-auditor';
import { proveBooks } from '../../ledger/queries/proof';
import { publicText } from '../../platform/anchors/anchor';
import { anchorCode } from '../../platform/anchors/anchor-code';
import { readAnchors } from '../../platform/anchors/anchor-files';
import { openBooks } from '../../platform/db/open';
import { anchor, seal } from '../../platform/db/schema';
import { startStandIn } from '../../platform/mail/stand-in';
import { CLERK, done, SUPERVISOR, testBooks } from '../../testing';
import { keepAnchors, type Anchors } from './keep-anchors';

const { privateKey } = generateKeyPairSync('ed25519');
let books: Awaited<ReturnType<typeof testBooks>>;
let folders: string[];
let outbox: string;
let today: string;
let anchors: Anchors;
let standIn: Awaited<ReturnType<typeof startStandIn>>;
beforeEach(async () => {
	books = await testBooks();
	folders = [0, 1].map(() => mkdtempSync(join(tmpdir(), 'odd-penny-anchors-')));
	outbox = mkdtempSync(join(tmpdir(), 'odd-penny-outbox-'));
	today = '2026-10-30';
	standIn = await startStandIn(outbox);
	anchors = keepAnchors(books, {
		...{
			key: privateKey,
			folders,
			now: () => '2026-10-30T10:00:00.000Z',
			mailRoute: async () => ({ server: standIn.url, signing: null })
		},
		today: async () => day(today)
	});
});
afterEach(async () => {
	await anchors.close();
	await standIn.close();
});
const change = (email: string) => done(books, setAddress, { customerId: 1, kind: 'statement', email }, CLERK);
const proof = () =>
	proveBooks(books.db, { files: folders.flatMap(readAnchors), publicKey: publicText(privateKey) });
const reasons = async () => (await books.db.select().from(anchor)).map((row) => `${row.day} ${row.reason}`);

it('the head lies beside the books after every look, and for good when a day is over or a period is locked', async () => {
	await anchors.look();
	expect(await reasons()).toEqual(['2026-10-30 day']);
	await change('one@hazel.example');
	await anchors.look();
	expect(await reasons()).toEqual(['2026-10-30 day']);
	today = '2026-10-31';
	await anchors.look();
	expect(await reasons()).toEqual(['2026-10-30 day']);
	await change('two@hazel.example');
	await anchors.look();
	await anchors.locked();
	expect(await reasons()).toEqual(['2026-10-30 day', '2026-10-31 day', '2026-10-31 lock']);
	for (const folder of folders) expect(readdirSync(folder)).toHaveLength(4);
	expect((await proof()).breaches).toEqual([]);
	expect((await proof()).counts.anchors).toBe(8);
});

it('what was cut off since shows, by the head that was seen last', async () => {
	await change('one@hazel.example');
	await anchors.look();
	const copy = await testBooks();
	const { breaches } = await proveBooks(copy.db, {
		...{ files: folders.flatMap(readAnchors), publicKey: publicText(privateKey) }
	});
	expect(breaches.map((one) => ('fault' in one ? one.fault : ''))).toContain('cut-off');
	await copy.close();
	const again = await openBooks(`file:${books.file}`, { migrations: 'drizzle' });
	expect((await again.db.select().from(seal)).length).toBeGreaterThan(3);
});

it('goes to the auditor by mail, once, and again with the next where it did not arrive', async () => {
	await done(books, setAuditor, { email: 'audit@tarn.example' }, SUPERVISOR);
	await anchors.look();
	const [first] = await books.db.select().from(anchor);
	expect([first!.mail, first!.answer]).toEqual(['sent', null]);
	await anchors.look();
	const [file, ...more] = readdirSync(outbox);
	expect(more).toEqual([]);
	const mail = await simpleParser(readFileSync(join(outbox, file!)));
	expect(mail.text).toContain(anchorCode(first!));
	expect(JSON.parse(mail.attachments[0]!.content.toString())).toEqual(JSON.parse(first!.signed));
	await standIn.close();
	await anchors.locked();
	await anchors.look();
	expect((await books.db.select().from(anchor)).map((row) => row.mail)).toEqual(['sent', 'failed']);
});

it('a folder that is gone is made again', async () => {
	await anchors.look();
	rmSync(folders[0]!, { recursive: true });
	await change('one@hazel.example');
	await anchors.look();
	expect(readdirSync(folders[0]!)).toEqual(['head.json']);
});
