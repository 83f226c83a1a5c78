import { isLegStrike, isSpin, isStrike } from '../../moves/index.ts';
import type { ClockResult } from '../limbClock.ts';
import { factorOf, strokeTimes } from '../pairGap.ts';
import { isCatch, isFlown, isSecondOfFlight, isStandingFoot, sharesLimb, turnOf } from '../strokeFacts.ts';
import type { WalkedStroke } from '../walkStance.ts';
import { about, beatsBetween, nameOf, secondsBetween, type Finding, type FindingRule } from './finding.ts';

/** Both hands may be out of guard together this long. */
const HANDS_AWAY = 0.15;
/** A hand counts as away while it is more than half way out, on both ways. */
const HALF_WAY = 0.5;
/** A jump off both feet lasts no longer than this: one of 45 cm, by the free fall. */
const LONGEST_FLIGHT = 0.6;
/** A leg counts as in the air for this share of its way back. */
const IN_THE_AIR = 0.5;

/** The tempo of the combo is more than the body can do cleanly, within the line or from one time through to the next. */
export const tooFast: FindingRule = ({ walk, clock, repeat, bpm }) => {
  const findingsAt = (tempo: ClockResult, isAgain: boolean): Finding[] => {
    const { fastestBpm, limit } = tempo;
    if (!limit) return [];
    const pair = [walk.strokes[limit.fromStroke]!, walk.strokes[limit.toStroke]!];
    const [a, b] = pair.map((stroke) => nameOf(stroke!));
    if (fastestBpm === null)
      return [about('too-fast', 'cannot', pair, `No tempo helps here: ${limit.reason}.`)];
    if (bpm === null || bpm <= fastestBpm) return [];
    const way = isAgain ? `from the ${a} to the ${b} of the next time through` : `from the ${a} to the ${b}`;
    return [
      about(
        'too-fast',
        'caution',
        pair,
        `${bpm} a minute is too fast ${way}: ${limit.reason}. ${fastestBpm} is the fastest clean tempo${isAgain ? ` while it is repeated every ${Number(repeat!.beats.toFixed(2))} beats` : ''}.`,
      ),
    ];
  };
  const inLine = findingsAt(clock, false);
  return inLine.length > 0 || !repeat ? inLine : findingsAt(repeat, true);
};

/** A kick from, or a step with, a leg that has not come down. */
export const legInAir: FindingRule = ({ own, settings, bpm }) => {
  const found: Finding[] = [];
  for (const [j, later] of own.entries()) {
    const wantsLeg = isLegStrike(later.move) || later.move.family === 'step' || later.stroke.step !== null;
    if (!wantsLeg) continue;
    if (later.stroke.keptUp) {
      const first = own[j - 1]!;
      if (isSecondOfFlight(later)) found.push(flightFinding(first, later, secondsBetween(first, later, bpm)));
      continue;
    }
    const kick = own.slice(0, j).findLast((stroke) => isLegStrike(stroke.move));
    // Two kicks of one flight: no leg has to come down between them.
    if (!kick || isFlown(later)) continue;
    if (beatsBetween(kick, later) === 0 && isStandingFoot(kick, later)) continue;
    const seconds = secondsBetween(kick, later, bpm);
    const needed = IN_THE_AIR * strokeTimes(kick, settings).back * factorOf(settings);
    if (seconds !== null && seconds < needed) {
      found.push(
        about(
          'leg-in-air',
          'cannot',
          [kick, later],
          `The leg of the ${nameOf(kick)} is still in the air when the ${nameOf(later)} needs the floor.`,
        ),
      );
    }
  }
  return found;
};

/** Each leg once in one flight is no mistake, but a coach should know that it is written; and no flight is long. */
function flightFinding(first: WalkedStroke, later: WalkedStroke, seconds: number | null): Finding {
  const both = `The ${nameOf(first)} and the ${nameOf(later)} of the other leg`;
  return seconds !== null && seconds > LONGEST_FLIGHT
    ? about(
        'leg-in-air',
        'cannot',
        [first, later],
        `${both} are one flight, and nobody is in the air for ${seconds.toFixed(1)} s: write = between them, or leave the ^ out.`,
      )
    : about('leg-in-air', 'note', [first, later], `${both} land in one flight: a jump off both feet.`);
}

