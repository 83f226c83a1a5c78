import { GYM_FILE_FORMAT, GYM_FILE_VERSION, GymFile, checkFields, type FieldError } from '@eurhythm/contract';
import { knownRate } from '@eurhythm/core/calls';
import { plainToInstance } from 'class-transformer';
import { isKeepable } from '../../http/keepable.ts';
import { plain } from './tableDescriptions.ts';

export type ReadFile =
  | { readonly ok: true; readonly file: GymFile }
  | { readonly ok: false; readonly message: string; readonly errors: readonly FieldError[] };

/** What each of a group of partners does in each turn is the one list of lists. */
const LISTS_OF_LISTS = ['turns'];

/** So many faults of a file are reported. */
const MOST_TOLD = 50;

/**
 * How a file of an older version is put into the form of the next one, by the older version. Version 1 is the first; a new
 * version brings its entry here, and files of all versions before it are still read.
 */
const UPGRADES: Readonly<Record<number, (file: Record<string, unknown>) => Record<string, unknown>>> = {};

/** Reads the bytes of a file and checks every field of it, with sentences for what is wrong. */
export function readFile(bytes: Uint8Array): ReadFile {
  let parsed: unknown;
  try {
    parsed = JSON.parse(new TextDecoder('utf-8', { fatal: true }).decode(bytes));
  } catch {
    return refused('This file is not written in JSON.');
  }
  if (
    typeof parsed !== 'object' ||
    parsed === null ||
    (parsed as { format?: unknown }).format !== GYM_FILE_FORMAT
  )
    return refused(`This is no file of a gym: its format is not “${GYM_FILE_FORMAT}”.`, 'format');
  if (!isKeepable(parsed, LISTS_OF_LISTS))
    return refused('This file holds signs that no text has, or lists of what is no thing.');
  const file = upgraded(parsed as Record<string, unknown>);
  if (typeof file === 'string') return refused(file, 'version');
  const errors = checkFields(GymFile, file);
  if (errors.length > 0)
    return { ok: false, message: errors[0]!.message, errors: errors.slice(0, MOST_TOLD) };
  // What may be left out takes its usual value.
  return { ok: true, file: plain(plainToInstance(GymFile, file)) };
}

function upgraded(file: Record<string, unknown>): Record<string, unknown> | string {
  const { version } = file;
  if (typeof version !== 'number' || !Number.isInteger(version) || version < 1)
    return 'The version of this file is a whole number from 1 on.';
  if (version > GYM_FILE_VERSION)
    return `This file is of version ${version}, and this server reads up to ${GYM_FILE_VERSION}. Bring the server up to date first.`;
  let now = file;
  for (let from = version; from < GYM_FILE_VERSION; from++) now = UPGRADES[from]!(now);
  return { ...withKnownRate(now), version: GYM_FILE_VERSION };
}

/** The fastest that a voice ever spoke. */
const FASTEST_EVER = 1.75;

/** A voice that an older release let speak faster than anybody follows. */
function withKnownRate(file: Record<string, unknown>): Record<string, unknown> {
  const { gym } = file as { gym?: { school?: { voiceRate?: unknown } | null } | null };
  const rate = gym?.school?.voiceRate;
  if (typeof rate !== 'number' || !(rate > 0)) return file;
  return {
    ...file,
    gym: { ...gym, school: { ...gym!.school, voiceRate: rate <= FASTEST_EVER ? knownRate(rate) : rate } },
  };
}

function refused(message: string, field = 'file'): ReadFile {
  return { ok: false, message, errors: [{ field, message }] };
}
