/**
 * `npm run sensor`: a strike sensor that nobody strikes. It connects to a running Eurhythm as a real one would and sends impacts with a
 * clock of its own, jitter, losses, doubles and now and then a lost connection.
 *
 *   npm run sensor -- [--url ws://127.0.0.1:4321] [--name pad-1] [--rate 1.5] [--seconds 120] [--lost 0.03] [--twice 0.05] [--code ABCDEF]
 */
import { join } from 'node:path';
import { setTimeout } from 'node:timers/promises';
import { parseArgs } from 'node:util';
import WebSocket from 'ws';
import { ROOT, build, install, stop } from './house.mjs';

const { values: wish } = parseArgs({
  options: {
    url: { type: 'string', default: `ws://127.0.0.1:${process.env.PORT ?? 4321}` },
    name: { type: 'string', default: 'pad-1' },
    rate: { type: 'string', default: '1.5' },
    seconds: { type: 'string', default: '120' },
    lost: { type: 'string', default: '0.03' },
    twice: { type: 'string', default: '0.05' },
    code: { type: 'string' },
  },
});
const number = (name, least, most) => {
  const value = Number(wish[name]);
  if (!(value >= least && value <= most)) stop(`--${name} is a number from ${least} to ${most}.`);
  return value;
};
const rate = number('rate', 0.1, 12);
const seconds = number('seconds', 1, 36_000);
const [lost, twice] = [number('lost', 0, 1), number('twice', 0, 1)];

install();
build();
const [{ sensorMessages, simulateBurst }, { seededRandom }] = await Promise.all(
  ['simulation', 'units'].map((folder) => import(join(ROOT, `packages/core/dist/${folder}/index.js`))),
);
const random = seededRandom(Date.now());
const strikes = simulateBurst({ rate, spread: 0.2, fading: 0 }, seconds, random);
const way = { seconds, late: [0.004, 0.12], lost, twice, drift: 8e-5, zero: 1000 * random() };
const messages = sensorMessages(strikes, way, random).map(({ message, received }) => ({
  at: received,
  text: JSON.stringify(message.kind === 'hello' ? { ...message, sensor: wish.name } : message),
}));
const hello = messages[0].text;

/** Once in so long the connection is lost for a while, in milliseconds. */
const LOSES_EVERY = 40_000;
const AWAY = 1500;

const address = new URL('/api/sensor/socket', wish.url);
if (wish.code) address.searchParams.set('code', wish.code);
let socket = null;
async function connect() {
  const opened = new WebSocket(address);
  await new Promise((done, fail) => {
    opened.once('open', done);
    opened.once('error', fail);
  });
  opened.on('error', () => {});
  opened.on('message', (told) => console.log(`Told: ${told}`));
  opened.send(hello);
  socket = opened;
}
// A server that has just begun takes sockets a moment later.
const TRIES = 20;
const untilThere = async (left) => {
  try {
    await connect();
  } catch (error) {
    if (left === 0) throw error;
    await setTimeout(250);
    await untilThere(left - 1);
  }
};
await untilThere(TRIES).catch((error) =>
  stop(`No Eurhythm answers at ${address.origin}: ${error.message}. Start it first.`),
);
console.log(
  `${wish.name} sends ${strikes.length} impacts in ${seconds} s to ${address.origin}. Ctrl-C ends it.`,
);
const losing = setInterval(async () => {
  socket?.close();
  socket = null;
  await setTimeout(AWAY);
  await connect().catch(() => console.log('The server is away; it is tried again.'));
}, LOSES_EVERY);
const began = performance.now();
let sent = 0;
for (const { at, text } of messages.slice(1)) {
  await setTimeout(Math.max(0, 1000 * at - (performance.now() - began)));
  if (socket?.readyState !== WebSocket.OPEN) continue;
  socket.send(text);
  sent += 1;
}
clearInterval(losing);
console.log(`${sent} messages were sent.`);
socket?.close();
