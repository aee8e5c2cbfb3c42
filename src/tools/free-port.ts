import { createServer } from 'node:net';

/** A port of this machine that nobody listens on. */
export function freePort(): Promise<number> {
	return new Promise((done, failed) => {
		const listener = createServer().once('error', failed);
		listener.listen(0, '127.0.0.1', () => {
			const address = listener.address();
			listener.close(() => done(typeof address === 'object' && address ? address.port : 0));
		});
	});
}
