import { isSpin, isStrike, otherLead, roleOf, type Move, type MoveRole } from '../../moves/index.ts';
import { isAboveGrade, type YouthLimits } from '../audience.ts';
import type { WalkedStroke } from '../walkStance.ts';
import { about, beatsBetween, nameOf, type Finding, type FindingRule } from './finding.ts';

/** Roles that end clinch work: pushed off, gone, or guarded. */
const WAYS_OUT: readonly (MoveRole | null)[] = ['shove', 'step-out', 'guard', 'cover'];

/** Whether a stroke takes the fighter out of close range: away, aside, off the line, or behind a guard. */
function leavesRange({ move, stroke }: WalkedStroke): boolean {
  const isAside = move.family === 'step' && (move.step.right !== 0 || move.facing !== 0);
  return WAYS_OUT.includes(roleOf(move)) || isAside || stroke.step === 'back';
}

/** A step in that nothing covers: no strike, block or cover within half a beat. */
export const bareEntry: FindingRule = ({ own }) =>
  own
    .filter(({ move }) => roleOf(move) === 'step-in')
    .filter(
      (step) =>
        !own.some(
          (other) =>
            other !== step &&
            (isStrike(other.move) || other.move.family === 'block' || roleOf(other.move) === 'cover') &&
            Math.abs(beatsBetween(step, other)) <= 0.5,
        ),
    )
    .map((step) =>
      about(
        'bare-entry',
        'caution',
        [step],
        `The ${nameOf(step)} goes in bare: let a strike or a cover land within half a beat of it.`,
      ),
    );

/** A high block with the front arm, where the gym avoids it. */
export const underArmOpen: FindingRule = ({ own, school }) =>
  school.frontHighBlock === 'allowed'
    ? []
    : own
        .filter(({ move, side }) => roleOf(move) === 'high-block' && side === 'front')
        .map((block) =>
          about(
            'under-arm-open',
            'note',
            [block],
            'While the front arm blocks high, nothing guards the ribs below it. The gym asks for the rear arm here.',
          ),
        );

/** Clinch work that ends close, with no way out. */
export const staysInRange: FindingRule = ({ own }) => {
  const close = own.findLast(({ move }) => roleOf(move) === 'clinch');
  if (!close) return [];
  const leaves = own.some((later) => later.index > close.index && leavesRange(later));
  return leaves
    ? []
    : [
        about(
          'stays-in-range',
          'caution',
          [close, own.at(-1)!],
          `The line ends close after the ${nameOf(close)}. Finish with a shove, a step out or a guard.`,
        ),
      ];
};

export const endsOtherLead: FindingRule = ({ walk }) => {
  const last = walk.leadChanges.at(-1);
  const first = walk.strokes[0];
  if (!last || !first || walk.end.lead === first.before.lead) return [];
  return [
    about(
      'ends-other-lead',
      'note',
      [walk.strokes[last.stroke]!],
      `Ends in ${walk.end.lead} lead. Add sw or a step to come home to ${otherLead(walk.end.lead)} lead.`,
    ),
  ];
};

/** Only one side of the body ever strikes. */
export const sideUntrained: FindingRule = ({ own }) => {
  const strikes = own.filter((stroke) => isStrike(stroke.move) && /^(left|right)-/.test(stroke.limb));
  const sides = new Set(strikes.map((stroke) => stroke.limb.split('-')[0]));
  if (strikes.length < 3 || sides.size !== 1) return [];
  return [
    about(
      'side-untrained',
      'note',
      strikes,
      `Only the ${[...sides][0]} side strikes here. The other lead trains the other side.`,
    ),
  ];
};

export const aboveGrade: FindingRule = ({ own, audience: { grade } }) => {
  if (!grade) return [];
  const seen = new Set<string>();
  return own.flatMap((stroke) => {
    if (!isAboveGrade(stroke.move, grade) || seen.has(stroke.move.code)) return [];
    seen.add(stroke.move.code);
    return [
      about(
        'above-grade',
        'caution',
        [stroke],
        `The ${nameOf(stroke)} belongs to a higher grade than ${grade.name}.`,
      ),
    ];
  });
};

/** What a band of children should not do to a partner, in the order of weight. */
function youthFaults(move: Move, level: string | null, limits: YouthLimits): string | null {
  if (!limits.knees && move.family === 'knee') return 'no knees';
  if (!limits.elbows && move.family === 'elbow') return 'no elbows';
  if (!limits.spins && isSpin(move)) return 'no spins';
  if (!limits.jumps && move.support === 'airborne' && isStrike(move)) return 'no jumps';
  if (!limits.headContact && isStrike(move) && level === 'head') return 'no contact to the head';
  return null;
}

export const youthContact: FindingRule = ({ own, audience: { youth } }) => {
  if (!youth) return [];
  return own.flatMap((stroke): Finding[] => {
    const fault = youthFaults(stroke.move, stroke.level, youth);
    return fault === null
      ? []
      : [
          about(
            'youth-contact',
            'caution',
            [stroke],
            `${nameOf(stroke)}: ${youth.band} have ${fault} here. Pads and air only, or an easier form. Local rules come first.`,
          ),
        ];
  });
};

export const needsRoom: FindingRule = ({ walk, own, school: { floorSteps } }) => {
  const most = Math.max(...Object.values(walk.floor));
  if (floorSteps === null || most <= floorSteps || own.length === 0) return [];
  const movers = own.filter((stroke) => stroke.after.place !== stroke.before.place);
  return [
    about(
      'needs-room',
      'caution',
      movers,
      `Needs ${Number(most.toFixed(1))} steps of room one way; this floor has ${floorSteps}.`,
    ),
  ];
};
