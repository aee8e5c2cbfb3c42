import { createRequire } from 'node:module';
import { dirname, join } from 'node:path';

/** The folder of the fonts of letters: they come with the PDF library, and have Latin, Greek and Cyrillic, which names need. */
export const letterFontFolder = () =>
	join(dirname(createRequire(import.meta.url).resolve('pdfmake/package.json')), 'fonts/Roboto');

/** The two faces that a letter shown on a page is set in as well. */
export const LETTER_FACES = { regular: 'Roboto-Regular.ttf', bold: 'Roboto-Medium.ttf' } as const;
