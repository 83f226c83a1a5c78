import type { Block, Phase, TimeCall } from '@eurhythm/core/rounds';
import type { Lead, Move, NumberedMove, SideNames } from '@eurhythm/core/moves';
import type { RoundSetting } from '@eurhythm/core/run';

/** What the server puts into the page: a session for one fighter, and all that is needed to compile it. */
export interface HomeSession {
  readonly sessionId: string;
  readonly title: string;
  readonly fighter: { readonly id: string; readonly name: string; readonly lead: Lead };
  readonly cautions: readonly string[];
  readonly rounds: readonly {
    readonly id: string;
    readonly title: string;
    readonly kind: Phase;
    readonly blocks: readonly Block[];
    readonly timeCalls?: readonly TimeCall[] | undefined;
  }[];
  readonly setting: RoundSetting;
  readonly book: {
    readonly items: readonly Move[];
    readonly numbers: readonly NumberedMove[];
    readonly sides?: SideNames;
  };
}

const BROKEN = 'This file is not whole. Ask your coach for a new one.';

/** The session of this page. @throws with a sentence when somebody has changed the file so that it cannot be read */
export function readSession(page: Document): HomeSession {
  const text = page.getElementById('session')?.textContent ?? '';
  try {
    const read = JSON.parse(text) as Partial<HomeSession> | null;
    if (!read?.rounds?.length || !read.book || !read.setting || !read.fighter || !read.sessionId)
      throw new Error(BROKEN);
    return read as HomeSession;
  } catch {
    throw new Error(BROKEN);
  }
}

/** The sound of a call, which stands in the page. @throws with a sentence when it is not there */
export function callInPage(page: Document): (id: string) => Promise<ArrayBuffer> {
  const all = new Map(
    [...page.querySelectorAll<HTMLElement>('script.call')].map((each) => [each.dataset['id'] ?? '', each]),
  );
  return async (id) => {
    const text = all.get(id)?.textContent ?? '';
    if (text === '') throw new Error(BROKEN);
    return Uint8Array.from(atob(text), (letter) => letter.charCodeAt(0)).buffer;
  };
}
