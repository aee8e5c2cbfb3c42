import { sveltekit } from '@sveltejs/kit/vite';
import tailwindcss from '@tailwindcss/vite';
import { defineConfig } from 'vitest/config';

export default defineConfig({
	plugins: [tailwindcss(), sveltekit()],
	test: {
		include: ['src/**/*.test.ts', 'bench/**/*.test.ts', 'attack/**/*.test.ts', 'fuzz/**/*.test.ts'],
		environment: 'node',
		env: { LOG_LEVEL: 'silent' },
		testTimeout: 120_000,
		hookTimeout: 120_000,
		maxWorkers: 2,
		coverage: {
			provider: 'v8',
			include: ['src/lib/**/*.ts', 'src/demo/**/*.ts'],
			reporter: ['text-summary'],
			reportsDirectory: 'test-results'
		}
	}
});
