import { readdirSync, readFileSync } from 'node:fs';
import { join, resolve } from 'node:path';
import { formatOfBankText } from '../src/lib/core/1-bank-files/format-of-bank-text';
import { readBankText } from '../src/lib/core/1-bank-files/read-bank-text';
import type { TextFormat } from '../src/lib/core/1-bank-files/read-statement';

/** The sound ones of the fixtures of a format, as text. */
export function samplesOf(format: TextFormat): string[] {
	const folder = resolve('fixtures/bank-files');
	return readdirSync(folder)
		.filter((name) => !/\.(txt|md)$/.test(name))
		.map((name) => readFileSync(join(folder, name), 'latin1'))
		.filter((text) => formatOfBankText(text) === format && readBankText(text).ok);
}
