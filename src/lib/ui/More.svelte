<script lang="ts">
	/** The end of a list of which only the first rows are drawn; when it comes into sight, more are. */
	let { more, words }: { more: () => void; words: string } = $props();
	function whenSeen(element: HTMLElement) {
		const observer = new IntersectionObserver(([entry]) => {
			if (entry?.isIntersecting) more();
		});
		observer.observe(element);
		return () => observer.disconnect();
	}
</script>

<span class="text-soft" {@attach whenSeen}>{words}</span>
