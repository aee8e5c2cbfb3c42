<script lang="ts">
	import Problems from '$lib/ui/Problems.svelte';
	let { form } = $props();
	const fields = [
		['firm', 'Name of the firm', 'text'],
		['address', 'Its address, lines parted by commas', 'text'],
		['phone', 'Telephone', 'text'],
		['baseCurrency', 'Currency of its books', 'text'],
		['bank', 'Its bank', 'text'],
		['iban', 'Bank account (IBAN)', 'text'],
		['name', 'Your name', 'text'],
		['email', 'Your e-mail address', 'email'],
		['password', 'A password of ten characters or more', 'password']
	] as const;
</script>

<div class="mx-auto mt-[7vh] w-[440px] pb-12">
	<h1>New books</h1>
	<p class="mt-1 mb-5 says">
		Nobody can sign in yet. You will be the first supervisor, and can let others in afterwards.
	</p>
	<Problems problems={form?.problems} />
	<form method="POST" class="mt-4 grid gap-3">
		{#each fields as [name, label, type] (name)}
			<label class="grid gap-1"
				>{label}<input
					{type}
					{name}
					required={name !== 'address' && name !== 'phone'}
					value={name === 'baseCurrency' ? 'GBP' : undefined}
				/></label
			>
		{/each}
		<button class="btn btn-main mt-2 justify-center py-2">Open the books</button>
	</form>
</div>
