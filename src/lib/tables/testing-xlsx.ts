import { strToU8, zipSync } from 'fflate';

/** A day in a cell, as sheets keep it: days since 30 December 1899 (ISO/IEC 29500-1, 18.17.4.1). */
export class SheetDay {
	readonly serial: number;
	constructor(day: string) {
		this.serial = Date.parse(`${day}T00:00:00Z`) / 86_400_000 + 25_569;
	}
}

export type Cell = string | number | SheetDay | null;

const MAIN = 'http://schemas.openxmlformats.org/spreadsheetml/2006/main';
const OFFICE = 'http://schemas.openxmlformats.org/officeDocument/2006/relationships';
const PACKAGE = 'http://schemas.openxmlformats.org/package/2006';

/** A small spreadsheet file with these sheets. */
export function xlsx(
	sheets: Readonly<Record<string, readonly (readonly Cell[])[]>>
): Uint8Array<ArrayBuffer> {
	const names = Object.keys(sheets);
	const files: Record<string, string> = {
		'[Content_Types].xml': `<Types xmlns="${PACKAGE}/content-types"><Default Extension="xml" ContentType="application/xml"/></Types>`,
		'_rels/.rels': `<Relationships xmlns="${PACKAGE}/relationships"><Relationship Id="rId1" Type="${OFFICE}/officeDocument" Target="xl/workbook.xml"/></Relationships>`,
		'xl/workbook.xml': `<workbook xmlns="${MAIN}" xmlns:r="${OFFICE}"><sheets>${names
			.map((name, i) => `<sheet name="${escaped(name)}" sheetId="${i + 1}" r:id="rId${i + 1}"/>`)
			.join('')}</sheets></workbook>`,
		'xl/_rels/workbook.xml.rels': `<Relationships xmlns="${PACKAGE}/relationships">${names
			.map(
				(_, i) =>
					`<Relationship Id="rId${i + 1}" Type="${OFFICE}/worksheet" Target="worksheets/sheet${i + 1}.xml"/>`
			)
			.join('')}<Relationship Id="rIdS" Type="${OFFICE}/styles" Target="styles.xml"/></Relationships>`,
		'xl/styles.xml': `<styleSheet xmlns="${MAIN}"><cellXfs count="2"><xf numFmtId="0"/><xf numFmtId="14"/></cellXfs></styleSheet>`
	};
	names.forEach((name, i) => {
		const rows = sheets[name]!.map(
			(cells, r) =>
				`<row r="${r + 1}">${cells.map((cell, c) => cellXml(cell, `${column(c)}${r + 1}`)).join('')}</row>`
		);
		files[`xl/worksheets/sheet${i + 1}.xml`] =
			`<worksheet xmlns="${MAIN}"><sheetData>${rows.join('')}</sheetData></worksheet>`;
	});
	return zipSync(Object.fromEntries(Object.entries(files).map(([name, text]) => [name, strToU8(text)])));
}

function cellXml(cell: Cell, at: string): string {
	if (cell === null) return '';
	if (cell instanceof SheetDay) return `<c r="${at}" s="1"><v>${cell.serial}</v></c>`;
	if (typeof cell === 'number') return `<c r="${at}"><v>${cell}</v></c>`;
	return `<c r="${at}" t="inlineStr"><is><t xml:space="preserve">${escaped(cell)}</t></is></c>`;
}

const column = (at: number): string =>
	(at < 26 ? '' : column(Math.floor(at / 26) - 1)) + String.fromCharCode(65 + (at % 26));
const escaped = (text: string) => text.replace(/&/g, '&amp;').replace(/</g, '&lt;').replace(/"/g, '&quot;');
