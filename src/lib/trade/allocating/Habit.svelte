<script lang="ts">
	import { scaleLinear } from 'd3-scale';
	/** When they paid against the due day: a dot a payment. */
	let { days }: { days: readonly number[] } = $props();
	const low = $derived(Math.min(-5, ...days));
	const high = $derived(Math.max(15, ...days));
	const x = $derived(scaleLinear([low, high], [6, 214]));
	const dots = $derived.by(() => {
		const stack = new Map<number, number>();
		return days.map((day) => {
			const cx = x(day);
			const cell = Math.round(cx / 9);
			const n = stack.get(cell) ?? 0;
			stack.set(cell, n + 1);
			return { cx, cy: 38 - n * 9 };
		});
	});
	const middle = $derived([...days].sort((a, b) => a - b)[Math.floor(days.length / 2)] ?? 0);
	const words = $derived(
		middle > 1
			? `Usually ${middle} days after the due date.`
			: middle < -1
				? `Usually ${-middle} days early.`
				: 'Usually on the day.'
	);
</script>

{#if days.length}
	<svg viewBox="0 0 220 60" width="100%" aria-hidden="true" class="block">
		<line x1="0" x2="220" y1="43" y2="43" stroke="var(--rule)" />
		<line x1={x(0)} x2={x(0)} y1="10" y2="47" stroke="var(--soft)" stroke-dasharray="2 2" />
		{#each dots as dot, i (i)}<circle
				cx={dot.cx}
				cy={dot.cy}
				r="4"
				fill="var(--copper)"
				opacity="0.6"
			/>{/each}
		<text x={x(0)} y="58" text-anchor="middle" font-size="11" fill="var(--soft)">due</text>
	</svg>
	<p class="mt-1 says">{words}</p>
{:else}<p class="says">No payment of theirs has been allocated yet.</p>{/if}
