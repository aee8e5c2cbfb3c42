<script lang="ts">
	import type { decideClaims } from '$lib/server/claims/commands/decide-claims';
	import { untrack } from 'svelte';
	import { toast } from 'svelte-sonner';
	import { typedAmount } from '$lib/words/typed-amount';
	import FieldError from '$lib/ui/FieldError.svelte';
	import Problems from '$lib/ui/Problems.svelte';
	import Dialog from '$lib/ui/Dialog.svelte';
	import { amount, count, money } from '$lib/words';
	import { ActForm } from '$lib/trade/act-form.svelte';

	/** Decides claims, whole or in parts: allowed, owed again, or written off. */
	let {
		open = $bindable(),
		claims,
		done
	}: {
		open: boolean;
		claims: readonly {
			readonly itemId: number;
			readonly version: number;
			readonly number: string;
			readonly customer: string;
			readonly open: number;
			readonly currency: string;
		}[];
		done: () => void;
	} = $props();
	const WAYS = [
		['allow', 'Allow', 'a credit note is issued and settles it'],
		['billBack', 'Bill back', 'its invoice is owed again, due as at first'],
		['writeOff', 'Write off', 'a bad debt; above your limit, a supervisor is asked']
	] as const;
	type Way = (typeof WAYS)[number][0];
	let typed = $state(
		untrack(() => claims.map(() => ({ allow: '', billBack: '', writeOff: '' }) as Record<Way, string>))
	);
	let note = $state('');
	const form = new ActForm<typeof decideClaims>('?/decide', {
		otherwise: 'That did not work. Nothing was decided.',
		done: ({ output }) => {
			toast(
				output.waits.length > 0
					? 'That is above your limit: a supervisor was asked. Nothing is decided until then.'
					: `Decided ${count(output.decided, 'claim')}.`
			);
			open = false;
			done();
		}
	});
	function all(way: Way) {
		for (const [i, one] of claims.entries())
			typed[i] = { allow: '', billBack: '', writeOff: '', [way]: amount(one.open, one.currency) };
	}
	const read = $derived(
		claims.map((one, i) => {
			const parts = WAYS.map(([way]) => typedAmount(typed[i]![way] || '0', one.currency));
			const bad = parts.some((part) => typeof part === 'string');
			const sum = parts.reduce<number>((total, part) => total + (typeof part === 'string' ? 0 : part), 0);
			return { one, parts, bad, sum, rest: one.open - sum };
		})
	);
	const ready = $derived(read.every(({ bad, sum, rest }) => !bad && sum > 0 && rest >= 0));
	const sums = (parts: readonly (number | string)[]) =>
		parts.map((part) => Number(part)) as [number, number, number];
	function decide() {
		void form.send({
			note,
			claims: read.map(({ one, parts }) => {
				const [allow, billBack, writeOff] = sums(parts);
				return { itemId: one.itemId, version: one.version, allow, billBack, writeOff };
			})
		});
	}
</script>

<Dialog title="Decide {count(claims.length, 'claim')}" wide bind:open>
	<p class="flex flex-wrap gap-2">
		{#each WAYS as [way, name, about] (way)}
			<button class="btn" onclick={() => all(way)} title={about}>{name} all of it</button>
		{/each}
	</p>
	<table class="mt-3">
		<thead
			><tr
				><th>Claim</th><th class="num">Open</th>{#each WAYS as [way, name] (way)}<th class="num">{name}</th
					>{/each}<th class="num">Waits on</th></tr
			></thead
		>
		<tbody>
			{#each read as { one, bad, rest }, i (one.itemId)}
				<tr>
					<td>{one.number} <span class="text-soft">{one.customer}</span></td>
					<td class="num">{money(one.open, one.currency)}</td>
					{#each WAYS as [way, name] (way)}
						<td class="num"
							><input
								type="text"
								inputmode="decimal"
								class="amount-field"
								aria-label="{name}, {one.number}"
								bind:value={typed[i]![way]}
							/></td
						>
					{/each}
					<td class={['num', (bad || rest < 0) && 'text-oxblood']}
						>{bad
							? 'not an amount'
							: rest < 0
								? `${amount(-rest, one.currency)} too much`
								: amount(rest, one.currency)}</td
					>
				</tr>
			{/each}
		</tbody>
	</table>
	<label class="mt-3 grid gap-1"
		>Why, for the record <input
			type="text"
			bind:value={note}
			{...form.at('note')}
			placeholder="photos seen by Despatch"
		/></label
	>
	<FieldError {form} name="note" />
	<ul class="mt-3 says">
		{#each WAYS as [way, name, about] (way)}<li>{name}: {about}.</li>{/each}
	</ul>
	<div class="mt-2"><Problems problems={form.problems} /></div>
	<button class="btn btn-main mt-3" disabled={!ready || form.busy} onclick={decide}
		>{form.busy ? 'Posting …' : `Decide ${count(claims.length, 'claim')}`}</button
	>
</Dialog>
