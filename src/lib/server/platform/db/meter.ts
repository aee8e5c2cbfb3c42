import { AsyncLocalStorage } from 'node:async_hooks';

/** How far long work has come: rows written, and how many it will write in all; 0 as long as that is not known. */
export interface Progress {
	readonly done: number;
	readonly of: number;
}

/** Counts that the thread which writes and the one which is asked share. */
export type MeterBuffer = SharedArrayBuffer;

const [DONE, OF] = [0, 1];
const meters = new AsyncLocalStorage<Int32Array>();

export function newMeter(): MeterBuffer {
	return new SharedArrayBuffer(2 * Int32Array.BYTES_PER_ELEMENT);
}

/** What a meter shows now. */
export function readMeter(buffer: MeterBuffer): Progress {
	const counts = new Int32Array(buffer);
	return { done: Atomics.load(counts, DONE), of: Atomics.load(counts, OF) };
}

/** Does some work whose rows are counted. */
export function measured<T>(buffer: MeterBuffer | undefined, work: () => Promise<T>): Promise<T> {
	return buffer ? meters.run(new Int32Array(buffer), work) : work();
}

/** Says beforehand how many rows the work that is measured writes from here on, about; nothing where none is. */
export function willWrite(rows: number): void {
	const counts = meters.getStore();
	if (counts) Atomics.add(counts, OF, rows);
}

/** Counts rows that the work which is measured has written. */
export function wrote(rows: number): void {
	const counts = meters.getStore();
	if (counts) Atomics.add(counts, DONE, rows);
}
