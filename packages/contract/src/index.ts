export * from './errors';
export * from './office';
export * from './designs';
export * from './projects';
export * from './sheets';
export * from './intake';
