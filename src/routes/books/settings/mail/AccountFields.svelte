<script lang="ts" module>
	import type { MailSecurity } from '$lib/server/platform/mail/mail-server';

	/** An account as the page shows it. */
	export interface ShownAccount {
		readonly host: string;
		readonly port: number;
		readonly security: MailSecurity;
		readonly user: string;
		readonly hasPassword: boolean;
	}

	/** The ports by which a service is usually reached, with TLS from the first byte and after STARTTLS. */
	export type Ports = Readonly<Record<MailSecurity, number>>;

	/** What the fields hold, as it is sent. */
	export function typedAccount(form: FormData, ports: Ports) {
		const text = (name: string) => String(form.get(name) ?? '').trim();
		const security = SECURITIES.find((one) => one === text('security')) ?? 'tls';
		return {
			...{ host: text('host'), user: text('user'), password: String(form.get('password') ?? ''), security },
			port: text('port') === '' ? ports[security] : (typedWhole(text('port')) ?? 0)
		};
	}
	const SECURITIES = ['tls', 'starttls', 'none'] as const;
</script>

<script lang="ts">
	import { typedWhole } from '$lib/trade/customers/typed-numbers';
	import Field from '$lib/ui/Field.svelte';
	import type { FieldFaults } from '$lib/ui/field-faults';

	/** The fields of a mail server and who signs in there. */
	const { form, account, ports }: { form: FieldFaults; account: ShownAccount | null; ports: Ports } =
		$props();
	// What is typed stays; what is kept comes in when the page is loaded again.
	let security = $derived<MailSecurity>(account?.security ?? 'tls');
	const SECURITY_WORDS: Readonly<Record<MailSecurity, string>> = {
		tls: 'TLS from the start',
		starttls: 'STARTTLS, demanded',
		none: 'none: a server of your own network'
	};
</script>

<div class="grid grid-cols-[minmax(0,1fr)_90px] gap-2">
	<Field {form} name="host" label="Server"
		>{#snippet input(attributes)}<input
				type="text"
				autocomplete="off"
				spellcheck="false"
				placeholder="mail.firm.example"
				class="w-full"
				{...attributes}
				value={account?.host ?? ''}
			/>{/snippet}</Field
	>
	<Field {form} name="port" label="Port"
		>{#snippet input(attributes)}<input
				type="text"
				inputmode="numeric"
				autocomplete="off"
				placeholder={String(ports[security])}
				class="w-full"
				{...attributes}
				value={account?.port ?? ''}
			/>{/snippet}</Field
	>
</div>
<Field {form} name="security" label="Kept from being read on its way by"
	>{#snippet input(attributes)}<select {...attributes} bind:value={security}
			>{#each SECURITIES as one (one)}<option value={one}>{SECURITY_WORDS[one]}</option>{/each}</select
		>{/snippet}</Field
>
<div class="grid grid-cols-2 gap-2">
	<Field {form} name="user" label="User"
		>{#snippet input(attributes)}<input
				type="text"
				autocomplete="off"
				spellcheck="false"
				{...attributes}
				value={account?.user ?? ''}
			/>{/snippet}</Field
	>
	<Field {form} name="password" label="Password"
		>{#snippet input(attributes)}<input
				type="password"
				autocomplete="new-password"
				placeholder={account?.hasPassword ? 'kept' : ''}
				{...attributes}
			/>{/snippet}</Field
	>
</div>
