export * from './en';
