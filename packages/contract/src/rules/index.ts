export * from './fields.ts';
export * from './views.ts';
export * from './checkFields.ts';
export * from './pages.ts';
export * from './clocks.ts';
