import { readFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import { inflateSync } from 'node:zlib';

const packages = createRequire(import.meta.url);
const read = (path: string) => readFileSync(packages.resolve(path));
const google = (name: string, file: string) => read(`@expo-google-fonts/${name}/${file}.ttf`);

/** Families in the order in which a letter looks for a sign: the application's own, then those of other scripts. */
export const LETTER_FACES = [
	...['Source Sans 3', 'Noto Sans Arabic', 'Noto Sans Hebrew', 'Noto Sans Devanagari', 'Noto Sans Thai'],
	...['Sawarabi Gothic', 'NanumGothic', 'Noto Emoji', 'UnifontExMono']
] as const;

/** The fonts that most letters are set in: those of the application, and the scripts of names that are small to keep. */
export const plainFonts = (): Buffer[] => [
	google('source-sans-3', '400Regular/SourceSans3_400Regular'),
	google('source-sans-3', '600SemiBold/SourceSans3_600SemiBold'),
	google('source-sans-3', '400Regular_Italic/SourceSans3_400Regular_Italic'),
	google('source-serif-4', '600SemiBold/SourceSerif4_600SemiBold'),
	google('noto-sans-arabic', '400Regular/NotoSansArabic_400Regular'),
	google('noto-sans-hebrew', '400Regular/NotoSansHebrew_400Regular'),
	google('noto-sans-devanagari', '400Regular/NotoSansDevanagari_400Regular'),
	google('noto-sans-thai', '400Regular/NotoSansThai_400Regular')
];

/** Large ones, for names that need them: Japanese, Korean, emoji, and one with a sign for nearly everything that Unicode has. */
export const rareFonts = (): Buffer[] => [
	google('sawarabi-gothic', '400Regular/SawarabiGothic_400Regular'),
	google('nanum-gothic', '400Regular/NanumGothic_400Regular'),
	google('noto-emoji', '400Regular/NotoEmoji_400Regular'),
	fromWoff(read('@fontsource/unifontex/files/unifontex-latin-400-normal.woff'))
];

/** The font within a WOFF file (W3C, WOFF 1.0, sections 3 to 5): the tables, unpacked, behind a directory of their own. */
function fromWoff(woff: Buffer): Buffer {
	const count = woff.readUInt16BE(12);
	const head = Buffer.alloc(12 + 16 * count);
	woff.copy(head, 0, 4, 8);
	const log = Math.floor(Math.log2(count));
	head.writeUInt16BE(count, 4);
	head.writeUInt16BE(2 ** log * 16, 6);
	head.writeUInt16BE(log, 8);
	head.writeUInt16BE((count - 2 ** log) * 16, 10);
	const parts: Buffer[] = [head];
	let at = head.length;
	for (let n = 0; n < count; n++) {
		const entry = 44 + 20 * n;
		const [from, packed, length] = [4, 8, 12].map((field) => woff.readUInt32BE(entry + field)) as [
			number,
			number,
			number
		];
		const raw = woff.subarray(from, from + packed);
		const table = packed < length ? inflateSync(raw) : raw;
		const own = 12 + 16 * n;
		woff.copy(head, own, entry, entry + 4);
		woff.copy(head, own + 4, entry + 16, entry + 20);
		head.writeUInt32BE(at, own + 8);
		head.writeUInt32BE(table.length, own + 12);
		// Each table begins at a multiple of four.
		const gap = (4 - (table.length % 4)) % 4;
		parts.push(table, Buffer.alloc(gap));
		at += table.length + gap;
	}
	return Buffer.concat(parts);
}
