import { existsSync } from 'node:fs';
import { readFile } from 'node:fs/promises';
import { fileURLToPath } from 'node:url';
import { Injectable, ServiceUnavailableException, UnprocessableEntityException } from '@nestjs/common';
import { heldRounds } from '@eurhythm/core/plan';
import { BURST_AT_HOME } from '@eurhythm/core/home';
import { burstRound } from '@eurhythm/core/run';
import { CAUTIONS, type HomePageQuery } from '@eurhythm/contract';
import { FightersService } from '../fighters/fighters.service.ts';
import { HeavyWork } from '../heavy/heavyWork.ts';
import { RoundsService } from '../sessions/rounds.service.ts';
import { SessionsService } from '../sessions/sessions.service.ts';
import type { ClipFolder } from '../voice/clipFolder.ts';
import { InjectClips } from '../voice/clips.ts';

/** The page that the build made, without a session. */
const PAGE = fileURLToPath(new URL('../../../web/dist-home/home.html', import.meta.url));
/** Where the session is put into it. */
const PLACE = '<!-- the session -->';
const NOT_BUILT = 'The page for home is not built. Start the server with npm start, which builds it.';

export interface HomePage {
  readonly title: string;
  readonly fighter: string;
  readonly pieces: AsyncGenerator<string, void>;
}

/** A session for one fighter as one file, with its sound: it runs by a double click and asks nobody for anything. */
@Injectable()
export class HomePageService {
  constructor(
    private readonly sessions: SessionsService,
    private readonly rounds: RoundsService,
    private readonly fighters: FightersService,
    private readonly heavy: HeavyWork,
    @InjectClips() private readonly clips: ClipFolder,
  ) {}

  /** From the fighter's own lead, in the voice for headphones. @throws 422 for who is not fit to train */
  async page(sessionId: string, { fighter: fighterId, voice }: HomePageQuery): Promise<HomePage> {
    if (!existsSync(PAGE)) throw new ServiceUnavailableException(NOT_BUILT);
    const [session, fighter] = await Promise.all([
      this.sessions.one(sessionId),
      this.fighters.one(fighterId),
    ]);
    if (!fighter.fit)
      throw new UnprocessableEntityException(
        `${fighter.name} is marked not fit to train; nothing is sent home before that is lifted.`,
      );
    // A burst says what a round does not.
    const held = [
      ...heldRounds(session.rounds).map(({ id, title, kind, blocks, timeCalls }) => ({
        id,
        title,
        kind,
        blocks,
        timeCalls,
      })),
      { id: 'burst', title: '', kind: 'combos' as const, blocks: burstRound(BURST_AT_HOME).blocks },
    ];
    const { rounds, setting, book } = await this.rounds.toPlay(held, {
      seedKey: sessionId,
      lead: fighter.lead,
      word: session.word ?? '',
      sound: 'room',
      ...(voice ? { voice } : {}),
    });
    const used = await this.heavy.run('usedClips', { title: session.title, rounds, setting, book });
    const page = {
      sessionId,
      title: session.title,
      fighter: { id: fighter.id, name: fighter.name, lead: fighter.lead },
      cautions: CAUTIONS,
      // What is written of the blocks is not shown.
      rounds: rounds.slice(0, -1).map(({ written: _, ...round }) => round),
      setting,
      book,
    };
    const pieces = this.pieces(await readFile(PAGE, 'utf8'), page, used);
    return { title: session.title, fighter: fighter.name, pieces };
  }

  private async *pieces(built: string, page: object, clips: readonly string[]): AsyncGenerator<string, void> {
    const [before = '', after = ''] = built.split(PLACE);
    yield `${before}<script type="application/json" id="session">${inScript(page)}</script>`;
    for (const id of clips) {
      const wav = await this.clips.wav(id);
      if (wav)
        yield `<script type="text/plain" class="call" data-id="${id}">${wav.toString('base64')}</script>\n`;
    }
    yield after;
  }
}

/** Nothing in a text ends the element that it stands in. */
const inScript = (value: object): string => JSON.stringify(value).replaceAll('<', '\\u003c');
