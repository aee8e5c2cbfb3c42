<script lang="ts">
	import { onDestroy } from 'svelte';
	import type { Editor } from '@tiptap/core';
	import type { RichText } from '$lib/core/7-letters/wording/rich-text';
	import type { MarkText } from './letter-editor';
	import { fromDocument, toDocument } from './rich-document';
	/** A field for text with bold, italic, links and lists. */
	let {
		value,
		label,
		mark,
		changed,
		focused = () => {},
		disabled = false
	}: {
		/** What it holds when it is shown; made anew where it is to hold something else. */
		value: RichText;
		label: string;
		mark: MarkText;
		changed: (text: RichText) => void;
		focused?: () => void;
		disabled?: boolean;
	} = $props();
	let editor = $state.raw<Editor | null>(null);
	/** Counts what changed, so that the buttons show what holds at the caret. */
	let moves = $state(0);
	let linking = $state(false);
	let address = $state('');
	let closed = false;

	function edit(element: HTMLElement) {
		void import('./letter-editor').then(({ letterEditor }) => {
			if (closed) return;
			editor = letterEditor({
				...{ element, label, mark, focused, editable: !disabled, content: toDocument(value) },
				changed: (document) => changed(fromDocument(document))
			});
			editor.on('transaction', () => moves++);
		});
	}
	onDestroy(() => {
		closed = true;
		editor?.destroy();
	});

	/** Puts words in at the caret; those with a line to themselves as a paragraph. */
	export function put(text: string, ownLine: boolean): void {
		const content = ownLine
			? { type: 'paragraph', content: [{ type: 'text', text }] }
			: { type: 'text', text };
		editor?.chain().focus().insertContent(content).run();
	}

	const looks = [
		['bold', 'Bold', (one: Editor) => one.chain().focus().toggleBold().run()],
		['italic', 'Italic', (one: Editor) => one.chain().focus().toggleItalic().run()],
		['bulletList', 'List', (one: Editor) => one.chain().focus().toggleBulletList().run()],
		['orderedList', 'Numbered list', (one: Editor) => one.chain().focus().toggleOrderedList().run()]
	] as const;
	const isOn = $derived((name: string) => moves >= 0 && editor?.isActive(name) === true);

	function askLink() {
		const held: unknown = editor?.getAttributes('link')['href'];
		address = typeof held === 'string' ? held : '';
		linking = true;
	}
	function keepLink() {
		const href = /^[a-z]+:/i.test(address)
			? address
			: address.includes('@')
				? `mailto:${address}`
				: `https://${address}`;
		const chain = editor?.chain().focus().extendMarkRange('link');
		if (address.trim() === '') chain?.unsetLink().run();
		else chain?.setLink({ href: href.trim() }).run();
		linking = false;
	}
</script>

<div class="rounded border border-rule bg-raised focus-within:border-copper">
	<div
		role="toolbar"
		aria-label="How the text looks"
		class="flex flex-wrap gap-1 border-b border-rule p-1 text-sm"
	>
		{#each looks as [name, says, run] (name)}
			<button
				type="button"
				class={['rounded px-2 py-0.5', isOn(name) ? 'bg-wash font-semibold text-copper' : 'text-soft']}
				aria-pressed={isOn(name)}
				disabled={disabled || !editor}
				onclick={() => editor && run(editor)}>{says}</button
			>
		{/each}
		<button
			type="button"
			class={['rounded px-2 py-0.5', isOn('link') ? 'bg-wash font-semibold text-copper' : 'text-soft']}
			aria-pressed={isOn('link')}
			disabled={disabled || !editor}
			onclick={askLink}>Link</button
		>
		{#if linking}
			<span class="flex gap-1">
				<!-- svelte-ignore a11y_autofocus -->
				<input
					type="text"
					class="w-56 py-0"
					aria-label="Address of the page"
					placeholder="https://…"
					autofocus
					bind:value={address}
					onkeydown={(event) => {
						if (event.key === 'Enter') {
							event.preventDefault();
							keepLink();
						}
						if (event.key === 'Escape') {
							event.stopPropagation();
							linking = false;
						}
					}}
				/>
				<button type="button" class="btn px-2 py-0" onclick={keepLink}>{address ? 'Set' : 'No link'}</button>
			</span>
		{/if}
	</div>
	<div class="text" {@attach edit}></div>
</div>

<style>
	.text :global(.letter-text) {
		min-height: 15rem;
		padding: 8px 10px;
		outline: none;
		white-space: pre-wrap;
	}
	.text :global(.letter-text > * + *) {
		margin-top: 0.6em;
	}
	.text :global(.letter-text ul) {
		padding-left: 1.4em;
		list-style: disc;
	}
	.text :global(.letter-text ol) {
		padding-left: 1.6em;
		list-style: decimal;
	}
	.text :global(.letter-text a) {
		text-decoration: underline;
	}
	.text :global(.filled-in) {
		border-radius: 3px;
		background: var(--copper-wash);
		color: var(--copper);
	}
	.text :global(.not-known) {
		text-decoration: underline wavy var(--oxblood);
	}
</style>
