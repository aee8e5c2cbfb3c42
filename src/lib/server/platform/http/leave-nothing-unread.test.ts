import { expect, it } from 'vitest';
import { leaveNothingUnread } from './leave-nothing-unread';

function sent(bytes: number, said = bytes) {
	let left = bytes;
	const body = new ReadableStream<Uint8Array>({
		pull(controller) {
			if (left <= 0) return controller.close();
			const size = Math.min(left, 64_000);
			left -= size;
			controller.enqueue(new Uint8Array(size));
		}
	});
	const request = new Request('http://a.example/', {
		...{ method: 'POST', body, duplex: 'half', headers: { 'content-length': String(said) } }
	} as RequestInit);
	return { request, left: () => left };
}

it('a small body is read to its end and thrown away', async () => {
	const { request, left } = sent(250_000);
	const headers = new Headers();
	await leaveNothingUnread(request, headers);
	expect([left(), headers.get('connection')]).toEqual([0, null]);
});

it('of a large one the connection is closed', async () => {
	const { request, left } = sent(5_000_000);
	const headers = new Headers();
	await leaveNothingUnread(request, headers);
	expect(left()).toBeGreaterThan(4_000_000);
	expect(headers.get('connection')).toBe('close');
});

it('what was read, or never was, needs nothing', async () => {
	const { request } = sent(1_000);
	await request.arrayBuffer();
	const headers = new Headers();
	await leaveNothingUnread(request, headers);
	await leaveNothingUnread(new Request('http://a.example/'), headers);
	expect([...headers]).toEqual([]);
});

it('a body that breaks off is left', async () => {
	const body = new ReadableStream({ pull: (controller) => controller.error(new Error('gone')) });
	const headers = new Headers({ 'content-length': '10' });
	await leaveNothingUnread({ bodyUsed: false, body, headers }, new Headers());
	expect(body.locked).toBe(true);
});
