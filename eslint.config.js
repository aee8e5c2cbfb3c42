import js from '@eslint/js';
import regexp from 'eslint-plugin-regexp';
import svelte from 'eslint-plugin-svelte';
import globals from 'globals';
import ts from 'typescript-eslint';

/** A list of any length is added by `append`: each value of a spread argument takes room on the stack. */
const noSpreadPush = {
	selector: "CallExpression[callee.property.name='push'] > SpreadElement",
	message: 'Use append: a long list overflows the stack.'
};

/** The core knows no clock, no chance and no locale of the machine. */
const pure = {
	'no-restricted-properties': [
		'error',
		{ object: 'Date', property: 'now', message: 'The core has no clock: the day is an argument.' },
		{ object: 'Math', property: 'random', message: 'The core has no chance: pass it in.' }
	],
	'no-restricted-syntax': [
		'error',
		noSpreadPush,
		{
			selector: "NewExpression[callee.name='Date'][arguments.length=0]",
			message: 'The core has no clock: the day is an argument.'
		},
		{
			selector: 'CallExpression[callee.property.name=/^toLocale/]',
			message: 'The core does not follow the locale of the machine.'
		}
	]
};

export default ts.config(
	{
		ignores: [
			'node_modules/',
			'build/',
			'.svelte-kit/',
			'data/',
			'drizzle/',
			'test-results/',
			'playwright-report/'
		]
	},
	js.configs.recommended,
	...ts.configs.recommended,
	...svelte.configs.recommended,
	{
		languageOptions: { globals: { ...globals.browser, ...globals.node } },
		rules: {
			'no-undef': 'off',
			'@typescript-eslint/no-unused-vars': ['error', { argsIgnorePattern: '^_', varsIgnorePattern: '^_' }],
			'@typescript-eslint/no-explicit-any': 'error',
			'no-restricted-syntax': ['error', noSpreadPush],
			// Addresses are plain paths: the application is served from the root.
			'svelte/no-navigation-without-resolve': 'off',
			// Maps and parameters made anew within one derivation hold no state.
			'svelte/prefer-svelte-reactivity': 'off'
		}
	},
	{
		files: ['**/*.svelte', '**/*.svelte.ts'],
		languageOptions: { parserOptions: { parser: ts.parser, extraFileExtensions: ['.svelte'] } }
	},
	{ files: ['src/lib/core/**/*.ts'], ignores: ['**/*.test.ts'], rules: pure },
	{
		// What somebody sends is read by regular expressions: none may take more than the text is long.
		files: ['src/**/*.ts', 'src/**/*.svelte'],
		ignores: ['**/*.test.ts'],
		plugins: { regexp },
		rules: { 'regexp/no-super-linear-backtracking': 'error', 'regexp/no-super-linear-move': 'error' }
	},
	{
		files: ['src/lib/ui/**', 'src/lib/trade/**/*.svelte', 'src/routes/**/*.svelte'],
		rules: {
			'no-restricted-globals': [
				'error',
				{ name: 'fetch', message: 'Components do not fetch: a look or an act does.' }
			]
		}
	}
);
