import { both, describeMove, none, over, rear, risk, usually } from './describeMove.ts';
import type { Move } from './move.ts';
import { STARTER_GRADES } from './starterGrades.ts';

/** Blocks, evasions, and contact at close range. */
export const STARTER_GUARDS: readonly Move[] = [
  describeMove('block', 'high', { code: 'high', role: 'high-block', name: 'High block', side: usually('front'), surface: 'forearm', target: 'stick or paddle from above', out: 0.2, back: 0.18, faults: ['the elbow points forward', 'blocks too far from the head'] }, ['Cross: other hand opens', 'Lift: forearm above the brow']),
  describeMove('block', 'mid', { code: 'mid', name: 'Middle block', side: usually('front'), surface: 'forearm', target: 'paddle at the chest', out: 0.18, back: 0.17, faults: ['swings past the shoulder'] }, ['Load: fist beside the ear', 'Turn: forearm to the middle line']),
  describeMove('block', 'outer', { code: 'outer', name: 'Outer block', side: usually('front'), surface: 'forearm', target: 'paddle at the shoulder', out: 0.18, back: 0.17, faults: ['the elbow leaves the rib'] }, ['Load: fist under the other elbow', 'Turn: forearm outward']),
  describeMove('block', 'low', { code: 'low', name: 'Low block', side: usually('front'), surface: 'forearm', target: 'paddle at the hip', out: 0.2, back: 0.2, faults: ['bends over it', 'the other hand drops too'] }, ['Load: fist at the other ear', 'Sweep: down past the knee']),
  describeMove('block', 'cover', { code: 'cover', role: 'cover', name: 'Cover', limb: 'both-hands', side: both, surface: 'forearms', target: 'swinging pad', out: 0.14, back: 0.14, faults: ['closes the eyes', 'the elbows open'] }, ['Close: elbows together, eyes open']),
  describeMove('block', 'parry', { code: 'parry', name: 'Parry', side: rear, surface: 'palm', target: 'jab of the partner', out: 0.14, back: 0.14, faults: ['reaches for it', 'the hand crosses the middle line'] }, ['Tap: small, in front of the cheek']),
  describeMove('evasion', 'slip', { code: 'slip', side: over('front'), name: 'Slip', limb: 'body', out: 0.2, back: 0.2, faults: ['bends at the waist', 'looks down'] }, ['Turn: shoulder to the knee, eyes up', 'Back: same way']),
  describeMove('evasion', 'weave', { code: 'weave', side: over('front'), name: 'Weave', limb: 'body', easier: 'duck', out: 0.3, back: 0.26, faults: ['bends over instead of sitting', 'the hands drop'] }, ['Sit: knees bend, back straight', 'Under: across', 'Up: hands high']),
  describeMove('evasion', 'duck', { code: 'duck', name: 'Duck', limb: 'body', out: 0.24, back: 0.24, faults: ['the heels come together'], risks: [risk('A low head meets a knee: sit, and do not bow.')] }, ['Sit: straight down', 'Up: hands high']),
  describeMove('evasion', 'roll', { code: 'roll', side: over('front'), name: 'Shoulder roll', limb: 'body', out: 0.24, back: 0.22, faults: ['the chin leaves the shoulder'], minGrade: STARTER_GRADES[2] }, ['Turn: shoulder takes it', 'Back: unwind']),
  describeMove('clinch', 'grab', { code: 'grab', name: 'Grab', side: usually('front'), target: 'partner’s neck and arm', out: 0.26, back: 0.24, faults: ['pulls with the arms alone'], cautions: ['clinch'], minGrade: STARTER_GRADES[1] }, ['Reach: one hand behind the neck', 'Frame: elbows on the chest']),
  describeMove('clinch', 'pin', { code: 'pin', name: 'Pin', side: usually('front'), surface: 'palm', target: 'partner’s arm', out: 0.2, back: 0.2, faults: ['holds too long'], cautions: ['clinch'], minGrade: STARTER_GRADES[1] }, ['Trap: hand on the arm, down and in']),
  describeMove('clinch', 'shove', { code: 'shove', role: 'shove', name: 'Shove off', limb: 'both-hands', side: both, surface: 'both palms', target: 'partner’s shoulders', out: 0.24, back: 0.22, faults: ['leans after it'] }, ['Frame: hands on the shoulders', 'Shove: legs push, then step out']),
];

/** A step of one foot of a grid: the body comes half as far as the foot. */
function oneFoot(code: string, name: string, forward: number, right: number) {
  const step = { forward, right };
  const faults = ['the other foot comes along', 'the weight is on it before it stands'];
  return { code, name: name[0]!.toUpperCase() + name.slice(1), limb: 'feet' as const, side: usually('front'), out: 0.14, back: 0.08, step, faults };
}

