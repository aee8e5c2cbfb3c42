import adapter from '@sveltejs/adapter-node';
import { vitePreprocess } from '@sveltejs/vite-plugin-svelte';
import { stamp } from './scripts/ready.mjs';

/** @type {import('@sveltejs/kit').Config} */
export default {
	preprocess: vitePreprocess(),
	kit: {
		// By the sources and not by the hour: else tests that run during a build would part its pages from its scripts.
		version: { name: stamp() },
		adapter: adapter({ out: 'build/web' }),
		csp: {
			mode: 'nonce',
			directives: {
				'default-src': ['self'],
				'script-src': ['self'],
				'style-src': ['self'],
				// Widths of segments and bars are set on the element itself.
				'style-src-attr': ['unsafe-inline'],
				'img-src': ['self', 'data:'],
				'font-src': ['self'],
				'connect-src': ['self'],
				'object-src': ['none'],
				'frame-src': ['self'],
				'frame-ancestors': ['self'],
				'base-uri': ['none'],
				'form-action': ['self']
			}
		}
	},
	compilerOptions: { runes: true }
};
