import { expect, it } from 'vitest';
import { nextCode } from './next-code';

it.each([
	[{ code: 'E1058', name: 'Elder Wharf' }, 'Corncrake', 'C1059'],
	[{ code: 'E1099', name: 'Élan Studio' }, 'Örebro Glas', 'O1100'],
	[{ code: 'CUS-0009', name: 'Elder Wharf' }, 'Corncrake', 'CUS-0010'],
	[{ code: '40999', name: 'Elder Wharf' }, 'Corncrake', '41000'],
	[{ code: 'X7', name: 'Elder Wharf' }, 'Corncrake', 'X8'],
	[{ code: 'ELDER', name: 'Elder Wharf' }, '123 Tiles', 'T1001'],
	[null, '陶器', 'C1001']
])('after %o, %s gets %s', (newest, name, code) => expect(nextCode(newest, name)).toBe(code));
