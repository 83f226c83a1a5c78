import { walkStance, type YouthLimits } from '../../body/index.ts';
import { formatLine, parseLine, type BeatLine } from '../../line/index.ts';
import type { Lead, MoveBook } from '../../moves/index.ts';
import { kindOf, type Block, type WorkLimb, type WrittenBlock } from '../../rounds/index.ts';
import { fitLine, mapStrokes, writtenStrokes } from '../../teach/index.ts';
import type { RoundLike } from '../plannedRound.ts';

/** What somebody takes care of for now, beside the limits of a band. */
export interface PersonCare {
  /** Comes back after a break: light in the first half of a class, and no bursts. */
  readonly startsLight: boolean;
  /** Neither strikes to a partner's head nor is struck there. */
  readonly noHeadContact: boolean;
  /** Limbs that strike without full power. */
  readonly spared: readonly WorkLimb[];
}

export const NO_CARE: PersonCare = { startsLight: false, noHeadContact: false, spared: [] };

/** Somebody of a class. */
export interface CaredFor {
  readonly name: string;
  readonly lead: Lead;
  /** The group of the session; empty for none. */
  readonly group: string;
  readonly care: PersonCare;
}

/** What somebody does otherwise in a round, in a sentence with the stand-in. */
export interface CareNote {
  /** Id of the round. */
  readonly round: string;
  readonly title: string;
  readonly name: string;
  readonly message: string;
}

/** Contact in percent from which on it is full power (our own measure). */
const FULL_POWER = 50;
/** Whoever starts light keeps to this much contact, in percent. */
const LIGHT = 25;

/**
 * What of a session somebody does otherwise, round by round, with what is done instead: who starts light, spares a limb, or has no contact
 * to the head. It informs and blocks nothing.
 *
 * @example
 * careNotes([{ id: 'r', title: 'Pads', kind: 'pads', blocks: [{ ...filled('combo'), combos: [combo] }] }], [{ name: 'Joost', lead: 'left', group: '', care: { ...NO_CARE, noHeadContact: true } }], book)[0].message
 * // 'no contact to the head: 1@b 2@b 3@b instead of 1 2 3.'
 */
export function careNotes(
  rounds: readonly (RoundLike & { readonly turns?: 1 | 2 | 3 | null | undefined })[],
  people: readonly CaredFor[],
  book: MoveBook,
): CareNote[] {
  const cared = people.filter(({ care }) => care.startsLight || care.noHeadContact || care.spared.length > 0);
  return rounds.flatMap((round, i) =>
    cared.flatMap((person) => {
      const blocks = round.blocks
        .filter(({ who = [] }) => who.length === 0 || person.group === '' || who.includes(person.group))
        .map((block) => kindOf(block).ofGroup(block as WrittenBlock, person.group) as Block);
      const messages = new Set([
        ...(person.care.startsLight && i < rounds.length / 2 ? lightly(blocks) : []),
        ...(person.care.startsLight ? withoutBursts(blocks) : []),
        ...(person.care.noHeadContact && isPartnerWork(round) ? offTheHead(blocks, book) : []),
        ...(person.care.spared.length > 0 ? sparing(blocks, person, book) : []),
      ]);
      return [...messages].map((message) => ({
        round: round.id,
        title: round.title,
        name: person.name,
        message,
      }));
    }),
  );
}

const isPartnerWork = (round: RoundLike & { readonly turns?: 1 | 2 | 3 | null | undefined }): boolean =>
  round.kind === 'pads' || (round.turns ?? 1) > 1;

const contactOf = (block: Block): number => kindOf(block).contact(block);

function lightly(blocks: readonly Block[]): string[] {
  const most = Math.max(0, ...blocks.map(contactOf));
  return most > LIGHT ? [`starts light: at most ${LIGHT} % contact, whatever is called.`] : [];
}

function withoutBursts(blocks: readonly Block[]): string[] {
  const has = blocks.some((block) => kindOf(block).measures(block as WrittenBlock)?.kind === 'burst');
  return has ? ['starts light: steady straights instead of the burst, and no count.'] : [];
}

const NO_HEAD: YouthLimits = {
  band: '',
  headContact: false,
  ...{ knees: true, elbows: true, spins: true, jumps: true },
};

function offTheHead(blocks: readonly Block[], book: MoveBook): string[] {
  return linesOf(blocks, book).flatMap(({ text, line }) => {
    const { line: instead, changes } = fitLine(line, book, { grade: null, youth: NO_HEAD });
    return changes.length === 0 ? [] : [`no contact to the head: ${instead} instead of ${text}.`];
  });
}

/** Where a limb would strike with all its power, it only touches. */
function sparing(blocks: readonly Block[], { lead, care }: CaredFor, book: MoveBook): string[] {
  return blocks.flatMap((block) => {
    const isHard = contactOf(block) >= FULL_POWER;
    const burst = kindOf(block).measures(block as WrittenBlock)?.kind === 'burst';
    if (burst) return [`${limbText(care.spared)} without full power: the other limbs alone in the burst.`];
    return linesOf([block], book).flatMap(({ text, line }) => {
      const spared = new Set(
        walkStance(line, book, lead).strokes.flatMap(({ limb, stroke }) =>
          care.spared.includes(limb as WorkLimb) && (isHard || stroke.power === 'full') ? [stroke] : [],
        ),
      );
      if (spared.size === 0) return [];
      const written = writtenStrokes(line);
      const instead = mapStrokes(line, (stroke, place) =>
        spared.has(written[place]!) ? { ...stroke, power: 'touch' } : stroke,
      );
      return [
        `${limbText(care.spared)} without full power: ${formatLine(instead)} from the own lead instead of ${text}.`,
      ];
    });
  });
}

const limbText = (limbs: readonly WorkLimb[]): string =>
  limbs.map((limb) => limb.replace('-', ' ')).join(' and ');

function linesOf(blocks: readonly Block[], book: MoveBook): { text: string; line: BeatLine }[] {
  const texts = new Set(blocks.flatMap((block) => kindOf(block).done(block, book)));
  return [...texts].flatMap((text) => {
    const parsed = parseLine(text, book);
    return parsed.ok ? [{ text, line: parsed.line }] : [];
  });
}
