import { differenceInCalendarDays } from 'date-fns';
import { HttpStatus, Injectable } from '@nestjs/common';
import { PACE_FACTORS } from '@eurhythm/core/body';
import {
  draft,
  sessionSeconds,
  type DraftGym,
  type DraftLog,
  type DraftWish,
  type SessionDraft,
} from '@eurhythm/core/plan';
import { groupBy, seedFromText } from '@eurhythm/core/units';
import type {
  DraftSessionDto,
  RepeatSessionDto,
  RoundDto,
  SessionDraftView,
  SessionSummary,
} from '@eurhythm/contract';
import { CombosService } from '../combos/combos.service.ts';
import { FightersService } from '../fighters/fighters.service.ts';
import { TechniquesService } from '../grades/techniques.service.ts';
import { GradingDaysService } from '../gradingDays/gradingDays.service.ts';
import { GymService } from '../gym/gym.service.ts';
import { refuseField } from '../http/refuse.ts';
import { LibraryService } from '../library/library.service.ts';
import { MovesService } from '../moves/moves.service.ts';
import { weeksBefore } from '../progress/days.ts';
import { MemoryService } from '../progress/memory.service.ts';
import { PaceService } from '../progress/pace.service.ts';
import { RequirementsService } from '../progress/requirements.service.ts';
import { SetsService } from '../progress/sets.service.ts';
import { TEMPO_WEEKS } from '../progress/tempos.service.ts';
import { SessionsService } from '../sessions/sessions.service.ts';
import { HeldRunsService } from '../runs/heldRuns.service.ts';

const LONGEST_TITLE = 60;
/** The last classes that a draft does not repeat. */
const RECENT = 3;

/** Drafts sessions from what the gym has and what its log knows; nothing is kept. */
@Injectable()
export class DraftsService {
  constructor(
    private readonly gym: GymService,
    private readonly moves: MovesService,
    private readonly combos: CombosService,
    private readonly techniques: TechniquesService,
    private readonly library: LibraryService,
    private readonly requirements: RequirementsService,
    private readonly fighters: FightersService,
    private readonly paces: PaceService,
    private readonly sets: SetsService,
    private readonly memory: MemoryService,
    private readonly held: HeldRunsService,
    private readonly gradingDays: GradingDaysService,
    private readonly sessions: SessionsService,
  ) {}

  async draft({ seed = 1, ...wish }: DraftSessionDto, now: Date): Promise<SessionDraftView> {
    const [gym, log] = await Promise.all([this.gymToDraft(now), this.logToDraft(now)]);
    const answer = draft(wish, gym, log, seed);
    if (!answer.ok) throw refuseField(answer.field, answer.message, HttpStatus.UNPROCESSABLE_ENTITY);
    return draftView(answer.draft, wish.minutes);
  }

  /** Drafts a session for an instant and keeps it, unless one is there under this id already. */
  async draftInto(
    id: string,
    {
      at,
      wish,
      title,
      now,
    }: { readonly at: string; readonly wish: DraftWish; readonly title?: string; readonly now: Date },
  ): Promise<void> {
    if ((await this.sessions.kept([id])).has(id)) return;
    const [gym, log] = await Promise.all([this.gymToDraft(now), this.logToDraft(now)]);
    // What is planned before it counts as done: classes of a season are not all the same.
    const recent = [...(await this.sessions.combosPlannedBefore(new Date(at), RECENT)), ...log.recent].slice(
      0,
      RECENT,
    );
    const answer = draft(wish, gym, { ...log, recent }, seedFromText(at));
    if (!answer.ok) throw refuseField(answer.field, answer.message, HttpStatus.UNPROCESSABLE_ENTITY);
    const { session } = draftView(answer.draft, wish.minutes);
    await this.sessions.save(id, {
      title: (title ?? session.title).slice(0, LONGEST_TITLE),
      lead: 'left',
      plannedFor: at,
      groups: [...session.groups],
      rounds: [...session.rounds],
    });
  }

