import { zipSync } from 'fflate';
import papa from 'papaparse';
import { err, ok, type Result } from '../core/result';
import { unpack, type UnpackLimits } from './unpack';

/** 100,000 open documents are some 20 MB unpacked. */
const LIMITS: UnpackLimits = { files: 2_000, bytes: 200_000_000, ratio: 200 };

/** The table of a spreadsheet file, as text. */
export interface SheetText {
	/** The name of the sheet that has it. */
	readonly sheet: string;
	/** Columns with tabs between, a line for each row, empty ones too: its lines are the rows of the sheet. */
	readonly text: string;
}

/**
 * Reads a spreadsheet file (ISO/IEC 29500, XLSX): its first sheet that has anything. Days become YYYY-MM-DD, numbers have a decimal point and
 * never just three decimals, which could be thousands.
 * @returns `archive-too-large`, `archive-broken`, or `sheet-unreadable` for one that is no spreadsheet or has no rows
 */
export async function sheetText(bytes: Uint8Array): Promise<Result<SheetText>> {
	const unpacked = unpack(bytes, LIMITS);
	if (!unpacked.ok) return unpacked;
	const { default: readSheets } = await import('read-excel-file/universal');
	try {
		// Packed again as it is, for nothing that is unpacked from here on can be larger than what was looked at.
		const plain = zipSync(unpacked.value, { level: 0 });
		const sheets = await readSheets(new Blob([plain as Uint8Array<ArrayBuffer>]));
		const found = sheets.find(({ data }) => data.some((row) => row.some((cell) => cell !== null)));
		if (!found) return err({ code: 'sheet-unreadable' });
		const rows = found.data.map((row) => row.map(cellText));
		return ok({ sheet: found.sheet, text: papa.unparse(rows, { delimiter: '\t', newline: '\n' }) });
	} catch {
		return err({ code: 'sheet-unreadable' });
	}
}

function cellText(cell: unknown): string {
	if (cell === null || cell === undefined) return '';
	if (cell instanceof Date) return Number.isNaN(cell.getTime()) ? '' : cell.toISOString().slice(0, 10);
	if (typeof cell === 'number') return numberText(cell);
	// A line break within a cell would make two lines of the row.
	return String(cell)
		.split(/[\r\n]/)
		.map((line) => line.replaceAll('\t', ' ').trim())
		.filter(Boolean)
		.join(', ');
}

/** Sheets keep numbers in binary: 15 digits are what they show (ISO/IEC 29500-1, 18.3.1.96, and IEEE 754). */
function numberText(value: number): string {
	const text = String(Number(value.toPrecision(15)));
	if (/e/i.test(text)) return value.toFixed(0);
	return /\.\d{3}$/.test(text) ? `${text}0` : text;
}
