/** Beats in a thread of its own, where neither a busy page nor a hidden tab slows it. */
const EVERY_MS = 200;

setInterval(() => postMessage(null), EVERY_MS);
