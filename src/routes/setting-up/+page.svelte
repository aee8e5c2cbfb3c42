<script lang="ts">
	import { goto } from '$app/navigation';
	import { toast } from 'svelte-sonner';
	import { MAY_BE_LEFT_OUT } from '$lib/core/6-reports/setting-up';
	import type { SettingUpStep } from '$lib/core/model/setting-up-step';
	import type { finishSettingUp, leaveStepOut, testMail } from '$lib/server/firm/commands/setting-up';
	import { ActForm } from '$lib/trade/act-form.svelte';
	import RunSheet from '$lib/trade/RunSheet.svelte';
	import Problems from '$lib/ui/Problems.svelte';
	import { count, money, SETTING_UP_NAMES, shortDay } from '$lib/words';
	let { data } = $props();
	const seen = $derived(data.settingUp);
	const supervises = $derived(data.who?.role === 'supervisor');
	const leaveForm = new ActForm<typeof leaveStepOut>('?/leave');
	const mailForm = new ActForm<typeof testMail>('?/mail', {
		done: () => void toast('The mail server took the test. See whether it arrived.')
	});
	const finishForm = new ActForm<typeof finishSettingUp>('?/finish', {
		refresh: false,
		done: async () => {
			toast('The books are set up.');
			await goto('/', { invalidateAll: true });
		}
	});
	const opened = $derived.by(() => {
		const { opening, documents } = seen;
		if (!documents)
			return 'What customers owed when the books before ended, with what is still open of each.';
		const known = `${count(documents, 'document')} in the books.`;
		if (!opening) return known;
		const sum = money(opening.before, opening.currency);
		const stands = `Opening items of ${shortDay(opening.on)} come to ${sum}`;
		if (opening.control === null) return `${known} ${stands}; compare that with the control account.`;
		return opening.apart === 0
			? `${known} ${stands}, as the control account shows.`
			: `${known} ${stands}; the control account shows ${money(opening.control, opening.currency)}.`;
	});
	const WAYS: Readonly<Record<SettingUpStep, { readonly href: string; readonly does: string }>> = {
		firm: { href: '/books/settings#firm', does: 'Fill in' },
		'bank-accounts': { href: '/books/settings#bank-accounts', does: 'Accounts' },
		people: { href: '/books/people', does: 'Let people in' },
		customers: { href: '/open-items/bring-in?what=customers', does: 'Bring in customers' },
		'open-items': { href: '/open-items/bring-in', does: 'Bring in open items' },
		history: { href: '/open-items/bring-in?what=history', does: 'Bring in payments' },
		'bank-file': { href: '/money-in/bring-in', does: 'Bring in a file' },
		mail: { href: '/letters/outbox', does: 'Outbox' },
		allocate: { href: '/money-in', does: 'Allocate' },
		prove: { href: '/books/proof', does: 'Read the proof' }
	};
	const says = $derived<Readonly<Record<SettingUpStep, string>>>({
		firm: `${seen.firm}: its address, telephone and VAT number, as letters have them.`,
		'bank-accounts': `${count(seen.bankAccounts, 'account')} that customers pay into.`,
		people:
			seen.people > 1
				? `${count(seen.people, 'person', 'people')} can sign in.`
				: 'You are alone. Some things take two people once there are two.',
		customers: seen.customers
			? `${count(seen.customers, 'account')}${seen.withoutEmail ? `, ${seen.withoutEmail} without an e-mail address` : ''}.`
			: 'From a table with your own headings, or one by one.',
		'open-items': opened,
		history: seen.pastPayments
			? `Matching learns from ${count(seen.pastPayments, 'payment')}.`
			: 'What customers paid before, and for what: matching learns who pays for whom.',
		'bank-file': seen.bankFiles
			? `${count(seen.bankFiles, 'file')} brought in.`
			: 'A statement as your bank gives it: camt.053, MT940, BAI2, OFX, or its own table.',
		mail: 'A test to your own address shows whether statements will go out.',
		allocate: seen.allocated
			? `${count(seen.allocated, 'allocation')} posted${seen.waiting ? `, ${count(seen.waiting, 'receipt waits', 'receipts wait')}` : ''}.`
			: seen.waiting
				? `${count(seen.waiting, 'receipt waits', 'receipts wait')}.`
				: 'Once a bank file is in, its receipts wait here.',
		prove: 'Every sum is worked out again from what was posted, and compared.'
	});
	const steps = $derived(
		seen.steps.map((one) => ({
			...one,
			...WAYS[one.step],
			name: SETTING_UP_NAMES[one.step],
			says: one.leftOut ? `Left out. ${says[one.step]}` : says[one.step],
			warn: one.step === 'open-items' && (seen.opening?.apart ?? 0) !== 0
		}))
	);
	const open = $derived(seen.steps.filter((one) => !one.done && !one.leftOut && one.step !== 'prove').length);
</script>

<svelte:head><title>Setting up · Odd Penny</title></svelte:head>

<div class="max-w-[1100px] px-8 pt-5 pb-10">
	<h1>
		{open
			? `${count(open, 'step')} until the books are set up.`
			: 'All is there: prove the books, and begin.'}
	</h1>
	<p class="mt-1 says">
		In any order, at any time: what is done stays done. All of it can be changed later in
		<a href="/books/settings">Settings</a>. To look around in made-up books first, start the demo beside these
		(<code>npm run demo</code>): it keeps its own.
	</p>
	<Problems problems={[...leaveForm.problems, ...mailForm.problems, ...finishForm.problems]} />
	<RunSheet {steps}>
		{#snippet beside(step)}
			{#if supervises && !step.done && MAY_BE_LEFT_OUT.includes(step.step)}
				<button
					class="btn"
					disabled={leaveForm.busy}
					onclick={() => leaveForm.send({ step: step.step, leftOut: !step.leftOut })}
					>{step.leftOut ? 'Take up again' : 'Leave out'}</button
				>
			{/if}
			{#if supervises && step.step === 'mail'}
				<button class="btn" disabled={mailForm.busy} onclick={() => mailForm.send({ email: '' })}
					>{mailForm.busy ? 'Sending …' : 'Send a test'}</button
				>
			{/if}
			{#if supervises && step.step === 'prove'}
				<button
					class={['btn', !open && 'btn-main']}
					disabled={finishForm.busy}
					onclick={() => finishForm.send({ prove: true })}
					>{finishForm.busy ? 'Proving …' : 'Prove and finish'}</button
				>
			{/if}
		{/snippet}
	</RunSheet>
	{#if supervises}<p class="mt-6">
			<button
				class="text-sm text-soft underline"
				disabled={finishForm.busy}
				onclick={() => finishForm.send({ prove: false })}>No longer show these steps</button
			>
		</p>{/if}
</div>
