import type { Letter } from '../../core/7-letters/letter';
import { amount, count, money, shortDay } from './format';
import { letterSum, letterText } from './letter-text';

const STYLE =
	'@font-face{font-family:Letter;src:url(/letters/font/regular)}@font-face{font-family:Letter;font-weight:700;src:url(/letters/font/bold)}body{font:13px/1.45 Letter,sans-serif;color:#24201b;background:#fff;margin:0;padding:34px 38px}h1{font-size:20px;margin:22px 0 6px}table{border-collapse:collapse;width:100%;margin:10px 0}td,th{padding:4px 6px 4px 0;text-align:left;border-bottom:1px solid #ddd3c2;vertical-align:top}th{font-weight:400;color:#6f665a;font-size:11px}.n{text-align:right;font-variant-numeric:tabular-nums;white-space:nowrap}.d{white-space:nowrap}.s{color:#6f665a;font-size:12px}.l{color:#8c2f2b}hr{border:0;border-top:3px double #b9ac97;margin:8px 0 18px}.sum{display:flex;justify-content:space-between;font-weight:700;font-size:15px;margin:12px 0}.logo{display:block;max-width:180px;max-height:56px;margin:0 0 8px}@media(max-width:520px){body{padding:24px 20px}.d .l{display:block}}';

/** A letter as a page of its own, for reading beside a list: the same data and words as the PDF. */
export function letterPage(letter: Letter): string {
	const { currency, firm, customer } = letter;
	const text = letterText(letter);
	const rows = letter.rows
		.map((row) => {
			const due = row.due
				? `${shortDay(row.due, letter.date)}${row.late > 0 ? ` <span class="l">${count(row.late, 'day')}</span>` : ''}`
				: '';
			const part = row.partPaid ? '<br><span class="s">part paid; the balance is shown</span>' : '';
			return `<tr><td><b>${safe(row.number)}</b> <span class="s">${safe(row.text)}</span>${part}</td><td class="d">${shortDay(row.issued, letter.date)}</td><td class="d">${due}</td><td class="n">${amount(row.total, currency)}</td><td class="n"><b>${amount(row.open, currency)}</b></td></tr>`;
		})
		.join('');
	const sum = letterSum(letter);
	return `<!doctype html><html lang="en-GB"><head><meta charset="utf-8"><title>${safe(text.title)}</title><meta http-equiv="Content-Security-Policy" content="default-src 'none'; style-src 'unsafe-inline'; font-src 'self'; img-src data:"><style>${STYLE}</style></head><body>
${firm.logo ? `<img class="logo" src="${safe(firm.logo)}" alt="">` : ''}<b>${safe(firm.name)}</b><div class="s">${safe(firm.address.join(', '))}</div><hr>
<div>${[customer.name, ...customer.address].map(safe).join('<br>')}</div>
<h1>${safe(text.title)}</h1><div class="s">${shortDay(letter.date)} · account ${safe(customer.code)}</div>
<p>${safe(text.before)}</p>
<table><thead><tr><th>Document</th><th>Issued</th><th>Due</th><th class="n">Total ${currency}</th><th class="n">Open ${currency}</th></tr></thead><tbody>${rows}</tbody></table>
<div class="sum"><span>${sum.name}</span><span>${money(sum.amount, currency)}</span></div>
${text.after.map((line) => `<p>${safe(line)}</p>`).join('')}
<p>${safe(firm.name)}</p></body></html>`;
}

function safe(text: string): string {
	return text.replace(
		/[&<>"]/g,
		(sign) => ({ '&': '&amp;', '<': '&lt;', '>': '&gt;', '"': '&quot;' })[sign]!
	);
}
