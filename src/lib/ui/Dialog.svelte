<script lang="ts">
	import { Dialog } from 'bits-ui';
	import type { Snippet } from 'svelte';
	/**
	 * One question, over the page that asked it. Escape leaves it. What is marked `data-first` in it has the focus, else the first that can.
	 */
	let {
		open = $bindable(false),
		title,
		children,
		wide = false
	}: { open?: boolean; title: string; children: Snippet; wide?: boolean } = $props();
	let content = $state<HTMLElement | null>(null);

	function focusFirst(event: Event) {
		const first = content?.querySelector<HTMLElement>('[data-first]');
		if (!first) return;
		event.preventDefault();
		first.focus();
	}
</script>

<Dialog.Root bind:open>
	<Dialog.Portal>
		<Dialog.Overlay class="fixed inset-0 z-40 bg-[rgb(26_20_12/0.45)]" />
		<Dialog.Content
			bind:ref={content}
			onOpenAutoFocus={focusFirst}
			class={[
				'fixed top-16 left-1/2 z-50 max-h-[84vh] -translate-x-1/2 overflow-auto rounded border border-rule bg-raised p-5 shadow-sm',
				wide ? 'w-[820px]' : 'w-[480px]'
			]}
		>
			<Dialog.Title class="double-bottom mb-4 pb-2 font-serif text-xl font-semibold">{title}</Dialog.Title>
			{@render children()}
		</Dialog.Content>
	</Dialog.Portal>
</Dialog.Root>
