import { fileURLToPath } from 'node:url';
import { defineConfig } from 'vite';

/** Command-line tools and worker threads: the web build carries only its own entry, so these get a build beside it. */
const entry = (path: string) => fileURLToPath(new URL(path, import.meta.url));

export default defineConfig({
	resolve: { alias: { $lib: entry('./src/lib') } },
	build: {
		ssr: true,
		target: 'node20',
		outDir: 'build/tools',
		emptyOutDir: true,
		minify: false,
		rollupOptions: {
			input: {
				serve: entry('./src/tools/serve.ts'),
				demo: entry('./src/tools/demo.ts'),
				import: entry('./src/tools/import.ts'),
				'sign-in-code': entry('./src/tools/sign-in-code.ts'),
				prove: entry('./src/tools/prove.ts'),
				acknowledge: entry('./src/tools/acknowledge.ts'),
				'export-books': entry('./src/tools/export-books.ts'),
				report: entry('./src/tools/report.ts'),
				trial: entry('./src/tools/trial.ts'),
				bench: entry('./bench/main.ts'),
				attack: entry('./attack/main.ts'),
				fuzz: entry('./fuzz/main.ts'),
				'proof-worker': entry('./src/lib/workers/proof-worker.ts'),
				'pdf-worker': entry('./src/lib/workers/pdf-worker.ts'),
				'letters-worker': entry('./src/lib/workers/letters-worker.ts'),
				'looks-worker': entry('./src/lib/workers/looks-worker.ts'),
				'acts-worker': entry('./src/lib/workers/acts-worker.ts'),
				'answers-worker': entry('./src/lib/workers/answers-worker.ts'),
				'trial-worker': entry('./src/lib/workers/trial-worker.ts')
			},
			output: { entryFileNames: '[name].js', chunkFileNames: 'parts/[name]-[hash].js' }
		}
	}
});
