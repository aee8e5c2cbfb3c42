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
			name: 'helpers-of-tests',
			comment: 'what only tests need is imported by tests alone',
			severity: 'error',
			from: { path: '^src/', pathNot: ['\\.test\\.ts$', '/testing'] },
			to: { path: '/testing-' }
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
			name: 'words-have-one-face',
			comment: 'the language is chosen in words/index',
			severity: 'error',
			from: { pathNot: '^src/lib/words/' },
			to: { path: '^src/lib/words/en-GB/' }
		},
		{
			name: 'model-has-no-stage',
			severity: 'error',
			from: { path: '^src/lib/core/(money|day|model|text)/' },
			to: { path: stage }
		},
		{
			name: 'platform-knows-no-subject',
			comment:
				'what any application would need; the envelope of acts is the one thing of ours that its HTTP part hands on to',
			severity: 'error',
			from: { path: '^src/lib/server/platform/', pathNot: ['\\.test\\.ts$', '/db/upgrades/'] },
			to: { path: ['^src/lib/server/(?!platform/|act/)', '^src/routes/'] }
		},
		{
			name: 'stores-decide-nothing',
			severity: 'error',
			from: { path: '^src/lib/server/[a-z]+/store/', pathNot: '\\.test\\.ts$' },
			to: {
				path: ['^src/lib/server/[a-z]+/(commands|queries)/', '^src/lib/server/services/', '^src/routes/']
			}
		},
		{
			name: 'commands-and-queries-know-no-http',
			severity: 'error',
			from: { path: '^src/lib/server/[a-z]+/(commands|queries|store)/' },
			to: { path: '^src/lib/server/platform/http/|^src/routes/|@sveltejs' }
		},
		{
			name: 'queries-do-not-act',
			severity: 'error',
			from: { path: '^src/lib/server/[a-z]+/queries/', pathNot: '\\.test\\.ts$' },
			to: { path: '^src/lib/server/[a-z]+/commands/' }
		},
		{
			name: 'commands-wait-for-no-service',
			comment:
				'what a service knows comes to a command with its context; queries may ask what the pile was answered',
			severity: 'error',
			from: { path: '^src/lib/server/[a-z]+/(commands|queries)/', pathNot: '\\.test\\.ts$' },
			to: { path: '^src/lib/server/services/(?!answers/)' }
		},
		{
			name: 'screens-load-nothing-of-the-server',
			comment: 'types are free; code is not',
			severity: 'error',
			from: { path: ['^src/lib/(ui|trade|words)/', '^src/routes/.*\\.svelte(\\.ts)?$'] },
			to: { path: '^src/lib/server/', dependencyTypesNot: ['type-only'] }
		},
		{
			name: 'ui-knows-no-trade',
			severity: 'error',
			from: { path: '^src/lib/ui/' },
			to: { path: '^src/lib/trade/|^src/routes/' }
		},
		{
			name: 'a-screen-keeps-its-parts',
			comment: 'what several screens share is in trade/',
			severity: 'error',
			from: { path: '^src/lib/' },
			to: { path: '^src/routes/' }
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
