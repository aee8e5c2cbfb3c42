<script lang="ts">
	import { page } from '$app/state';
	import { Command } from 'bits-ui';
	import { goto } from '$app/navigation';
	import Coin from '$lib/ui/Coin.svelte';
	import Dialog from '$lib/ui/Dialog.svelte';
	import { money, shortDay } from '$lib/words';
	import { isNamed } from './find-stations';
	import { BookSearch } from './book-search.svelte';

	/** Finds anything in the books, and goes there. */
	let { open = $bindable() }: { open: boolean } = $props();
	const search = new BookSearch(page.data['who']?.role === 'supervisor');
	const HEADINGS = {
		customer: 'Customers',
		document: 'Documents',
		receipt: 'Money',
		bank: 'Bank accounts'
	} as const;
	const KINDS = ['customer', 'document', 'receipt', 'bank'] as const;
	const nothing = $derived(
		search.text.trim().length >= 2 && !search.asking && search.found.length + search.stations.length === 0
	);
	const foundValue = (kind: string, href: string, i: number) => `${kind} ${href} ${i}`;
	const stationValue = (href: string) => `place ${href}`;
	/** The first of what was found is marked anew with each answer; arrows mark another. */
	let marked = $derived.by(() => {
		void [search.text, search.answers];
		const [named] = search.stations;
		if (named && isNamed(named, search.text)) return stationValue(named.href);
		const kind = KINDS.find((one) => search.found.some((row) => row.kind === one));
		const first = search.found.find((row) => row.kind === kind);
		if (first) return foundValue(first.kind, first.href, 0);
		return search.stations[0] ? stationValue(search.stations[0].href) : '';
	});
	function go(href: string) {
		open = false;
		void goto(href);
	}
	const ROW =
		'flex min-h-7 cursor-pointer items-baseline gap-2 px-2 py-1 hover:no-underline data-selected:bg-wash';
	const HEADING = 'mt-2 border-b border-rule pb-0.5 text-sm font-semibold text-soft';
</script>

<Dialog title="Find" bind:open wide>
	<Command.Root
		bind:value={marked}
		shouldFilter={false}
		loop
		label="Find a number, amount, name, reference or page"
	>
		<Command.Input
			class="w-full text-lg"
			placeholder="A number, amount, name, reference, or a place to go"
			aria-label="Find a number, amount, name, reference or page"
			bind:value={() => search.text, (text) => void search.ask(text)}
		/>
		<Command.List class="mt-3 h-[52vh] overflow-y-auto" aria-label="Found">
			<Command.Viewport>
				{#each KINDS as kind (kind)}
					{@const rows = search.found.filter((one) => one.kind === kind)}
					{#if rows.length}
						<Command.Group value={kind}>
							<Command.GroupHeading class={HEADING}>{HEADINGS[kind]}</Command.GroupHeading>
							<Command.GroupItems>
								{#each rows as one, i (`${search.answers} ${one.href} ${i}`)}
									<Command.LinkItem
										href={one.href}
										value={foundValue(kind, one.href, i)}
										class={ROW}
										onSelect={() => go(one.href)}
									>
										{#if one.open !== null}<Coin
												share={one.amount ? 1 - one.open / one.amount : 1}
												label={one.open === 0 ? 'settled' : one.open === one.amount ? 'unpaid' : 'part paid'}
											/>{/if}
										<span class="shrink-0 font-semibold">{one.name}</span>
										<span class="min-w-0 truncate text-soft">{one.about}</span>
										<span class="ml-auto shrink-0 text-soft"
											>{one.day ? `${one.open === null ? '' : 'due '}${shortDay(one.day)}` : ''}</span
										>
										{#if one.amount !== null}<span class="w-44 shrink-0 text-right"
												>{money(
													one.amount,
													one.currency
												)}{#if one.open !== null && one.open !== one.amount}<span class="pl-1.5 text-soft">
														{one.open === 0 ? 'settled' : `${money(one.open, one.currency)} open`}</span
													>{/if}</span
											>{/if}
									</Command.LinkItem>
								{/each}
							</Command.GroupItems>
						</Command.Group>
					{/if}
				{/each}
				{#if search.stations.length}
					<Command.Group value="places">
						<Command.GroupHeading class={HEADING}>Places to go</Command.GroupHeading>
						<Command.GroupItems>
							{#each search.stations as station (station.href)}
								<Command.LinkItem
									href={station.href}
									value={stationValue(station.href)}
									class={ROW}
									onSelect={() => go(station.href)}
								>
									<span class="font-semibold">{station.name}</span>
									<span class="text-soft">{station.about}</span>
								</Command.LinkItem>
							{/each}
						</Command.GroupItems>
					</Command.Group>
				{/if}
				{#if nothing}<p class="says mt-3 px-2">
						Nothing in the books has “{search.text.trim()}” in its number, name, order or reference, and no
						amount is the same.
					</p>{/if}
			</Command.Viewport>
		</Command.List>
	</Command.Root>
</Dialog>
