/* What the command line says: a door of its own, so that no screen loads it. */
export * from './en/terminal';
