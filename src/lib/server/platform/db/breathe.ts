import { setImmediate } from 'node:timers/promises';
import type { Client, InStatement } from '@libsql/client';

/** After so many milliseconds of statements without a break, whatever else waits in this process has its turn. */
const WORK = 8;

/** What runs statements: a client, or a transaction of it. */
interface Runs {
	execute: Client['execute'];
}

/**
 * Has a client let others in between statements. Statements run on the thread that serves every page, one after another, and what
 * follows a statement comes before anything that waits outside: without breaks an act of ten thousand statements is a page that
 * stands still for everybody. A transaction keeps its own connection meanwhile, so what others read is as it was before it.
 */
export function letOthersIn(client: Client): void {
	breatheBefore(client);
	const transaction = client.transaction.bind(client) as Client['transaction'];
	client.transaction = async (...given: []) => {
		await breathe();
		const opened = await transaction(...given);
		breatheBefore(opened);
		return opened;
	};
}

function breatheBefore(one: Runs): void {
	const execute = one.execute.bind(one) as (statement: InStatement) => ReturnType<Client['execute']>;
	one.execute = async (statement: InStatement) => {
		await breathe();
		return execute(statement);
	};
}

let since = performance.now();

async function breathe(): Promise<void> {
	if (performance.now() - since < WORK) return;
	await setImmediate();
	since = performance.now();
}
