/** What may import what: see docs/road.md. Nothing imports upwards, and a stage of the core imports no other stage. */
const stage = '^src/lib/core/(\\d-[^/]+)/';
module.exports = {
	forbidden: [
		{
			name: 'no-circles',
			severity: 'error',
			from: {},
			to: { circular: true, viaOnly: { pathNot: 'node_modules' } }
		},
		{
			name: 'core-is-pure',
			comment: 'the core imports itself and the streaming XML parser, nothing else',
			severity: 'error',
			from: { path: '^src/lib/core/', pathNot: '\\.test\\.ts$' },
			to: { pathNot: ['^src/lib/core/', 'node_modules/saxes/'] }
		},
		{
			name: 'stages-stand-alone',
			severity: 'error',
			from: { path: stage, pathNot: '\\.test\\.ts$' },
			to: { path: stage, pathNot: '^src/lib/core/$1/' }
		},
		{
			name: 'matching-has-one-face',
			comment: 'what others need of matching is exported by its index',
			severity: 'error',
			from: { pathNot: ['^src/lib/core/3-matching/', '\\.test\\.ts$'] },
			to: { path: '^src/lib/core/3-matching/', pathNot: '^src/lib/core/3-matching/index\\.ts$' }
		},
		{
			name: 'model-has-no-stage',
			severity: 'error',
			from: { path: '^src/lib/core/(money|day|model|text)/' },
			to: { path: stage }
		},
		{
			name: 'repo-decides-nothing',
			severity: 'error',
			from: { path: '^src/lib/server/(db|repo)/', pathNot: '\\.test\\.ts$' },
			to: { path: '^src/lib/server/(acts|looks|http|mail|pdf|files)/|^src/routes/' }
		},
		{
			name: 'acts-know-no-http',
			severity: 'error',
			from: { path: '^src/lib/server/(acts|looks)/' },
			to: { path: '^src/lib/server/http/|^src/routes/|@sveltejs' }
		},
		{
			name: 'looks-do-not-act',
			severity: 'error',
			from: { path: '^src/lib/server/looks/', pathNot: '\\.test\\.ts$' },
			to: { path: '^src/lib/server/acts/(?!perform)' }
		},
		{
			name: 'screens-load-nothing-of-the-server',
			comment: 'types are free; code is not',
			severity: 'error',
			from: { path: '^src/lib/(ui|desk|words)/' },
			to: { path: '^src/lib/server/', dependencyTypesNot: ['type-only'] }
		},
		{
			name: 'ui-knows-no-trade',
			severity: 'error',
			from: { path: '^src/lib/ui/' },
			to: { path: '^src/lib/desk/' }
		},
		{
			name: 'nothing-unresolved',
			severity: 'error',
			from: {},
			to: { couldNotResolve: true, pathNot: '^pdfmake/interfaces|^(\\$|\\./\\$types)|\\./\\$types' }
		}
	],
	options: {
		doNotFollow: { path: 'node_modules' },
		tsPreCompilationDeps: true,
		tsConfig: { fileName: 'tsconfig.json' },
		enhancedResolveOptions: {
			extensions: ['.ts', '.js', '.svelte', '.svelte.ts', '.cjs', '.mjs'],
			exportsFields: ['exports'],
			conditionNames: ['svelte', 'import', 'node', 'default', 'types']
		},
		exclude: { path: '\\.svelte-kit' }
	}
};
