<script lang="ts">
	import { rowCursor } from '$lib/ui/row-cursor';
	import { enhance } from '$app/forms';
	import { toast } from 'svelte-sonner';
	import type { PageData } from './$types';
	import type { setLimits } from '$lib/server/firm/commands/set-limits';
	import { ActForm } from '$lib/trade/act-form.svelte';
	import Problems from '$lib/ui/Problems.svelte';
	import {
		LIMIT_SCOPES,
		LIMITED_KINDS,
		type LimitedKind,
		type LimitScope
	} from '$lib/core/4-allocation/over-limits';
	import { typedAmount } from '$lib/words/typed-amount';
	import { amount, REDUCTION_NAMES, SCOPE_NAMES } from '$lib/words';
	interface Props {
		readonly data: Pick<PageData, 'limits' | 'base' | 'people'>;
	}
	const { data }: Props = $props();
	const limitsForm = new ActForm<typeof setLimits>('?/limits', {
		done: () => void toast('The limits are saved.')
	});
	const kinds: readonly (LimitedKind | 'all')[] = [...LIMITED_KINDS, 'all'];
	const name = (kind: LimitedKind | 'all') => (kind === 'all' ? 'All together' : REDUCTION_NAMES[kind]);
	/** Over what the limits shown reach; those of the other two are kept, and sent along. */
	let scope = $state<LimitScope>('act');
	const shown = (value: number | null | undefined) =>
		value === null || value === undefined ? '' : amount(value, data.base);
	const roles = ['clerk', 'supervisor'] as const;
	/** People chosen here for limits of their own, beside those who have some. */
	let chosen = $state<readonly string[]>([]);
	let dropped = $state<readonly string[]>([]);
	const own = $derived(
		data.people.filter(
			({ id }) => (id in data.limits.byPerson || chosen.includes(id)) && !dropped.includes(id)
		)
	);
	const others = $derived(data.people.filter((person) => !own.includes(person)));

	/** Reads the fields; an empty one is no limit. */
	function read(form: FormData) {
		const unreadable: string[] = [];
		const one = (field: string): number | undefined => {
			const text = String(form.get(field) ?? '').trim();
			if (!text) return undefined;
			const value = typedAmount(text, data.base, false);
			if (typeof value !== 'string') return value;
			unreadable.push(`“${text}” is not an amount.`);
			return undefined;
		};
		const of = (whose: string) => {
			const sums = (within: LimitScope) =>
				Object.fromEntries(
					kinds.flatMap((kind) => {
						const value = one(`${whose} ${within} ${kind}`);
						return value === undefined ? [] : [[kind, value]];
					})
				);
			return { act: sums('act'), customer: sums('customer'), day: sums('day') };
		};
		const limits = {
			tolerance: one('tolerance') ?? null,
			byRole: { clerk: of('clerk'), supervisor: of('supervisor') },
			byPerson: Object.fromEntries(own.map((person) => [person.id, of(person.id)]))
		};
		return { limits, unreadable };
	}
	function given(form: FormData) {
		const { limits, unreadable } = read(form);
		limitsForm.say(...unreadable);
		return unreadable.length ? null : limits;
	}
</script>

<section class="px-8 pt-5 pb-10">
	<h1 id="limits">Who may book how much alone</h1>
	<p class="mt-1 mb-3 says">
		In {data.base}: whatever lowers what a customer owes without money, has money paid out or takes it away.
		Above a limit it waits for a supervisor. An empty field is no limit; at zero it always needs a supervisor.
		All together leaves out claims, which are still owed, and settlement discounts, which your own terms
		offer.
	</p>
	<Problems problems={limitsForm.problems} />
	<form method="POST" action="?/limits" use:enhance={limitsForm.submit(given)}>
		<div class="mb-2 flex gap-1" role="group" aria-label="Limits of what">
			{#each LIMIT_SCOPES as one (one)}
				<button
					type="button"
					class={['btn py-0.5', scope === one && 'btn-main']}
					aria-pressed={scope === one}
					onclick={() => (scope = one)}>{SCOPE_NAMES[one]}</button
				>
			{/each}
		</div>
		<table>
			<thead
				><tr
					><th>Reduction</th><th class="num">A clerk</th><th class="num">A supervisor</th
					>{#each own as person (person.id)}<th class="num"
							>{person.name}
							<button
								type="button"
								class="cursor-pointer px-1 text-soft hover:text-ink"
								aria-label="{person.name} has the limits of the role again"
								onclick={() => (
									(dropped = [...dropped, person.id]),
									(chosen = chosen.filter((id) => id !== person.id))
								)}>×</button
							></th
						>{/each}</tr
				></thead
			>
			<tbody {@attach rowCursor}>
				{#each kinds as kind (kind)}
					<tr>
						<td>{name(kind)}</td>
						{#each roles as role (role)}
							<td class="num"
								>{#each LIMIT_SCOPES as one (one)}<input
										type="text"
										inputmode="decimal"
										class={['amount-field', scope !== one && 'hidden']}
										name="{role} {one} {kind}"
										aria-label="{name(kind)}, {role}, {SCOPE_NAMES[one].toLowerCase()}"
										value={shown(data.limits.byRole[role][one][kind])}
									/>{/each}</td
							>
						{/each}
						{#each own as person (person.id)}
							<td class="num"
								>{#each LIMIT_SCOPES as one (one)}<input
										type="text"
										inputmode="decimal"
										class={['amount-field', scope !== one && 'hidden']}
										name="{person.id} {one} {kind}"
										aria-label="{name(kind)}, {person.name}, {SCOPE_NAMES[one].toLowerCase()}"
										placeholder={shown(data.limits.byRole[person.role as 'clerk'][one][kind]) || 'any'}
										value={shown(data.limits.byPerson[person.id]?.[one][kind])}
									/>{/each}</td
							>
						{/each}
					</tr>
				{/each}
			</tbody>
		</table>
		<label class="mt-3 flex items-center gap-2"
			>A small difference is at most <input
				type="text"
				inputmode="decimal"
				class="amount-field"
				name="tolerance"
				value={shown(data.limits.tolerance)}
			/> whoever books it.</label
		>
		{#if others.length}
			<label class="mt-3 flex items-center gap-2"
				>Limits of their own for <select
					aria-label="Somebody with limits of their own"
					onchange={({ currentTarget }) => {
						const id = currentTarget.value;
						if (!id) return;
						[chosen, dropped] = [[...chosen, id], dropped.filter((one) => one !== id)];
						currentTarget.value = '';
					}}
					><option value="">nobody else</option>{#each others as person (person.id)}<option value={person.id}
							>{person.name}</option
						>{/each}</select
				></label
			>
		{/if}
		<button class="btn btn-main mt-4">Keep these limits</button>
	</form>
</section>
