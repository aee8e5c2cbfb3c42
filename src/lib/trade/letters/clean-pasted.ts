import { escapeMarkup } from '$lib/core/text/escape-markup';

/** What of a page is kept when it is pasted: the little that a letter can say. */
const KEPT = new Set(['P', 'DIV', 'BR', 'B', 'STRONG', 'I', 'EM', 'A', 'UL', 'OL', 'LI']);
/** What goes with all that is in it. */
const DROPPED = new Set(['SCRIPT', 'STYLE', 'TEMPLATE', 'IFRAME', 'OBJECT', 'HEAD', 'TITLE', 'SVG', 'MATH']);

/** Attributes that would run something. None is kept anyhow; but the browser's policy reports each that it only reads. */
const HANDLERS = /\son\w+\s*=\s*("[^"]*"|'[^']*'|[^\s>]*)/gi;

/**
 * HTML as it is pasted, cleaned by a list of what is allowed: other elements leave their words, and no attribute stays but where a link
 * leads. It is read as a document of its own, in which nothing runs and nothing is fetched.
 */
export function cleanPasted(html: string): string {
	const page = new DOMParser().parseFromString(html.replace(HANDLERS, ' '), 'text/html');
	return Array.from(page.body.childNodes).map(cleaned).join('');
}

function cleaned(node: Node): string {
	if (node.nodeType === Node.TEXT_NODE) return escapeMarkup(node.textContent ?? '');
	if (!(node instanceof Element) || DROPPED.has(node.tagName.toUpperCase())) return '';
	const inside = Array.from(node.childNodes).map(cleaned).join('');
	if (!KEPT.has(node.tagName)) return inside;
	const tag = node.tagName.toLowerCase();
	if (tag === 'br') return '<br>';
	const href = tag === 'a' ? node.getAttribute('href') : null;
	const link = href && /^(https?:|mailto:)/i.test(href) ? ` href="${escapeMarkup(href)}"` : '';
	return `<${tag}${link}>${inside}</${tag}>`;
}
