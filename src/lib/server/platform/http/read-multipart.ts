import { Busboy } from '@fastify/busboy';
import { randomUUID } from 'node:crypto';
import { createWriteStream, mkdirSync } from 'node:fs';
import { rm } from 'node:fs/promises';
import { join } from 'node:path';
import { Readable } from 'node:stream';
import { pipeline } from 'node:stream/promises';
import { FileOnDisk } from '../files/file-on-disk';

/** A form has no more fields and files than this, and no longer names. */
const MOST_PARTS = 1_000;
const MOST_NAME = 200;

/** The form did not arrive as forms do (RFC 7578), or has more parts than any of ours. */
export class DamagedForm extends Error {}

/**
 * Reads a form as it comes in (multipart/form-data, RFC 7578): its files are written to disk, each under a name of ours, and only its
 * fields are in memory.
 * @param folder for the files; whoever asked takes them away
 * @param most bytes of all of it
 * @throws DamagedForm
 */
export async function readMultipart(request: Request, folder: string, most: number): Promise<FormData> {
	const form = new FormData();
	const written: Promise<unknown>[] = [];
	const paths: string[] = [];
	/** Puts each part in its place, in the order in which they came, once all are there. */
	const places: (() => void)[] = [];
	let cut = false;
	try {
		const reader = new Busboy({
			headers: { 'content-type': request.headers.get('content-type') ?? '' },
			limits: { fieldNameSize: MOST_NAME, fieldSize: most, fileSize: most, parts: MOST_PARTS }
		});
		reader.on('field', (name, value, nameCut, valueCut) => {
			cut ||= nameCut || valueCut;
			places.push(() => form.append(name, value));
		});
		reader.on('file', (name, stream, filename, _, type) => {
			mkdirSync(folder, { recursive: true, mode: 0o700 });
			const path = join(folder, randomUUID());
			const out = createWriteStream(path, { mode: 0o600 });
			paths.push(path);
			written.push(pipeline(stream, out).then(() => (cut ||= stream.truncated)));
			// Browsers write a quotation mark in a name in this way (HTML, 4.10.22.7).
			const plain = (filename ?? '').replaceAll('%22', '"');
			places.push(() => form.append(name, new FileOnDisk(path, plain, type, out.bytesWritten)));
		});
		reader.on('partsLimit', () => (cut = true));
		await pipeline(Readable.fromWeb(request.body as never), reader);
		await Promise.all(written);
		if (cut) throw new Error('more than any form of ours has');
		for (const place of places) place();
		return form;
	} catch (error) {
		await Promise.allSettled(written);
		await discard(paths);
		throw new DamagedForm('the form did not arrive as forms do', { cause: error });
	}
}

/** Takes the files of a form away from disk. */
export async function discardFiles(form: FormData): Promise<void> {
	await discard([...form.values()].flatMap((value) => (value instanceof FileOnDisk ? value.path : [])));
}

async function discard(paths: readonly string[]): Promise<void> {
	for (const path of paths) await rm(path, { force: true });
}
