<script lang="ts">
	import { scaleBand, scaleLinear } from 'd3-scale';
	import { amount, shortMonth as name } from '$lib/words';

	/** Stacked columns by month: what each kind came to, the largest kind lowest; gains stand below the line. */
	let {
		months,
		series,
		currency,
		picked = $bindable(null)
	}: {
		/** As "2026-10". */
		months: readonly string[];
		series: readonly {
			readonly key: string;
			readonly name: string;
			readonly color: string;
			readonly values: readonly number[];
		}[];
		currency: string;
		/** The month that is looked at. */
		picked?: string | null;
	} = $props();
	const W = 720;
	const H = 260;
	const M = { left: 70, right: 8, top: 10, bottom: 28 };
	const columns = $derived(
		months.map((month, i) => {
			let up = 0;
			let down = 0;
			const parts = series.flatMap(({ key, color, values }) => {
				const value = values[i] ?? 0;
				if (value === 0) return [];
				const from = value > 0 ? up : down;
				if (value > 0) up += value;
				else down += value;
				return [{ key, color, from, to: from + value }];
			});
			return { month, parts, up, down };
		})
	);
	const x = $derived(scaleBand([...months], [M.left, W - M.right]).padding(0.28));
	const y = $derived(
		scaleLinear(
			[Math.min(0, ...columns.map((one) => one.down)), Math.max(1, ...columns.map((one) => one.up))],
			[H - M.bottom, M.top]
		).nice(4)
	);
	const said = $derived(
		columns.map((one) => `${name(one.month)} ${amount(one.up + one.down, currency)}`).join(', ')
	);
</script>

<svg viewBox="0 0 {W} {H}" class="w-full max-w-[56rem]" role="img" aria-label="By month, {currency}: {said}">
	{#each y.ticks(4) as tick (tick)}
		<line x1={M.left} x2={W - M.right} y1={y(tick)} y2={y(tick)} stroke="var(--rule)" />
		<text x={M.left - 8} y={y(tick) + 4} text-anchor="end" font-size="12" fill="var(--soft)"
			>{amount(tick, currency)}</text
		>
	{/each}
	{#each columns as one (one.month)}
		<!-- svelte-ignore a11y_click_events_have_key_events, a11y_no_static_element_interactions -->
		<g
			onclick={() => (picked = picked === one.month ? null : one.month)}
			class="cursor-pointer"
			opacity={picked === null || picked === one.month ? 1 : 0.35}
		>
			<rect
				x={x(one.month)}
				y={M.top}
				width={x.bandwidth()}
				height={H - M.top - M.bottom}
				fill="transparent"
			/>
			{#each one.parts as part (part.key)}
				<rect
					x={x(one.month)}
					y={y(Math.max(part.from, part.to))}
					width={x.bandwidth()}
					height={Math.abs(y(part.from) - y(part.to))}
					fill={part.color}
				/>
			{/each}
			<text
				x={(x(one.month) ?? 0) + x.bandwidth() / 2}
				y={H - 8}
				text-anchor="middle"
				font-size="12"
				fill="var(--soft)">{name(one.month)}</text
			>
		</g>
	{/each}
	<line x1={M.left} x2={W - M.right} y1={y(0)} y2={y(0)} stroke="var(--ink)" />
</svg>
