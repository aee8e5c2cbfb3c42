import { expect, test } from '@playwright/test';
import { walkOddAddresses } from '../attack/odd-addresses';
import { signIn } from './helpers';
import { ownBooks } from './own-books';

ownBooks('with-files');

test('whatever stands in an address, it is found, not found, or refused: the application does not fail', async ({
	page
}) => {
	test.setTimeout(240_000);
	await signIn(page, 'supervisor');
	const cookie = (await page.context().cookies()).map(({ name, value }) => `${name}=${value}`).join('; ');
	const server = process.env['E2E_SERVER']!;
	const { asked, failed } = await walkOddAddresses('.', async (path) => {
		const answer = await fetch(server + path, { headers: { cookie }, redirect: 'manual' });
		return {
			status: answer.status,
			text: answer.status >= 500 ? await answer.text() : (await answer.arrayBuffer(), '')
		};
	});
	expect(failed).toEqual([]);
	expect(asked).toBeGreaterThan(1_000);
});
