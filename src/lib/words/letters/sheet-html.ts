import { escapeMarkup } from '../../core/text/escape-markup';
import type { Sheet, SheetBlock, SheetCell, SheetTable } from '../../core/7-letters/sheet';
import type { RichBlock, RichRun } from '../../core/7-letters/wording/rich-text';

const INK = '#24201b';
const SOFT = '#6f665a';
const LATE = '#a4521f';
const RULE = '1px solid #b9ac97';
/** Longer tables are left to the PDF: mail of any length is not read. */
const MOST_ROWS = 60;

/** The same description as a message in HTML: one table after another, all style within, nothing that is fetched. */
export function sheetHtml(sheet: Sheet, attached: string): string {
	const blocks = sheet.blocks.map((block) => blockHtml(block)).join('\n');
	return `<!doctype html><html lang="${escapeMarkup(sheet.language)}"><head><meta charset="utf-8"><title>${escapeMarkup(sheet.title)}</title></head>
<body style="margin:0;padding:24px;background:#fff;color:${INK};font:14px/1.45 'Source Sans 3','Source Sans Pro',sans-serif">
<p style="margin:0 0 12px"><b>${escapeMarkup(sheet.head.name)}</b></p>
<p style="margin:0 0 16px">${sheet.to.map(escapeMarkup).join('<br>')}</p>
<h1 style="font-size:20px;margin:0 0 8px">${escapeMarkup(sheet.title)}</h1>
<p style="margin:0 0 12px;color:${SOFT}">${sheet.facts.map((one) => `${escapeMarkup(one.name)}: ${escapeMarkup(one.value)}`).join(' · ')}</p>
${blocks}
<p style="color:${SOFT}">${escapeMarkup(attached)}</p>
<p style="color:${SOFT};font-size:12px">${[sheet.footer, ...sheet.head.contact].map(escapeMarkup).join(' · ')}</p>
</body></html>`;
}

function blockHtml(block: SheetBlock): string {
	switch (block.kind) {
		case 'text':
			return `<p${block.soft ? ` style="color:${SOFT}"` : ''}>${escapeMarkup(block.text).replaceAll('\n', '<br>')}</p>`;
		case 'rich':
			return richHtml(block.block);
		case 'table':
			return tableHtml(block);
		case 'figures':
			return `<table role="presentation" style="border-collapse:collapse;margin:0 0 12px"><tr>${block.cells.map((one) => `<td style="padding:2px 14px 2px 0;color:${SOFT}">${escapeMarkup(one.name)}<br><span style="color:${INK}">${escapeMarkup(one.value)}</span></td>`).join('')}</tr></table>`;
		case 'pay':
			return `<p style="border-top:${RULE};border-bottom:${RULE};padding:8px 0"><b>${escapeMarkup(block.name)}</b><br>${block.lines.map((one) => `${escapeMarkup(one.name)}: <b>${escapeMarkup(one.value)}</b>`).join('<br>')}${block.link ? `<br><a href="${escapeMarkup(block.link.url)}" style="color:${LATE}">${escapeMarkup(block.link.text)}</a>` : ''}</p>`;
		default:
			return block satisfies never;
	}
}

function richHtml(block: RichBlock): string {
	if (block.kind === 'paragraph') return `<p>${runsHtml(block.runs)}</p>`;
	const tag = block.ordered ? 'ol' : 'ul';
	return `<${tag}>${block.items.map((item) => `<li>${runsHtml(item)}</li>`).join('')}</${tag}>`;
}

function runsHtml(runs: readonly RichRun[]): string {
	return runs
		.map(({ text, strong, em, link }) => {
			let html = escapeMarkup(text).replaceAll('\n', '<br>');
			if (em) html = `<em>${html}</em>`;
			if (strong) html = `<strong>${html}</strong>`;
			return link ? `<a href="${escapeMarkup(link)}" style="color:${LATE}">${html}</a>` : html;
		})
		.join('');
}

function tableHtml({ columns, rows, sums }: SheetTable): string {
	const align = (n: number) => (columns[n]?.figures ? 'right' : 'left');
	const head = columns
		.map(
			(one, n) =>
				`<th scope="col" style="text-align:${align(n)};font-weight:400;color:${SOFT};padding:3px 10px 3px 0;border-bottom:${RULE}">${escapeMarkup(one.name)}</th>`
		)
		.join('');
	const body =
		rows.length > MOST_ROWS
			? ''
			: rows
					.map(
						(row) =>
							`<tr>${row.cells.map((one, n) => `<td style="text-align:${align(n)};padding:3px 10px 3px 0;vertical-align:top;white-space:${n === 0 ? 'normal' : 'nowrap'}">${cellHtml(one)}</td>`).join('')}</tr>`
					)
					.join('\n');
	const foot = sums
		? `<tr><td colspan="${columns.length - 1}" style="padding:6px 10px 3px 0;border-top:${RULE}"><b>${escapeMarkup(sums.name)}</b></td><td style="text-align:right;padding:6px 10px 3px 0;border-top:${RULE}"><b>${escapeMarkup(sums.value)}</b></td></tr>`
		: '';
	return `<table style="border-collapse:collapse;width:100%;margin:0 0 14px"><thead><tr>${head}</tr></thead><tbody>${body}${foot}</tbody></table>`;
}

function cellHtml(cell: SheetCell): string {
	const words = cell.strong ? `<b>${escapeMarkup(cell.text)}</b>` : escapeMarkup(cell.text);
	const after = cell.after ? ` <span style="color:${SOFT}">${escapeMarkup(cell.after)}</span>` : '';
	const late = cell.late ? ` <span style="color:${LATE}">${escapeMarkup(cell.late)}</span>` : '';
	return cell.soft ? `<span style="color:${SOFT}">${words}</span>` : `${words}${after}${late}`;
}
