<script lang="ts">
	import { scaleLinear } from 'd3-scale';
	import { area, curveStepAfter, line } from 'd3-shape';
	/** Two sums growing over the days of a month: one filled, one dashed. */
	let {
		solid,
		dashed,
		label,
		scaleText,
		height = 170
	}: {
		solid: readonly number[];
		dashed: readonly number[];
		label: string;
		/** How a value of the scale is written. */
		scaleText: (value: number) => string;
		height?: number;
	} = $props();
	const width = 400;
	const x = $derived(scaleLinear([0, Math.max(solid.length - 1, 1)], [0, width]));
	const y = $derived(scaleLinear([0, Math.max(...solid, ...dashed, 1)], [height - 1, 6]));
	/** A few values along the side, so that one sees how much it is. */
	const ticks = $derived(y.ticks(3).filter((value) => value > 0));
	const along = $derived(
		line<number>(
			(_, i) => x(i),
			(value) => y(value)
		).curve(curveStepAfter)
	);
	const under = $derived(
		area<number>(
			(_, i) => x(i),
			height - 1,
			(value) => y(value)
		).curve(curveStepAfter)
	);
</script>

<div class="relative">
	<svg
		viewBox="0 0 {width} {height}"
		class="block w-full"
		role="img"
		aria-label={label}
		preserveAspectRatio="none"
	>
		{#each ticks as value (value)}<line
				x1="0"
				x2={width}
				y1={y(value)}
				y2={y(value)}
				stroke="var(--rule)"
				vector-effect="non-scaling-stroke"
			/>{/each}
		<path d={under([...solid]) ?? ''} fill="var(--patina-wash)" />
		<path
			d={along([...solid]) ?? ''}
			fill="none"
			stroke="var(--patina)"
			stroke-width="2"
			vector-effect="non-scaling-stroke"
		/>
		<path
			d={along([...dashed]) ?? ''}
			fill="none"
			stroke="var(--ink)"
			stroke-width="1.4"
			stroke-dasharray="4 3"
			vector-effect="non-scaling-stroke"
		/>
		<line
			x1="0"
			x2={width}
			y1={height - 0.5}
			y2={height - 0.5}
			stroke="var(--soft)"
			vector-effect="non-scaling-stroke"
		/>
	</svg>
	{#each ticks as value (value)}<span
			class="absolute left-0 -translate-y-full text-[11px] text-soft"
			aria-hidden="true"
			style:top="{(100 * y(value)) / height}%">{scaleText(value)}</span
		>{/each}
</div>
