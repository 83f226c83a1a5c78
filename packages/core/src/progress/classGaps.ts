import { groupBy } from '../units/index.ts';
import type { GradeLine } from './grades/gradeCheck.ts';

/** The check list of one of a class. */
export interface CheckOfOne {
  readonly name: string;
  readonly gradeId: string;
  readonly grade: string;
  readonly lines: readonly Pick<GradeLine, 'requirement' | 'asked' | 'isMet'>[];
}

/** What a class still lacks for one grade. */
export interface ClassGaps {
  readonly gradeId: string;
  readonly grade: string;
  /** How many are on the way to it, and who has all of it. */
  readonly people: number;
  readonly ready: readonly string[];
  /** What is asked, and who lacks it; what most lack first, and nothing that nobody lacks. */
  readonly lines: readonly {
    readonly requirement: GradeLine['requirement'];
    readonly asked: string;
    readonly lacking: readonly string[];
  }[];
}

/**
 * What is missing in a whole class, grade by grade in the order in which they come.
 *
 * @example
 * classGaps([{ name: 'Ines', gradeId: 'ebb', grade: 'Ebb', lines: [{ requirement: { id: 'r' }, asked: 'ten knees', isMet: false }] }]).map(({ lines }) => lines.map(({ lacking }) => lacking)) // [[['Ines']]]
 */
export function classGaps(checks: readonly CheckOfOne[]): ClassGaps[] {
  return [...groupBy(checks, ({ gradeId }) => gradeId).values()].map((those) => {
    const { gradeId, grade, lines } = those[0]!;
    const lacking = lines.map(({ requirement, asked }) => ({
      requirement,
      asked,
      lacking: those
        .filter((one) => one.lines.some((line) => line.requirement.id === requirement.id && !line.isMet))
        .map(({ name }) => name),
    }));
    return {
      gradeId,
      grade,
      people: those.length,
      ready: those.filter((one) => one.lines.every(({ isMet }) => isMet)).map(({ name }) => name),
      lines: lacking
        .filter((line) => line.lacking.length > 0)
        .sort((a, b) => b.lacking.length - a.lacking.length),
    };
  });
}
