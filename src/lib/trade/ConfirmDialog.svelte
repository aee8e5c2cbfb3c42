<script lang="ts">
	import Dialog from '$lib/ui/Dialog.svelte';
	import { confirmYourself } from './confirm-yourself.svelte';
	/** Asks for the password again, before what decides who may do what, or where money goes. */
	const { demoPassword }: { readonly demoPassword: string | null } = $props();
	let password = $state('');
	let wrong = $state('');
	let busy = $state(false);
	async function confirm(event: SubmitEvent) {
		event.preventDefault();
		busy = true;
		wrong = (await confirmYourself.give(password)) ?? '';
		busy = false;
		if (!wrong) password = '';
	}
	function leave() {
		[password, wrong] = ['', ''];
		confirmYourself.answer(false);
	}
</script>

<Dialog bind:open={() => confirmYourself.open, (on) => !on && leave()} title="Your password again">
	<form onsubmit={confirm} class="grid gap-3">
		<p>This decides who may do what, or where money goes. For ten minutes you are not asked again.</p>
		<label class="grid gap-1"
			>Password<input
				type="password"
				autocomplete="current-password"
				required
				bind:value={password}
				aria-invalid={wrong ? 'true' : undefined}
				aria-describedby={wrong ? 'not-you' : undefined}
			/></label
		>
		{#if demoPassword}<p class="says">In these demo books it is {demoPassword}.</p>{/if}
		{#if wrong}<p id="not-you" role="alert" class="text-oxblood">{wrong}</p>{/if}
		<p class="flex gap-2">
			<button class="btn btn-main" disabled={busy}>Go on</button>
			<button type="button" class="btn" onclick={leave}>Leave it</button>
		</p>
	</form>
</Dialog>
