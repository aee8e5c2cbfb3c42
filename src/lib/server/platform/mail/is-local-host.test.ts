import { expect, test } from 'vitest';
import { isLocalHost } from './is-local-host';

test.each([
	...['localhost', 'LOCALHOST', 'mail', 'a.localhost', '127.0.0.1', '127.9.9.9', '10.1.2.3', '172.31.0.1'],
	...['192.168.7.7', '::1', '[::1]', 'fd00::1', 'fe80::1']
])('%s is of this network', (host) => expect(isLocalHost(host)).toBe(true));

test.each([
	...['mail.firm.example', '172.32.0.1', '11.0.0.1', '192.169.0.1', '2001:db8::1', '203.0.113.9'],
	...['localhost.firm.example', '127.0.0.1.firm.example']
])('%s is not', (host) => expect(isLocalHost(host)).toBe(false));
