import { Worker } from 'node:worker_threads';

/** What a module posts when it is run with each of these, every one in a thread of its own. */
export const inThreads = (module, parts) =>
  Promise.all(
    parts.map(
      (workerData) =>
        new Promise((done, fail) => {
          const thread = new Worker(module, { workerData });
          thread.once('message', done);
          thread.once('error', fail);
        }),
    ),
  );
