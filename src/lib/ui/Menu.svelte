<script lang="ts">
	import { DropdownMenu } from 'bits-ui';
	import type { Snippet } from 'svelte';

	export interface MenuItem {
		readonly name: string;
		/** A page to go to, or something to do. */
		readonly href?: string;
		readonly run?: () => void;
	}
	/** A button with a short list of things to do or places to go: arrows, first letters, Escape. */
	let {
		label,
		class: classes = '',
		items,
		heading
	}: { label: string; class?: string; items: readonly MenuItem[]; heading?: Snippet } = $props();
	const row = 'block w-full cursor-pointer px-2 py-1 text-left data-highlighted:bg-wash hover:no-underline';
</script>

<DropdownMenu.Root>
	<DropdownMenu.Trigger class={['cursor-pointer', classes]}>{label}</DropdownMenu.Trigger>
	<DropdownMenu.Portal>
		<DropdownMenu.Content
			align="end"
			sideOffset={6}
			class="z-50 w-52 rounded border border-rule bg-raised p-2 text-sm"
		>
			{@render heading?.()}
			{#each items as { name, href, run } (name)}
				{#if href}
					<DropdownMenu.Item class={row} textValue={name}
						>{#snippet child({ props })}<a {href} {...props}>{name}</a>{/snippet}</DropdownMenu.Item
					>
				{:else}
					<DropdownMenu.Item class={row} textValue={name} onSelect={run}>{name}</DropdownMenu.Item>
				{/if}
			{/each}
		</DropdownMenu.Content>
	</DropdownMenu.Portal>
</DropdownMenu.Root>
