import { Editor, Extension, type JSONContent } from '@tiptap/core';
import { Plugin } from '@tiptap/pm/state';
import { Decoration, DecorationSet } from '@tiptap/pm/view';
import type { Node } from '@tiptap/pm/model';
import StarterKit from '@tiptap/starter-kit';
import { cleanPasted } from './clean-pasted';

/** Stretches of a text that are to look another way: where, how, and what they say when pointed at. */
export type MarkText = (text: string) => readonly {
	readonly at: number;
	readonly length: number;
	readonly look: string;
	readonly says: string;
}[];

export interface LetterEditorOptions {
	readonly element: HTMLElement;
	readonly content: JSONContent;
	readonly label: string;
	readonly editable: boolean;
	readonly mark: MarkText;
	readonly changed: (document: JSONContent) => void;
	readonly focused: () => void;
}

/**
 * An editor for the text of letters: paragraphs, bold, italic, links and lists. What is pasted keeps that much and loses the rest, scripts
 * and styles with it: its schema has nothing else.
 */
export function letterEditor(options: LetterEditorOptions): Editor {
	const { element, content, label, editable, changed, focused } = options;
	return new Editor({
		...{ element, content, editable, injectCSS: false },
		extensions: [
			StarterKit.configure({
				...{ heading: false, blockquote: false, codeBlock: false, code: false, strike: false },
				...{ underline: false, horizontalRule: false, trailingNode: false },
				link: { openOnClick: false, autolink: false, protocols: ['mailto'], defaultProtocol: 'https' }
			}),
			marking(options.mark)
		],
		editorProps: {
			transformPastedHTML: cleanPasted,
			attributes: { role: 'textbox', 'aria-multiline': 'true', 'aria-label': label, class: 'letter-text' }
		},
		onUpdate: ({ editor }) => changed(editor.getJSON()),
		onFocus: focused
	});
}

function marking(mark: MarkText): Extension {
	return Extension.create({
		name: 'marking',
		addProseMirrorPlugins: () => [
			new Plugin({ props: { decorations: (state) => decorationsOf(state.doc, mark) } })
		]
	});
}

function decorationsOf(document: Node, mark: MarkText): DecorationSet {
	const found: Decoration[] = [];
	document.descendants((node, from) => {
		for (const { at, length, look, says } of node.isText ? mark(node.text ?? '') : [])
			found.push(Decoration.inline(from + at, from + at + length, { class: look, title: says }));
	});
	return DecorationSet.create(document, found);
}
