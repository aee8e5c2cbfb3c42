import { existsSync } from 'node:fs';
import { join } from 'node:path';
import { Piscina } from 'piscina';
import type { Letter } from '../../core/7-letters/letter';

let pool: Piscina | null = null;

/** A letter as PDF, made in a worker thread of the built application; in place where there is no build (tests, development). */
export async function renderLetter(letter: Letter): Promise<Buffer> {
	const worker = join(process.env['ODD_PENNY_ROOT'] ?? process.cwd(), 'build/tools/pdf-worker.js');
	if (process.env['ODD_PENNY_ROOT'] === undefined || !existsSync(worker)) {
		const { letterPdf } = await import('./letter-pdf');
		return letterPdf(letter);
	}
	pool ??= new Piscina({ filename: worker, maxThreads: 2, idleTimeout: 10_000 });
	return Buffer.from((await pool.run(letter)) as Uint8Array);
}
