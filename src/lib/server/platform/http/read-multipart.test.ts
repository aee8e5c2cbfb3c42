import fc from 'fast-check';
import { existsSync, mkdtempSync, readdirSync, statSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { afterEach, describe, expect, it } from 'vitest';
import { readContent, contentOf, partsOfContent } from '../files/file-content';
import { FileOnDisk } from '../files/file-on-disk';
import { DamagedForm, discardFiles, readMultipart } from './read-multipart';

const folder = join(mkdtempSync(join(tmpdir(), 'odd-penny-uploads-')), 'uploads');
const left = () => (existsSync(folder) ? readdirSync(folder) : []);
const MOST = 1_000_000;
const requestOf = (body: BodyInit, headers?: Record<string, string>) =>
	new Request('http://ashlock-kiln.example/', { method: 'POST', body, headers });
afterEach(() => expect(left()).toEqual([]));

/** A form as plain values, so that two can be compared. */
async function plain(form: FormData) {
	const out: unknown[] = [];
	for (const [name, value] of form)
		out.push(
			typeof value === 'string'
				? [name, value]
				: [name, value.name, value.type, value.size, Buffer.from(await value.arrayBuffer()).toString('hex')]
		);
	return out;
}

const text = fc
	.string({ unit: 'grapheme', maxLength: 40 })
	.map((one) => one.replace(/[\r\n\0]/g, ' ').toWellFormed());
const named = text.map((one) => `n${one.replace(/["%\\/]/g, '_')}`);
const part = fc.oneof(
	fc.record({ name: named, value: text }),
	fc.record({
		name: named,
		file: named,
		type: fc.constantFrom('text/csv', 'application/xml'),
		bytes: fc.uint8Array({ maxLength: 3_000 })
	})
);

describe('a form that is read as it comes in', () => {
	it('has the fields and files that were sent, in their order, and its files lie on disk', () =>
		fc.assert(
			fc.asyncProperty(fc.array(part, { maxLength: 8 }), async (parts) => {
				const sent = new FormData();
				for (const one of parts)
					if ('value' in one) sent.append(one.name, one.value);
					else sent.append(one.name, new File([one.bytes], one.file, { type: one.type }));
				const read = await readMultipart(requestOf(sent), folder, MOST);
				// As the platform itself reads it.
				expect(await plain(read)).toEqual(await plain(await requestOf(sent).formData()));
				const files = [...read.values()].filter((value) => typeof value !== 'string');
				expect(files.every((file) => file instanceof FileOnDisk)).toBe(true);
				expect(left().length).toBe(files.length);
				for (const name of left()) expect(statSync(join(folder, name)).mode & 0o777).toBe(0o600);
				await discardFiles(read);
				expect(left()).toEqual([]);
			}),
			{ numRuns: 60 }
		));

	it('names files as they are called, and no folder with them', async () => {
		const sent = new FormData();
		sent.append('file', new File(['a'], 'Łódź "40".csv'));
		sent.append('file', new File(['b'], '../../etc/hosts'));
		const read = await readMultipart(requestOf(sent), folder, MOST);
		expect(read.getAll('file').map((file) => (file as File).name)).toEqual(['Łódź "40".csv', 'hosts']);
		await discardFiles(read);
	});

	const BOUNDARY = 'x';
	const type = { 'content-type': `multipart/form-data; boundary=${BOUNDARY}` };
	const aFile = `--x\r\nContent-Disposition: form-data; name="file"; filename="a.csv"\r\n\r\n`;
	it.each<[string, string, Record<string, string>]>([
		['no boundary', `${aFile}abc\r\n--x--\r\n`, { 'content-type': 'multipart/form-data' }],
		['an end in the middle of a file', `${aFile}abc`, type],
		['nothing in it', '', type],
		['a file larger than may be', `${aFile}${'a'.repeat(MOST + 1)}\r\n--x--\r\n`, type],
		[
			'a field longer than may be',
			`--x\r\nContent-Disposition: form-data; name="json"\r\n\r\n${'a'.repeat(MOST + 1)}\r\n--x--\r\n`,
			type
		],
		[
			'more parts than any form has',
			`${'--x\r\nContent-Disposition: form-data; name="a"\r\n\r\nb\r\n'.repeat(1_001)}--x--\r\n`,
			type
		]
	])('with %s is refused, and nothing of it is left', async (_, body, headers) => {
		await expect(readMultipart(requestOf(body, headers), folder, MOST)).rejects.toThrow(DamagedForm);
		expect(left()).toEqual([]);
	});
});

it('a file on disk is read in every way in which others are', async () => {
	const sent = new FormData();
	sent.append('file', new File(['number,kind\n1,invoice'], 'a.csv', { type: 'text/csv' }));
	const form = await readMultipart(requestOf(sent), folder, MOST);
	const file = form.get('file') as File;
	const content = await contentOf(file);
	expect(content).toEqual({ path: (file as FileOnDisk).path });
	const parts: Uint8Array[] = [];
	for await (const one of partsOfContent(content)) parts.push(one);
	const ways = [
		await file.text(),
		Buffer.from(await file.arrayBuffer()).toString(),
		await new Response(file.stream()).text(),
		Buffer.from(await readContent(content)).toString(),
		Buffer.concat(parts).toString()
	];
	expect(new Set(ways)).toEqual(new Set(['number,kind\n1,invoice']));
	expect([file.size, file.type]).toEqual([21, 'text/csv']);
	await discardFiles(form);
});
