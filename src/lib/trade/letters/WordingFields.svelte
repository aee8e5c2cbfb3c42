<script lang="ts">
	import type { WordingField } from '$lib/core/7-letters/wording/check-wording';
	import type { Placeholder } from '$lib/core/7-letters/wording/placeholders';
	import { PLACEHOLDER_WORDS } from '$lib/words';
	import RichEditor from './RichEditor.svelte';
	import { hasOwnLine, type WordingDraft } from './wording-draft.svelte';

	/** The words of a letter, as fields; what may be filled in is chosen from a list and put in where one was writing. */
	let { draft, disabled = false }: { draft: WordingDraft; disabled?: boolean } = $props();
	const id = $props.id();
	let editor = $state<RichEditor>();
	/** The field in which one wrote last; nothing for the text. */
	let last = $state.raw<HTMLInputElement | HTMLTextAreaElement | null>(null);
	let chosen = $state('');

	function putIn() {
		const name = chosen as Placeholder | '';
		chosen = '';
		if (name === '') return;
		const text = `{${name}}`;
		if (!last || hasOwnLine(name)) return editor?.put(text, hasOwnLine(name));
		last.focus();
		last.setRangeText(text, last.selectionStart ?? 0, last.selectionEnd ?? 0, 'end');
		last.dispatchEvent(new Event('input', { bubbles: true }));
	}
	const remember = (event: FocusEvent & { currentTarget: HTMLInputElement | HTMLTextAreaElement }) =>
		(last = event.currentTarget);
	const at = (field: WordingField) => ({
		'aria-invalid': draft.says(field) ? (true as const) : undefined,
		'aria-describedby': draft.says(field) ? `${id}-${field}` : undefined,
		disabled,
		onfocus: remember
	});
</script>

{#snippet fault(field: WordingField)}
	{#if draft.says(field)}<p id="{id}-{field}" class="text-sm text-oxblood" role="status">
			{draft.says(field)}
		</p>{/if}
{/snippet}

<div class="grid gap-3">
	<fieldset class="grid grid-cols-2 gap-3">
		<legend class="sr-only">Head of the letter</legend>
		<label class="grid min-w-0 gap-0.5"
			><span class="text-sm text-soft">Title on paper</span><input
				type="text"
				maxlength="200"
				bind:value={draft.title}
				{...at('title')}
			/></label
		>
		<label class="grid min-w-0 gap-0.5"
			><span class="text-sm text-soft">Subject of the message</span><input
				type="text"
				maxlength="300"
				bind:value={draft.subject}
				{...at('subject')}
			/></label
		>
		<div class="col-span-2 empty:hidden">{@render fault('title')}{@render fault('subject')}</div>
		<label class="grid min-w-0 gap-0.5"
			><span class="text-sm text-soft">Greeting</span><input
				type="text"
				maxlength="300"
				bind:value={draft.greeting}
				{...at('greeting')}
			/></label
		>
		<label class="grid min-w-0 gap-0.5"
			><span class="text-sm text-soft">Put in</span><select
				bind:value={chosen}
				onchange={putIn}
				{disabled}
				class="w-full min-w-0"
				aria-label="Put in what is filled in for each customer"
			>
				<option value="">a placeholder …</option>
				{#each draft.placeholders as name (name)}<option value={name}
						>{PLACEHOLDER_WORDS[name]} {`{${name}}`}</option
					>{/each}
			</select></label
		>
		<div class="col-span-2 empty:hidden">{@render fault('greeting')}</div>
	</fieldset>
	<div class="grid gap-0.5">
		<span class="text-sm text-soft">Text</span>
		<RichEditor
			bind:this={editor}
			value={draft.body}
			label="Text of the letter"
			mark={draft.mark}
			changed={(text) => (draft.body = text)}
			focused={() => (last = null)}
			{disabled}
		/>
		{@render fault('body')}
	</div>
	<fieldset class="grid grid-cols-2 gap-3">
		<legend class="sr-only">End of the letter, and who sends it</legend>
		<label class="grid min-w-0 gap-0.5"
			><span class="text-sm text-soft">Closing</span><textarea
				rows="3"
				maxlength="1000"
				bind:value={draft.closing}
				{...at('closing')}></textarea></label
		>
		<label class="grid min-w-0 gap-0.5"
			><span class="text-sm text-soft">Sender</span><textarea
				rows="3"
				maxlength="1000"
				bind:value={draft.sender}
				{...at('sender')}></textarea></label
		>
		<div class="col-span-2 empty:hidden">{@render fault('closing')}{@render fault('sender')}</div>
		<label class="grid min-w-0 gap-0.5"
			><span class="text-sm text-soft">Mail comes from</span><input
				type="text"
				maxlength="200"
				placeholder="name of the firm"
				bind:value={draft.fromName}
				{...at('fromName')}
			/></label
		>
		<label class="grid min-w-0 gap-0.5"
			><span class="text-sm text-soft">Answers go to</span><input
				type="email"
				maxlength="300"
				placeholder="address of the firm"
				bind:value={draft.replyTo}
				{disabled}
			/></label
		>
		<div class="col-span-2 empty:hidden">{@render fault('fromName')}</div>
	</fieldset>
</div>
