/** `npm run types`: the types of all sources, tests and stories. */
import { compile } from './house.mjs';

compile('-b');
for (const project of ['apps/web', 'e2e', 'tsconfig.tests.json']) compile('-p', project);
