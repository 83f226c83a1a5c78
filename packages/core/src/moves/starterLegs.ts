import { describeMove, risk, usually } from './describeMove.ts';
import type { CautionTag, Family, Move } from './move.ts';
import { STARTER_GRADES } from './starterGrades.ts';

type Given = Parameters<typeof describeMove>[2];

function leg(short: string, given: Given, parts: readonly string[], family: Family = 'kick'): Move {
  return describeMove(
    family,
    short,
    { limb: 'leg', side: usually('rear'), support: 'one-foot', turn: 1, ...given },
    parts,
  );
}

const TOES_BACK: readonly CautionTag[] = ['toes-back'];
const POINTED: readonly CautionTag[] = ['toes-pointed'];
const SPIN: readonly CautionTag[] = ['spin', 'pivot-first'];

/** Kicks and knees. Times are those of a trained adult at body height. */
export const STARTER_LEGS: readonly Move[] = [
  leg(
    'push',
    {
      code: 'push', role: 'shove', name: 'Push kick', side: usually('front'), level: 'body', surface: 'ball of the foot', target: 'shield at the belly', out: 0.32, back: 0.32, turn: 0,
      faults: ['the knee does not come up first', 'leans back and falls away'], cautions: TOES_BACK,
    },
    ['Knee: knee to the chest', 'Push: hip forward, foot through', 'Home: knee back before the foot goes down'],
  ),
  leg(
    'snap',
    {
      code: 'snap', name: 'Front snap kick', level: 'body', surface: 'ball of the foot', target: 'shield at the belly', out: 0.28, back: 0.3,
      faults: ['kicks with a stiff leg', 'the foot drops from the end of the kick'], cautions: TOES_BACK,
    },
    ['Knee: heel under the seat', 'Snap: shin out like a whip', 'Back: heel under the seat again', 'Home: foot down where you want it'],
  ),
  leg(
    'rise',
    {
      code: 'rise', name: 'Rising flick', side: usually('front'), level: 'body', surface: 'instep', target: 'paddle flat, face down', out: 0.26, back: 0.28, turn: 0,
      faults: ['leans far back', 'the standing heel lifts'], cautions: POINTED,
    },
    ['Knee: knee up loosely', 'Flick: instep up', 'Home: foot back under the hip'],
  ),
  leg(
    'round',
    {
      code: 'round', name: 'Round kick', level: 'body', surface: 'shin or instep', target: 'two pads at the ribs, arm behind them', out: 0.34, back: 0.38,
      faults: ['the standing foot does not turn', 'the hand drops on the kicking side'], cautions: POINTED,
    },
    ['Turn: standing heel to the target', 'Knee: knee across the line', 'Kick: hip over, shin through', 'Home: same way back'],
  ),
  leg(
    'side',
    {
      code: 'side', name: 'Side kick', side: usually('front'), level: 'body', surface: 'heel and outer edge', target: 'shield at the belly', out: 0.38, back: 0.4,
      faults: ['the toes point up', 'the hip stays open'], easier: 'push', cautions: TOES_BACK, minGrade: STARTER_GRADES[1],
    },
    ['Chamber: knee up and across', 'Drive: heel in a straight line', 'Back: knee up and across again', 'Home: foot down'],
  ),
  leg(
    'hook kick',
    {
      code: 'hookkick', name: 'Hook kick', side: usually('front'), level: 'head', surface: 'heel or sole', target: 'paddle at the cheek', out: 0.42, back: 0.42, turn: -1,
      faults: ['swings without a bend in the knee', 'looks at the floor'], easier: 'side', cautions: ['head-contact'], minGrade: STARTER_GRADES[2],
    },
    ['Chamber: as for the side kick', 'Past: foot out beside the target', 'Hook: heel pulls back', 'Home: knee up, foot down'],
  ),
  leg(
    'axe',
    {
      code: 'axe', name: 'Axe kick', level: 'head', surface: 'heel', target: 'paddle flat, face up', out: 0.44, back: 0.44, turn: 0,
      faults: ['the standing heel lifts', 'drops the guard to lift the leg'], easier: 'rise', cautions: ['head-contact'], minGrade: STARTER_GRADES[2],
    },
    ['Lift: straight leg past the target', 'Drop: heel falls, hip follows', 'Home: foot down under control'],
  ),
  leg(
    'outside',
    {
      code: 'outcres', name: 'Outside crescent', level: 'head', surface: 'outer edge of the foot', target: 'paddle at the cheek', out: 0.42, back: 0.42, turn: 0,
      faults: ['turns the back', 'bends the leg too soon'], easier: 'rise', cautions: ['head-contact'], minGrade: STARTER_GRADES[1],
    },
    ['Lift: foot across the body', 'Sweep: out over the top', 'Home: foot down'],
  ),
  leg(
    'inside',
    {
      code: 'incres', name: 'Inside crescent', level: 'head', surface: 'inner edge of the foot', target: 'paddle at the cheek', out: 0.4, back: 0.4, turn: 0,
      faults: ['leans back', 'the standing knee locks'], easier: 'rise', cautions: ['head-contact'], minGrade: STARTER_GRADES[1],
    },
    ['Lift: foot out to the side', 'Sweep: in over the top', 'Home: foot down'],
  ),
  leg(
    'back kick',
    {
      code: 'back', name: 'Back kick', level: 'body', surface: 'heel', target: 'shield at the belly', out: 0.46, back: 0.44, turn: -1, spin: 180,
      faults: ['kicks before the eyes are round', 'the knees come apart'], easier: 'side', cautions: [...SPIN, 'toes-back'], minGrade: STARTER_GRADES[2],
    },
    ['Pivot: front foot turns in', 'Look: eyes over the shoulder', 'Kick: heel straight back', 'Home: turn through to the guard'],
  ),
  leg(
    'spin side',
    {
      code: 'spinside', name: 'Spinning side kick', level: 'body', surface: 'heel and outer edge', target: 'shield at the belly', out: 0.55, back: 0.5, turn: -1, spin: 180,
      risks: [risk('For a moment the back is turned: look over the shoulder before the leg goes.')],
      faults: ['the kick circles in', 'turns past the target'], easier: 'side', cautions: SPIN, minGrade: STARTER_GRADES[3],
    },
    ['Pivot: front foot turns in', 'Look: find the target', 'Chamber: knee up tight', 'Kick: straight line', 'Home: foot down in guard'],
  ),
  leg(
    'spin hook',
    {
      code: 'spinhook', name: 'Spinning hook kick', level: 'head', surface: 'heel or sole', target: 'paddle at the cheek', out: 0.6, back: 0.52, turn: -1, spin: 360,
      risks: [risk('For a moment the back is turned: look over the shoulder before the leg goes.')],
      faults: ['the head turns last', 'the guard opens in the turn'], easier: 'hookkick', cautions: [...SPIN, 'head-contact'], minGrade: STARTER_GRADES[3],
    },
    ['Pivot: front foot turns in', 'Look: find the target', 'Hook: heel through', 'Home: land in guard'],
  ),
  leg(
    'wheel',
    {
      code: 'wheel', name: 'Straight-leg spin', level: 'head', surface: 'heel', target: 'paddle at the cheek', out: 0.58, back: 0.52, turn: -1, spin: 360,
      risks: [risk('For a moment the back is turned: look over the shoulder before the leg goes.')],
      faults: ['bends at the waist', 'loses the standing foot'], easier: 'spinhook', cautions: [...SPIN, 'head-contact'], minGrade: STARTER_GRADES[3],
    },
    ['Pivot: front foot turns in', 'Look: find the target', 'Wheel: straight leg all the way round', 'Home: land in guard'],
  ),
  leg(
    'spin crescent',
    {
      code: 'spincres', name: 'Spinning crescent', level: 'head', surface: 'outer edge of the foot', target: 'paddle at the cheek', out: 0.6, back: 0.52, turn: 0, spin: 360,
      faults: ['jumps into the turn', 'lifts the leg too late'], easier: 'outcres', cautions: [...SPIN, 'head-contact'], minGrade: STARTER_GRADES[3],
    },
    ['Pivot: front foot turns in', 'Look: find the target', 'Sweep: out over the top', 'Home: land in guard'],
  ),
  leg(
    'turn round',
    {
      code: 'turnround', name: 'Turning round kick', level: 'body', surface: 'shin or instep', target: 'two pads at the ribs', out: 0.62, back: 0.55, turn: 1, spin: 360,
      faults: ['kicks while the back is turned', 'the step round drifts off the line'], easier: 'round', cautions: [...SPIN, 'toes-pointed'], minGrade: STARTER_GRADES[3],
    },
    ['Step: round on the front foot', 'Look: find the target', 'Kick: hip over', 'Home: land in guard'],
  ),
  leg(
    'jump crescent',
    {
      code: 'jumpcres', name: 'Jumping crescent', level: 'head', surface: 'inner edge of the foot', target: 'paddle at the cheek', out: 0.6, back: 0.5, turn: 0, spin: 180, support: 'airborne',
      faults: ['lands on a straight knee', 'jumps away from the target'], easier: 'incres', cautions: ['jump', 'spin', 'head-contact'], minGrade: STARTER_GRADES[3],
    },
    ['Drive: free knee lifts the body', 'Sweep: in over the top', 'Home: land soft, knees bent'],
  ),
  leg(
    'knee',
    {
      code: 'knee', name: 'Knee', level: 'body', surface: 'just above the kneecap', target: 'belly pad or shield held low', out: 0.26, back: 0.3,
      faults: ['lands with the thigh', 'the hip stays behind'], cautions: ['knee-strike'], minGrade: STARTER_GRADES[1],
    },
    ['Rise: up on the ball of the standing foot', 'Drive: hip through, toes down', 'Home: foot back under the hip'],
    'knee',
  ),
  leg(
    'long knee',
    {
      code: 'longknee', name: 'Long knee', level: 'body', surface: 'point of the knee', target: 'shield at the belly', out: 0.32, back: 0.34,
      faults: ['steps in with open hands', 'leans back too far'], easier: 'knee', cautions: ['knee-strike'], minGrade: STARTER_GRADES[2],
    },
    ['Frame: front hand measures', 'Drive: hip far forward', 'Home: foot back behind'],
    'knee',
  ),
];