  /** Goes forward from a session: a class of its length and its groups for each date, drafted anew; what is there stays. */
  async forward(id: string, { ids, dates }: RepeatSessionDto, now: Date): Promise<SessionSummary[]> {
    if (ids.length !== dates.length)
      throw refuseField('dates', 'Each class needs an id and a date of its own.');
    const session = await this.sessions.one(id);
    const grades = (session.groups ?? []).flatMap(({ gradeIds }) => gradeIds);
    const minutes = Math.round(sessionSeconds(session.rounds) / 60);
    for (const [i, at] of dates.entries())
      await this.draftInto(ids[i]!, { at, wish: { minutes, grades }, title: session.title, now });
    return this.sessions.summaries(ids);
  }

  /** What the gym is and has. */
  async gymToDraft(now: Date): Promise<DraftGym> {
    const [{ grades, school }, { items }, book, combos, techniques, library, asked, people, candidates] =
      await Promise.all([
        this.gym.gym(),
        this.moves.view(),
        this.moves.book(),
        this.combos.list(),
        this.techniques.lists(),
        this.library.list(),
        this.requirements.list(),
        this.fighters.all(),
        this.gradingDays.toCome(now),
      ]);
    const paces = await this.paces.of(
      people.map(({ id }) => id),
      now,
    );
    return {
      book,
      retired: items.filter(({ retired }) => retired).map(({ code }) => code),
      grades,
      youth: school.youth,
      combos: combos.filter(({ variant }) => variant === null || variant === undefined),
      techniques,
      asked: Object.fromEntries(
        asked.map(({ gradeId, requirements }) => [
          gradeId,
          requirements.flatMap(({ comboId }) => comboId ?? []),
        ]),
      ),
      candidates,
      library: library.flatMap(({ rounds }) => (rounds.length === 1 ? rounds : [])),
      people: people.map(({ id, name, gradeId, fit, lead, care }) => ({
        ...{ id, name, gradeId, fit, lead, care },
        pace: paces.get(id)!.factor,
      })),
      words: school.words,
      floorSteps: school.floorSteps,
      kit: school.kit,
      factor: PACE_FACTORS[school.pace],
    };
  }

  /** What was trained of late. */
  async logToDraft(now: Date): Promise<DraftLog> {
    const ids = (await this.fighters.fit()).map(({ id }) => id);
    const [sets, trained, memory, recent] = await Promise.all([
      this.sets.of(ids, weeksBefore(now, TEMPO_WEEKS)),
      this.held.lastTrained(),
      this.memory.of(ids, now),
      this.held.combosOfLast(RECENT),
    ]);
    const marked = groupBy(
      sets.flatMap(({ fighterId, comboId, bpm, quality }) =>
        bpm === null || quality === null ? [] : [{ fighterId, comboId, bpm, quality }],
      ),
      ({ fighterId, comboId }) => `${fighterId} ${comboId}`,
    );
    const due = groupBy(
      memory.filter(({ isDue }) => isDue),
      ({ comboId }) => comboId,
    );
    return {
      setsOf: (personId, comboId) => marked.get(`${personId} ${comboId}`) ?? [],
      daysAgo: (comboId) => {
        const at = trained[comboId];
        return at === undefined ? null : Math.max(0, differenceInCalendarDays(now, new Date(at)));
      },
      dueWith: (comboId) => (due.get(comboId) ?? []).map(({ fighterId }) => fighterId),
      recent,
    };
  }
}

function draftView(drafted: SessionDraft, minutes: number): SessionDraftView {
  const { title, groups, rounds, seconds, notes, check } = drafted;
  return {
    session: {
      ...{ title, minutes },
      groups: groups.map(({ name, gradeIds }) => ({ name, gradeIds: [...gradeIds] })),
      rounds: rounds.map(
        ({ id, title: own, kind, blocks, turns, effort }) =>
          ({ id, title: own, kind, blocks, turns, effort }) as unknown as RoundDto,
      ),
    },
    seconds,
    reasons: rounds.map(({ why }, round) => ({ round, why })),
    check: check.map(({ message, place }) => {
      const round = place === null ? -1 : rounds.findIndex(({ id }) => id === place.round);
      return { severity: 'caution' as const, message, ...(round === -1 ? {} : { round }) };
    }),
    notes,
  };
}
