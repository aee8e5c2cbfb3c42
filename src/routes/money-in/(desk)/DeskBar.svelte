<script lang="ts">
	import { keysOfScreen } from '$lib/ui/screen-keys.svelte';
	import { enhance } from '$app/forms';
	import type { allocateReceipt } from '$lib/server/allocation/commands/allocate-receipt';
	import type { ActForm } from '$lib/trade/act-form.svelte';
	import type { Allocating } from '$lib/trade/allocating/allocating.svelte';
	import { money } from '$lib/words';

	/** What can be done with what is on the desk, and what posting it will do. */
	let {
		postForm = $bindable(),
		allocating,
		post,
		usual,
		mayAct,
		ask
	}: {
		postForm: HTMLFormElement;
		allocating: Allocating | null;
		post: ActForm<typeof allocateReceipt>;
		/** The ledger account that entries like it go to. */
		usual: { readonly name: string; readonly post: () => void; readonly busy: boolean } | null;
		mayAct: boolean;
		/** Opens a dialog. */
		ask: (what: 'hold' | 'aside' | 'advice') => void;
	} = $props();
</script>

<footer class="double-top col-span-2 flex h-[54px] items-center gap-2 bg-raised px-5 xl:gap-3">
	{#if usual && allocating?.desk.receipt}
		<button class="btn btn-main" disabled={usual.busy || !mayAct} onclick={usual.post}
			>Post {money(Math.abs(allocating.desk.receipt.amount), allocating.currency)} to {usual.name}
			<span class="key">Enter</span></button
		>
	{/if}
	<form
		hidden={usual !== null}
		bind:this={postForm}
		method="POST"
		action="?/post"
		use:enhance={(turn) => post.submit(() => allocating?.order ?? null)(turn)}
	>
		<button class="btn btn-main" disabled={!allocating?.outcome.ok || post.busy || !mayAct}>
			{allocating?.outcome.asks ? 'Ask for' : 'Post'}
			{allocating ? money(allocating.desk.receipt?.amount ?? allocating.placed, allocating.currency) : ''}
			<span class="key">Enter</span>
		</button>
	</form>
	<button class="btn" disabled={!allocating?.desk.receipt || !mayAct} onclick={() => ask('hold')}
		>Hold <span class="key max-xl:hidden">H</span></button
	>
	<button class="btn" disabled={!allocating?.desk.customer || !mayAct} onclick={() => allocating?.clear()}
		>On account <span class="key max-xl:hidden">O</span></button
	>
	<button
		class="btn"
		disabled={!allocating?.desk.customer || !mayAct}
		onclick={() => allocating?.fillOldest()}>Oldest first <span class="key max-xl:hidden">F</span></button
	>
	<button class="btn" disabled={!allocating?.desk.customer || !mayAct} onclick={() => ask('advice')}
		>Advice <span class="key max-xl:hidden">A</span></button
	>
	<button class="btn" disabled={!allocating?.desk.receipt || !mayAct} onclick={() => ask('aside')}
		>Not customer money <span class="key max-xl:hidden">N</span></button
	>
	<p
		aria-live="polite"
		class={[
			'ml-auto line-clamp-2 text-right text-sm',
			allocating && !allocating.outcome.ok ? 'text-copper' : 'text-soft'
		]}
	>
		{mayAct ? (allocating?.outcome.text ?? '') : 'You may look; allocating takes a clerk.'}
	</p>
	<button class="btn" aria-label="Keys of this screen" onclick={() => (keysOfScreen.help = true)}
		><span class="key">?</span></button
	>
</footer>
