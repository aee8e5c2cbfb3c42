import { spawn } from 'node:child_process';
import { cpSync, mkdirSync, readFileSync, readdirSync, rmSync } from 'node:fs';
import { join } from 'node:path';
import { built, chromium, installed, root } from './ready.mjs';

// Everything that must hold, one after another, and one closing line. A name or two as arguments runs only those; --checks all
// but the tests themselves.
const only = process.argv.slice(2).filter((word) => !word.startsWith('--'));
const checksOnly = process.argv.includes('--checks');
installed();
const bin = (name) => join(root, 'node_modules/.bin', name);
const results = { passed: 0, failed: 0 };
/** Named at the end: a long output hides what failed early. */
const broken = [];
mkdirSync(join(root, 'test-results'), { recursive: true });

const TESTS = ['unit tests', 'interface'];
const steps = [
	['format', () => check([bin('prettier'), '--check', '--log-level', 'warn', '.'])],
	['lint', () => check([bin('eslint'), '.', '--max-warnings', '0'])],
	[
		'types',
		async () => {
			await run([bin('svelte-kit'), 'sync']);
			await check([
				bin('svelte-check'),
				'--tsconfig',
				'./tsconfig.json',
				'--output',
				'human',
				'--fail-on-warnings'
			]);
		}
	],
	['types of the core', () => check([bin('tsc'), '-p', 'src/lib/core/tsconfig.json'])],
	[
		'rules',
		() => check([bin('depcruise'), '--config', '.dependency-cruiser.cjs', '--output-type', 'err', 'src'])
	],
	['unused', () => check([bin('knip'), '--no-progress'])],
	['tables and migrations', () => drift()],
	[
		'unit tests',
		() =>
			counted(
				[
					...[bin('vitest'), 'run', '--coverage', '--reporter=dot', '--reporter=json'],
					'--outputFile=test-results/unit.json'
				],
				'test-results/unit.json',
				(report) => [report.numPassedTests, report.numFailedTests]
			)
	],
	[
		'interface',
		async () => {
			if (!chromium()) return void results.failed++;
			built();
			await counted([bin('playwright'), 'test'], 'test-results/e2e.json', ({ stats }) => [
				stats.expected + stats.flaky,
				stats.unexpected
			]);
		}
	]
];

for (const [name, step] of steps) {
	if (checksOnly && TESTS.includes(name)) continue;
	if (only.length && !only.some((part) => name.includes(part))) continue;
	console.log(`\n== ${name}`);
	const before = results.failed;
	await step();
	if (results.failed > before) broken.push(name);
}
if (broken.length) console.log(`\nWhat failed: ${broken.join(', ')}`);
console.log(`\n${results.passed} passed, ${results.failed} failed`);
process.exit(results.failed ? 1 : 0);

function run([command, ...args]) {
	return new Promise((resolve) => {
		const child = spawn(command, args, {
			cwd: root,
			stdio: ['ignore', 'inherit', 'inherit'],
			env: { ...process.env, NO_COLOR: '1' }
		});
		child.on('close', (code) => resolve(code ?? 1));
		child.on('error', () => resolve(1));
	});
}

async function check(command) {
	if ((await run(command)) === 0) results.passed++;
	else results.failed++;
}

/** The tables as the code has them are those that the migrations make: nothing would be generated. */
async function drift() {
	const to = 'test-results/migrations';
	rmSync(join(root, to), { recursive: true, force: true });
	cpSync(join(root, 'drizzle'), join(root, to), { recursive: true });
	const before = readdirSync(join(root, to)).length;
	const made = [bin('drizzle-kit'), 'generate', '--dialect', 'sqlite'];
	const code = await run([...made, '--schema', 'src/lib/server/platform/db/schema/index.ts', '--out', to]);
	if (code === 0 && readdirSync(join(root, to)).length === before) return void results.passed++;
	console.error(
		'The tables differ from what the migrations make: npm run db:generate writes the one that is missing.'
	);
	results.failed++;
}

/** A runner that counts its tests in a file; one that ends badly without naming a failure is a failure itself. */
async function counted(command, file, read) {
	rmSync(join(root, file), { force: true });
	const code = await run(command);
	const [passed, failed] = reported(file, read);
	results.passed += passed;
	results.failed += code !== 0 && failed === 0 ? 1 : failed;
}

function reported(file, read) {
	try {
		return read(JSON.parse(readFileSync(join(root, file), 'utf8')));
	} catch {
		return [0, 1];
	}
}
