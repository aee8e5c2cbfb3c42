<script lang="ts">
	import { encode } from 'uqr';
	/** A text as a picture for cameras (ISO/IEC 18004): dark on light in either theme, with its quiet zone. */
	let { text, label, size = 176 }: { text: string; label: string; size?: number } = $props();
	const picture = $derived(encode(text, { border: 4 }));
	const dark = $derived(
		picture.data.flatMap((row, y) => row.flatMap((on, x) => (on ? [`M${x} ${y}h1v1h-1z`] : []))).join('')
	);
</script>

<svg
	role="img"
	aria-label={label}
	width={size}
	height={size}
	viewBox="0 0 {picture.size} {picture.size}"
	shape-rendering="crispEdges"
>
	<rect width={picture.size} height={picture.size} fill="#fff" />
	<path d={dark} fill="#000" />
</svg>
