export * from './exercises';
export * from './families';
export * from './log';
export * from './materials';
export * from './notes';
export * from './people';
export * from './programs';
