import { createHash } from 'node:crypto';
import { drizzleAdapter } from 'better-auth/adapters/drizzle';
import type { Books } from '../platform/db/open';
import * as schema from '../platform/db/schema';

type Store = ReturnType<ReturnType<typeof drizzleAdapter>>;
type Where = NonNullable<Parameters<Store['findOne']>[0]['where']>[number];

/**
 * Where the sign-in library keeps its rows: in the books, with two differences. Each write takes its turn among those of the books, so
 * that working out a password's hash, which takes long, happens outside of any turn. And a session's token is kept as its hash alone
 * (SHA-256; ASVS 4.0.3, 3.2.3 and 6.2): who reads the file has no session.
 */
export function authStore(books: Books): ReturnType<typeof drizzleAdapter> {
	const make = drizzleAdapter(books.db, {
		provider: 'sqlite',
		schema: { ...schema, account: schema.credential }
	});
	return (options) => guarded(make(options), books);
}

function guarded(store: Store, { turn }: Books): Store {
	const self: Store = {
		...store,
		create: ((given) =>
			turn(async () =>
				withToken(await store.create(hashedIn(given)), given.data['token'])
			)) as Store['create'],
		update: (given) => turn(() => store.update({ ...given, where: hashedWhere(given) })),
		updateMany: (given) => turn(() => store.updateMany({ ...given, where: hashedWhere(given) })),
		delete: (given) => turn(() => store.delete({ ...given, where: hashedWhere(given) })),
		deleteMany: (given) => turn(() => store.deleteMany({ ...given, where: hashedWhere(given) })),
		findOne: (async (given) =>
			withToken(
				await store.findOne({ ...given, where: hashedWhere(given) }),
				tokenIn(given)
			)) as Store['findOne'],
		findMany: ((given) => store.findMany({ ...given, where: hashedWhere(given) })) as Store['findMany'],
		transaction: (work) => work(self)
	};
	return self;
}

/** The hash under which a token is kept. */
export function tokenHash(token: string): string {
	return createHash('sha256').update(token).digest('base64url');
}

function hashedIn<T extends { readonly model: string; readonly data: Record<string, unknown> }>(given: T): T {
	const { token } = given.data;
	if (given.model !== 'session' || typeof token !== 'string') return given;
	return { ...given, data: { ...given.data, token: tokenHash(token) } };
}

function hashedWhere({ model, where }: { readonly model: string; readonly where?: Where[] }): Where[] {
	return (where ?? []).map((one) =>
		model === 'session' && one.field === 'token' && typeof one.value === 'string'
			? { ...one, value: tokenHash(one.value) }
			: one
	);
}

function tokenIn({ model, where }: { readonly model: string; readonly where?: Where[] }): unknown {
	return model === 'session' ? where?.find((one) => one.field === 'token')?.value : undefined;
}

/** A session as the library knows it: by the token that was asked for, not by its hash. */
function withToken<T>(row: T, token: unknown): T {
	return row !== null && typeof row === 'object' && typeof token === 'string' && 'token' in row
		? { ...row, token }
		: row;
}
