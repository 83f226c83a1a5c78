import { both, describeMove, front, rear, risk, usually } from './describeMove.ts';
import type { Move } from './move.ts';
import { STARTER_GRADES } from './starterGrades.ts';

const FIST = 'first two knuckles';
const HIGH_MITT = 'mitt at chin height, palm to the fighter';

/** Punches and other hand strikes. Times are those of a trained adult, chosen so that plain pairs come out as gyms clock them. */
export const STARTER_HANDS: readonly Move[] = [
  describeMove(
    'punch',
    'jab',
    {
      code: 'jab', name: 'Jab', side: front, level: 'head', surface: FIST, target: HIGH_MITT, out: 0.16, back: 0.17, turn: 1,
      faults: ['the hand drops on its way home', 'the elbow lifts first'], cautions: ['head-contact'],
    },
    ['Reach: shoulder to the chin, knuckles last', 'Home: straight back to the cheek'],
  ),
  describeMove(
    'punch',
    'cross',
    {
      code: 'cross', name: 'Cross', side: rear, level: 'head', surface: FIST, target: HIGH_MITT, out: 0.2, back: 0.2, turn: 1,
      faults: ['the rear heel stays flat', 'the front hand comes away from the face'], cautions: ['head-contact'],
      risks: [risk('A cross to the body leaves the head open above it: bend the knees, and bring the hand straight home.', { level: 'body' })],
    },
    ['Turn: rear heel out, hip first', 'Reach: hand leaves when the hip is through', 'Home: hip and hand come back together'],
  ),
  describeMove(
    'punch',
    'hook',
    {
      code: 'hook', name: 'Hook', side: usually('front'), level: 'head', surface: FIST, target: 'mitt turned in, edge to the fighter', out: 0.22, back: 0.22, turn: 1,
      faults: ['swings wide with a loose wrist', 'looks away from the target'], cautions: ['head-contact'],
    },
    ['Load: weight over the hooking side', 'Turn: foot, hip and elbow as one', 'Home: elbow down, hand to the cheek'],
  ),
  describeMove(
    'punch',
    'upper',
    {
      code: 'upper', name: 'Uppercut', side: usually('rear'), level: 'head', surface: FIST, target: 'mitt flat, palm to the floor', out: 0.22, back: 0.22, turn: 1,
      faults: ['the hand winds up behind the hip', 'stands up before the punch'], cautions: ['head-contact'],
    },
    ['Dip: knee soft, elbow to the rib', 'Rise: legs lift the fist', 'Home: short way back to the chin'],
  ),
  describeMove(
    'punch',
    'over',
    {
      code: 'over', name: 'Overhand', side: rear, level: 'head', surface: FIST, target: 'mitt high, tilted down', out: 0.26, back: 0.27, turn: 1,
      faults: ['the head stays on the line', 'falls in after it'], risks: [risk('An overhand carries the head forward: what comes up the middle meets it.')], easier: 'cross', cautions: ['head-contact'], minGrade: STARTER_GRADES[1],
    },
    ['Slip: head off the line', 'Over: elbow above the fist', 'Home: cover while the weight comes back'],
  ),
  describeMove(
    'punch',
    'thumb up',
    {
      code: 'thumb', name: 'Thumb-up straight', side: front, level: 'head', surface: 'lower three knuckles', target: HIGH_MITT, out: 0.17, back: 0.17, turn: 1,
      faults: ['the elbow flares', 'the front foot lands after the hand'], easier: 'jab', cautions: ['head-contact'],
    },
    ['Line: elbow stays under the fist', 'Home: back along the same line'],
  ),
  describeMove(
    'open-hand',
    'backfist',
    {
      code: 'backfist', name: 'Backfist', side: usually('front'), level: 'head', surface: 'back of the two big knuckles', target: 'paddle at the temple', out: 0.18, back: 0.19, turn: 0,
      faults: ['swings the whole arm from the shoulder', 'no snap back'], cautions: ['head-contact'],
    },
    ['Point: elbow aims at the target', 'Snap: hand flicks out and back', 'Home: elbow drops to the rib'],
  ),
  describeMove(
    'open-hand',
    'hammer',
    {
      code: 'hammer', name: 'Hammer fist', side: usually('rear'), level: 'head', surface: 'little-finger side of the fist', target: 'mitt tilted up', out: 0.24, back: 0.22, turn: 1,
      faults: ['lands on the wrist', 'leans over the front foot'], cautions: ['head-contact'],
    },
    ['Lift: fist beside the ear', 'Drop: hip turns, fist falls through', 'Home: hand to the cheek'],
  ),
  describeMove(
    'open-hand',
    'palm',
    {
      code: 'palm', name: 'Palm strike', side: usually('rear'), level: 'head', surface: 'heel of the hand', target: 'mitt at chin height', out: 0.18, back: 0.18, turn: 1,
      faults: ['the fingers point at the target', 'the wrist gives way'], cautions: ['head-contact'],
    },
    ['Reach: heel of the hand leads', 'Home: straight back'],
  ),
  describeMove(
    'open-hand',
    'knife',
    {
      code: 'knife', name: 'Knife hand', side: usually('rear'), level: 'head', surface: 'outer edge of the hand', target: 'paddle at the neck line', out: 0.22, back: 0.22, turn: 1,
      faults: ['the thumb sticks out', 'the arm is straight too soon'], easier: 'palm', cautions: ['head-contact'], minGrade: STARTER_GRADES[1],
    },
    ['Load: hand beside the ear', 'Cut: hip, elbow, edge', 'Home: hand to the chest'],
  ),
  describeMove(
    'open-hand',
    'both palms',
    {
      code: 'dpalm', name: 'Double palm', limb: 'both-hands', side: both, level: 'body', surface: 'heels of both hands', target: 'shield at the chest', out: 0.24, back: 0.24,
      faults: ['pushes with the arms alone', 'the chin comes forward'],
    },
    ['Sink: knees soft, elbows in', 'Drive: legs push both palms', 'Home: both hands to the guard'],
  ),
  describeMove(
    'open-hand',
    'side hammer',
    {
      code: 'sidehammer', name: 'Side hammer fist', side: usually('front'), level: 'head', surface: 'little-finger side of the fist', target: 'mitt at arm’s length beside the fighter, at 90° to the front', out: 0.24, back: 0.24,
      faults: ['looks only after the strike', 'the feet turn along'], easier: 'hammer', cautions: ['head-contact'],
    },
    ['Look: over the shoulder to the side', 'Swing: fist from the other ear', 'Home: both hands to the guard'],
  ),
  describeMove(
    'elbow',
    'side elbow',
    {
      code: 'sideelbow', name: 'Side elbow', side: usually('front'), level: 'body', surface: 'the point of the elbow', target: 'shield close beside the fighter, at 90° to the front', out: 0.2, back: 0.2,
      faults: ['leans away from it', 'looks only after the strike'], cautions: ['elbow-strike'], minGrade: STARTER_GRADES[2],
    },
    ['Look: to the side', 'Drive: elbow straight out, the other hand at the chin', 'Home: elbow to the rib'],
  ),
  describeMove(
    'elbow',
    'elbow',
    {
      code: 'elbow', name: 'Elbow', side: usually('rear'), level: 'head', surface: 'the bone just below the elbow', target: 'mitt close to the own shoulder', out: 0.18, back: 0.2, turn: 1,
      faults: ['the hand makes a fist and stiffens', 'too far away, so the forearm slaps'], easier: 'hook', cautions: ['elbow-strike', 'head-contact'], minGrade: STARTER_GRADES[2],
    },
    ['Close: hand brushes the chest', 'Turn: hip throws the elbow', 'Home: forearm covers on the way back'],
  ),
];
