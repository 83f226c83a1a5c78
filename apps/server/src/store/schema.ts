/** Every table of the database. */
export * from './schema/gym.ts';
export * from './schema/book.ts';
export * from './schema/sessions.ts';
export * from './schema/runs.ts';
export * from './schema/trials.ts';
export * from './schema/progress.ts';
export * from './schema/installation.ts';
