export * from './exercises';
export * from './log';
export * from './people';
export * from './programs';
