<script lang="ts">
	import { enhance } from '$app/forms';
	import { toast } from 'svelte-sonner';
	import type { addBankAccount } from '$lib/server/firm/commands/add-bank-account';
	import type { setBankFiles } from '$lib/server/firm/commands/set-bank-files';
	import type { setAuditor } from '$lib/server/firm/commands/set-auditor';
	import type { setConventions } from '$lib/server/firm/commands/set-conventions';
	import type { setLimits } from '$lib/server/firm/commands/set-limits';
	import { ActForm } from '$lib/trade/act-form.svelte';
	import IbanNote from '$lib/trade/IbanNote.svelte';
	import Field from '$lib/ui/Field.svelte';
	import Problems from '$lib/ui/Problems.svelte';
	import type { LimitedKind } from '$lib/core/4-allocation/over-limits';
	import { DIFFERENCE_KINDS } from '$lib/core/model/records';
	import { typedAmount } from '$lib/words/typed-amount';
	import { BANK_FILES_FROM, DIFFERENCE_NAMES, landsToChoose, amount } from '$lib/words';
	import { LOCALES } from '$lib/words/conventions';
	let { data } = $props();
	const limitsForm = new ActForm<typeof setLimits>('?/limits', {
		done: () => void toast('The limits hold from now on.')
	});
	const bankForm = new ActForm<typeof addBankAccount>('?/bank', {
		done: () => void toast('The bank account is there.')
	});
	const conventionsForm = new ActForm<typeof setConventions>('?/conventions', {
		done: () => void toast('Numbers and times are shown so from now on.')
	});
	const filesForm = new ActForm<typeof setBankFiles>('?/files', {
		done: () => void toast('That holds from now on.')
	});
	const auditorForm = new ActForm<typeof setAuditor>('?/auditor', {
		done: () => void toast('Anchors go there from now on.')
	});
	let accountNumber = $state('');
	const lands = landsToChoose();
	const kinds: readonly LimitedKind[] = [...DIFFERENCE_KINDS, 'refund'];
	const name = (kind: LimitedKind) => (kind === 'refund' ? 'To be paid back' : DIFFERENCE_NAMES[kind]);
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
		const of = (role: string) =>
			Object.fromEntries(
				kinds.flatMap((kind) => {
					const value = one(`${role} ${kind}`);
					return value === undefined ? [] : [[kind, value]];
				})
			);
		const limits = {
			tolerance: one('tolerance') ?? null,
			byRole: { clerk: of('clerk'), supervisor: of('supervisor') },
			byPerson: Object.fromEntries(own.map((person) => [person.id, of(person.id)]))
		};
		return { limits, unreadable };
	}
	function givenAccount(form: FormData) {
		const field = (name: string) => String(form.get(name) ?? '').trim();
		const [currency, text] = [field('currency').toUpperCase(), field('opening')];
		const opening = text ? typedAmount(text, currency, true) : null;
		if (typeof opening === 'string') {
			bankForm.say(`“${text}” is not an amount${currency ? ` in ${currency}` : ''}.`);
			return null;
		}
		const [name, number, bankName] = [field('name'), field('number'), field('bankName')];
		return { name, number, bankName, currency, opening, bic: field('bic'), ledger: field('ledger') };
	}
	function given(form: FormData) {
		const { limits, unreadable } = read(form);
		limitsForm.say(...unreadable);
		return unreadable.length ? null : limits;
	}
</script>

<svelte:head><title>Settings · Odd Penny</title></svelte:head>

