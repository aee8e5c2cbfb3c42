import { createHash } from 'node:crypto';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { NodeCompiler } from '@myriaddreamin/typst-ts-node-compiler';
import type { Sheet, SheetBlock } from '../../../core/7-letters/sheet';
import { LETTER_FACES, plainFonts, rareFonts } from './letter-fonts';
import { qrPicture } from './qr-picture';
import type { ReportSheet } from '../../../core/6-reports/report-sheet';
import type { Day } from '../../../core/day/day';
import reportTemplate from './report.typ?raw';
import letterTemplate from './sheet.typ?raw';

/** Nothing lies there: what the template reads is handed over. */
const WORKSPACE = join(tmpdir(), 'odd-penny-paper');
const LETTER = join(WORKSPACE, 'sheet.typ');
const REPORT = join(WORKSPACE, 'report.typ');
/** What was set is remembered for so many papers, so that heads and feet are not laid out again. */
const REMEMBERED = 3;

interface Setter {
	readonly compiler: NodeCompiler;
	/** The faces that it has, in order. */
	readonly faces: readonly string[];
	/** Pictures that it was handed. */
	readonly pictures: Set<string>;
}

function makeSetter(fonts: readonly Buffer[], faces: readonly string[]): Setter {
	const compiler = NodeCompiler.create({
		workspace: WORKSPACE,
		fontArgs: [{ fontBlobs: [...fonts] }]
	});
	compiler.mapShadow(LETTER, Buffer.from(letterTemplate));
	compiler.mapShadow(REPORT, Buffer.from(reportTemplate));
	return { compiler, faces, pictures: new Set() };
}

let plain: Setter | null = null;
let rare: Setter | null = null;

/** What is set, and by which template. */
interface Told {
	readonly template: typeof LETTER | typeof REPORT;
	readonly day: Day;
	readonly of: (setter: Setter) => object;
}

/**
 * A sheet as PDF on A4: real text in embedded subsets of the fonts, tagged as PDF/UA-1 (ISO 14289-1) asks. The same sheet gives the same
 * bytes. This file is the one place that knows by what it is set.
 * @throws Error where it cannot be set at all
 */
export function typeset(sheet: Sheet): Buffer {
	return setWithFonts({
		...{ template: LETTER, day: sheet.day },
		of: (setter) => ({
			...sheet,
			head: { ...sheet.head, logo: sheet.head.logo && handOver(setter, sheet.head.logo) },
			blocks: sheet.blocks.map(withPicture)
		})
	});
}

/** A report as PDF, set in the same way. */
export function typesetReport(sheet: ReportSheet): Buffer {
	return setWithFonts({ template: REPORT, day: sheet.day, of: () => sheet });
}

function setWithFonts(told: Told): Buffer {
	plain ??= makeSetter(plainFonts(), LETTER_FACES.slice(0, 5));
	try {
		return set(plain, told, 'ua-1');
	} catch (error) {
		if (!isMissingSign(error)) throw error;
	}
	rare ??= makeSetter([...plainFonts(), ...rareFonts()], LETTER_FACES);
	try {
		return set(rare, told, 'ua-1');
	} catch (error) {
		if (!isMissingSign(error)) throw error;
		// A sign that no font has, such as one for private use: it is set as a box, which the standard does not allow.
		return set(rare, told, '1.7');
	}
}

function set(setter: Setter, { template, day, of }: Told, pdfStandard: string): Buffer {
	const { compiler, faces } = setter;
	const pdf = compiler.pdf(
		{ mainFilePath: template, inputs: { sheet: JSON.stringify(of(setter)), faces: JSON.stringify(faces) } },
		{ pdfStandard, creationTimestamp: Date.parse(`${day}T00:00:00Z`) / 1000 }
	);
	compiler.evictCache(REMEMBERED);
	return pdf;
}

/** Makes a picture known to the setter. @returns its path there */
function handOver({ compiler, pictures }: Setter, url: string): string {
	const [head = '', data = ''] = url.split(',');
	const name = createHash('sha256').update(url).digest('hex').slice(0, 16);
	const path = `/${name}.${head.includes('image/png') ? 'png' : 'jpg'}`;
	if (!pictures.has(path)) {
		compiler.mapShadow(join(WORKSPACE, path), Buffer.from(data, 'base64'));
		pictures.add(path);
	}
	return path;
}

function withPicture(block: SheetBlock): object {
	if (block.kind !== 'pay' || !block.code) return block;
	const { text, says } = block.code;
	return { ...block, code: { svg: qrPicture(text), says, alt: says } };
}

/** Whether a font had no sign for something: this is found out by setting it. */
function isMissingSign(error: unknown): boolean {
	return String((error as { code?: unknown }).code ?? error).includes('could not be displayed with font');
}
