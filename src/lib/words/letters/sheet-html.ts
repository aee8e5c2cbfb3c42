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
	return `<!doctype html><html lang="${safe(sheet.language)}"><head><meta charset="utf-8"><title>${safe(sheet.title)}</title></head>
<body style="margin:0;padding:24px;background:#fff;color:${INK};font:14px/1.45 'Source Sans 3','Source Sans Pro',sans-serif">
<p style="margin:0 0 12px"><b>${safe(sheet.head.name)}</b></p>
<p style="margin:0 0 16px">${sheet.to.map(safe).join('<br>')}</p>
<h1 style="font-size:20px;margin:0 0 8px">${safe(sheet.title)}</h1>
<p style="margin:0 0 12px;color:${SOFT}">${sheet.facts.map((one) => `${safe(one.name)}: ${safe(one.value)}`).join(' · ')}</p>
${blocks}
<p style="color:${SOFT}">${safe(attached)}</p>
<p style="color:${SOFT};font-size:12px">${[sheet.footer, ...sheet.head.contact].map(safe).join(' · ')}</p>
</body></html>`;
}

function blockHtml(block: SheetBlock): string {
	switch (block.kind) {
		case 'text':
			return `<p${block.soft ? ` style="color:${SOFT}"` : ''}>${safe(block.text).replaceAll('\n', '<br>')}</p>`;
		case 'rich':
			return richHtml(block.block);
		case 'table':
			return tableHtml(block);
		case 'figures':
			return `<table role="presentation" style="border-collapse:collapse;margin:0 0 12px"><tr>${block.cells.map((one) => `<td style="padding:2px 14px 2px 0;color:${SOFT}">${safe(one.name)}<br><span style="color:${INK}">${safe(one.value)}</span></td>`).join('')}</tr></table>`;
		case 'pay':
			return `<p style="border-top:${RULE};border-bottom:${RULE};padding:8px 0"><b>${safe(block.name)}</b><br>${block.lines.map((one) => `${safe(one.name)}: <b>${safe(one.value)}</b>`).join('<br>')}${block.link ? `<br><a href="${safe(block.link.url)}" style="color:${LATE}">${safe(block.link.text)}</a>` : ''}</p>`;
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
			let html = safe(text).replaceAll('\n', '<br>');
			if (em) html = `<em>${html}</em>`;
			if (strong) html = `<strong>${html}</strong>`;
			return link ? `<a href="${safe(link)}" style="color:${LATE}">${html}</a>` : html;
		})
		.join('');
}

function tableHtml({ columns, rows, sums }: SheetTable): string {
	const align = (n: number) => (columns[n]?.figures ? 'right' : 'left');
	const head = columns
		.map(
			(one, n) =>
				`<th scope="col" style="text-align:${align(n)};font-weight:400;color:${SOFT};padding:3px 10px 3px 0;border-bottom:${RULE}">${safe(one.name)}</th>`
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
		? `<tr><td colspan="${columns.length - 1}" style="padding:6px 10px 3px 0;border-top:${RULE}"><b>${safe(sums.name)}</b></td><td style="text-align:right;padding:6px 10px 3px 0;border-top:${RULE}"><b>${safe(sums.value)}</b></td></tr>`
		: '';
	return `<table style="border-collapse:collapse;width:100%;margin:0 0 14px"><thead><tr>${head}</tr></thead><tbody>${body}${foot}</tbody></table>`;
}

function cellHtml(cell: SheetCell): string {
	const words = cell.strong ? `<b>${safe(cell.text)}</b>` : safe(cell.text);
	const after = cell.after ? ` <span style="color:${SOFT}">${safe(cell.after)}</span>` : '';
	const late = cell.late ? ` <span style="color:${LATE}">${safe(cell.late)}</span>` : '';
	return cell.soft ? `<span style="color:${SOFT}">${words}</span>` : `${words}${after}${late}`;
}

function safe(text: string): string {
	return text.replace(
		/[&<>"]/g,
		(sign) => ({ '&': '&amp;', '<': '&lt;', '>': '&gt;', '"': '&quot;' })[sign]!
	);
}
