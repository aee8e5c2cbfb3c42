import { expect, it } from 'vitest';
import { oldAddress } from './old-address';

it.each([
	['/money-in?r=7&c=3&also=4,5&lay=9', '/money-in?receipt=7&customer=3&accounts=4%2C5&items=9'],
	['/money-in?k=3', '/money-in?credits=3'],
	['/money-in/split?r=7', '/money-in/split?receipt=7'],
	['/open-items/new?c=5', '/open-items/new?customer=5'],
	['/odd-pennies/asked', '/books/approvals'],
	['/odd-pennies/approvals', '/books/approvals'],
	['/money-in/again/12?c=3', '/money-in/reallocate/12?customer=3'],
	['/odd-pennies/remainders?customer=H1&all=yes', '/odd-pennies/small-balances?customer=H1&all=yes'],
	['/odd-pennies/lostandfound', null],
	['/money-in?receipt=7', null],
	['/customers?q=kiln&c=1', null],
	['/money-in-other?r=1', null]
])('%s leads to %s', (old, now) => expect(oldAddress(new URL(old, 'http://a.example'))).toBe(now));
