import { wrap, type Remote } from 'comlink';
import type { CoreWork } from './core.worker.ts';

let work: Remote<CoreWork> | null = null;

/** The thread that compiles and plans; one for the page, begun when it is first needed. */
export function coreWork(): Remote<CoreWork> {
  work ??= wrap<CoreWork>(
    new Worker(new URL('./core.worker.ts', import.meta.url), { type: 'module', name: 'core' }),
  );
  return work;
}
