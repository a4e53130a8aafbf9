export * from './errors';
export * from './office';
export * from './standard';
export * from './designs';
export * from './projects';
export * from './sheets';
export * from './intake';
