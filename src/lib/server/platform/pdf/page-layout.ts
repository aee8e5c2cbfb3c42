import { join } from 'node:path';
import pdfmake from 'pdfmake';
import type { Content, Margins, TableCell, TDocumentDefinitions } from 'pdfmake/interfaces';
import type { Firm } from '../../../core/7-letters/letter';
import { letterFontFolder } from './letter-fonts';

export const INK = '#24201B';
export const SOFT = '#6F665A';
const RULE = '#B9AC97';
export const COPPER = '#A4521F';

let ready = false;
function setUp(): void {
	if (ready) return;
	const fonts = letterFontFolder();
	const face = (name: string) => join(fonts, `Roboto-${name}.ttf`);
	pdfmake.setFonts({
		Roboto: {
			normal: face('Regular'),
			bold: face('Medium'),
			italics: face('Italic'),
			bolditalics: face('MediumItalic')
		}
	});
	pdfmake.setUrlAccessPolicy(() => false);
	pdfmake.setLocalAccessPolicy((path: string) => path.startsWith(fonts));
	ready = true;
}

/** The firm's paper on A4 with content on it, as PDF; the same content gives the same bytes. */
export async function pagePdf(
	firm: Firm,
	date: string,
	title: string,
	content: readonly Content[]
): Promise<Buffer> {
	setUp();
	const definition: TDocumentDefinitions = {
		pageSize: 'A4',
		pageMargins: [56, 56, 56, 64],
		info: { title, author: firm.name, creationDate: new Date(`${date}T00:00:00Z`) },
		defaultStyle: { font: 'Roboto', fontSize: 9.5, color: INK, lineHeight: 1.2 },
		footer: (page: number, pages: number): Content => ({
			margin: [56, 16, 56, 0],
			fontSize: 7.5,
			color: SOFT,
			columns: [
				{ text: `${firm.name} · ${firm.registration}` },
				{ text: `Page ${page} of ${pages}`, alignment: 'right', width: 80 }
			]
		}),
		content: [head(firm), rule(6, 22), ...content]
	};
	return pdfmake.createPdf(definition).getBuffer();
}

function head(firm: Firm): Content {
	return {
		columns: [
			[
				...(firm.logo
					? [{ image: firm.logo, fit: [150, 46] as [number, number], margin: [0, 0, 0, 6] as Margins }]
					: []),
				{ text: firm.name, bold: true, fontSize: 14 },
				{ text: firm.address.join(', '), color: SOFT, fontSize: 8 }
			],
			{ text: [firm.phone, '\n', firm.email], alignment: 'right', color: SOFT, fontSize: 8, width: 160 }
		]
	};
}

/** To whom it goes, what it is, and of which day. */
export function address(
	customer: { readonly name: string; readonly address: readonly string[] },
	title: string,
	beside: string
): Content[] {
	return [
		{ text: [customer.name, ...customer.address].join('\n'), margin: [0, 0, 0, 22] },
		{
			columns: [
				{ text: title, fontSize: 18, bold: true },
				{ text: beside, alignment: 'right', width: 160 }
			]
		}
	];
}

/** The one sum that matters, beside its name. */
export function sumLine(name: string, text: string): Content {
	return {
		columns: [
			{ text: name, bold: true, fontSize: 11 },
			{ text, alignment: 'right', bold: true, fontSize: 13, width: 160 }
		],
		margin: [0, 10, 0, 14]
	};
}

export function headCell(text: string, right = false): TableCell {
	return { text, color: SOFT, fontSize: 8, alignment: right ? 'right' : 'left' };
}

function rule(above: number, below: number): Content {
	const line = (y: number) => ({
		type: 'line' as const,
		x1: 0,
		y1: y,
		x2: 483,
		y2: y,
		lineWidth: 0.6,
		lineColor: RULE
	});
	return { canvas: [line(0), line(2.4)], margin: [0, above, 0, below] };
}

/** Ledger rules between rows, none beside them. */
export const LEDGER = {
	hLineWidth: (i: number) => (i === 0 ? 0 : 0.5),
	vLineWidth: () => 0,
	hLineColor: () => RULE,
	paddingLeft: (i: number) => (i === 0 ? 0 : 5),
	paddingRight: () => 5,
	paddingTop: () => 3.5,
	paddingBottom: () => 3
};
