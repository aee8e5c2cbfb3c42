// Serves the books in DATA_DIR, for real use. The first start asks for the first supervisor.
process.argv.splice(2, 0, 'serve');
await import('./tool.mjs');
