export * from './checks';
export * from './codes';
export * from './defects';
export * from './lead';
export * from './materials';
export * from './priors';
export * from './products';
export * from './repairs';
