import { randomUUID } from 'node:crypto';
import { hostname } from 'node:os';

/** A name for who claims letters: machine, process, and a mark of its own. */
export function newOwner(): string {
	return `${hostname()} ${process.pid} ${randomUUID()}`;
}

/** Whether who claimed a letter cannot be at it any more: its process on this machine ended, or it is an earlier claim of this one. */
export function isGone(owner: string, self: string): boolean {
	const [host, pid] = owner.split(' ');
	const [ownHost, ownPid] = self.split(' ');
	if (host !== ownHost) return false;
	return pid === ownPid || !runs(Number(pid));
}

function runs(pid: number): boolean {
	try {
		process.kill(pid, 0);
		return true;
	} catch (error) {
		// A process of another user runs, too.
		return (error as { code?: string }).code === 'EPERM';
	}
}
