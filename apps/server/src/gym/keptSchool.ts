import { STARTER_SCHOOL_SETTINGS, type SchoolDto } from '@eurhythm/contract';
import { knownRate } from '@eurhythm/core/calls';

/** A gym's ways as they are kept, also by an older release: what it did not know yet takes its usual value. */
export function keptSchool(kept: Partial<SchoolDto> | null | undefined): SchoolDto {
  const school = { ...STARTER_SCHOOL_SETTINGS, ...kept };
  return { ...school, voiceRate: knownRate(school.voiceRate) };
}
