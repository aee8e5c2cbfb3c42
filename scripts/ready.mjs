import { execFileSync, spawnSync } from 'node:child_process';
import { createHash } from 'node:crypto';
import { existsSync, mkdirSync, readFileSync, readdirSync, statSync, writeFileSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';

export const root = dirname(dirname(fileURLToPath(import.meta.url)));

/** Installs the packages when the lock file says that they are not those that are there. */
export function installed() {
	const [major, minor] = process.versions.node.split('.').map(Number);
	if (major < 20 || (major === 20 && minor < 19))
		stop(`Odd Penny needs Node 20.19 or later; this is ${process.version}.`);
	const mark = join(root, 'node_modules/.odd-penny-lock');
	const want = createHash('sha256')
		.update(readFileSync(join(root, 'package-lock.json')))
		.digest('hex');
	if (existsSync(mark) && readFileSync(mark, 'utf8') === want) return;
	console.error('Installing what is missing …');
	const done = spawnSync('npm', ['ci', '--no-audit', '--no-fund', '--loglevel=error'], {
		cwd: root,
		stdio: ['ignore', 2, 2]
	});
	if (done.status !== 0) stop('The packages could not be installed. Is the npm registry reachable?');
	writeFileSync(mark, want);
}

/** What the sources are known by: it changes when one of them does, and is the same for all who ask meanwhile. */
export function stamp() {
	return stampOf([
		'src',
		'static',
		'bench',
		'attack',
		'fuzz',
		'package-lock.json',
		'svelte.config.js',
		'vite.config.ts',
		'vite.tools.config.ts'
	]);
}

/** Builds the application when a source is newer than the build. */
export function built() {
	const mark = join(root, 'build/stamp');
	const want = stamp();
	if (existsSync(mark) && readFileSync(mark, 'utf8') === want) return;
	console.error('Building …');
	const bin = join(root, 'node_modules/.bin/vite');
	for (const args of [
		['build', '--logLevel', 'error'],
		['build', '--config', 'vite.tools.config.ts', '--logLevel', 'error']
	]) {
		const done = spawnSync(bin, args, { cwd: root, encoding: 'utf8', maxBuffer: 1e8 });
		if (done.status !== 0)
			stop(`${done.stdout}\n${done.stderr}\nThe build failed; what is above says where.`);
	}
	mkdirSync(join(root, 'build'), { recursive: true });
	writeFileSync(mark, want);
}

/** Makes sure that there is a Chromium for the tests of the interface; says what to do where there is none. */
export function chromium() {
	if (existsSync('/usr/bin/chromium')) return true;
	if (!process.env.CI && !process.env.INSTALL_CHROMIUM) {
		console.error(
			'The tests of the interface need Chromium at /usr/bin/chromium. To install it: sudo apt-get install chromium'
		);
		return false;
	}
	console.log("Installing Debian's Chromium …");
	try {
		execFileSync('apt-get', ['update', '-qq'], { stdio: 'ignore' });
		execFileSync('apt-get', ['install', '-y', '-qq', 'chromium'], {
			stdio: 'ignore',
			env: { ...process.env, DEBIAN_FRONTEND: 'noninteractive' }
		});
	} catch {
		// Said below.
	}
	if (existsSync('/usr/bin/chromium')) return true;
	console.error(
		'The tests of the interface need Chromium at /usr/bin/chromium, and it could not be installed: run "sudo apt-get install chromium".'
	);
	return false;
}

function stampOf(paths) {
	const hash = createHash('sha256');
	const walk = (path) => {
		const stat = statSync(path, { throwIfNoEntry: false });
		if (!stat) return;
		if (stat.isDirectory()) for (const name of readdirSync(path).sort()) walk(join(path, name));
		else if (!path.endsWith('.test.ts')) hash.update(`${path} ${stat.size} ${stat.mtimeMs}\n`);
	};
	for (const path of paths) walk(join(root, path));
	return hash.digest('hex');
}

function stop(text) {
	console.error(text);
	process.exit(1);
}
