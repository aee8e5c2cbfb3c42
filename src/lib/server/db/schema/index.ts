export * from './acts';
export * from './bank';
export * from './documents';
export * from './firm';
export * from './letters';
export * from './people';
export * from './receipts';
export * from './by-hand';
