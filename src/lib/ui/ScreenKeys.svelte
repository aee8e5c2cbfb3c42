<script lang="ts">
	import { afterNavigate, beforeNavigate } from '$app/navigation';
	import { page } from '$app/state';
	import { tick } from 'svelte';
	import KeysDialog from './KeysDialog.svelte';
	import { isTyping, mayPress, pressKey, type KeyBinding } from './keys';
	import { goAlong, goToPart } from './page-parts';
	import { cursorAt, cursorRows, focusRow, openRow, ROW_KEYS } from './row-cursor';
	import { keysOfScreen } from './screen-keys.svelte';

	/** The keys of every screen: its own, those of its lists, and those that hold everywhere. */
	const { find }: { find: () => void } = $props();

	/** From which row of which page one came to another, so that Escape leads back to it. */
	const opened: { readonly from: string; readonly to: string; readonly at: number }[] = [];
	beforeNavigate(({ from, to, type }) => {
		const at = cursorAt();
		if (type !== 'popstate' && from && to && at >= 0)
			opened.push({ from: from.url.href, to: to.url.href, at });
	});
	afterNavigate(async ({ type, to }) => {
		const last = opened.at(-1);
		if (type !== 'popstate' || to?.url.href !== last?.from) return;
		opened.pop();
		await tick();
		focusRow(cursorRows()[last!.at]);
	});
	const cameByRow = () => opened.at(-1)?.to === page.url.href;

	const everywhere: readonly KeyBinding[] = [
		{ keys: ['Ctrl K'], what: 'find anything, or go anywhere' },
		{
			keys: ['ArrowRight', 'ArrowLeft'],
			shown: '→ ←',
			what: 'along a row of buttons, or into a row of a list',
			run: (key) => goAlong(key === 'ArrowRight' ? 1 : -1)
		},
		{
			keys: ['.', ','],
			shown: '. ,',
			what: 'next and previous part of the page',
			run: (key) => goToPart(document.getElementById('main')!, key === '.' ? 1 : -1)
		},
		{ keys: ['?'], what: 'these keys', run: () => (keysOfScreen.help = true) }
	];
	const OPENING: KeyBinding = { keys: ['Enter'], what: 'open the row' };
	const BACK: KeyBinding = {
		keys: ['Escape'],
		shown: 'Esc',
		what: 'leave a field; back to the list one came from'
	};
	/** As they are when somebody asks. */
	const shown = $derived(
		keysOfScreen.help
			? [
					...keysOfScreen.bindings,
					...(cursorRows().length > 0 ? [...ROW_KEYS, OPENING] : []),
					...everywhere,
					BACK
				]
			: []
	);

	function onkeydown(event: KeyboardEvent) {
		if ((event.ctrlKey || event.metaKey) && event.key.toLowerCase() === 'k') {
			event.preventDefault();
			return find();
		}
		if (!mayPress(event)) return;
		if (event.key === 'Enter' && openRow()) return event.preventDefault();
		if (event.key === 'Escape' && !isTyping(event.target) && cameByRow()) return history.back();
		const there = cursorRows().length > 0;
		if (pressKey(event, [...keysOfScreen.bindings, ...(there ? ROW_KEYS : []), ...everywhere]))
			keysOfScreen.done();
	}
</script>

<svelte:window {onkeydown} />
<KeysDialog bindings={shown} bind:open={() => keysOfScreen.help, (on) => (keysOfScreen.help = on)} />
