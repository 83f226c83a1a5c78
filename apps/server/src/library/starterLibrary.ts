import type { LibraryItem, RoundDto } from '@eurhythm/contract';
import {
  burst,
  called,
  counted,
  exercise,
  held,
  rest,
  round,
  shadow,
  talk,
  type Piece,
} from './starterPieces.ts';

function item(id: string, title: string, about: string, rounds: readonly RoundDto[]): LibraryItem {
  return { id: `starter.${id}`, title, about, own: false, version: 1, rounds: [...rounds] };
}

const squatsAndKicks = (n: number): Piece[] => [
  exercise('Squat and snap kick', 30, {
    tell: 'A squat, then a snap kick at belt height; the other leg each time.',
  }),
  ...(n < 3 ? [held('Calf stretch', 10)] : []),
];

const WARM_UP = item(
  'warm-up',
  'Squats, kicks and held stretches',
  'Warm-up: three half minutes of squat and kick, stretches held by count between them.',
  [
    round('warm-up', 'Squats, kicks, stretches', 'warm-up', [
      talk('Warm up', 'Shake out arms and legs. Whoever has pain somewhere says so now.', 20),
      exercise('Loose jog on the spot', 60),
      ...squatsAndKicks(1),
      ...squatsAndKicks(2),
      ...squatsAndKicks(3),
      held('Inner thigh stretch', 15),
      held('Shoulder stretch', 12),
      shadow(60, ['Hands high', 'Light feet', 'Circle out']),
    ]),
  ],
);

/** Small steps of a first lesson, each done from both leads. */
const FIRST_STEPS: readonly Piece[] = [
  talk('Welcome', 'Who we are, where the water is. Stop at pain or dizziness, and say so.', 60),
  held('Fighting stance', 10),
  counted('Change lead', 'sw', 6, { sides: 'one' }),
  counted('Step in and out', 'in out', 6),
  counted('Guard up', 'cover', 6, { sides: 'one' }),
  counted('Lead straight', 'jab', 8, { method: 'parts' }),
  counted('Lead straight, one count', 'jab', 10),
  counted('Rear straight', 'cross', 8, { method: 'parts' }),
  counted('Rear straight, one count', 'cross', 10),
  talk('Breath', 'Breathe out sharply on each strike; nobody holds the breath.', 30),
  counted('Two straights', 'jab cross', 8),
  counted('Hook', 'f:hook', 8, { method: 'parts' }),
  counted('Slip', 'slip', 6, { sides: 'one' }),
  counted('Straight, slip, straight', 'jab slip cross', 6),
  held('Knee up, standing tall', 8),
  counted('Push kick', 'f:push', 8, { method: 'parts' }),
  counted('Snap kick', 'r:snap', 8, { method: 'parts' }),
  counted('Two straights and push kick', 'jab cross f:push', 6),
  rest(30),
  called('First combo', 'jab cross', 60, 60),
  talk(
    'What we have learnt',
    'Ask: which foot is in front? Where does the other hand stay? What does the breath do?',
    45,
  ),
  counted('All of it once more', 'jab cross f:hook r:snap', 5),
];

const FIRST_LESSON = item(
  'first-lesson',
  'First lesson',
  'A course of small steps for somebody who has never done this: each from both leads, with a recap.',
  [round('first-lesson', 'First lesson', 'technique', FIRST_STEPS)],
);

const CIRCUIT = item(
  'circuit',
  'Step-and-kick circuit',
  'Conditioning along floor markers: step, kick, step back, at five stations.',
  [
    round('circuit', 'Step-and-kick circuit', 'conditioning', [
      talk('Lay the markers', 'Five strips of tape, two steps apart. Everybody begins at another one.', 45),
      ...[
        ['in', 'r:snap'],
        ['in', 'r:round'],
        ['left', 'f:push'],
        ['right', 'f:push'],
        ['in', 'r:rise'],
      ].flatMap(([step, kick], i): Piece[] => [
        {
          kind: 'footwork',
          seconds: 40,
          there: step!,
          back: step === 'in' ? 'out' : step === 'left' ? 'right' : 'left',
          steps: 2,
          strike: kick!,
          room: 2,
          bpm: 44,
          kit: ['floor tape'],
        },
        ...(i < 4 ? [rest(15)] : []),
      ]),
      rest(40),
    ]),
  ],
);

const RANDOM_TIMING = item(
  'random-timing',
  'Random timing, holder and fighter',
  'Pads: the holder shows at no set time; the fighter answers at once. First regular, then not.',
  [
    round('random-timing', 'Random timing', 'pads', [
      {
        kind: 'react',
        seconds: 90,
        call: '',
        line: 'jab cross',
        every: { min: 3, max: 8 },
        regular: 25,
        kit: ['pads'],
        tell: 'Holder: show the pad and take it away again. Fighter: hands back before you breathe in.',
      },
      rest(20),
      {
        kind: 'react',
        seconds: 90,
        call: '',
        line: 'slip cross',
        every: { min: 3, max: 8 },
        regular: 15,
        kit: ['pads'],
        tell: 'Change roles. The answer is slip, then the rear straight.',
      },
      rest(40),
    ]),
  ],
);

const LADDER = item(
  'contact-ladder',
  'Contact ladder',
  'Pads: the same combo at 0, 10, 25 and 40 percent, called at each change. Local rules on contact come first.',
  [
    round('contact-ladder', 'Contact ladder', 'pads', [
      talk('Contact', 'Zero means the pad is not touched. Nobody goes above what the partner wants.', 30),
      called('Straights and hook', 'jab cross f:hook', 160, 66, {
        intensity: [0, 10, 25, 40],
        kit: ['pads'],
      }),
      rest(40),
    ]),
  ],
);

const COOL_DOWN = item('cool-down', 'Long stretches', 'Cool-down: four stretches, held and counted down.', [
  round('cool-down', 'Long stretches', 'stretch', [
    held('Hip stretch', 20),
    held('Hamstring stretch', 20),
    held('Shoulder stretch', 15),
    held('Wrist stretch', 10, 'one'),
  ]),
]);

const BURSTS = item(
  'bursts',
  'Three bursts',
  'Ten seconds, as many as stay clean, three times with rests; counted on the Floor.',
  [
    round('bursts', 'Three bursts', 'conditioning', [
      burst('Two straights'),
      rest(50),
      burst('Two straights'),
      rest(50),
      burst('Two straights'),
      rest(40),
    ]),
  ],
);

/** What ships with the product, in its own words; lines are written in codes, so that any number map can be used. */
export const STARTER_LIBRARY: readonly LibraryItem[] = [
  WARM_UP,
  FIRST_LESSON,
  RANDOM_TIMING,
  LADDER,
  CIRCUIT,
  BURSTS,
  COOL_DOWN,
];
