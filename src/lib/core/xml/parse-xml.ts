import { SaxesParser } from 'saxes';
import { err, ok, type Result } from '../result';
import { cleanText } from '../text/clean-text';
import { cutText } from '../text/cut-text';

/** An element of a small document, with the line on which it begins. Names stand without their prefix. */
export interface XmlElement {
	readonly name: string;
	readonly line: number;
	readonly attributes: Readonly<Record<string, string>>;
	/** The element's own text, trimmed. */
	readonly text: string;
	readonly children: readonly XmlElement[];
}

type Growing = Omit<XmlElement, 'text' | 'children'> & { text: string; children: Growing[] };

/** Documents nest less than this; deeper ones are made to hurt. */
const DEEPEST = 60;
/** The most of one element's text that is kept, in UTF-16 units. */
const LONGEST_TEXT = 4_000;

/**
 * Reads a small XML document (an invoice, an advice, a day's rates) whole. Bank files are read as a stream instead. A
 * document type is refused, and with it every entity of its own.
 */
export function parseXml(xml: string): Result<XmlElement> {
	if (!xml.trim()) return err({ code: 'file-empty' });
	const open: Growing[] = [];
	let root: Growing | null = null;
	let doctype = false;
	const parser = new SaxesParser({ position: true });
	parser.on('error', (error) => {
		throw error;
	});
	parser.on('doctype', () => {
		doctype = true;
		throw new Error('document type');
	});
	parser.on('opentag', (tag) => {
		if (open.length >= DEEPEST) throw new Error('elements are nested too deeply');
		const attributes: Record<string, string> = {};
		for (const [name, value] of Object.entries(tag.attributes)) attributes[plain(name)] = String(value);
		const element: Growing = { name: plain(tag.name), line: parser.line, attributes, text: '', children: [] };
		open.at(-1)?.children.push(element);
		root ??= element;
		open.push(element);
	});
	const add = (part: string) => {
		const element = open.at(-1);
		if (element && element.text.length <= LONGEST_TEXT) element.text += part;
	};
	parser.on('text', add);
	parser.on('cdata', add);
	parser.on('closetag', () => {
		const element = open.pop()!;
		element.text = cutText(cleanText(element.text.trim()), LONGEST_TEXT);
	});
	try {
		parser.write(xml.replace(/^\uFEFF/, '')).close();
	} catch (error) {
		if (doctype) return err({ code: 'xml-doctype', line: parser.line });
		return err({ code: 'xml-broken', detail: (error as Error).message, line: parser.line });
	}
	return root ? ok(root) : err({ code: 'xml-cut-off' });
}

function plain(name: string): string {
	return name.slice(name.indexOf(':') + 1);
}

/** All elements along a path of names below an element. */
export function childrenAt(element: XmlElement, ...path: readonly string[]): XmlElement[] {
	let found = [element];
	for (const name of path)
		found = found.flatMap((one) => one.children.filter((child) => child.name === name));
	return found;
}

/** The text of the first element along a path; empty where there is none. */
export function textAt(element: XmlElement, ...path: readonly string[]): string {
	return childrenAt(element, ...path)[0]?.text ?? '';
}
