import { describe, expect, it, vi } from 'vitest';
import { day } from '$lib/core/day/day';
import { sampleItem } from '$lib/core/model/sample-item';
import type { DeskFrame } from '$lib/server/allocation/queries/desk';
import { withItems } from './with-items';

const frame = (accounts: readonly number[], version = 'v1') =>
	({ currency: 'GBP', customer: { id: 1 }, itemsOf: { accounts, version } }) as unknown as DeskFrame;
const answering = (items: unknown, ok = true) =>
	vi.fn(async () => ({ ok, json: async () => items })) as unknown as typeof fetch;

describe('a desk with its items', () => {
	it('own ones first, then those of others, then other currencies, each by due day', async () => {
		const items = [
			sampleItem(1, 1, { currency: 'EUR' }),
			sampleItem(2, 1, { customerId: 2, due: day('2026-01-01') }),
			sampleItem(3, 1, { due: day('2026-09-02') }),
			sampleItem(4, 1, { due: day('2026-09-01') }),
			sampleItem(5, 1, { due: day('2026-09-01') })
		];
		const desk = await withItems(frame([1, 2]), answering(items));
		expect(desk.items.map((item) => item.id)).toEqual([4, 5, 3, 2, 1]);
	});
	it('without accounts nothing is asked', async () => {
		const asked = answering([]);
		expect((await withItems(frame([]), asked)).items).toEqual([]);
		expect(asked).not.toHaveBeenCalled();
	});
	it('a server keeps nothing for the next person', async () => {
		const asked = answering([sampleItem(1, 1)]);
		await withItems(frame([1]), asked);
		await withItems(frame([1]), asked);
		expect(asked).toHaveBeenCalledTimes(2);
	});
	it('a browser asks again only when something of the accounts changed', async () => {
		vi.stubGlobal('window', {});
		const asked = answering([sampleItem(1, 1)]);
		await withItems(frame([7]), asked);
		await withItems(frame([7]), asked);
		await withItems(frame([7], 'v2'), asked);
		expect(asked).toHaveBeenCalledTimes(2);
		vi.unstubAllGlobals();
	});
	it('what cannot be read is said', async () => {
		await expect(withItems(frame([9]), answering(null, false))).rejects.toThrow('Load the page again');
	});
});