/** One limb twice at one instant. */
export const limbClash: FindingRule = ({ own }) =>
  own.flatMap((later, j) =>
    own
      .slice(0, j)
      .filter(
        (earlier) =>
          beatsBetween(earlier, later) === 0 &&
          sharesLimb(earlier, later) &&
          later.limb !== 'feet' &&
          later.limb !== 'body',
      )
      .map((earlier) =>
        about(
          'limb-clash',
          'cannot',
          [earlier, later],
          `The ${nameOf(earlier)} and the ${nameOf(later)} need the same ${later.limb.replace('-', ' ')} at once.${isCatch(earlier, later) ? ' Write = between them: the hand that blocks closes at once.' : ''}`,
        ),
      ),
  );

/** Both hands out of guard at the same time. */
export const bothHandsAway: FindingRule = ({ own, settings, bpm }) => {
  const found = own
    .filter((stroke) => stroke.limb === 'both-hands' && isStrike(stroke.move))
    .map((stroke) =>
      about(
        'both-hands-away',
        'note',
        [stroke],
        `The ${nameOf(stroke)} takes both hands out of guard by its nature.`,
      ),
    );
  const hands = own.filter((stroke) => /^(left|right)-hand$/.test(stroke.limb) && isStrike(stroke.move));
  for (const [i, earlier] of hands.entries()) {
    const later = hands[i + 1];
    if (!later || later.limb === earlier.limb) continue;
    const seconds = secondsBetween(earlier, later, bpm);
    if (seconds === null) continue;
    const [a, b] = [strokeTimes(earlier, settings), strokeTimes(later, settings)];
    const away = HALF_WAY * (a.back + b.out) * factorOf(settings) - seconds;
    if (away > HANDS_AWAY) {
      found.push(
        about(
          'both-hands-away',
          'caution',
          [earlier, later],
          `Both hands are out of guard for ${away.toFixed(2)} s between the ${nameOf(earlier)} and the ${nameOf(later)}.`,
        ),
      );
    }
  }
  return found;
};

/** Two strikes of different sides that turn the hips the same way, with nothing in between that brings them back. */
export const sameTurnTwice: FindingRule = ({ own }) => {
  const found: Finding[] = [];
  for (const [i, earlier] of own.entries()) {
    const later = own[i + 1];
    if (!later || !isStrike(earlier.move) || !isStrike(later.move) || beatsBetween(earlier, later) > 1)
      continue;
    const turns = turnOf(earlier) !== 0 && turnOf(earlier) === turnOf(later);
    // The same side coming back, or a hand that carries the knee of its side, is a turn of its own.
    const sameSide = earlier.limb.split('-')[0] === later.limb.split('-')[0];
    if (turns && !sameSide) {
      found.push(
        about(
          'same-turn-twice',
          'note',
          [earlier, later],
          `The ${nameOf(earlier)} and the ${nameOf(later)} turn the hips the same way, so the second one is arm only.`,
        ),
      );
    }
  }
  return found;
};

/** A spin out of feet that are not ready to pivot. */
export const noPivot: FindingRule = ({ own }) =>
  own.flatMap((spin, j) => {
    const before = own[j - 1];
    if (!isSpin(spin.move) || !before || beatsBetween(before, spin) > 0.5) return [];
    const why = unreadyFeet(before);
    return why === null
      ? []
      : [
          about(
            'no-pivot',
            'caution',
            [before, spin],
            `The ${nameOf(spin)} comes straight after ${why}: give the standing foot half a beat more to pivot.`,
          ),
        ];
  });

function unreadyFeet(before: WalkedStroke): string | null {
  if (isLegStrike(before.move)) return `a ${nameOf(before)}`;
  if (before.stroke.step !== null) return 'a step through';
  if (before.move.support === 'airborne') return `a ${nameOf(before)} off the floor`;
  return before.after.stance === 'square' || before.after.stance === 'kneeling' ? 'a neutral stance' : null;
}
