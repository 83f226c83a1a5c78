/**
 * Properties are tried on the same examples every time, so that a change is judged and not luck.
 * `FRESH_EXAMPLES=1 npm run unit` draws new ones.
 */
import fc from 'fast-check';

if (!process.env.FRESH_EXAMPLES) fc.configureGlobal({ seed: 20_261_125 });
