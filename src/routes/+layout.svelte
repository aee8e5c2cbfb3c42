<script lang="ts">
	import '../app.css';
	import { page } from '$app/state';
	import { ModeWatcher, toggleMode } from 'mode-watcher';
	import { Toaster } from 'svelte-sonner';
	import { weekDay } from '$lib/words';
	import Menu from '$lib/ui/Menu.svelte';
	import DropAnywhere from '$lib/trade/files/DropAnywhere.svelte';
	import ScreenKeys from '$lib/ui/ScreenKeys.svelte';
	import { keysOfScreen } from '$lib/ui/screen-keys.svelte';
	import ConfirmDialog from '$lib/trade/ConfirmDialog.svelte';
	import SearchDialog from '$lib/trade/search/SearchDialog.svelte';
	let { data, children } = $props();
	let finding = $state(false);
	let signOut = $state<HTMLFormElement>();
	const supervises = $derived(data.who?.role === 'supervisor');
	const menu = $derived([
		{ name: 'Keys of this screen', run: () => (keysOfScreen.help = true) },
		{ name: 'Light or dark', run: toggleMode },
		...(supervises ? [{ name: 'Settings', href: '/books/settings' }] : []),
		...(supervises ? [{ name: 'People', href: '/books/people' }] : []),
		{ name: 'Your sign-in', href: '/me' },
		{ name: 'Sign out', run: () => signOut?.requestSubmit() }
	]);
	const STATIONS = [
		['/', 'Today'],
		['/money-in', 'Money in'],
		['/open-items', 'Open items'],
		['/customers', 'Customers'],
		['/odd-pennies', 'Odd pennies'],
		['/letters', 'Letters'],
		['/reports', 'Reports'],
		['/books', 'Books']
	] as const;
	const stations = $derived([
		...(data.settingUp ? [['/setting-up', 'Setting up'] as const] : []),
		...STATIONS
	]);
	const here = (path: string) =>
		path === '/' ? page.url.pathname === '/' : page.url.pathname.startsWith(path);
</script>

<ModeWatcher disableHeadScriptInjection disableTransitions={false} />
<Toaster
	position="bottom-left"
	offset={{ bottom: 64, left: 20 }}
	duration={8000}
	toastOptions={{
		style:
			'background: var(--ink); color: var(--paper); border: 0; border-radius: 3px; font-family: var(--font-sans);'
	}}
/>
<svelte:head><title>Odd Penny</title></svelte:head>

{#if data.who}
	<DropAnywhere mayAct={data.who.role !== 'reader'} />
	<ScreenKeys find={() => (finding = true)} />
	<ConfirmDialog demoPassword={data.demoPassword} />
	{#if finding}<SearchDialog bind:open={finding} />{/if}
	<a href="#main" class="sr-only focus:not-sr-only">Skip to the page</a>
	<header class="double-bottom flex h-12 items-center gap-4 px-5 whitespace-nowrap xl:gap-7">
		<a
			href="/"
			class="flex items-center gap-2 font-serif text-xl font-semibold hover:no-underline"
			aria-label="Odd Penny, today"
		>
			<svg width="21" height="21" viewBox="0 0 24 24" aria-hidden="true" class="text-copper">
				<circle cx="12" cy="12" r="9.5" fill="none" stroke="currentColor" stroke-width="2.4" /><path
					d="M12 12V6a6 6 0 0 1 4.2 10.2z"
					fill="currentColor"
				/>
			</svg>
			odd penny
		</a>
		<nav aria-label="Stations" class="flex h-full items-stretch gap-3.5 xl:gap-6">
			{#each stations as [path, name] (path)}
				<a
					href={path}
					aria-current={here(path) ? 'page' : undefined}
					class={[
						'flex items-center gap-1.5 border-b-2 pt-0.5 hover:no-underline',
						here(path) ? 'border-copper font-semibold' : 'border-transparent text-soft hover:text-ink'
					]}
				>
					{name}
					{#if path === '/money-in' && data.waiting > 0}<span class="text-xs font-semibold text-copper"
							>{data.waiting}</span
						>{/if}
				</a>
			{/each}
		</nav>
		<button
			class="ml-auto flex w-40 items-center gap-2 rounded border border-rule bg-raised px-2 py-1 text-left text-sm text-soft hover:text-ink xl:w-56"
			aria-keyshortcuts="Control+K Meta+K"
			onclick={() => (finding = true)}
		>
			<span class="truncate">Find anything</span> <span class="key ml-auto">Ctrl K</span>
		</button>
		{#if data.lookingAround}<a class="text-sm text-copper" href="/leave-demo-books" data-sveltekit-reload
				>Demo: leave</a
			>{/if}
		<span class="text-sm text-soft">{data.today ? weekDay(data.today) : ''}</span>
		<Menu label={data.who.name} class="text-sm text-soft hover:text-ink" items={menu}>
			{#snippet heading()}<p class="says px-2 pb-2">Signed in as {data.who?.role}.</p>{/snippet}
		</Menu>
		<form method="POST" action="/sign-out" bind:this={signOut} hidden><button>Sign out</button></form>
	</header>
{/if}
<main id="main">{@render children()}</main>