<div class="grid grid-cols-[minmax(0,1fr)_minmax(0,1fr)]">
	<section class="px-8 pt-5 pb-10">
		<h1>Who may book how much alone</h1>
		<p class="mt-1 mb-3 says">
			In {data.base}, for one posting. Above it the posting waits for a supervisor. An empty field is no
			limit; nought is never alone.
		</p>
		<Problems problems={limitsForm.problems} />
		<form method="POST" action="?/limits" use:enhance={limitsForm.submit(given)}>
			<table>
				<thead
					><tr
						><th>Odd penny</th><th class="num">A clerk</th><th class="num">A supervisor</th
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
				<tbody>
					{#each kinds as kind (kind)}
						<tr>
							<td>{name(kind)}</td>
							{#each roles as role (role)}
								<td class="num"
									><input
										type="text"
										inputmode="decimal"
										class="amount-field"
										name="{role} {kind}"
										aria-label="{name(kind)}, {role}"
										value={shown(data.limits.byRole[role][kind])}
									/></td
								>
							{/each}
							{#each own as person (person.id)}
								<td class="num"
									><input
										type="text"
										inputmode="decimal"
										class="amount-field"
										name="{person.id} {kind}"
										aria-label="{name(kind)}, {person.name}"
										placeholder={shown(data.limits.byRole[person.role as 'clerk'][kind]) || 'any'}
										value={shown(data.limits.byPerson[person.id]?.[kind])}
									/></td
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
						><option value="">nobody else</option>{#each others as person (person.id)}<option
								value={person.id}>{person.name}</option
							>{/each}</select
					></label
				>
			{/if}
			<button class="btn btn-main mt-4">Keep these limits</button>
		</form>
	</section>
	<section class="border-l border-rule px-8 pt-5 pb-10">
		<h2 class="text-xl">Bank accounts</h2>
		<table class="mt-2">
			<thead><tr><th>Name</th><th>Number</th><th>Currency</th><th>Ledger</th></tr></thead>
			<tbody>
				{#each data.banks as bank (bank.id)}
					<tr
						><td>{bank.name}</td><td class="font-mono text-[13px]">{bank.number}</td><td>{bank.currency}</td
						><td>{bank.ledger}</td></tr
					>
				{:else}<tr
						><td colspan="4" class="text-soft">None yet. Add the account that customers pay into.</td></tr
					>{/each}
			</tbody>
		</table>
		<h2 class="mt-8 text-xl">Add a bank account</h2>
		<Problems problems={bankForm.problems} />
		<form
			method="POST"
			action="?/bank"
			use:enhance={bankForm.submit(givenAccount)}
			class="mt-2 grid w-96 grid-cols-2 gap-2"
		>
			<Field form={bankForm} name="name" label="Name" class="col-span-2"
				>{#snippet input(attributes)}<input type="text" required {...attributes} />{/snippet}</Field
			>
			<Field form={bankForm} name="number" label="IBAN or account number" class="col-span-2"
				>{#snippet input(attributes)}<input
						type="text"
						required
						bind:value={accountNumber}
						{...attributes}
					/>{/snippet}</Field
			>
			<div class="col-span-2 empty:hidden"><IbanNote account={accountNumber} /></div>
			<Field form={bankForm} name="bankName" label="Bank"
				>{#snippet input(attributes)}<input type="text" required {...attributes} />{/snippet}</Field
			>
			<Field form={bankForm} name="bic" label="BIC, if it has one"
				>{#snippet input(attributes)}<input type="text" {...attributes} />{/snippet}</Field
			>
			<Field form={bankForm} name="currency" label="Currency"
				>{#snippet input(attributes)}<input
						type="text"
						required
						maxlength="3"
						{...attributes}
					/>{/snippet}</Field
			>
			<Field form={bankForm} name="ledger" label="Ledger account"
				>{#snippet input(attributes)}<input type="text" required {...attributes} />{/snippet}</Field
			>
			<Field
				form={bankForm}
				name="opening"
				label="Balance when the books begin, to check the first statement"
				class="col-span-2"
				>{#snippet input(attributes)}<input
						type="text"
						inputmode="decimal"
						{...attributes}
					/>{/snippet}</Field
			>
			<div class="col-span-2"><button class="btn" disabled={bankForm.busy}>Add it</button></div>
		</form>
		<h2 class="mt-8 text-xl">Bank files</h2>
		<p class="mt-1 says">
			Who brought each in is on <a href="/money-in/bank-files">Bank files</a>, with statements that do not
			fit.
		</p>
		<Problems problems={filesForm.problems} />
		<form
			method="POST"
			action="?/files"
			use:enhance={filesForm.submit((form) => ({
				from: String(form.get('from')) as keyof typeof BANK_FILES_FROM
			}))}
			class="mt-2 grid w-96 gap-2"
		>
			<Field form={filesForm} name="from" label="Bank files come in by"
				>{#snippet input(attributes)}<select {...attributes} value={data.bankFiles}
						>{#each Object.entries(BANK_FILES_FROM) as [from, words] (from)}<option value={from}
								>{words}</option
							>{/each}</select
					>{/snippet}</Field
			>
			<div><button class="btn" disabled={filesForm.busy}>Keep it</button></div>
		</form>
		<h2 class="mt-8 text-xl">Numbers and times</h2>
		<p class="mt-1 says">As everybody here sees and types them, and as letters have them.</p>
		<Problems problems={conventionsForm.problems} />
		<form
			method="POST"
			action="?/conventions"
			use:enhance={conventionsForm.submit((form) => ({
				locale: String(form.get('locale')) as (typeof LOCALES)[number],
				timeZone: String(form.get('timeZone'))
			}))}
			class="mt-2 grid w-96 gap-2"
		>
			<Field form={conventionsForm} name="locale" label="Numbers are written as in"
				>{#snippet input(attributes)}<select {...attributes} value={data.conventions.locale}
						>{#each lands as { locale, name } (locale)}<option value={locale}>{name}</option>{/each}</select
					>{/snippet}</Field
			>
			<Field form={conventionsForm} name="timeZone" label="The clock is that of"
				>{#snippet input(attributes)}<select {...attributes} value={data.conventions.timeZone}
						>{#each data.timeZones as zone (zone)}<option>{zone}</option>{/each}</select
					>{/snippet}</Field
			>
			<div><button class="btn" disabled={conventionsForm.busy}>Keep them</button></div>
		</form>
		<h2 class="mt-8 text-xl">Anchors</h2>
		<p class="mt-1 says">
			At the end of each day, and whenever a period is locked, the record is signed. Sent to somebody outside,
			such as your auditor, it shows later whether anything was changed since.
		</p>
		<Problems problems={auditorForm.problems} />
		<form
			method="POST"
			action="?/auditor"
			use:enhance={auditorForm.submit((form) => ({ email: String(form.get('email') ?? '').trim() }))}
			class="mt-2 grid w-96 gap-2"
		>
			<Field form={auditorForm} name="email" label="E-mail address, if they are to be sent"
				>{#snippet input(attributes)}<input
						type="email"
						{...attributes}
						value={data.auditor}
					/>{/snippet}</Field
			>
			<div><button class="btn" disabled={auditorForm.busy}>Keep it</button></div>
		</form>
	</section>
</div>
