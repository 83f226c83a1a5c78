import type { SaveSessionDto } from '@eurhythm/contract';

const LONGEST = 60;

/** What a session is called that nobody gave a title: what its rounds are called, each once. */
export function sessionTitle({ rounds }: Pick<SaveSessionDto, 'rounds'>): string {
  const titles = [...new Set(rounds.map(({ title }) => title.trim()).filter(Boolean))];
  const [last] = titles.length > 1 ? titles.slice(-1) : [];
  const all =
    last === undefined ? titles.join('') : `${titles.slice(0, -1).join(', ')} and ${last.toLowerCase()}`;
  if (all === '') return 'A session';
  return all.length <= LONGEST ? all : `${titles[0]!.slice(0, 40)} and ${rounds.length - 1} more`;
}