/** Steps, turns and stances. */
export const STARTER_FEET: readonly Move[] = [
  describeMove('step', 'switch', { code: 'sw', name: 'Switch', limb: 'feet', side: none, out: 0.2, back: 0.1, support: 'airborne', lead: 'flips', faults: ['jumps high', 'the feet land on one line'] }, ['Change: both feet, low and quick']),
  ...([
    ['in', 'in', 'Step in', 1, 0, 'front foot first'],
    ['out', 'out', 'Step out', -1, 0, 'rear foot first'],
    ['left', 'step left', 'Step left', 0, -1, 'left foot first'],
    ['right', 'step right', 'Step right', 0, 1, 'right foot first'],
  ] as const).map(([code, short, name, forward, right, cue]) =>
    describeMove('step', short, { code, name, limb: 'feet', side: none, out: 0.2, back: 0.14, step: { forward, right }, faults: ['the feet come together'] }, [`Step: ${cue}`, 'Follow: same width as before']),
  ),
  describeMove('step', 'skip', { code: 'skip', name: 'Slide up', limb: 'feet', side: none, out: 0.24, back: 0.12, step: { forward: 1, right: 0 }, faults: ['hops upward'] }, ['Slide: rear foot to the front foot', 'Go: front leg is free']),
  describeMove('step', 'slide back', { code: 'slideback', name: 'Slide back', limb: 'feet', side: none, out: 0.24, back: 0.12, step: { forward: -1, right: 0 }, faults: ['hops upward', 'the weight stays on the heel'] }, ['Slide: front foot to the rear foot', 'Go: rear foot back to its width']),
  ...([
    ['footfwd', 'foot forward', 1, 0],
    ['footback', 'foot back', -1, 0],
    ['footout', 'foot out', 0, 1],
    ['footin', 'foot in', 0, -1],
  ] as const).flatMap(([code, name, forward, right]) => [
    describeMove('step', name, oneFoot(code, name, forward / 2, right / 2), [`Step: that foot alone, ${name.slice(5)}`]),
    describeMove('step', `half ${name}`, oneFoot(`half${code}`, `half ${name}`, forward / 4, right / 4), [`Step: that foot alone, half a step ${name.slice(5)}`]),
  ]),
  describeMove('step', 'pivot', { code: 'pivot', name: 'Pivot', limb: 'feet', side: over('rear'), out: 0.24, back: 0.14, facing: 45, faults: ['stands up tall'] }, ['Turn: on the ball of the front foot', 'Swing: rear foot comes round']),
  describeMove('step', 'angle', { code: 'angle', name: 'Angle step', limb: 'feet', side: over('front'), out: 0.26, back: 0.14, step: { forward: 0.7, right: -0.7 }, faults: ['steps and forgets to face in'] }, ['Step: off the line', 'Face: turn in']),
  describeMove('step', 'quarter', { code: 'quarter', name: 'Quarter turn', limb: 'feet', side: over('rear'), out: 0.28, back: 0.16, facing: 90, faults: ['looks last'] }, ['Look: where you turn', 'Turn: feet follow']),
  describeMove('step', 'half turn', { code: 'half', name: 'Half turn', limb: 'feet', side: over('rear'), out: 0.34, back: 0.18, facing: 180, faults: ['loses the width of the stance'] }, ['Look: over the shoulder', 'Turn: the front foot travels round and stays in front']),
  describeMove('step', 'three quarter', { code: 'threeq', name: 'Three-quarter turn', limb: 'feet', side: over('rear'), out: 0.44, back: 0.22, facing: 270, lead: 'flips', faults: ['steps too wide and falls out'], minGrade: STARTER_GRADES[1] }, ['Look: over the shoulder', 'Step: the rear foot steps over', 'Set: hands up']),
  describeMove('step', 'neutral', { code: 'tri', name: 'Triangle step', limb: 'feet', side: none, out: 0.24, back: 0.14, stance: 'square', faults: ['stays too long in the open', 'stands up tall on the way'] }, ['Step: rear foot up beside the front foot', 'Open: front foot out to shoulder width', 'Stand: feet level, knees soft, hands high']),
  describeMove('stance', 'guard', { code: 'guard', role: 'guard', name: 'Guard', limb: 'body', side: none, out: 0.2, back: 0, stance: 'fighting', faults: ['the elbows drift out'] }, ['Set: hands at the cheeks, knees soft']),
  describeMove('stance', 'ready', { code: 'ready', name: 'Ready stance', limb: 'body', side: none, out: 0.3, back: 0.1, stance: 'square', faults: ['locked knees'] }, ['Stand: feet level, fists in front']),
  describeMove('stance', 'long', { code: 'long', name: 'Long stance', limb: 'feet', side: none, out: 0.34, back: 0.2, stance: 'long', faults: ['the rear knee bends'] }, ['Step: long, front knee over the toes']),
  describeMove('stance', 'back stance', { code: 'backst', name: 'Back stance', limb: 'feet', side: none, out: 0.32, back: 0.2, stance: 'back', faults: ['the weight drifts forward'] }, ['Sit: over the rear leg']),
  describeMove('stance', 'horse', { code: 'horse', name: 'Horse stance', limb: 'feet', side: none, out: 0.34, back: 0.22, stance: 'horse', faults: ['the knees fall in'] }, ['Sit: wide, knees over the feet']),
  describeMove('stance', 'kneel', { code: 'kneelup', name: 'Kneel to stance', limb: 'feet', side: none, out: 0.6, back: 0.2, support: 'ground', stance: 'fighting', faults: ['drops onto the knee'] }, ['Kneel: rear knee down gently', 'Rise: front foot pushes, hands up']),
];
