<script lang="ts">
	import { ibanFits } from '$lib/core/text/iban-fits';

	interface Props {
		/** The account number as it is typed. */
		readonly account: string;
	}
	const { account }: Props = $props();
</script>

{#if ibanFits(account) === false}
	<p class="text-sm text-copper" role="status">
		The check digits of this IBAN do not fit: a digit may be wrong. Compare it with the bank’s own paper.
	</p>
{/if}
