/** The tests of core alone, for `npm run mutate`. */
import all from './jest.config.mjs';

export default { ...all, roots: ['<rootDir>/packages/core'], reporters: ['default'] };
