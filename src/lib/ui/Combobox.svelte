<script lang="ts" module>
	import type { FieldAttributes as Faults } from './field-faults';

	export interface FieldAttributes extends Partial<Faults> {
		readonly class?: string;
		readonly placeholder?: string;
		readonly disabled?: boolean;
		readonly onpaste?: (event: ClipboardEvent) => void;
		readonly onfocus?: (event: FocusEvent & { currentTarget: HTMLInputElement }) => void;
		/** Enter is the list's, even where it does something on the screen. */
		readonly 'data-keep-enter'?: boolean;
	}
</script>

<script lang="ts" generics="Option extends { readonly id: string | number }">
	import { Combobox } from 'bits-ui';
	import { tick, type Snippet } from 'svelte';

	/**
	 * A field in which one types a part of something and chooses it from a list: arrows and Enter, the mouse, Escape to leave the
	 * list. The caller finds the options.
	 */
	let {
		label,
		options,
		asked,
		text = $bindable(''),
		nameOf,
		choose,
		ask,
		option,
		keepsName = false,
		takesOnTab = false,
		field = $bindable(null),
		listClass = '',
		...attributes
	}: {
		label: string;
		options: readonly Option[];
		/** Counts the answers, so that the first option of each is marked. */
		asked: number;
		text?: string;
		/** What an option is called where it is read out. */
		nameOf: (one: Option) => string;
		choose: (one: Option) => void;
		/** Called as one types. */
		ask: (text: string) => void;
		option: Snippet<[Option]>;
		/** The name of what was chosen stays in the field; else the field is empty again. */
		keepsName?: boolean;
		/** Tab takes what is marked and goes on, too. */
		takesOnTab?: boolean;
		field?: HTMLInputElement | null;
		listClass?: string;
	} & FieldAttributes = $props();

	let wanted = $state(false);
	let value = $state('');
	const open = $derived(wanted && options.length > 0);

	async function take(id: string) {
		const one = options.find((each) => String(each.id) === id);
		// The part of the library writes the name first; then what is wanted here stands.
		await tick();
		value = '';
		wanted = false;
		if (!one) return;
		text = keepsName ? nameOf(one) : '';
		choose(one);
	}
	/** Enter, and Tab where it is wanted, take what is marked; the first where the list has only just come. */
	function onkeydown(event: KeyboardEvent) {
		const takes = event.key === 'Enter' || (event.key === 'Tab' && takesOnTab && !event.shiftKey);
		if (!takes || !open || event.isComposing) return;
		event.preventDefault();
		const marked = document.getElementById(field?.getAttribute('aria-activedescendant') ?? '');
		void take(marked?.getAttribute('data-value') ?? String(options[0]!.id));
	}
</script>

<Combobox.Root
	type="single"
	bind:value={() => value, (id) => ((value = id), id && void take(id))}
	bind:open={() => open, (on) => (wanted = on)}
	inputValue={text}
>
	<Combobox.Input
		type="text"
		autocomplete="off"
		aria-label={label}
		bind:ref={() => field, (node) => (field = node as HTMLInputElement | null)}
		{...attributes}
		oninput={({ currentTarget }) => {
			text = currentTarget.value;
			wanted = true;
			ask(text);
		}}
		{onkeydown}
	/>
	<Combobox.Portal>
		<Combobox.Content
			aria-label={label}
			sideOffset={1}
			class={[
				'z-50 max-h-72 min-w-(--bits-combobox-anchor-width) overflow-auto rounded border border-rule bg-raised',
				listClass
			]}
		>
			{#each options as one (`${asked} ${one.id}`)}
				<Combobox.Item
					value={String(one.id)}
					label={nameOf(one)}
					class="flex cursor-pointer gap-2 px-2 py-1 data-highlighted:bg-wash"
				>
					{@render option(one)}
				</Combobox.Item>
			{/each}
		</Combobox.Content>
	</Combobox.Portal>
</Combobox.Root>
