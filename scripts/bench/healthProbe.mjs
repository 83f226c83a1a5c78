/** A thread that asks the server how it is, again and again; told to stop, it gives back how long each answer took. */
import { parentPort, workerData } from 'node:worker_threads';

const EVERY_MS = 20;
const took = [];
let isOver = false;
parentPort.once('message', () => (isOver = true));
while (!isOver) {
  const from = performance.now();
  const answer = await fetch(workerData);
  await answer.arrayBuffer();
  took.push(performance.now() - from);
  await new Promise((done) => setTimeout(done, EVERY_MS));
}
parentPort.postMessage(took);
