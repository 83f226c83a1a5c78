import {
  findMove,
  isStrike,
  numberOf,
  otherLead,
  roleOf,
  type Move,
  type MoveBook,
  type MoveRole,
  type Side,
} from '../../moves/index.ts';
import { floorOver, timesWithin } from '../drift.ts';
import { isAboveGrade, youthFaultOf } from '../audience.ts';
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

export const youthContact: FindingRule = ({ own, audience: { youth } }) => {
  if (!youth) return [];
  return own.flatMap((stroke): Finding[] => {
    const fault = youthFaultOf(stroke, youth);
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

export const needsRoom: FindingRule = ({ walk, own, times, school: { floorSteps } }) => {
  const most = Math.max(...Object.values(floorOver(walk, times)));
  if (floorSteps === null || most <= floorSteps || own.length === 0) return [];
  const often = times > 1 ? ` over ${times} times through` : '';
  return [
    about(
      'needs-room',
      'caution',
      moversOf(own),
      `Needs ${steps(most)} of room one way${often}; this floor has ${floorSteps}.`,
    ),
  ];
};

/** A line that ends elsewhere than it began walks off when it is repeated. */
export const drifts: FindingRule = ({ walk, own, school: { floorSteps } }) => {
  const { forward, right } = walk.end.place;
  if (Math.hypot(forward, right) < 0.01 || own.length === 0) return [];
  const ways = [
    [forward, 'forward', 'back'],
    [right, 'to the right', 'to the left'],
  ] as const;
  const where = ways.flatMap(([by, on, off]) =>
    Math.abs(by) < 0.01 ? [] : [`${steps(Math.abs(by))} ${by > 0 ? on : off}`],
  );
  const within = floorSteps === null ? null : timesWithin(walk, floorSteps);
  const leaves =
    within === null
      ? ''
      : within === 0
        ? ` The first time through leaves this floor of ${floorSteps}.`
        : ` After ${within === 1 ? 'one time' : `${within} times`} through it leaves this floor of ${floorSteps}.`;
  return [
    about(
      'drifts',
      'note',
      moversOf(own),
      `Ends ${where.join(' and ')} of where it began.${leaves} In a round, twice there and twice back keeps the place.`,
    ),
  ];
};

/** What the book says that a move lays open, at each of its uses. */
export const risks: FindingRule = ({ own }) =>
  own.flatMap((stroke) =>
    (stroke.move.risks ?? []).flatMap(({ text, severity, side, level, muted }) => {
      const isMeant =
        !muted && (side === null || side === stroke.side) && (level === null || level === stroke.level);
      return isMeant
        ? [{ ...about('risk', severity, [stroke], text), risk: { move: stroke.move.code, text } }]
        : [];
    }),
  );

const steps = (n: number): string => `${Number(n.toFixed(1))} ${Math.abs(n - 1) < 0.05 ? 'step' : 'steps'}`;

function moversOf(own: readonly WalkedStroke[]): WalkedStroke[] {
  const movers = own.filter(({ before, after }) => after.place !== before.place);
  return movers.length > 0 ? movers : [...own];
}

/** A side written before a move that has none, or one of its own. */
export const sideIgnored: FindingRule = ({ walk, book }) =>
  walk.strokes.flatMap((stroke) => {
    const written = stroke.stroke.side;
    const entry = findMove(book, stroke.stroke.word);
    if (written === null || !entry) return [];
    const { kind } = stroke.move.side;
    if (kind === 'directed' || (kind === 'free' && entry.side === null)) return [];
    const prefix = written === 'front' ? 'f:' : 'r:';
    const why =
      kind === 'fixed' || entry.side !== null
        ? `is always done with the ${stroke.side} side`
        : kind === 'both'
          ? 'takes both sides at once'
          : 'has no side';
    const meant = written === stroke.side ? null : meantBy(stroke, written, book);
    return [
      about(
        'side-ignored',
        'note',
        [stroke],
        `The \`${prefix}\` changes nothing here: \`${stroke.stroke.word}\`, the ${nameOf(stroke)}, ${why}.${meant === null ? '' : ` Did you mean \`${meant}\`?`}`,
      ),
    ];
  });

/** The number or code that does from the written side what this one does from its own. */
function meantBy({ move, stroke }: WalkedStroke, side: Side, book: MoveBook): string | null {
  if (move.side.kind === 'free') {
    const number = /^\d/.test(stroke.word) ? numberOf(book, move, side) : undefined;
    return number === undefined ? `${side === 'front' ? 'f:' : 'r:'}${move.code}` : String(number);
  }
  const like = [...book.moves.values()].filter(
    (other) => other.family === move.family && other.side.kind === 'fixed' && other.side.side === side,
  );
  const isNumbered = /^\d/.test(stroke.word);
  const numberFor = (other: Move): number | undefined =>
    isNumbered ? numberOf(book, other, side) : undefined;
  const far = (other: Move): number =>
    Math.abs(other.out - move.out) + (isNumbered && !numberFor(other) ? 1 : 0);
  const [nearest] = like.sort((a, b) => far(a) - far(b));
  return nearest ? String(numberFor(nearest) ?? nearest.code) : null;
}
