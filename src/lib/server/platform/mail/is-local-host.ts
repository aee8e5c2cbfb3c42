import { BlockList, isIP } from 'node:net';

/** Addresses of this machine and of networks that are not of the internet (RFC 1918, 3927, 4193, 4291). */
const LOCAL = new BlockList();
LOCAL.addSubnet('127.0.0.0', 8, 'ipv4');
LOCAL.addSubnet('10.0.0.0', 8, 'ipv4');
LOCAL.addSubnet('172.16.0.0', 12, 'ipv4');
LOCAL.addSubnet('192.168.0.0', 16, 'ipv4');
LOCAL.addSubnet('169.254.0.0', 16, 'ipv4');
LOCAL.addAddress('::1', 'ipv6');
LOCAL.addSubnet('fc00::', 7, 'ipv6');
LOCAL.addSubnet('fe80::', 10, 'ipv6');

/** Whether a host is on this machine or its own network, by how it is called: nothing is looked up. */
export function isLocalHost(host: string): boolean {
	const name = host.toLowerCase().replace(/^\[|\]$/g, '');
	const family = isIP(name);
	if (family !== 0) return LOCAL.check(name, family === 6 ? 'ipv6' : 'ipv4');
	return name.endsWith('.localhost') || !name.includes('.');
}
