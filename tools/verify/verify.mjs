#!/usr/bin/env node
/*
 * Checks an export of the books of Odd Penny, with nothing but Node: no code of the application is used. See README.md beside this
 * file for what stands in the export and what is checked.
 *
 *     node verify.mjs BOOKS.ndjson [--anchor ANCHOR.json …] [--key PUBLIC_KEY]
 */
import { createHash, createPublicKey, verify } from 'node:crypto';
import { createReadStream, readFileSync } from 'node:fs';
import { createInterface } from 'node:readline';
import { parseArgs } from 'node:util';

const { values, positionals } = parseArgs({
	allowPositionals: true,
	options: { anchor: { type: 'string', multiple: true, default: [] }, key: { type: 'string' } }
});
if (positionals.length !== 1) {
	console.error('Usage: node verify.mjs BOOKS.ndjson [--anchor ANCHOR.json …] [--key PUBLIC_KEY]');
	process.exit(2);
}

const faults = [];
const fault = (text) => faults.push(text);
const sha = () => createHash('sha256');

/** Tables by name: how they are sealed, and what the chain says of them. */
const tables = new Map();
/** Hashes of the seals, in order. */
const chain = [];
let open = null;

/** Closes the seal whose runs were read, and compares it with what it says of itself. */
function closeSeal() {
	if (!open) return;
	const [id, , , previous, hash] = open.seal;
	if (id !== chain.length + 1) fault(`seal ${chain.length + 1} is missing`);
	if (previous !== (chain.at(-1) ?? '0'.repeat(43))) fault(`seal ${id} does not go on from the one before`);
	if (open.hash.digest('base64url') !== hash) fault(`seal ${id} is not what its hash says`);
	chain.push(hash);
	open = null;
}

function readSeal(seal) {
	closeSeal();
	const [id, at, actId, previous] = seal;
	open = { seal, hash: sha().update(JSON.stringify(['odd-penny-seal-1', id, at, actId, previous])) };
}

function readRun([name, first, last, rows, hash]) {
	open.hash.update(`\n${JSON.stringify([name, first, last, rows, hash])}`);
	const table = tables.get(name);
	if (!table || open.seal[0] < table.since) return;
	// Of rows that change the last version counts; rows that do not are sealed once.
	if (!table.posted || !table.runs.has(first)) table.runs.set(first, { first, last, rows, hash });
	else fault(`${name} ${first} was sealed twice`);
}

/** Rows come in the order of their keys: each belongs to the run that began before it. */
function readRow([name, key, form]) {
	const table = tables.get(name);
	if (!table) return fault(`a row of ${name}, which is no table of the books`);
	const within =
		table.run && !table.run.done && (table.numbered ? key <= table.run.last : table.run.left > 0);
	if (!within) {
		closeRun(table);
		const run = table.runs.get(key);
		if (!run || run.rows === 0) return fault(`${name} ${key} was never written`);
		table.runs.delete(key);
		table.run = { ...run, left: run.rows, done: false, sum: sha().update(`${name}\n`) };
	}
	table.run.sum.update(`${form}\n`);
	table.run.left--;
	table.run.done = key === table.run.last;
	count(name, table.columns, form);
}

function closeRun(table) {
	if (!table.run) return;
	const { first, last, left, sum, hash } = table.run;
	if (left !== 0 || sum.digest('base64url') !== hash)
		fault(`${table.name} ${first}${first === last ? '' : ` to ${last}`} is not as it was written`);
	table.run = null;
}

/** What the journal comes to: per act and currency, and per account. */
const journals = new Map();
const balances = new Map();
const items = new Map();
let lines = 0;

function count(name, columns, form) {
	if (name !== 'journal_line' && name !== 'item_state') return;
	const row = JSON.parse(form);
	const of = (column) => row[columns.indexOf(column)];
	if (name === 'item_state') {
		const [kind, base] = [of('kind'), BigInt(of('open_base'))];
		add(items, kind === 'credit_note' ? 'credits' : 'owed', base);
		return;
	}
	lines++;
	add(journals, `${of('act_id')} ${of('currency')}`, BigInt(of('amount')));
	add(journals, `${of('act_id')} base`, BigInt(of('base')));
	add(balances, of('account'), BigInt(of('base')));
}

function add(map, key, value) {
	map.set(key, (map.get(key) ?? 0n) + value);
}

for await (const line of createInterface({ input: createReadStream(positionals[0]), crlfDelay: Infinity })) {
	if (line === '') continue;
	const one = JSON.parse(line);
	if (one.format !== undefined) {
		if (one.format !== 'odd-penny-books-1')
			throw new Error(`${one.format} is not a format that is known here`);
		for (const table of one.tables) tables.set(table.name, { ...table, runs: new Map(), run: null });
	} else if (one.seal) readSeal(one.seal);
	else if (one.run) readRun(one.run);
	else {
		closeSeal();
		readRow(one.row);
	}
}
closeSeal();
for (const table of tables.values()) {
	closeRun(table);
	for (const { first, last, rows } of table.runs.values())
		if (rows > 0)
			fault(`${table.name} ${first}${first === last ? '' : ` to ${last}`} was written and is gone`);
}
for (const [key, sum] of journals)
	if (sum !== 0n) fault(`the journal of act ${key.replace(' ', ' in ')} does not balance: ${sum}`);

for (const path of values.anchor) {
	const anchor = JSON.parse(readFileSync(path, 'utf8'));
	const { format, books, seals, head, acts, day, at, reason, publicKey, signature } = anchor;
	const key = createPublicKey({ key: Buffer.from(publicKey, 'base64url'), format: 'der', type: 'spki' });
	const text = JSON.stringify([format, books, seals, head, acts, day, at, reason, publicKey]);
	if (!verify(null, Buffer.from(text), key, Buffer.from(signature, 'base64url')))
		fault(`${path} is not signed by the key that it names`);
	if (values.key && values.key !== publicKey) fault(`${path} is signed by another key`);
	if (seals > chain.length)
		fault(`${path} says of ${seals} seals, here are ${chain.length}: what came last was cut off`);
	else if (chain[seals - 1] !== head || chain[0] !== books)
		fault(`${path} says of other records than are here: they were made anew`);
}

console.log(`${chain.length} seals, ${lines} journal lines, ${values.anchor.length} anchors.`);
console.log('Balances in base currency, minor units, by account:');
for (const [account, sum] of [...balances].sort()) console.log(`  ${account.padEnd(8)} ${sum}`);
console.log(`Open items owed ${items.get('owed') ?? 0n}, credits ${items.get('credits') ?? 0n}.`);
for (const text of faults.slice(0, 100)) console.log(`FAULT: ${text}`);
console.log(faults.length === 0 ? 'The export is sound.' : `${faults.length} faults.`);
process.exitCode = faults.length === 0 ? 0 : 1;
